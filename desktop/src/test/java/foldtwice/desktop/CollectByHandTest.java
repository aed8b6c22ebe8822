package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Parameters;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.trigger.Notation;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Recording, shaping, running and mending a macro, with real keys and the mouse. */
class CollectByHandTest {

  @TempDir Path folder;

  private static Map<String, Routine> routines(Hands hands) {
    return hands.session.now().library().routines();
  }

  private static Routine.Macro macro(Hands hands, String id) {
    return (Routine.Macro) routines(hands).get(id);
  }

  private static String state(Hands hands, String program, String what) {
    return Hands.ask(() -> hands.session.programs().get(program).state().get(what));
  }

  private static void keep(Hands hands, String name) {
    hands.paste("#record-name", name);
    hands.click("#record-keep");
    hands.waitUntil("Collect shows it", () -> hands.found("#outline") != null);
  }

  @Test
  void recordByMouseMakeAParameterBindFireStepBreakAndMend() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
      hands.click("#try-tagpress");
      hands.click("#record");
      assertThat(hands.text("#record-state")).isEqualTo("Recording Tagpress: 0 steps");
      hands.paste("#record-trigger", "Ctrl+Shift+");
      hands.click("#box-2");
      hands.menu("Box", "Shift \u2026");
      hands.paste("#field-Right-by", "1.5");
      hands.click("#dialog-Shift");
      hands.click("#dialog-Close");
      hands.click("#record-keep");
      assertThat(hands.text("#record-wrong")).as("the trigger cannot be read").isNotEmpty();
      hands.paste("#record-trigger", "Ctrl+S");
      hands.waitForText("#record-advice", "takes the place of Save");
      hands.paste("#record-trigger", "Ctrl+Shift+M");
      hands.waitForText("#record-advice", "free");
      keep(hands, "Nudge label");
      assertThat(hands.text("#outline"))
          .contains("Select", "box 2", "Box \u203a Shift \u2026", "Right by with 1.5 mm", "Close");
      Binding bound =
          hands.session.now().library().bindings().values().stream()
              .filter(b -> b.routine().equals("nudge-label"))
              .findFirst()
              .orElseThrow();
      assertThat(bound.triggers()).containsExactly(Notation.read("Ctrl+Shift+M"));
      assertThat(macro(hands, "nudge-label").yardstick().clicks())
          .as("the manual route is kept")
          .isGreaterThanOrEqualTo(4);

      hands.click("#step-3");
      hands.click("#make-1");
      assertThat(
              macro(hands, "nudge-label").parameter("right by").orElseThrow().otherwise().shown())
          .isEqualTo("1.5 mm");
      assertThat(hands.text("#facts")).contains("right by", "1.5 mm");

      String before = state(hands, "tagpress", "box 2");
      hands.press(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
      hands.click("#try-tagpress");
      hands.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.M);
      hands.waitUntil(
          "it fired",
          () -> !hands.session.programs().get("tagpress").state().get("box 2").equals(before));
      assertThat(hands.text("#try-why")).contains("takes it: Nudge label");

      hands.press(KeyCode.F6);
      hands.press(KeyCode.F7);
      assertThat(hands.text("#run-panel")).contains("At step 1", "right by", "1.5 mm");
      hands.press(KeyCode.F7);
      hands.press(KeyCode.F7);
      hands.press(KeyCode.F7);
      assertThat(hands.text("#run-panel")).contains("At step 4", "Dialog Shift boxes");
      hands.press(KeyCode.F8);
      hands.waitForText("#run-panel", "Done");

