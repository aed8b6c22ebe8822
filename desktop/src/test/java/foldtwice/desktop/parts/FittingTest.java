package foldtwice.desktop.parts;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.Toolkit;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Words in a small room: none broken, none beyond it, and what is left out is seen to be. */
class FittingTest {

  private static final Font FONT = Font.font("Hanken Grotesk", 11);

  @BeforeAll
  static void start() throws Exception {
    Toolkit.start();
  }

  private static double width(String text) {
    Text t = new Text(text);
    t.setFont(FONT);
    return t.getLayoutBounds().getWidth();
  }

  private static String words(Random random) {
    List<String> all = new ArrayList<>();
    for (int i = random.nextInt(6); i >= 0; i--) {
      all.add("abcdefghijklmnopqrstuvwxyz".substring(random.nextInt(20), 21 + random.nextInt(5)));
    }
    return String.join(" ", all);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void linesFitAndAreWholeWords(long seed) {
    Random random = new Random(seed);
    Toolkit.ask(
        () -> {
          Fitting fitting = new Fitting(FONT);
          for (int i = 0; i < 300; i++) {
            String text = words(random);
            double room = 20 + random.nextInt(120);
            int most = 1 + random.nextInt(3);
            List<String> lines = List.of(fitting.lines(text, room, most).split("\n"));
            String what = text + " in " + room + ": " + lines;
            assertThat(lines).as(what).hasSizeLessThanOrEqualTo(most);
            assertThat(lines).as(what).allMatch(l -> width(l) <= room || l.length() <= 2);
            List<String> shown = List.of(String.join(" ", lines).split(" "));
            List<String> all = List.of(text.split(" "));
            boolean whole = !String.join("", lines).contains("\u2026");
            if (whole) {
              assertThat(shown).as(what).isEqualTo(all);
            } else {
              for (int w = 0; w < shown.size(); w++) {
                String part = shown.get(w).replace("\u2026", "");
                assertThat(all.get(w)).as(what).startsWith(part);
              }
            }
          }
          return true;
        });
  }
}
