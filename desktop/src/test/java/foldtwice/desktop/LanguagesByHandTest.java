package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.view.Target;
import foldtwice.place.Station;
import foldtwice.routine.Routine;
import java.nio.file.Path;
import java.util.Map;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A program that is in another language on a station. */
class LanguagesByHandTest {

  @TempDir Path folder;

  private static Map<String, String> labels(Hands hands) {
    return hands.session.now().library().description("tagpress").labels("de").words();
  }

  @Test
  void whatIsWrittenForOneLanguageIsFlaggedInAnotherAndPutRight() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.to(new Target.Application("tagpress"));
      hands.click("#part-labels");
      int before = labels(hands).size();
      Hands.copied(
          "Language\tLabel\tLabel there\nde\tExport sheet \u2026\tBogen ausgeben \u2026\n");
      hands.click("#described-paste");
      assertThat(labels(hands))
          .hasSize(before + 1)
          .containsEntry("Export sheet \u2026", "Bogen ausgeben \u2026");

      hands.to(new Target.Station("camera-bench"));
      hands.click("#language-tagpress");
      hands.type("two words");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#said")).contains("no language tag");
      hands.click("#language-tagpress");
      hands.retype("de");
      hands.press(KeyCode.ENTER);
      hands.waitUntil(
          "it is German here",
          () ->
              hands.session.now().station().installed().stream()
                  .anyMatch(i -> i.application().equals("tagpress") && i.language().equals("de")));
      Station.Installed there =
          hands.session.now().station().installed().stream()
              .filter(i -> i.application().equals("tagpress"))
              .findFirst()
              .orElseThrow();
      assertThat(there.version()).isNotEmpty();

      hands.routine("shift boxes");
      assertThat(hands.text("#outline"))
          .contains(
              "a menu path in the language it has here, de", "Kasten \u203a Versetzen \u2026");
      hands.press(KeyCode.F8);
      hands.waitForText("#run-panel", "a menu path, in de Kasten \u203a Versetzen \u2026");
      hands.click("#run-close");
      hands.choose("shift boxes");
      assertThat(hands.text("#leaf-does")).contains("a menu path in the language it has here, de");
      assertThat(hands.session.now().library().routines().get("shift-boxes"))
          .isInstanceOf(Routine.Macro.class);
    }
  }
}
