package foldtwice.desktop.parts;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.Toolkit;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A pane that shows the very thing already is left alone; one that was changed is filled. */
class RefillTest {

  @BeforeAll
  static void start() throws Exception {
    Toolkit.start();
  }

  @Test
  void onlyWhatIsOtherIsMade() {
    Toolkit.ask(
        () -> {
          Pane pane = new VBox();
          AtomicInteger made = new AtomicInteger();
          Refill.with(pane, List.of("a", 1), () -> labels(made, "a"));
          Node first = pane.getChildren().getFirst();
          Refill.with(pane, List.of("a", 1), () -> labels(made, "never"));
          assertThat(made).hasValue(1);
          assertThat(pane.getChildren()).containsExactly(first);
          Refill.with(pane, List.of("a", 2), () -> labels(made, "b"));
          assertThat(made).hasValue(2);
          assertThat(((Label) pane.getChildren().getFirst()).getText()).isEqualTo("b");
          pane.getChildren().clear(); // somebody else has it now
          Refill.with(pane, List.of("a", 2), () -> labels(made, "again"));
          assertThat(((Label) pane.getChildren().getFirst()).getText()).isEqualTo("again");
          return true;
        });
  }

  private static List<Node> labels(AtomicInteger made, String text) {
    made.incrementAndGet();
    return List.of(new Label(text));
  }
}
