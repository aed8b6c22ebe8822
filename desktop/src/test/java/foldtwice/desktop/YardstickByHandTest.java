package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.routine.Routine;
import foldtwice.routine.Yardstick;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the hand really did, against the operators counted by hand (no source but the counting). */
class YardstickByHandTest {

  @TempDir Path folder;

  /** A move in a few letters: distances are the screen's, not the hand's. */
  private static String brief(Yardstick.Move move) {
    return switch (move) {
      case Yardstick.Move.Keys(int count, var meant) -> count + " keys " + meant;
      case Yardstick.Move.Point(int distance, int width, var meant) ->
          distance > 0 && width > 0 ? "point " + meant : "nowhere";
      case Yardstick.Move.Clicks(int count) -> count + " click";
      case Yardstick.Move.Menu(int levels) -> "menu " + levels;
      case Yardstick.Move.Hand() -> "hand";
      case Yardstick.Move.Choose(int among) -> "choose";
      case Yardstick.Move.Wait(int millis) -> "wait";
      case Yardstick.Move.Slip s -> "slip";
    };
  }

  private static List<String> kept(Hands hands, String name, String id) {
    hands.paste("#record-name", name);
    hands.click("#record-keep");
    Routine r = hands.session.now().library().routines().get(id);
    return r.yardstick().moves().stream().map(YardstickByHandTest::brief).toList();
  }

  @Test
  void aMenuADialogAndWhatIsTypedIntoItAreCounted() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
      hands.click("#try-tagpress");
      hands.click("#record");
      hands.click("#box-2");
      hands.menu("Box", "Shift \u2026");
      hands.settle();
      hands.press(KeyCode.DIGIT6);
      hands.press(KeyCode.DIGIT2);
      hands.press(KeyCode.TAB);
      hands.press(KeyCode.DIGIT1);
      hands.click("#dialog-Shift");
      hands.click("#dialog-Close");
      hands.press(KeyCode.CONTROL, KeyCode.S);
      assertThat(kept(hands, "Nudge it", "nudge-it"))
          .containsExactly(
              "1 click",
              "point COMMAND",
              "1 click",
              "point COMMAND",
              "1 click",
              "menu 2",
              "hand",
              "2 keys ARGUMENT",
              "1 keys END",
              "1 keys ARGUMENT",
              "hand",
              "point COMMAND",
              "1 click",
              "point COMMAND",
              "1 click",
              "hand",
              "2 keys COMMAND");
    }
  }

  /** Text typed in a cell is what it is done with; Enter ends it; a key again and again is one. */
  @Test
  void keysAreToldApart() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
      hands.click("#try-vasculum");
      hands.click("#record");
      hands.giveKeys("#window-vasculum");
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.DOWN);
      hands.menu("Edit", "Edit cell");
      hands.settle();
      hands.press(KeyCode.A);
      hands.press(KeyCode.SHIFT, KeyCode.B);
      hands.press(KeyCode.ENTER);
      assertThat(kept(hands, "Type it", "type-it"))
          .containsExactly(
              "2 keys COMMAND",
              "hand",
              "1 click",
              "point COMMAND",
              "1 click",
              "menu 2",
              "hand",
              "3 keys ARGUMENT",
              "1 keys END");
    }
  }
}
