package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.ProgramDescription;
import foldtwice.outline.Outline;
import foldtwice.outline.StepParts;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Form;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.StepKind;
import foldtwice.routine.StepKinds;
import foldtwice.run.Run;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.SimulatedComputer;
import foldtwice.standin.sketch.Sketch;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Macros written by hand, and by keyboard only. */
class ComposeByHandTest {

  /** Steps as a person types them, in an order in which they run. */
  private static final List<String> STEPS =
      List.of(
          "note begun",
          "set n to 2",
          "remember setting ruler as ruler before",
          "change ruler to px",
          "switch ruler through mm, px",
          "select all",
          "move on -1 rows",
          "select all",
          "adjust exposure by 0.1",
          "choose looks \u203a reading",
          "once more",
          "choose image \u203a size",
          "fill long side with 2048 px",
          "press apply",
          "choose send out \u203a to folder",
          "leave give up",
          "modifiers release",
          "capture window",
          "run straighten what is tilted with limit = 1\u00b0",
          "start vasculum",
          "wait until program vasculum is in front at most 5 s",
          "keys F2",
          "type plates",
          "to front copystand",
          "ask How wide?",
          "pause Look",
          "if something is selected",
          "repeat 2 times",
          "for each one in 1, 2",
          "stop enough");

  @TempDir Path folder;

  private static Routine.Macro macro(Hands hands) {
    return (Routine.Macro) hands.session.now().library().routines().get("new-routine");
  }

  /** Begins a macro of the program the chosen routine is of, the keys in the field for steps. */
  private static void begin(Hands hands) {
    hands.routine("send reading copies");
    hands.lookUp("new macro");
    hands.letters("By hand");
    hands.press(KeyCode.ENTER);
  }

  private static void add(Hands hands, String step) {
    hands.letters(step);
    hands.press(KeyCode.ENTER);
  }

  /** Goes from the field for steps to the line of a number, by the arrows. */
  private static void goTo(Hands hands, String number) {
    hands.press(KeyCode.ESCAPE);
    hands.press(KeyCode.HOME);
    for (int i = 0; i < 60 && !isChosen(hands, number); i++) {
      hands.press(KeyCode.DOWN);
    }
    assertThat(isChosen(hands, number)).as(number + " is chosen").isTrue();
  }

  private static boolean isChosen(Hands hands, String number) {
    return row(hands, "step-" + number)
        .or(() -> row(hands, "slot-" + number))
        .filter(n -> n.getStyleClass().contains("chosen"))
        .isPresent();
  }

  /** A row by its id, which may have dots in it. */
  private static Optional<Node> row(Hands hands, String id) {
    return Hands.ask(
        () ->
            hands.scene().getRoot().lookupAll(".step-row").stream()
                .filter(n -> id.equals(n.getId()))
                .findFirst());
  }

  @Test
  void everyKindOfStepIsWrittenRunAndBrokenByKeyboard() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      begin(hands);
      hands.press(KeyCode.TAB);
      hands.giveKeys("#add-step");
      STEPS.forEach(s -> add(hands, s));
      for (int i = 0; i < STEPS.size(); i++) {
        if (StepKinds.of(macro(hands).steps().get(i).step()).parts().stream()
            .anyMatch(p -> p.form() instanceof Form.Lines)) {
          goTo(hands, (i + 1) + ".1");
          add(hands, "note inside");
        }
      }
      assertThat(
              Outline.rows(macro(hands).steps()).stream()
                  .map(r -> StepKinds.of(r.line().step()).id())
                  .collect(Collectors.toSet()))
          .as("every kind there is")
          .isEqualTo(StepKinds.ALL.stream().map(StepKind::id).collect(Collectors.toSet()));
      assertThat(hands.has(".step-mark")).as("nothing is wrong with it").isFalse();

      assertThat(ranOnASketch(hands).ending()).isInstanceOf(Trace.Stopped.class);

      hands.press(KeyCode.F8);
      hands.waitForText("#run-panel", "How wide?");
      hands.press(KeyCode.ENTER);
      hands.waitForText("#run-panel", "Look");
      hands.press(KeyCode.ENTER);
      hands.waitForText("#run-panel", "enough");
      assertThat(hands.text("#run-panel")).contains("Stopped");
      hands.space("#run-close");

