package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Edit;
import foldtwice.library.Expected;
import foldtwice.library.PressCheck;
import foldtwice.place.Place;
import foldtwice.trigger.Notation;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A press kept as a check in Try, and made again after the library was changed. */
class ChecksByHandTest {

  @TempDir Path folder;

  @Test
  void aPressIsKeptChangedUnderneathAndTold() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
      hands.click("#try-vasculum");
      hands.press(KeyCode.CONTROL, KeyCode.M);
      int before = hands.session.now().library().checks().size();
      hands.space("#try-keep");
      hands.waitForText("#checks-sum", "1 check made: 1 hold");
      List<PressCheck> checks = List.copyOf(hands.session.now().library().checks().values());
      assertThat(checks).hasSize(before + 1);
      PressCheck kept = checks.getLast();
      assertThat(kept.place()).isEqualTo(new Place.Within("vasculum", "grid"));
      assertThat(kept.presses()).containsExactly(Notation.read("Ctrl+M"));
      assertThat(kept.expected()).isEqualTo(new Expected.Fires("b42", true));
      assertThat(kept.station()).isEqualTo("camera-bench");

      hands.make(
          new Edit.PutBinding(
              hands
                  .session
                  .now()
                  .library()
                  .bindings()
                  .get("b42")
                  .withTriggers(List.of(Notation.read("Ctrl+Alt+F10")))),
          "moved");
      assertThat(hands.text("#checks-old")).contains("check again");
      hands.press(KeyCode.CONTROL, KeyCode.F5);
      hands.waitForText("#checks-sum", "13 checks made: 12 hold, 1 failed, 0 skipped");
      assertThat(hands.text("#checks"))
          .contains("Ctrl+M in Vasculum \u203a grid: fires Flag and next")
          .contains("Camera bench: nothing happens");
      assertThat(hands.text("#checks-old")).isEmpty();
      Path report = folder.resolve("checks.xml");
      hands.choosing(report);
      hands.space("#checks-junit");
      hands.waitForSaid("checks.xml");
      assertThat(Files.readString(report))
          .contains("tests=\"13\" failures=\"1\"", "found nothing happens");

      hands.click("#undo"); // the move
      assertThat(hands.text("#checks-old")).contains("check again");
      assertThat(hands.text("#checks")).contains("Camera bench: nothing happens");
      hands.press(KeyCode.CONTROL, KeyCode.F5);
      hands.waitForText("#checks-sum", "13 checks made: 13 hold");
      hands.click("#undo"); // the check itself
      assertThat(hands.session.now().library().checks()).hasSize(before);
    }
  }

  @Test
  void aListWrittenByHandIsTakenAndABrokenOneSaysWhere() throws Exception {
    Path good = folder.resolve("good.json");
    Files.writeString(
        good,
        """
        {"format": "fold-twice-checks", "checks": [
          {"id": "c1", "place": "tagpress/text-edit", "presses": [{"keys": ["x"]}],
           "expect": {"types": "x"}}]}
        """);
    Path broken = folder.resolve("broken.json");
    Files.writeString(
        broken,
        """
        {"format": "fold-twice-checks", "checks": [
          {"id": "c1", "place": "tagpress", "presses": [{"keys": ["x"]}], "expect": {}}]}
        """);
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.F5);
      hands.waitForText("#checks-sum", "12 checks made: 12 hold");
      hands.choosing(broken);
      hands.space("#checks-open");
      assertThat(hands.text("#checks-wrong"))
          .contains("broken.json, /checks/0/expect")
          .contains("expected one of fires");
      assertThat(hands.session.now().library().checks()).hasSize(12);
      hands.choosing(good);
      hands.space("#checks-open");
      assertThat(hands.text("#checks-wrong")).isEmpty();
      assertThat(hands.session.now().library().checks()).hasSize(13).containsKey("c13");
    }
  }

  /** In a program where the pane under the pointer decides, it is said and chosen without one. */
  @Test
  void whatIsUnderThePointerDecides() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
      hands.click("#try-trackway");
      hands.press(KeyCode.SPACE);
      assertThat(hands.text("#try-why")).contains("what the pointer is over");
      hands.move("#map-shelf");
      assertThat(hands.text("#try-context")).isEqualTo("nothing selected + shelf of places");
      hands.press(KeyCode.SPACE);
      assertThat(hands.text("#try-why")).contains("Next place").contains("shelf of places");
    }
  }
}