      hands.click("#run-close");
      hands.click("#step-4");
      hands.paste("#step-field-0", "Shyft");
      hands.click("#step-field-0");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#mark-4"))
          .contains("Shyft is no button there", "Shift boxes", "Take Shift");
      hands.press(KeyCode.F8);
      hands.waitForText("#run-panel", "Failed at step 4");
      assertThat(hands.text("#run-panel"))
          .contains("expected a button, one of Shift, Close, found no \"Shyft\"");
      hands.click("#run-close");
      hands.click("#mend-4");
      assertThat(hands.has("#mark-4")).isFalse();
      hands.click("#outline");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(hands.has("#mark-4")).as("an edit like any other: undone").isTrue();
    }
  }

  /** Somebody else gives the routine another parameter while one is being made. */
  @Test
  void aParameterThatIsBeingMadeStaysBesideOthers() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("white for shade");
      hands.click("#add-parameter");
      hands.paste("#parameter-name", "reach");
      Parameter other =
          new Parameter("warmth", new Kind.Count(0, 9, 1), Value.Amount.of(3), Extras.NONE);
      hands.make(Parameters.add(shade(hands), other), "another parameter");
      assertThat(hands.text("#parameters")).contains("warmth");
      assertThat(hands.text("#parameter-name")).isEqualTo("reach");
      hands.press(KeyCode.ENTER);
      assertThat(shade(hands).parameters())
          .extracting(Parameter::name)
          .containsExactly("warmth", "reach");
    }
  }

  /** Beside others of its step it stays; over another step it is no more. */
  @Test
  void aQuestionThatIsBeingMadeStaysInItsStep() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("white for shade");
      asks(hands, List.of(), List.of(question("depth")));
      hands.giveKeys("#outline");
      hands.press(KeyCode.HOME);
      hands.press(KeyCode.ENTER);
      hands.click("#add-question");
      hands.paste("#parameter-name", "reach");
      asks(hands, List.of(question("warmth")), List.of(question("depth")));
      assertThat(hands.text("#questions")).contains("warmth");
      assertThat(hands.text("#parameter-name")).isEqualTo("reach");
      hands.giveKeys("#outline");
      hands.press(KeyCode.DOWN);
      assertThat(hands.text("#questions")).contains("depth");
      assertThat(hands.has("#parameter-name")).as("of the step before").isFalse();
    }
  }

  private static Step.Question question(String variable) {
    return new Step.Question(variable, new Kind.Count(0, 9, 1), ExprNotation.read("3"));
  }

  /** The routine asks twice. */
  private static void asks(Hands hands, List<Step.Question> first, List<Step.Question> then) {
    Line one = new Line(new Step.Ask(new Template("How?"), first));
    Line two = new Line(new Step.Ask(new Template("And then?"), then));
    Routine.Macro asking = new Routine.Macro(shade(hands).head(), List.of(one, two));
    hands.make(new Edit.PutRoutine(asking), "asks");
  }

  /** What is kept about a routine is written over the steps it has by then. */
  @Test
  void stepsAndWhatIsKeptAboutARoutineDoNotUndoOneAnother() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("white for shade");
      hands.giveKeys("#outline");
      hands.press(KeyCode.HOME);
      hands.press(KeyCode.SPACE);
      assertThat(shade(hands).steps().getFirst().on()).isFalse();
      hands.giveKeys("#card-note");
      hands.letters("by the window");
      hands.press(KeyCode.ENTER);
      assertThat(shade(hands).card().note()).isEqualTo("by the window");
      assertThat(shade(hands).steps().getFirst().on()).as("still off").isFalse();
      hands.giveKeys("#needs-version");
      hands.letters("2");
      hands.press(KeyCode.ENTER);
      assertThat(shade(hands).manner().fromVersion()).isEqualTo("2");
      assertThat(shade(hands).card().note()).isEqualTo("by the window");
      assertThat(shade(hands).steps().getFirst().on()).as("still off").isFalse();
    }
  }

  private static Routine.Macro shade(Hands hands) {
    return (Routine.Macro)
        hands.session.now().library().routines().values().stream()
            .filter(r -> r.name().equals("White for shade"))
            .findFirst()
            .orElseThrow();
  }

  @Test
  void recordByKeysInTheRegister() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
      hands.click("#try-vasculum");
      hands.click("#record");
      hands.click("#cell-1-8");
      hands.press(KeyCode.F2);
      hands.type("wett");
      hands.press(KeyCode.BACK_SPACE);
      hands.press(KeyCode.ENTER);
      hands.press(KeyCode.CONTROL, KeyCode.S);
      assertThat(state(hands, "vasculum", "record 2")).endsWith("| wet");
      hands.click("#record-pause");
      hands.press(KeyCode.CONTROL, KeyCode.P);
      hands.click("#record-pause");
      keep(hands, "Note it");
      assertThat(hands.text("#outline"))
          .contains(
              "Select", "Note 2", "Edit \u203a Edit cell", "Type", "wet", "Register \u203a Save")
          .doesNotContain("wett", "Print");
    }
  }

  @Test
  void recordByMouseOnTheMapAndRunItElsewhere() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
      hands.click("#try-trackway");
      hands.click("#record");
      hands.click("#map-Garden-wall");
      hands.click("#map-Cairn");
      hands.menu("Select", "Next");
      hands.menu("Edit", "Undo");
      hands.menu("Leg", "Draw from here");
      hands.click("#map-Footbridge");
      assertThat(state(hands, "trackway", "leg Cairn to Footbridge")).isNotNull();
      keep(hands, "Way back");
      assertThat(hands.text("#outline"))
          .contains("Cairn", "Draw from here")
          .doesNotContain("Garden wall");
    }
  }

  @Test
  void stepsAreAddedByTypingMovedSwitchedOffAndComeBack() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F2);
      hands.click("#new-menu");
      hands.menu("New macro");
      hands.paste("#routine-name", "Lighter");
      hands.press(KeyCode.ENTER);
      assertThat(routines(hands).get("new-routine").name()).isEqualTo("Lighter");
      hands.click("#add-step");
      hands.type("duplicate");
      hands.press(KeyCode.ENTER);
      hands.type("repeat 3");
      hands.press(KeyCode.ENTER);
      hands.type("lock");
      hands.press(KeyCode.ENTER);
      assertThat(macro(hands, "new-routine").steps()).hasSize(3);
      hands.click("#step-3");
      hands.click("#step-IN");
      assertThat(hands.text("#outline")).contains("2.1");
      hands.click("#step-1");
      hands.press(KeyCode.SPACE);
      assertThat(macro(hands, "new-routine").steps().getFirst().on()).isFalse();
      hands.press(KeyCode.ALT, KeyCode.DOWN);
      assertThat(macro(hands, "new-routine").steps().get(1).on()).as("moved down").isFalse();
      hands.press(KeyCode.DELETE);
      assertThat(macro(hands, "new-routine").steps()).hasSize(1);
      for (int i = 0; i < 3; i++) {
        hands.press(KeyCode.CONTROL, KeyCode.Z);
      }
      assertThat(macro(hands, "new-routine").steps()).hasSize(2);
      assertThat(macro(hands, "new-routine").steps().getFirst().on()).isTrue();
    }
  }

  @Test
  void aRunThatAsksIsAnsweredOrGivenUp() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("reading copies");
      assertThat(hands.text("#routine-name")).isEqualTo("Send reading copies");
      hands.press(KeyCode.F8);
      hands.waitUntil("it asks", () -> hands.found("#asking") != null);
      assertThat(hands.text("#asking")).contains("tilt limit", "limit", "0.5\u00b0");
      hands.paste("#asked-limit", "99");
      hands.click("#asking-on");
      assertThat(hands.text("#asking")).contains("from 0\u00b0 to 5\u00b0");
      hands.click("#asking-up");
      assertThat(hands.text("#run-panel")).contains("Given up at step 8; settings are put back");
      assertThat(state(hands, "copystand", "setting ruler")).isEqualTo("mm");
    }
  }

  @Test
  void twoRoutinesSideBySide() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F2);
      hands.click("#copy-routine");
      hands.click("#step-1");
      hands.press(KeyCode.DELETE);
      hands.click("#compare-routine");
      assertThat(hands.text("#compare-with")).startsWith("before ");
      hands.waitForText("#compare-count", "rows differ");
      hands.click("#compare-close");
      assertThat(hands.has("#outline")).isTrue();

      hands.routine("extend a loan");
      hands.click("#compare-routine");
      hands.waitForText("#compare-count", "differ");
      assertThat(hands.text("#compare"))
          .as("a stored command beside another routine")
          .contains("Written in: SQL", "Program: Muniment", "UPDATE");
    }
  }

  /** What sets a routine off is gone to by keyboard, and there is a way back. */
  @Test
  void aBindingIsGoneToByKeyboardAndTheWayBackLeadsHere() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.routine("send reading copies");
      String id =
          hands.session.now().library().bindings().values().stream()
              .filter(b -> b.routine().equals("send-reading-copies"))
              .findFirst()
              .orElseThrow()
              .id();
      hands.space("#to-" + id);
      assertThat(hands.text("#leaf-does")).contains("Send reading copies");
      hands.press(KeyCode.CONTROL, KeyCode.F2);
      assertThat(hands.text("#routine-name")).isEqualTo("Send reading copies");
      hands.press(KeyCode.CONTROL, KeyCode.F3);
      assertThat(hands.text("#leaf-does")).contains("Send reading copies");
    }
  }
}