      breakEach(hands);
    }
  }

  /** Names are completed as they are typed; what cannot be read stays to be mended. */
  @Test
  void aConditionIsCompletedWhileItIsTyped() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      begin(hands);
      hands.giveKeys("#add-step");
      add(hands, "if");
      hands.press(KeyCode.ESCAPE);
      hands.press(KeyCode.ENTER);
      hands.press(KeyCode.CONTROL, KeyCode.A);
      hands.letters("setting rul");
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#step-field-0-list")).contains("mm", "cm", "px", "not");
      hands.letters("p");
      hands.press(KeyCode.DOWN);
      hands.press(KeyCode.ENTER);
      hands.letters(" an");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#step-field-0-says")).contains("the end, or and, or");
      hands.letters("d nothing is selected");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#step-1"))
          .contains("If", "setting ruler is 'px' and nothing is selected");
    }
  }

  @Test
  void severalStepsAreMovedWrappedCopiedAndCutOut() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      begin(hands);
      hands.giveKeys("#add-step");
      List.of("note a", "set n to 2", "note b \u2039n\u203a", "note c", "note d")
          .forEach(s -> add(hands, s));
      goTo(hands, "3");
      hands.press(KeyCode.SHIFT, KeyCode.DOWN);
      assertThat(hands.text("#several")).contains("2 steps");
      hands.press(KeyCode.ALT, KeyCode.UP);
      assertThat(hands.text("#step-2")).contains("b", "n");
      assertThat(hands.text("#step-3")).contains("c");
      hands.press(KeyCode.ALT, KeyCode.DOWN);
      hands.space("#several-REPEAT");
      assertThat(macro(hands).steps()).hasSize(4);
      assertThat(hands.text("#outline")).contains("3.1", "3.2", "2 times");
      hands.press(KeyCode.CONTROL, KeyCode.Z);

      goTo(hands, "3");
      hands.press(KeyCode.SHIFT, KeyCode.DOWN);
      hands.press(KeyCode.CONTROL, KeyCode.C);
      hands.press(KeyCode.END);
      hands.press(KeyCode.CONTROL, KeyCode.V);
      assertThat(macro(hands).steps()).hasSize(7);
      assertThat(hands.text("#step-7")).contains("c");

      goTo(hands, "3");
      hands.press(KeyCode.SHIFT, KeyCode.DOWN);
      hands.space("#several-CUT_OUT");
      assertThat(macro(hands).steps()).hasSize(6);
      Routine.Macro own =
          (Routine.Macro)
              hands.session.now().library().routines().values().stream()
                  .filter(r -> r.name().equals("Part of By hand"))
                  .findFirst()
                  .orElseThrow();
      assertThat(own.steps()).hasSize(2);
      assertThat(own.parameter("n")).as("what they need is a parameter").isPresent();
      assertThat(
              Run.whole(macro(hands), Map.of(), hands.session.programs().get("copystand"))
                  .endedBadly())
          .as("alone it does not know the other")
          .isTrue();
    }
  }

  /** Writes what is not there into a part of each step, and reads what is said of it. */
  private static void breakEach(Hands hands) {
    List<String> numbers =
        Outline.rows(macro(hands).steps()).stream().map(Outline.Row::number).toList();
    hands.giveKeys("#add-step");
    hands.press(KeyCode.ESCAPE);
    hands.press(KeyCode.HOME);
    for (String number : numbers) {
      while (!isChosen(hands, number)) {
        hands.press(KeyCode.DOWN);
      }
      Step step = Outline.at(macro(hands).steps(), number).orElseThrow().step();
      StepParts.of(step).stream()
          .filter(p -> p.options().isEmpty()) // one of some words cannot be got wrong
          .findFirst()
          .ifPresent(part -> breakIt(hands, number, step, part));
    }
  }

  private static void breakIt(Hands hands, String number, Step step, StepParts.Part part) {
    int place = StepParts.of(step).indexOf(part);
    hands.press(KeyCode.ENTER);
    for (int i = 0; i < place; i++) {
      hands.press(KeyCode.TAB);
    }
    hands.press(KeyCode.CONTROL, KeyCode.A);
    hands.letters(wrong(part));
    String says =
        part.form() instanceof Form.Keys ? "" : hands.text("#step-field-" + place + "-says");
    hands.press(KeyCode.ENTER);
    boolean kept = !Outline.at(macro(hands).steps(), number).orElseThrow().step().equals(step);
    if (kept) {
      assertThat(says).as("while it is typed: step %s", number).isNotEmpty();
      assertThat(hands.text("#outline")).as("step %s", number).contains(says);
      hands.press(KeyCode.CONTROL, KeyCode.Z);
    } else {
      assertThat(hands.text("#step-editor"))
          .as("step %s with %s", number, wrong(part))
          .containsAnyOf("does not fit", "cannot be read");
      hands.press(KeyCode.ESCAPE);
    }
    assertThat(Outline.at(macro(hands).steps(), number).orElseThrow().step()).isEqualTo(step);
  }

  private static String wrong(StepParts.Part part) {
    return switch (part.form()) {
      case Form.Keys k -> "Ctrl+Nokey";
      case Form.ToRead r -> "setting nowhere";
      case Form.Holds h -> "setting nowhere is 1";
      case Form.Variable v -> "\u2039";
      case Form.Name n -> "nowhere";
      case Form.Menu m -> "Nowhere";
      default -> "\u2039nowhere\u203a";
    };
  }

  /** The same macro on a program that is only described, the stand-in's sister. */
  private static Trace ranOnASketch(Hands hands) throws Exception {
    Path file = Hands.root().resolve("demo/programs/copystand.json");
    byte[] renamed =
        Files.readString(file)
            .replaceAll("\"copystand(?=[\"/])", "\"copystand-told")
            .getBytes(StandardCharsets.UTF_8);
    ProgramDescription told = ProgramDescription.read(renamed);
    Routine.Macro macro = macro(hands);
    Routine.Macro moved = macro.with(macro.head().inApplication("copystand-told"));
    Library library =
        new Edit.Together(
                List.of(
                    new Edit.PutApplication(told.application()),
                    new Edit.Describe("copystand-told", Optional.of(told.description()))))
            .on(hands.session.now().library());
    Routine.Macro other =
        moved.withSteps(
            moved.steps().stream()
                .map(
                    l ->
                        l.step() instanceof Step.BringToFront
                            ? l.with(new Step.BringToFront("copystand-told"))
                            : l)
                .toList());
    SimulatedComputer computer =
        SimulatedComputer.of(
            library, library.stations().get("camera-bench"), SimulatedComputer.standingClock());
    assertThat(computer.programs().get("copystand-told")).isInstanceOf(Sketch.class);
    computer.bringToFront("copystand-told");
    return Run.of(
            other,
            Map.of(),
            new Trial(
                    library,
                    Keymap.of(library, library.stations().get("camera-bench")),
                    computer,
                    Ecmascript.ENGINE)
                .around())
        .toEnd();
  }
}
