package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import foldtwice.routine.Condition;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Line;
import foldtwice.routine.Readout;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.run.Run;
import foldtwice.run.Trace;
import foldtwice.standin.tagpress.Tagpress;
import foldtwice.standin.vasculum.Register.Cells;
import foldtwice.standin.vasculum.Vasculum;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RunTest {

  private static Routine macro(String application, Step... steps) {
    return Routine.Macro.of(
        "m", "M", application, List.of(), Stream.of(steps).map(Line::new).toList());
  }

  private static Trace run(Program program, Step... steps) {
    return Run.whole(macro(program.application(), steps), Map.of(), program);
  }

  private static Step choose(String... menu) {
    return new Step.Choose(Stream.of(menu).map(Template::new).toList());
  }

  private static Step unit(String to, Step.Lasting lasting) {
    return new Step.ChangeSetting("unit", ExprNotation.read("'" + to + "'"), lasting);
  }

  /** Source: 1 in = 25.4 mm = 72 pt = 6 pica; the grid of a box is 1/360 mm. */
  @ParameterizedTest(name = "{0} with Tagpress in {1}")
  @CsvSource({
    "0.5 mm, mm, 180", "0.5 mm, cm, 180", "0.5 mm, in, 180", "0.5 mm, pt, 180", "0.5 mm, pica, 180",
    "-0.5 mm, in, -180", "0.05 in, mm, 457.2", "1 pt, mm, 127", "1 pica, in, 1524",
        "-2 cm, pt, -7200"
  })
  void aDistanceLandsRightWhateverTheUnit(String dx, String unit, BigDecimal grid) {
    Tagpress program = new Tagpress();
    program.change("unit", new Value.Text(unit));
    BigDecimal before = program.document().boxes().getFirst().x();
    Trace trace = Demo.run(program, "shift-boxes", "dx=" + dx);
    assertThat(trace.ending()).isEqualTo(new Trace.Finished());
    assertThat(program.document().boxes().getFirst().x().subtract(before))
        .isEqualByComparingTo(grid);
    assertThat(program.settings().get("unit").shown()).as("put back").isEqualTo(unit);
  }

  @Test
  void bothAxesMayHaveUnitsOfTheirOwn() {
    Tagpress program = new Tagpress();
    Demo.run(program, "shift-boxes", "dx=0.5 mm", "dy=1 pt");
    assertThat(program.document().boxes().getFirst().x())
        .isEqualByComparingTo(LengthUnit.MM.toGrid(new BigDecimal("12.5")));
    assertThat(program.document().boxes().getFirst().y())
        .isEqualByComparingTo(LengthUnit.MM.toGrid(BigDecimal.TEN).add(new BigDecimal("127")));
  }

  @Test
  void aSizeInAnotherUnitLeavesTheOtherSideExact() {
    Tagpress program = new Tagpress();
    Demo.run(program, "size-boxes", "width=60 mm", "height=24 pt");
    assertThat(program.document().boxes().getFirst().width()).isEqualByComparingTo("21600");
    assertThat(program.document().boxes().getFirst().height()).isEqualByComparingTo("3048");
  }

  @Test
  void aWholeRunIsOneUndo() {
    Tagpress program = new Tagpress();
    Map<String, String> before = program.state();
    Demo.run(program, "repeat-box", "times=5", "down=12 mm");
    assertThat(program.document().boxes()).hasSize(21);
    assertThat(program.undoDepth()).isEqualTo(1);
    program.undo();
    assertThat(program.state()).isEqualTo(before);
    program.redo();
    assertThat(program.document().boxes()).hasSize(21);
  }

  @Test
  void aFailedRunPutsSettingsBackClosesItsDialogAndIsOneUndo() {
    Tagpress program = new Tagpress();
    Map<String, String> before = program.state();
    Trace trace =
        run(
            program,
            unit("in", Step.Lasting.THIS_RUN),
            choose("Edit", "Duplicate"),
            choose("Box", "Shift \u2026"),
            new Step.Fill("Sideways", ExprNotation.read("1 mm")));
    assertThat(trace.ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class,
            f -> {
              assertThat(f.number()).isEqualTo("4");
              assertThat(f.expected()).isEqualTo("a field, one of Right by, Down by");
              assertThat(f.found()).isEqualTo("no \"Sideways\"");
            });
    assertThat(trace.wentWell()).isFalse();
    assertThat(program.dialog()).isEmpty();
    assertThat(program.settings().get("unit").shown()).isEqualTo("mm");
    program.undo();
    assertThat(program.state()).isEqualTo(before);
  }

  @Test
  void aSettingTheProgramWillNotTakeBackIsToldOf() {
    Program program = mock(Program.class);
    when(program.application()).thenReturn("tagpress");
    when(program.facts()).thenReturn(new Tagpress().facts());
    when(program.place()).thenReturn(new Tagpress().place());
    when(program.settings()).thenReturn(Map.of("unit", new Value.Text("mm")));
    when(program.dialog()).thenReturn(Optional.empty());
    when(program.change(any(), any()))
        .thenReturn(Reply.QUIET)
        .thenReturn(new Reply.Refused("a unit", "the sheet is locked"));
    Trace trace = run(program, unit("in", Step.Lasting.THIS_RUN));
    assertThat(trace.ending()).isEqualTo(new Trace.Finished());
    assertThat(trace.entries().getLast())
        .isInstanceOfSatisfying(
            Trace.NotPutBack.class, n -> assertThat(n.found()).isEqualTo("the sheet is locked"));
    assertThat(trace.wentWell()).isFalse();
  }

  @Test
  void aSettingChangedForGoodStays() {
    Tagpress program = new Tagpress();
    run(program, unit("in", Step.Lasting.THIS_RUN), unit("pt", Step.Lasting.FOR_GOOD));
    assertThat(program.settings().get("unit").shown()).isEqualTo("pt");
    Demo.run(program, "swap-unit");
    assertThat(program.settings().get("unit").shown()).isEqualTo("mm");
    Demo.run(program, "swap-unit");
    assertThat(program.settings().get("unit").shown()).isEqualTo("in");
  }

  @Test
  void aDistanceThatAFieldCannotHoldExactlyIsRefusedRatherThanRounded() {
    Tagpress program = new Tagpress();
    program.change("unit", new Value.Text("pt"));
    Map<String, String> before = program.state();
    Trace trace =
        run(
            program,
            choose("Box", "Shift \u2026"),
            new Step.Fill("Right by", ExprNotation.read("0.5 mm")),
            new Step.PressButton("Shift"));
    assertThat(trace.ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class,
            f ->
                assertThat(f.expected())
                    .isEqualTo("a distance that is exact in pt with 4 decimals"));
    assertThat(program.state()).isEqualTo(before);
  }

  /**
   * A selection of 3 cells in a register of 12 rows and 9 columns; it begins at row 3, column 5.
   */
  @ParameterizedTest(name = "{0} rows, {1} columns, at the edge {2}")
  @CsvSource({
    "1, 0, STOP_QUIETLY, Finished, 3",
    "7, 0, STOP_QUIETLY, Finished, 9",
    "8, 0, STOP_QUIETLY, Stopped, 2",
    "-3, 0, STOP_QUIETLY, Stopped, 2",
    "8, 0, CLAMP, Finished, 9",
    "-100, 0, CLAMP, Finished, 0",
    "8, 0, REPORT, Failed, 2",
    "0, 5, REPORT, Failed, 2",
    "0, 4, REPORT, Finished, 2",
  })
  void theEdgeOfTheRegisterIsMetAsChosen(
      String rows, String columns, Step.Edge edge, String ending, int top) {
    Vasculum program = new Vasculum();
    assertThat(program.document().selection()).isEqualTo(new Cells(2, 4, 4, 4));
    Trace trace =
        run(
            program,
            new Step.SelectOffset(ExprNotation.read(rows), ExprNotation.read(columns), edge),
            new Step.SetVariable("after", ExprNotation.read("yes")));
    assertThat(trace.ending().getClass().getSimpleName()).isEqualTo(ending);
    assertThat(program.document().selection().top()).isEqualTo(top);
    assertThat(trace.entries()).hasSize(ending.equals("Finished") ? 2 : 0);
  }

  @Test
  void variablesConditionsAndLoops() {
    Vasculum program = new Vasculum();
    Trace trace =
        run(
            program,
            new Step.SetVariable("n", ExprNotation.read("0")),
            new Step.Repeat(
                ExprNotation.read("3"),
                List.of(
                    new Line(
                        new Step.SetVariable(
                            "n", ExprNotation.read("\u2039n\u203a + \u2039turn\u203a * 2"))),
                    new Line(
                        new Step.If(
                            new Condition.Compare(
                                ExprNotation.read("\u2039n\u203a"),
                                Condition.Relation.MORE,
                                ExprNotation.read("5")),
                            List.of(new Line(choose("Flags", "Moss"))),
                            List.of(new Line(choose("Flags", "Rust"))))))),
            new Step.Read(new Readout.Setting("date form"), "form"),
            new Step.If(
                new Condition.Reads(
                    new Readout.Setting("date form"),
                    Condition.Relation.IS,
                    ExprNotation.read("\u2039form\u203a")),
                List.of(),
                List.of(new Line(choose("no", "such")))),
            new Step.If(new Condition.SomethingSelected(), List.of(), List.of()));
    assertThat(trace.ending()).isEqualTo(new Trace.Finished());
    List<String> numbers = trace.entries().stream().map(e -> ((Trace.Taken) e).number()).toList();
    assertThat(numbers)
        .containsExactly(
            "1", "2", "2.1", "2.2", "2.2.e1", "2.1", "2.2", "2.2.1", "2.1", "2.2", "2.2.1", "3",
            "4", "5");
    assertThat(trace.entries().get(8))
        .isInstanceOfSatisfying(Trace.Taken.class, t -> assertThat(t.detail()).isEqualTo("12"));
    assertThat(program.document().flags().values()).containsOnly("moss", "straw");
  }

  @Test
  void mistakesInARoutineFailWithWhatWasExpectedAndFound() {
    Tagpress program = new Tagpress();
    assertFails(choose("Box", "Shift..."), "a menu path, such as Box \u203a Shift \u2026");
    assertFails(new Step.PressButton("OK"), "an open dialog with the button \"OK\"");
    assertFails(new Step.Read(new Readout.Setting("colour"), "v"), "a setting, one of unit");
    assertFails(
        new Step.SetVariable("v", ExprNotation.read("\u2039dz\u203a")), "a parameter or variable");
    assertFails(
        new Step.SetVariable("v", ExprNotation.read("1 mm * 2 mm")),
        "two numbers, two lengths, or one of those times a number");
    assertFails(unit("ell", Step.Lasting.THIS_RUN), "one of mm, cm, in, pt, pica");
    assertFails(
        new Step.Repeat(ExprNotation.read("0.5"), List.of()),
        "a whole number of at most a million");
    assertThat(program.undoDepth()).isZero();
  }

  private static void assertFails(Step step, String expected) {
    Tagpress program = new Tagpress();
    Map<String, String> before = program.state();
    assertThat(run(program, step).ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class, f -> assertThat(f.expected()).startsWith(expected));
    assertThat(program.state()).isEqualTo(before);
  }

  @Test
  void aRunThatWouldNotEndIsStopped() {
    Tagpress program = new Tagpress();
    Trace trace =
        run(
            program,
            new Step.Repeat(
                ExprNotation.read("1000000"),
                List.of(new Line(new Step.SetVariable("v", ExprNotation.read("1"))))));
    assertThat(trace.ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class, f -> assertThat(f.expected()).startsWith("an end within"));
  }

  @Test
  void anArgumentOutOfRangeIsRefusedBeforeAnythingIsDone() {
    Tagpress program = new Tagpress();
    Map<String, String> before = program.state();
    Trace trace =
        Run.whole(
            Demo.LIBRARY.routines().get("repeat-box"),
            Map.of("times", Value.Amount.of(21)),
            program);
    assertThat(trace.ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class,
            f -> assertThat(f.expected()).isEqualTo("times: a whole number from 1 to 20"));
    assertThat(program.state()).isEqualTo(before);
  }
}
