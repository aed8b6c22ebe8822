package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.place.Station;
import foldtwice.routine.Value;
import foldtwice.run.Run;
import foldtwice.run.Status;
import foldtwice.run.Trace;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The main job, done with real keys in the real window. */
class BindByHandTest {

  @TempDir Path folder;

  private static List<Trigger> triggers(Hands hands, String binding) {
    return hands.session.now().library().bindings().get(binding).triggers();
  }

  private static Trigger keys(String text) {
    return Notation.read(text);
  }

  /** A suggestion comes with its reason, is free, and is taken with one click. */
  @Test
  void aSuggestedTriggerIsTaken() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.N);
      hands.waitForText("#suggested", "first letter of shift");
      hands.click("#suggest-0");
      assertThat(triggers(hands, "b274")).containsExactly(keys("Shift+S"));
      assertThat(hands.text("#here")).isEqualTo("free");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(triggers(hands, "b274")).isEmpty();
    }
  }

  /** What a station lacks for a binding is what it waits for there. */
  @Test
  void readinessSaysWhatIsMissingOnTheStation() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("value of the last");
      assertThat(hands.text("#readiness")).isEqualTo("working");
      hands.station("label-corner");
      assertThat(hands.text("#readiness"))
          .isEqualTo("waiting: the add-on Straightener 2.0 or later is needed; here is 1.6");
      hands.station("mounting-table");
      assertThat(hands.text("#readiness"))
          .isEqualTo("waiting: the add-on Straightener is not on this computer");
    }
  }

  @Test
  void makeABindingFireItUndoCloseReopenAndFireAgain() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.N);
      assertThat(hands.session.now().library().bindings()).containsKey("b274");
      hands.click("#arg-dx");
      hands.retype("0.5 mm");
      hands.press(KeyCode.ENTER);
      assertThat(hands.session.now().library().bindings().get("b274").arguments().get("dx").shown())
          .isEqualTo("0.5 mm");
      hands.press(KeyCode.F4);
      assertThat(hands.text("#capturing")).contains("Press the keys now");
      hands.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.M);
      assertThat(hands.text("#here")).as("advice at once, stroke by stroke").isEqualTo("free");
      hands.waitUntil("the trigger is taken", () -> !triggersNow(hands).isEmpty());
      assertThat(triggers(hands, "b274")).containsExactly(keys("Ctrl+Shift+M"));

      hands.session.programs().get("tagpress").change("unit", new Value.Text("in"));
      hands.press(KeyCode.F5);
      hands.waitForText("#result", "Done");
      assertThat(hands.text("#result")).contains("box 1 x  12 mm \u2192 12.5 mm");
      assertThat(hands.session.programs().get("tagpress").state().get("setting unit"))
          .isEqualTo("in");
      hands.waitForText("#why", "takes it: Shift boxes, dx +0.5 mm");
      assertThat(hands.text("#readiness")).startsWith("proven");
      hands.click("#undo-run");
      assertThat(hands.session.programs().get("tagpress").undoDepth()).isZero();
    }
    try (Hands hands = Hands.open(folder)) {
      assertThat(triggers(hands, "b274")).containsExactly(keys("Ctrl+Shift+M"));
      hands.press(KeyCode.F3);
      hands.paste("#look-up", "Ctrl+Shift+M");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#leaf-sets")).contains("M");
      hands.press(KeyCode.F5);
      assertThat(hands.text("#result")).contains("box 1 x  12 mm \u2192 12.5 mm");
    }
  }

  private static List<Trigger> triggersNow(Hands hands) {
    return hands.session.now().library().bindings().get("b274").triggers();
  }

  /** While it is asked about a trigger, the advice is on that one, whatever changes meanwhile. */
  @Test
  void theAdviceStaysOnWhatIsAskedAbout() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F4);
      hands.press(KeyCode.CONTROL, KeyCode.P);
      hands.waitUntil("it is asked", () -> hands.found("#question") != null);
      assertThat(hands.text("#here")).contains("takes the place of Print");
      hands.waitUntil("it is told what would suit", () -> hands.found("#suggest-0") != null);
      Station here = hands.session.now().station();
      hands.make(new Edit.PutStation(here.as("elsewhere", "Elsewhere")), "another");
      hands.quiet();
      assertThat(hands.text("#here")).contains("takes the place of Print");
      hands.press(KeyCode.ESCAPE);
      assertThat(hands.text("#here")).as("of what it has").doesNotContain("Print");
    }
  }

  /** Who begins to press keys and leaves it sees all that was said before. */
  @Test
  void whatWouldSuitIsSaidAgainWhenPressingIsLeft() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.waitUntil("it is told what would suit", () -> hands.found("#suggest-0") != null);
      List<String> before = hands.texts("#leaf-sets");
      hands.space("#press-keys");
      hands.click("#press-keys");
      hands.waitUntil("it is told again", () -> hands.found("#suggest-0") != null);
      assertThat(hands.texts("#leaf-sets")).isEqualTo(before);
      for (String button : List.of("#press-keys", "#type-trigger", "#other-trigger")) {
        hands.space(button);
        hands.press(KeyCode.ESCAPE);
        hands.press(KeyCode.ESCAPE); // twice where every key is read
        hands.waitUntil("it is told after " + button, () -> hands.found("#suggest-0") != null);
        assertThat(hands.texts("#leaf-sets")).as(button).isEqualTo(before);
      }
    }
  }

  /** What a run asks is found again, with what was typed, after another binding was looked at. */
  @Test
  void aRunThatAsksWaitsWhileAnotherBindingIsLookedAt() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("close a loan");
      hands.space("#fire");
      hands.waitUntil("it asks", () -> hands.found("#asking") != null);
      hands.giveKeys("#asked-loan");
      hands.retype("7");
      hands.choose("exposure step");
      assertThat(hands.has("#asking")).isFalse();
      assertThat(hands.text("#result")).contains("Close a loan").contains("waits for an answer");
      hands.space("#to-waiting");
      assertThat(hands.text("#asked-loan")).isEqualTo("7");
      hands.choose("exposure step");
      hands.space("#fire");
      hands.waitForText("#result", "Done");
      hands.choose("close a loan");
      assertThat(hands.text("#result")).as("given up").doesNotContain("waits");
      assertThat(hands.has("#asking")).isFalse();
    }
  }

  /** Nothing would lead to its question any more. */
  @Test
  void aRunThatAsksIsGivenUpWithItsBinding() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("close a loan");
      hands.space("#fire");
      hands.waitUntil("it asks", () -> hands.found("#asking") != null);
      Run run = hands.session.runs().current().orElseThrow();
      hands.choose("exposure step");
      assertThat(hands.text("#result")).contains("waits for an answer");
      String id =
          hands.session.now().library().bindings().values().stream()
              .filter(b -> b.routine().equals("close-loan"))
              .findFirst()
              .orElseThrow()
              .id();
      hands.make(new Edit.RemoveBinding(id), "away");
      hands.quiet();
      assertThat(hands.text("#result")).doesNotContain("waits");
      assertThat(run.status()).isInstanceOf(Status.Over.class);
      assertThat(run.trace().ending()).isInstanceOf(Trace.GivenUp.class);
    }
  }

  @Test
  void aTriggerThatDisplacesSaysSoBeforeItIsTaken() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F4);
      hands.press(KeyCode.CONTROL, KeyCode.P);
      assertThat(hands.text("#here")).contains("costs").contains("takes the place of Print");
      hands.waitUntil("it is asked", () -> hands.found("#question") != null);
      assertThat(triggers(hands, "b01")).containsExactly(keys("Alt+."));
      hands.press(KeyCode.ESCAPE);
      assertThat(triggers(hands, "b01")).as("left").containsExactly(keys("Alt+."));
      hands.press(KeyCode.F4);
      hands.press(KeyCode.CONTROL, KeyCode.P);
      hands.waitUntil("it is asked", () -> hands.found("#question") != null);
      hands.press(KeyCode.TAB);
      hands.press(KeyCode.ENTER);
      assertThat(triggers(hands, "b01")).as("replaced").containsExactly(keys("Ctrl+P"));
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(triggers(hands, "b01")).as("undone").containsExactly(keys("Alt+."));
      hands.press(KeyCode.CONTROL, KeyCode.Y);
      assertThat(triggers(hands, "b01")).as("done again").containsExactly(keys("Ctrl+P"));
    }
  }

  @Test
  void oneAfterTheOtherFilterAndSelectionStay() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.F);
      hands.type("move selection");
      hands.press(KeyCode.ENTER);
      TableView<?> register = (TableView<?>) hands.node("#register");
      assertThat(Hands.ask(() -> register.getItems().size())).isEqualTo(10);
      hands.press(KeyCode.HOME);
      hands.press(KeyCode.F4);
      hands.press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.W);
      assertThat(triggers(hands, "b31"))
          .as("at once: Vasculum takes single strokes only")
          .containsExactly(keys("Ctrl+Alt+W"));
      assertThat(Hands.ask(() -> register.getItems().size())).as("the filter stays").isEqualTo(10);
      assertThat(hands.text("#leaf-sets")).as("the binding stays chosen").contains("W");
      hands.click("#register");
      hands.press(KeyCode.HOME);
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.F4);
      hands.press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.I);
      hands.waitUntil(
          "the second is bound",
          () ->
              hands.session.now().library().bindings().values().stream()
                  .anyMatch(b -> b.triggers().contains(keys("Ctrl+Alt+I"))));
      assertThat(Hands.ask(() -> register.getItems().size())).isEqualTo(10);
    }
  }

  @Test
  void afterATriggerIsTakenAwayAPressShowsWhatIsLeft() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("repeat box 1");
      assertThat(hands.text("#here")).contains("takes the place of Duplicate");
      hands.click("#take-away");
      assertThat(triggers(hands, "b14")).isEmpty();
      assertThat(hands.text("#left")).isEqualTo("Without it, these keys do here: Duplicate");
      assertThat(hands.text("#readiness")).isEqualTo("draft");
    }
  }

  @Test
  void whatDoesNotFitIsRefusedAtTheField() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      Binding before = hands.session.now().library().bindings().get("b01");
      for (String[] wrong :
          new String[][] {
            {"0.5", "a distance needs its unit"},
            {"0.5 ell", "is no unit here; known are mm, cm, in, pt, pica"},
            {"500 mm", "a distance from -100 mm to 100 mm"}
          }) {
        hands.click("#arg-dx");
        hands.retype(wrong[0]);
        hands.press(KeyCode.ENTER);
        assertThat(hands.text("#wrong-dx")).contains(wrong[1]);
        assertThat(hands.session.now().library().bindings().get("b01")).isEqualTo(before);
      }
      hands.click("#arg-dx");
      hands.retype("0.6 mm");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#leaf-does")).doesNotContain("does not fit");
      hands.press(KeyCode.UP);
      assertThat(hands.session.now().library().bindings().get("b01").arguments().get("dx").shown())
          .as("one step up")
          .isEqualTo("0.7 mm");
    }
  }

  @Test
  void everyKeyCanBeCapturedOursAndEscapeToo() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F4);
      hands.press(KeyCode.F5);
      hands.waitUntil(
          "our own key for firing is taken as a trigger", () -> isTriggerOf(hands, "b01", "F5"));
      assertThat(hands.text("#result")).as("it did not fire").contains("Fire it to see");
      hands.press(KeyCode.F4);
      hands.pressInTurn(KeyCode.ESCAPE, KeyCode.ESCAPE);
      assertThat(hands.has("#capturing")).as("twice leaves").isFalse();
      assertThat(triggers(hands, "b01")).containsExactly(keys("F5"));
      hands.press(KeyCode.F4);
      hands.press(KeyCode.ESCAPE);
      hands.waitUntil("it is asked", () -> hands.found("#question") != null);
      assertThat(hands.text("#question")).as("once is a trigger like others").startsWith("Escape");
    }
  }

  @Test
  void moreStrokesThanATriggerCanHaveAreNotWaitedFor() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      choose(hands, "everywhere");
      hands.press(KeyCode.F4);
      hands.pressInTurn(
          KeyCode.A, KeyCode.B, KeyCode.C, KeyCode.D, KeyCode.E, KeyCode.ESCAPE, KeyCode.X);
      assertThat(hands.has("#capturing")).isFalse();
      assertThat(hands.text("#leaf-sets")).contains("Escape");
    }
  }

  /** Puts the chosen binding in another place, chosen by its end of the list. */
  private static void choose(Hands hands, String place) {
    hands.click("#where");
    hands.press(KeyCode.END);
    hands.press(KeyCode.ENTER);
    assertThat(hands.session.now().library().bindings().get("b01").place().id()).isEqualTo(place);
  }

  private static boolean isTriggerOf(Hands hands, String binding, String trigger) {
    return hands.session.now().library().bindings().get(binding).triggers().contains(keys(trigger));
  }

  @Test
  void aSequenceIsReadStrokeByStroke() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F4);
      hands.press(KeyCode.L);
      assertThat(hands.text("#here"))
          .as("advice on the first stroke alone")
          .contains("takes the place of Line tool");
      hands.waitUntil("it is asked", () -> hands.found("#question") != null);
      hands.press(KeyCode.ESCAPE);
      hands.press(KeyCode.F4);
      hands.pressInTurn(KeyCode.L, KeyCode.X);
      assertThat(triggers(hands, "b01"))
          .as("at once: Tagpress takes two strokes at most")
          .containsExactly(keys("L then X"));
      assertThat(hands.text("#here"))
          .as("nobody has it; what it costs the command on its first key is a note")
          .matches("note Line tool answers only when 1.2 s are up .*");
    }
  }

  @Test
  void aTypedNotationThatCannotBeReadSaysWhichPart() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.click("#type-trigger");
      hands.type("hyper");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#wrong-trigger")).contains("the key is a character, a name such as");
      hands.retype("f7");
      assertThat(hands.text("#here")).isEqualTo("free");
      hands.press(KeyCode.ENTER);
      assertThat(triggers(hands, "b01")).containsExactly(keys("F7"));
    }
  }

  @Test
  void anotherStationAnotherKeyboard() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      assertThat(hands.text("#layouts")).contains("with Shift on FR");
      hands.click("#station");
      hands.press(KeyCode.END);
      hands.press(KeyCode.ENTER);
      assertThat(hands.session.now().station().layout()).isEqualTo("fr");
      hands.waitForText("#why", "Keyboard FR");
      assertThat(hands.text("#why")).contains("Alt+Shift+;");
    }
  }

  /** A station is on its way for a moment; what changes meanwhile does not send it back. */
  @Test
  void aStationThatIsChosenComesWhateverChangesMeanwhile() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      List<String> ids = List.copyOf(hands.session.now().library().stations().keySet());
      Station here = hands.session.now().station();
      hands.giveKeys("#station");
      hands.pressAnd(
          KeyCode.DOWN,
          () ->
              hands.session.make(
                  new Edit.PutStation(here.as("elsewhere", "Elsewhere")), "another"));
      assertThat(hands.text("#station")).startsWith(name(hands, ids.get(1)));
      hands.quiet();
      assertThat(hands.session.now().station().id()).isEqualTo(ids.get(1));
      assertThat(hands.text("#station")).startsWith(name(hands, ids.get(1)));

      Station gone = hands.session.now().library().stations().get(ids.get(2));
      hands.pressAnd(
          KeyCode.DOWN, () -> hands.session.make(new Edit.RemoveStation(gone.id()), "it is gone"));
      hands.quiet();
      assertThat(hands.session.now().station().id()).isEqualTo(ids.get(1));
      assertThat(hands.text("#station")).startsWith(name(hands, ids.get(1)));
    }
  }

  private static String name(Hands hands, String station) {
    return hands.session.now().library().stations().get(station).name();
  }

  @Test
  void aLibraryThatIsOpenElsewhereMayBeLookedAt() throws Exception {
    try (Hands first = Hands.open(folder, "first");
        Hands second = Hands.open(folder, "second")) {
      assertThat(first.text("#kept")).isEqualTo("open");
      assertThat(second.text("#kept")).isEqualTo("read only; first is writing");
      second.press(KeyCode.DELETE);
      assertThat(second.text("#said")).contains("first has it open for writing");
      assertThat(second.session.now().library().bindings()).hasSize(273);
      second.press(KeyCode.F5);
      second.waitForText("#result", "Done"); // trying is free
    }
  }
}
