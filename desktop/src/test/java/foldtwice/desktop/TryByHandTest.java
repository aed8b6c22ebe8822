package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Line;
import foldtwice.routine.Manner;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Stand-ins worked like programs, in the real window. */
class TryByHandTest {

  @TempDir Path folder;

  private static String state(Hands hands, String program, String what) {
    return Hands.ask(() -> hands.session.programs().get(program).state().get(what));
  }

  private Hands tagpress() throws Exception {
    Hands hands = Hands.open(folder);
    hands.press(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
    return hands;
  }

  @Test
  void realKeysFireBindingsAndNativeCommands() throws Exception {
    try (Hands hands = tagpress()) {
      assertThat(hands.text("#try-context")).isEqualTo("box selected");
      hands.press(KeyCode.ALT, KeyCode.PERIOD);
      assertThat(hands.text("#standin-foot")).contains("Box 1: x 12.5 mm, y 10 mm");
      assertThat(hands.text("#try-why"))
          .contains("takes it: Shift boxes, dx +0.5 mm")
          .contains("box 1 x  12 mm \u2192 12.5 mm")
          .contains("Put back");
      hands.press(KeyCode.CONTROL, KeyCode.D);
      assertThat(hands.text("#try-why"))
          .contains("takes it: Repeat box, times 1, down +10 mm, before Duplicate");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(hands.text("#try-why")).contains("takes it: Undo, native");
      assertThat(state(hands, "tagpress", "box 17")).isNull();
      hands.press(KeyCode.ALT, KeyCode.F4);
      assertThat(hands.text("#try-why")).contains("takes it: Close the window");
      assertThat(hands.text("#try-presses"))
          .contains("fired")
          .contains("native")
          .contains("kept by the desktop");
    }
  }

  /** What a long run did is told whole, and no more of it is laid out than is seen. */
  @Test
  void aLongRunIsToldInAListThatScrolls() throws Exception {
    int turns = 2_500;
    try (Hands hands = tagpress()) {
      Line next = new Line(new Step.Choose(Template.all(List.of("Edit", "Next box"))));
      Line repeat =
          new Line(new Step.Repeat(ExprNotation.read(Integer.toString(turns)), List.of(next)));
      Binding b = hands.session.now().library().bindings().get("b01");
      Edit edit =
          new Edit.Together(
              List.of(
                  new Edit.PutRoutine(
                      Routine.Macro.of("round", "Round", "tagpress", List.of(), List.of(repeat))),
                  new Edit.PutBinding(b.withRoutine("round", Map.of()))));
      Hands.ask(
          () -> {
            hands.session.make(edit, "a long one");
            return true;
          });
      hands.press(KeyCode.ALT, KeyCode.PERIOD);
      hands.waitForText("#try-why", "Done");
      ListView<?> told = (ListView<?>) hands.node("#try-why .plain-rows");
      assertThat(Hands.ask(() -> told.getItems().size())).isGreaterThanOrEqualTo(turns);
      assertThat(Hands.ask(() -> hands.scene().getRoot().lookupAll(".why-row").size()))
          .as("rows that are laid out")
          .isLessThan(100);
      hands.giveKeys("#try-why .plain-rows");
      hands.press(KeyCode.END);
      hands.waitForText("#try-why .plain-rows", "1.1 Choose");
    }
  }

  /**
   * What a run asks stays, with what was typed, when something is pressed that sets off nothing.
   */
  @Test
  void aRunThatAsksIsNotForgottenWhenSomethingElseIsPressed() throws Exception {
    try (Hands hands = tagpress()) {
      Routine shift = hands.session.now().library().routines().get("shift-boxes");
      Routine asks = shift.withManner(shift.manner().asking(Manner.Asking.ALWAYS));
      hands.make(new Edit.PutRoutine(asks), "it asks");
      hands.press(KeyCode.ALT, KeyCode.PERIOD);
      hands.waitUntil("it asks", () -> hands.found("#asking") != null);
      hands.giveKeys("#asked-dx");
      hands.retype("2 mm");
      hands.giveKeys("#window-tagpress");
      hands.press(KeyCode.F11);
      hands.waitForText("#try-pressed", "F11");
      assertThat(hands.text("#asked-dx")).isEqualTo("2 mm");
      hands.space("#asking-on");
      hands.waitForText("#standin-foot", "x 14 mm");
      assertThat(hands.has("#asking")).isFalse();
      hands.giveKeys("#window-tagpress");
      hands.press(KeyCode.ALT, KeyCode.PERIOD);
      hands.waitUntil("it asks again", () -> hands.found("#asking") != null);
      assertThat(hands.text("#asked-dx")).as("another run asks anew").isEqualTo("0.5 mm");
    }
  }

  @Test
  void theUnitOfTheProgramDoesNotMatter() throws Exception {
    try (Hands hands = tagpress()) {
      hands.press(KeyCode.CONTROL, KeyCode.U);
      assertThat(hands.text("#standin-foot")).contains("Unit in");
      hands.press(KeyCode.ALT, KeyCode.PERIOD);
      assertThat(hands.text("#standin-foot")).contains("Unit in").contains("x 0.4921 in");
      hands.press(KeyCode.CONTROL, KeyCode.U);
      assertThat(hands.text("#standin-foot")).contains("x 12.5 mm");
      hands.click("#try-undo");
      assertThat(hands.text("#standin-foot")).contains("x 12 mm");
    }
  }

  @Test
  void aSequenceWaitsForItsRest() throws Exception {
    try (Hands hands = tagpress()) {
      hands.press(KeyCode.U);
      assertThat(hands.text("#try-why")).contains("waits for the rest of a sequence");
      hands.waitUntil(
          "the time is up",
          () ->
              hands.found("#try-presses").lookupAll(".label").stream()
                  .anyMatch(l -> l instanceof Label t && t.getText().equals("means nothing here")));
      hands.pressInTurn(KeyCode.U, KeyCode.I);
      assertThat(hands.text("#try-pressed")).isEqualTo("U then I");
      assertThat(hands.text("#standin-foot")).contains("Unit in");
    }
  }

  @Test
  void theKeyboardOnTheScreenCanBeClicked() throws Exception {
    try (Hands hands = tagpress()) {
      hands.click("#key-AltLeft");
      assertThat(hands.node("#key-AltLeft").getStyleClass()).contains("held");
      hands.click("#key-Period");
      assertThat(hands.text("#standin-foot")).contains("x 12.5 mm");
      hands.click("#try-again");
      assertThat(hands.text("#standin-foot")).contains("x 13 mm");
    }
  }

  @Test
  void theManualRouteWorksToo() throws Exception {
    try (Hands hands = tagpress()) {
      hands.menu("Box", "Shift \u2026");
      assertThat(hands.text("#try-context")).isEqualTo("dialog");
      assertThat(hands.focus()).isInstanceOf(TextField.class);
      hands.retype("much");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#dialog-wrong")).contains("a number with at most 4 decimals");
      assertThat(hands.text(".dialog-card")).as("what was typed stays").contains("much");
      hands.retype("2.5");
      hands.press(KeyCode.ENTER);
      assertThat(state(hands, "tagpress", "box 1")).contains("x=5.22E+3"); // 14.5 mm of 360 steps
      hands.press(KeyCode.ESCAPE);
      assertThat(hands.has(".dialog-card")).isFalse();
      assertThat(hands.text("#try-context")).isEqualTo("box selected");
    }
  }

  @Test
  void cellsAreSelectedTypedIntoAndMovedOver() throws Exception {
    try (Hands hands = tagpress()) {
      hands.click("#try-vasculum");
      hands.press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.L);
      assertThat(hands.text("#standin-foot")).isEqualTo("Selected: Elevation m, rows 3 to 5");
      for (int i = 0; i < 10; i++) {
        hands.press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.L);
      }
      assertThat(hands.text("#standin-foot")).isEqualTo("Selected: Note, rows 3 to 5");
      assertThat(hands.text("#try-why")).contains("Stopped quietly at step 1");
      hands.click("#cell-3-1");
      hands.press(KeyCode.F2);
      assertThat(hands.text("#try-context")).isEqualTo("cell edit");
      hands.press(KeyCode.BACK_SPACE);
      hands.press(KeyCode.O);
      assertThat(hands.text("#cell-3-1")).startsWith("Primula farinoso");
      hands.press(KeyCode.ENTER);
      assertThat(state(hands, "vasculum", "record 4")).contains("Primula farinoso");
    }
  }

  @Test
  void theKeysCanLeaveTheWindow() throws Exception {
    try (Hands hands = tagpress()) {
      hands.press(KeyCode.F6);
      assertThat(hands.focus().getId()).isEqualTo("tab-try");
      hands.press(KeyCode.F6);
      assertThat(hands.focus().getId()).isEqualTo("station");
      hands.press(KeyCode.F6);
      assertThat(hands.focus().getId()).isEqualTo("window-tagpress");
      hands.press(KeyCode.TAB);
      assertThat(hands.text("#try-why")).as("Tab is the program's").contains("Next box");
    }
  }

  @Test
  void theLookUpFindsKeysRoutinesPlacesAndActions() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F3);
      hands.paste("#look-up", "alt+.");
      assertThat(hands.text("#look-list"))
          .contains("Shift boxes, dx +0.5 mm")
          .contains("Next record")
          .contains("Middle dot");
      hands.paste("#look-up", "night");
      assertThat(hands.text("#look-list")).contains("Day sheet or night sheet").contains("F10");
      hands.paste("#look-up", "nothing like it");
      assertThat(hands.text("#look-list")).contains("Nothing found");
      hands.paste("#look-up", "vasculum");
      hands.press(KeyCode.ENTER);
      assertThat(hands.focus().getId()).isEqualTo("window-vasculum");
      hands.press(KeyCode.F3);
      hands.press(KeyCode.ESCAPE);
      assertThat(hands.has("#look-list")).isFalse();
      assertThat(hands.focus().getId()).as("back where it was").isEqualTo("window-vasculum");
    }
  }
}
