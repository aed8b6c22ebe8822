package foldtwice.conflict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import foldtwice.Fixture;
import foldtwice.effort.WorkedOut;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.routine.Expr;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Routines that run one another in more ways than can be walked are told of all the same. */
class CallsTest {

  /** A binding, which is what its routine is called too. */
  private static final String FIRST = "mine box Ctrl+K";

  /**
   * @param round true where the last runs the first again
   */
  @ParameterizedTest
  @CsvSource({"14, 3, false", "30, 4, false", "6, 5, true"})
  void aThicketOfCallsIsWalkedThrough(int routines, int calls, boolean round) {
    Library library = thicket(routines, calls, round);
    assertTimeoutPreemptively(
        Duration.ofSeconds(30),
        () -> {
          List<Conflict> told = Auditor.audit(Subject.of(library, Fixture.keymap(library)));
          assertThat(told.stream().anyMatch(c -> c.kind() == ConflictKind.MODIFIER_DOWN))
              .as("the last types under what is held")
              .isEqualTo(routines <= 16);
          assertThat(WorkedOut.of(library, library.routines().get(FIRST), Map.of()).isPresent())
              .as("six deep, a route by hand is worked out")
              .isEqualTo(routines <= 7);
        });
  }

  private static String id(int i) {
    return i == 0 ? FIRST : "r" + i;
  }

  private static Library thicket(int routines, int calls, boolean round) {
    Library library = Fixture.library(FIRST);
    for (int i = 0; i < routines; i++) {
      List<Line> lines = new ArrayList<>();
      boolean last = i == routines - 1;
      for (int call = 0; call < calls && (!last || round); call++) {
        lines.add(new Line(new Step.RunRoutine(id(last ? 0 : i + 1), Map.of())));
      }
      if (last) {
        lines.add(new Line(new Step.TypeText(new Template("x"))));
      }
      Expr often = new Expr.Literal(Value.Amount.of(1_000_000_000));
      lines.add(
          new Line(
              new Step.Repeat(often, List.of(new Line(new Step.Note(new Template("nothing")))))));
      library =
          new Edit.PutRoutine(Routine.Macro.of(id(i), "R" + i, "app", List.of(), lines))
              .on(library);
    }
    return library;
  }
}
