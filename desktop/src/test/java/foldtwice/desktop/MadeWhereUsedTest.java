package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.routine.Routine;
import foldtwice.surface.Offering;
import foldtwice.surface.RadialMenu;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Whatever sets things off is made in the place where it is needed, and works at once. */
class MadeWhereUsedTest {

  @TempDir Path folder;

  private static Library library(Hands hands) {
    return hands.session.now().library();
  }

  private static Optional<Binding> with(Hands hands, Trigger trigger) {
    return library(hands).bindings().values().stream()
        .filter(b -> b.triggers().contains(trigger))
        .findFirst();
  }

  private static String exposure(Hands hands) {
    return hands.session.programs().get("copystand").values().get("exposure").shown();
  }

  private static void inTry(Hands hands, String program) {
    hands.click("#tab-try");
    hands.click("#try-" + program);
  }

  /** One way of a dial gives the other to the opposite; the new value is said at the pointer. */
  @Test
  void aDialIsAPairAndItsValueIsEchoed() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("exposure step 0.5");
      Library before = library(hands);
      hands.click("#other-trigger");
      assertThat(hands.text("#picker-both")).contains("opposite");
      hands.click("#picker-rowan-labels");
      hands.click("#dial-lower-right");
      Trigger right = new Trigger.Dial("rowan", "labels", "lower", Trigger.Turn.RIGHT);
      Trigger left = new Trigger.Dial("rowan", "labels", "lower", Trigger.Turn.LEFT);
      Binding one = with(hands, right).orElseThrow();
      Binding other = with(hands, left).orElseThrow();
      assertThat(other.routine()).isEqualTo(one.routine());
      assertThat(other.arguments()).isNotEqualTo(one.arguments());
      assertThat(library(hands).bindings())
          .as("the other half was there")
          .hasSize(before.bindings().size());
      inTry(hands, "copystand");
      hands.move("#window-copystand");
      String was = exposure(hands);
      hands.click("#device-rowan");
      hands.click("#dial-lower-right");
      assertThat(exposure(hands)).isNotEqualTo(was);
      assertThat(hands.text("#echo")).contains("exposure", exposure(hands));
      hands.click("#dial-lower-left");
      assertThat(exposure(hands)).isEqualTo(was);
      hands.waitUntil("the echo goes", () -> hands.found("#echo") == null);
      hands.click("#tab-bind");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(library(hands).bindings()).as("one undo for both").isEqualTo(before.bindings());
    }
  }

  /** What is chosen beside the key makes it fire again and again while it is down. */
  @Test
  void aPadKeyRepeatsWhileItIsDown() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("exposure step 0.5");
      hands.click("#other-trigger");
      hands.click("#picker-rowan-labels");
      hands.click("#pad-r3k1");
      if (hands.has("#take-it")) {
        hands.click("#take-it");
      }
      Trigger tap = new Trigger.PadKey("rowan", "labels", "r3k1", Trigger.Duration.TAP);
      assertThat(with(hands, tap).orElseThrow().fitting().repeats()).isEqualTo(10);
      assertThat(hands.text("#leaf-sets")).contains("While it is down", "10 times a second");
      inTry(hands, "copystand");
      hands.click("#device-rowan");
      assertThat(exposure(hands)).isEqualTo("0 EV");
      hands.mouseDown("#pad-r3k1");
      assertThat(exposure(hands)).as("at once, as it goes down").isNotEqualTo("0 EV");
      hands.waitUntil("it fires again", () -> !List.of("0 EV", "0.5 EV").contains(exposure(hands)));
      hands.mouseUp();
      String after = exposure(hands);
      hands.pause(700);
      assertThat(exposure(hands)).as("it is up").isEqualTo(after);
      assertThat(hands.text("#try-pressed")).contains("Rowan");
    }
  }

  /** A key runs one routine as it goes down and another as it comes up, given in one go. */
  @Test
  void aHeldKeyRunsAnotherRoutineAsItComesUp() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("swap unit");
      Library before = library(hands);
      hands.click("#other-trigger");
      hands.click("#picker-held");
      hands.click("#picker-release");
      hands.type("next unit");
      hands.press(KeyCode.ENTER);
      hands.click("#picker-hold");
      hands.press(KeyCode.ALT, KeyCode.Q);
      Stroke stroke = Notation.read("Alt+Q").strokes().getFirst();
      Binding down = with(hands, new Trigger.Held(stroke, Trigger.Edge.DOWN)).orElseThrow();
      Binding up = with(hands, new Trigger.Held(stroke, Trigger.Edge.UP)).orElseThrow();
      assertThat(library(hands).routineOf(down).orElseThrow().name()).startsWith("Swap unit");
      assertThat(library(hands).routineOf(up).orElseThrow().name()).startsWith("Next unit");
      assertThat(up.place()).isEqualTo(down.place());
      hands.press(KeyCode.F6);
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(library(hands)).isEqualTo(before);
    }
  }

  /** A button of the pointer with a modifier held; a gesture with another button than the right. */
  @Test
  void pointerButtonsWithModifiersAndGesturesWithAnyButton() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("swap unit");
      hands.click("#other-trigger");
      hands.click("#picker-pointer");
      hands.click("#picker-held-ctrl");
      hands.click("#picker-back");
      Trigger back = new Trigger.Pointer(Trigger.PointerButton.BACK, Modifiers.of(Modifier.CTRL));
      assertThat(with(hands, back)).isPresent();
      hands.click("#other-trigger");
      hands.click("#picker-gesture");
      hands.next("#picker-gesture-button");
      hands.click("#picker-way-up");
      hands.click("#picker-gesture-take");
      Trigger drawn = new Trigger.Gesture(Trigger.PointerButton.BACK, List.of(Direction.UP));
      assertThat(with(hands, drawn)).isPresent();
    }
  }

  /** A list of what fits and a radial menu, from nothing, by the look-up; both open in Try. */
  @Test
  void aListOfWhatFitsAndARadialMenuAreMade() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      Library before = library(hands);
      hands.click("#tab-places");
      hands.lookUp("list of what fits");
      hands.type("near");
      hands.press(KeyCode.ENTER);
      Offering made =
          (Offering)
              library(hands).surfaces().values().stream()
                  .filter(s -> s.name().equals("near"))
                  .findFirst()
                  .orElseThrow();
      assertThat(hands.text("#openers")).contains("nothing opens it yet");
      assertThat(hands.text("#summoned-lists")).contains("routines to choose from");
      hands.click("#opener-keys-press");
      hands.press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.W);
      hands.waitUntil(
          "it has its keys",
          () -> !((Offering) library(hands).surfaces().get(made.id())).opens().isEmpty());
      String program = made.place().applicationId().orElseThrow();
      inTry(hands, program);
      hands.giveKeys("#window-" + program);
      hands.press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.W);
      hands.waitUntil("it opens", () -> hands.found("#offering") != null);
      hands.press(KeyCode.ESCAPE);

      hands.lookUp("make a radial menu");
      hands.type("around");
      hands.press(KeyCode.ENTER);
      hands.click("#opener-pointer");
      hands.click("#picker-held-alt");
      hands.click("#picker-back");
      hands.click("#choice-right");
      assertThat(hands.text("#summoned-pane")).contains("The choice right");
      hands.click("#give-routine");
      hands.type("flag");
      hands.press(KeyCode.ENTER);
      hands.space("#give");
      hands.click("#face-label");
      hands.type("mine");
      hands.press(KeyCode.ENTER);
      RadialMenu around =
          (RadialMenu)
              library(hands).surfaces().values().stream()
                  .filter(s -> s.name().equals("around"))
                  .findFirst()
                  .orElseThrow();
      assertThat(around.face(Direction.RIGHT).label()).isEqualTo("mine");
      assertThat(with(hands, new Trigger.Radial(around.id(), Direction.RIGHT))).isPresent();
      inTry(hands, program);
      hands.down(KeyCode.ALT);
      hands.click("#window-" + program, MouseButton.BACK);
      hands.up(KeyCode.ALT);
      assertThat(hands.text("#radial")).contains("mine");
      hands.press(KeyCode.ESCAPE);
      while (!library(hands).surfaces().equals(before.surfaces())) {
        hands.press(KeyCode.F12);
        hands.press(KeyCode.CONTROL, KeyCode.Z);
      }
      assertThat(library(hands).bindings()).isEqualTo(before.bindings());
    }
  }

  /** A key that had no routine: it types a text, or starts a program, said where the key is. */
  @Test
  void aSpecialKeyTypesATextOrStartsAProgram() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.lookUp("rowan");
      hands.click("#give-as-text");
      hands.click("#give-text");
      hands.type("cf. type");
      hands.space("#give");
      assertThat(hands.text("#said")).contains("Type cf. type");
      hands.click("#give-as-program");
      hands.next("#give-program");
      hands.space("#give");
      Routine typing =
          library(hands).routines().values().stream()
              .filter(r -> r.name().equals("Type cf. type"))
              .findFirst()
              .orElseThrow();
      assertThat(library(hands).bindings().values())
          .anyMatch(b -> b.routine().equals(typing.id()) && b.triggers().size() == 1);
      assertThat(library(hands).routines().values()).anyMatch(r -> r.name().startsWith("Start "));
    }
  }
}
