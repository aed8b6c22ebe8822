package foldtwice.writing;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.extras.Extras;
import foldtwice.known.NothingElse;
import foldtwice.library.RandomLibraries;
import foldtwice.outline.Outline;
import foldtwice.reading.Builtin;
import foldtwice.reading.Checker;
import foldtwice.reading.Mark;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is offered as a name is one, where it is offered. */
class InScopeTest {

  private static Routine.Macro macro(List<Line> lines) {
    return Routine.Macro.of(
        "m",
        "M",
        "app",
        List.of(new Parameter("dx", new Kind.Words(), new Value.Text("a"), Extras.NONE)),
        lines);
  }

  private static Line note(String name) {
    return new Line(new Step.Note(new Template("\u2039" + name + "\u203a")));
  }

  /** True when a name is not known where a note with it is put. */
  private static boolean isUnknown(Routine.Macro macro, String number, String name) {
    Routine.Macro with = macro.withSteps(Outline.insert(macro.steps(), number, note(name)));
    return Checker.check(with, NothingElse.NOTHING).stream()
        .anyMatch(
            m ->
                m.number().equals(number)
                    && m.fault() == Mark.Fault.UNKNOWN_NAME
                    && m.found().equals("\u2039" + name + "\u203a"));
  }

  /** Every name that some step sets, wherever. */
  private static Set<String> everyName(List<Line> lines) {
    Set<String> all = new LinkedHashSet<>();
    for (Outline.Row row : Outline.rows(lines)) {
      all.addAll(InScope.set(row.line().step(), true));
    }
    all.remove(Builtin.TURN); // of a loop that is over, too, its last is known
    return all;
  }

  /** What is offered is marked nowhere; what is not offered would be marked. */
  @Property(tries = 150)
  void whatIsOfferedIsWhatIsKnown(@ForAll long seed) {
    Routine.Macro macro = macro(RandomLibraries.lines(new Random(seed)));
    Set<String> all = everyName(macro.steps());
    for (Outline.Row row : Outline.rows(macro.steps())) {
      String number = row.number();
      List<String> offered = InScope.of(macro, number);
      assertThat(offered).doesNotHaveDuplicates().contains("dx").containsAll(Builtin.ALWAYS);
      for (String name : offered) {
        assertThat(isUnknown(macro, number, name)).as("%s at %s", name, number).isFalse();
      }
      if (isRun(macro.steps(), number)) {
        for (String name : all) {
          if (!offered.contains(name)) {
            assertThat(isUnknown(macro, number, name)).as("%s at %s", name, number).isTrue();
          }
        }
      }
    }
  }

  /** True for a line whose surroundings are all switched on. */
  private static boolean isRun(List<Line> lines, String number) {
    for (String around = number; ; ) {
      var next = Outline.around(around);
      if (next.isEmpty()) {
        return true;
      }
      around = next.get();
      if (!Outline.at(lines, around).orElseThrow().on()) {
        return false;
      }
    }
  }

  private static final List<Line> LINES =
      List.of(
          new Line(new Step.SetVariable("n", one())),
          new Line(new Step.SetVariable("off", one())).switchedOn(false),
          new Line(
              new Step.Repeat(
                  ExprNotation.read("2"),
                  List.of(
                      new Line(new Step.SetVariable("inside", one())),
                      new Line(new Step.Note(new Template("x")))))),
          new Line(
                  new Step.ForEach(
                      "each",
                      new Step.Items.Selected(),
                      List.of(new Line(new Step.SetVariable("deep", one())))))
              .switchedOn(false),
          new Line(
              new Step.Ask(
                  new Template("How?"),
                  List.of(new Step.Question("answer", new Kind.Words(), one())))),
          new Line(new Step.Note(new Template("end"))));

  private static Expr one() {
    return ExprNotation.read("'1'");
  }

  /** By hand: parameters, then what was set before, then what is always there. */
  @ParameterizedTest
  @CsvSource({
    "1, dx today stamp",
    "2, dx n today stamp",
    "3, dx n today stamp",
    "3.1, dx n turn today stamp",
    "3.2, dx n turn inside today stamp",
    "4, dx n inside today stamp",
    "4.1, dx n inside each turn today stamp",
    "5, dx n inside today stamp",
    "6, dx n inside answer today stamp",
    "7, dx n inside answer today stamp",
  })
  void aStepKnowsWhatWasSetBefore(String number, String names) {
    assertThat(String.join(" ", InScope.of(macro(LINES), number))).isEqualTo(names);
  }

  /** A step that is cut out of a macro takes with it what it needs. */
  @Test
  void whatIsCutOutKnowsItsNames() {
    List<Line> lines =
        List.of(
            new Line(new Step.SetVariable("n", ExprNotation.read("2"))),
            note("n"),
            note("dx"),
            note("today"));
    CutOut cut = CutOut.of(macro(lines), List.of("2", "3", "4"), "own", "Own", NothingElse.NOTHING);
    Routine.Macro own = ((CutOut.Made) cut).own();
    assertThat(own.parameters()).extracting(Parameter::name).containsExactlyInAnyOrder("n", "dx");
    for (String number : List.of("1", "2", "3")) {
      assertThat(InScope.of(own, number)).contains("n", "dx", "today");
    }
    assertThat(Checker.check(own, NothingElse.NOTHING)).isEmpty();
  }
}
