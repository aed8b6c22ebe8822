package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.trigger.Direction;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** One routine bound to, and fired by, everything that is no key: by mouse and keys. */
class TriggersByHandTest {

  private static final String SWAP = "b25";

  @TempDir Path folder;

  private static List<Trigger> triggers(Hands hands) {
    return hands.session.now().library().bindings().get(SWAP).triggers();
  }

  private static String unit(Hands hands) {
    return hands.session.programs().get("tagpress").state().get("setting unit");
  }

  private static void inBind(Hands hands) {
    hands.click("#tab-bind");
    hands.choose("swap unit");
    hands.click("#other-trigger");
  }

  private static void inTry(Hands hands) {
    hands.click("#tab-try");
    hands.click("#try-tagpress");
  }

  private Hands open() throws Exception {
    Hands hands = Hands.open(folder);
    hands.choose("swap unit");
    assertThat(triggers(hands)).containsExactly(Notation.read("Ctrl+U"));
    hands.click("#other-trigger");
    return hands;
  }

  private static void fired(Hands hands, String unit) {
    hands.waitForText("#try-why", "Done");
    assertThat(unit(hands)).isEqualTo(unit);
    assertThat(hands.text("#try-why")).contains("takes it: Swap unit mm / in");
  }

  @Test
  void aPadKeyTappedHeldAndADial() throws Exception {
    try (Hands hands = open()) {
      hands.click("#pad-r3k1");
      assertThat(triggers(hands))
          .containsExactly(new Trigger.PadKey("rowan", "labels", "r3k1", Trigger.Duration.TAP));
      assertThat(hands.text("#leaf-sets")).contains("Rowan Labels, r3k1");
      inTry(hands);
      hands.click("#device-rowan");
      hands.click("#pad-r3k1");
      fired(hands, "in");

      inBind(hands);
      hands.hold("#pad-r3k2");
      assertThat(triggers(hands))
          .containsExactly(new Trigger.PadKey("rowan", "labels", "r3k2", Trigger.Duration.HOLD));
      inTry(hands);
      hands.hold("#pad-r3k2");
      fired(hands, "mm");
      hands.click("#pad-r3k2");
      hands.waitForText("#try-presses", "nothing");
      assertThat(unit(hands)).as("tapping is not holding").isEqualTo("mm");

      inBind(hands);
      hands.click("#dial-lower-right");
      assertThat(triggers(hands))
          .containsExactly(new Trigger.Dial("rowan", "labels", "lower", Trigger.Turn.RIGHT));
      inTry(hands);
      hands.click("#dial-lower-right");
      fired(hands, "in");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
    }
  }

  @Test
  void gesturesAndPointerButtons() throws Exception {
    try (Hands hands = open()) {
      hands.click("#picker-gesture");
      hands.draw("#picker-area", MouseButton.SECONDARY, 96, 39);
      assertThat(hands.text("#picker-drawn")).contains("could be either of two directions");
      hands.draw("#picker-area", MouseButton.SECONDARY, 10, 0);
      assertThat(hands.text("#picker-drawn")).contains("too short");
      hands.draw("#picker-area", MouseButton.SECONDARY, 80, 0, 0, 40);
      Trigger right =
          new Trigger.Gesture(
              Trigger.PointerButton.RIGHT, List.of(Direction.RIGHT, Direction.DOWN));
      assertThat(triggers(hands)).containsExactly(right);
      inTry(hands);
      hands.draw("#window-tagpress", MouseButton.SECONDARY, 120, 0, 0, 90);
      fired(hands, "in");
      assertThat(hands.text("#try-pressed"))
          .isEqualTo("drag right then down with the right button");

      inBind(hands);
      hands.click("#picker-pointer");
      hands.click("#picker-back");
      assertThat(triggers(hands))
          .containsExactly(new Trigger.Pointer(Trigger.PointerButton.BACK, Modifiers.NONE));
      inTry(hands);
      hands.click("#window-tagpress", MouseButton.BACK);
      fired(hands, "mm");
    }
  }

  @Test
  void aHeldKeyGoesThereAndBack() throws Exception {
    try (Hands hands = open()) {
      hands.click("#picker-held");
      hands.click("#picker-hold");
      hands.press(KeyCode.ALT, KeyCode.Q);
      assertThat(triggers(hands))
          .containsExactly(
              new Trigger.Held(Notation.read("Alt+Q").strokes().getFirst(), Trigger.Edge.DOWN),
              new Trigger.Held(Notation.read("Alt+Q").strokes().getFirst(), Trigger.Edge.UP));
      inTry(hands);
      hands.down(KeyCode.ALT, KeyCode.Q);
      fired(hands, "in");
      hands.down(KeyCode.Q); // the key repeats
      assertThat(unit(hands)).as("once, however long it is down").isEqualTo("in");
      hands.up(KeyCode.Q, KeyCode.ALT);
      hands.waitForText("#try-pressed", "comes up");
      fired(hands, "mm");
    }
  }

  @Test
  void aButtonOfAToolbarAndAChoiceOfARadialMenu() throws Exception {
    try (Hands hands = open()) {
      hands.click("#picker-toolbar");
      hands.click("#picker-slot-7");
      assertThat(triggers(hands)).containsExactly(new Trigger.Button("label-tools", 7));
      inTry(hands);
      hands.click("#toolbar-7");
      fired(hands, "in");

      inBind(hands);
      hands.click("#picker-radial");
      hands.click("#picker-new-radial");
      assertThat(hands.session.now().library().menus()).hasSize(2);
      hands.click("#opener-pointer");
      hands.space("#picker-middle");
      assertThat(hands.text("#openers")).contains("middle");
      hands.click("#picker-choice-radial-up");
      assertThat(triggers(hands)).containsExactly(new Trigger.Radial("radial", Direction.UP));
      inTry(hands);
      hands.click("#window-tagpress", MouseButton.MIDDLE);
      assertThat(hands.text("#radial")).contains("Swap unit mm / in");
      hands.press(KeyCode.UP);
      fired(hands, "mm");
      assertThat(hands.has("#radial")).isFalse();
      hands.click("#window-tagpress", MouseButton.MIDDLE);
      hands.press(KeyCode.ESCAPE);
      assertThat(hands.has("#radial")).isFalse();
      assertThat(unit(hands)).isEqualTo("mm");
    }
  }

  @Test
  void whatIsBoundToTheStartFiresWhenTheProgramIsRestarted() throws Exception {
    try (Hands hands = open()) {
      hands.click("#picker-start");
      hands.click("#picker-atstart");
      assertThat(triggers(hands)).containsExactly(new Trigger.AtStart());
      inTry(hands);
      hands.click("#standin-restart");
      fired(hands, "in");
      assertThat(hands.text("#try-pressed")).isEqualTo("when it starts");
    }
  }

  /** Where the other surfaces are, undo takes a new one back like everything else. */
  @Test
  void aNewToolbarIsUndone() throws Exception {
    try (Hands hands = open()) {
      hands.click("#picker-toolbar");
      Map<String, ?> before = hands.session.now().library().surfaces();
      hands.click("#picker-new-toolbar");
      assertThat(hands.session.now().library().surfaces()).hasSize(before.size() + 1);
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(hands.session.now().library().surfaces()).isEqualTo(before);
    }
  }
}
