package foldtwice.desktop.parts;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.Toolkit;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A pane shows what it is to show, and makes anew what was not there the moment before. */
class ContentsTest {

  @BeforeAll
  static void start() throws Exception {
    Toolkit.start();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void whatIsTheSameStays(long seed) {
    Random random = new Random(seed);
    Toolkit.ask(
        () -> {
          VBox pane = new VBox();
          Contents contents = new Contents(pane);
          List<String> before = List.of();
          for (int i = 0; i < 60; i++) {
            List<Node> were = List.copyOf(pane.getChildren());
            List<String> wanted =
                random.ints(random.nextInt(7), 0, 6).mapToObj(n -> "t" + n).toList();
            List<String> made = new ArrayList<>();
            for (String text : wanted) {
              contents.add(
                  text,
                  () -> {
                    made.add(text);
                    return new Label(text);
                  });
            }
            contents.show();
            assertThat(pane.getChildren().stream().map(n -> ((Label) n).getText()))
                .containsExactlyElementsOf(wanted);
            List<String> fresh = new ArrayList<>(wanted);
            before.forEach(fresh::remove);
            assertThat(made).containsExactlyInAnyOrderElementsOf(fresh);
            assertThat(pane.getChildren().stream().filter(n -> !were.contains(n)))
                .hasSameSizeAs(fresh);
            before = wanted;
          }
          return true;
        });
  }
}
