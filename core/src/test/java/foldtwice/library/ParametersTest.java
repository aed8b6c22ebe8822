package foldtwice.library;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.extras.Extras;
import foldtwice.place.Place;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Changing a parameter takes the steps and the bindings along, and is one undo. */
class ParametersTest {

  private static Parameter count(String name, long least, long most) {
    return new Parameter(name, new Kind.Count(least, most), Value.Amount.of(1), Extras.NONE);
  }

  private static final Parameter ROWS = count("rows", 1, 99);
  private static final Routine MACRO =
      Routine.Macro.of(
          "m",
          "M",
          "app",
          List.of(ROWS),
          List.of(new Line(new Step.Repeat(ExprNotation.read("\u2039rows\u203a"), List.of()))));
  private static final Library LIBRARY =
      new Library(
          "mine",
          Map.of(),
          Map.of(),
          Map.of(),
          Map.of("m", MACRO),
          Map.of("b", binding("b", 7), "c", binding("c", 50)),
          Map.of(),
          Map.of(),
          Map.of(),
          Map.of(),
          Map.of(),
          Map.of(),
          Map.of(),
          Map.of(),
          true,
          Extras.NONE);

  private static Binding binding(String id, long rows) {
    return new Binding(
        id,
        "m",
        new Place.Whole("app"),
        List.of(),
        Map.of("rows", Value.Amount.of(rows)),
        0,
        Extras.NONE);
  }

  private static Value given(Library library, String binding, String parameter) {
    return library.bindings().get(binding).arguments().get(parameter);
  }

  private static void oneUndo(Edit edit) {
    assertThat(edit.inverse(LIBRARY).on(edit.on(LIBRARY))).isEqualTo(LIBRARY);
  }

  @Test
  void aRenamedOneKeepsWhatStepsSayAndBindingsGive() {
    Edit edit = Parameters.change(LIBRARY, MACRO, ROWS, count("lines", 1, 99));
    Library after = edit.on(LIBRARY);
    Routine.Macro macro = (Routine.Macro) after.routines().get("m");
    assertThat(macro.steps().getFirst().step())
        .isEqualTo(new Step.Repeat(ExprNotation.read("\u2039lines\u203a"), List.of()));
    assertThat(given(after, "b", "lines")).isEqualTo(Value.Amount.of(7));
    assertThat(given(after, "b", "rows")).isNull();
    oneUndo(edit);
  }

  @Test
  void whatNoLongerFitsFallsBackOnTheDefault() {
    Edit edit = Parameters.change(LIBRARY, MACRO, ROWS, count("rows", 1, 9));
    Library after = edit.on(LIBRARY);
    assertThat(given(after, "b", "rows")).isEqualTo(Value.Amount.of(7));
    assertThat(given(after, "c", "rows")).as("50 is beyond 9").isNull();
    oneUndo(edit);
  }

  @Test
  void oneThatIsGoneIsGivenNoMore() {
    Edit edit = Parameters.remove(LIBRARY, MACRO, ROWS);
    Library after = edit.on(LIBRARY);
    assertThat(after.routines().get("m").parameters()).isEmpty();
    assertThat(after.bindings().values()).allSatisfy(b -> assertThat(b.arguments()).isEmpty());
    oneUndo(edit);
  }

  @Test
  void aNewOneComesLast() {
    Edit edit = Parameters.add(MACRO, count("columns", 0, 5));
    assertThat(edit.on(LIBRARY).routines().get("m").parameters())
        .extracting(Parameter::name)
        .containsExactly("rows", "columns");
    oneUndo(edit);
  }
}
