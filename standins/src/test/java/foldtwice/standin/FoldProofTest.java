package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.fold.Siblings;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Head;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.script.Ecmascript;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A fold is held against what it folds by running both. */
class FoldProofTest {

  private static FoldProof proof() {
    return proof(FoldProof.Proved.NOTHING);
  }

  private static FoldProof proof(FoldProof.Proved before) {
    return new FoldProof(
        Demo.LIBRARY,
        Demo.keymap("camera-bench"),
        Ecmascript.ENGINE,
        SimulatedComputer.fresh(),
        before);
  }

  private static Routine macro(Step... steps) {
    return new Routine.Macro(
        Head.of("m", "M", "tagpress", List.of()), Stream.of(steps).map(Line::new).toList());
  }

  private static final Step LOCK = new Step.Choose(Template.all(List.of("Box", "Lock")));
  private static final Step DUPLICATE = new Step.Choose(Template.all(List.of("Edit", "Duplicate")));

  private static Step times(int n, Step step) {
    return new Step.Repeat(ExprNotation.read("" + n), List.of(new Line(step)));
  }

  private static FoldProof.Pair pair(Routine before, Routine after) {
    return new FoldProof.Pair(before, Map.of(), after, Map.of());
  }

  @Test
  void aFoldThatComesToTheSameIsProvedInManyStates() {
    Routine before = macro(DUPLICATE, DUPLICATE, DUPLICATE, LOCK);
    Routine after = macro(times(3, DUPLICATE), LOCK);
    assertThat(proof().same(List.of(pair(before, after))).orElseThrow())
        .as("all states but those with nothing selected")
        .isBetween(5, 8);
  }

  /** Where both fail at once nothing is shown. */
  @Test
  void whatNeverRunsProvesNothing() {
    Routine before = macro(new Step.PressButton("Nowhere"), LOCK);
    assertThat(proof().same(List.of(pair(before, macro(new Step.PressButton("Nowhere"))))))
        .isEmpty();
  }

  /** Once too seldom, another order, a step too few: each is seen. */
  @Test
  void aFoldThatDiffersIsNot() {
    Routine before = macro(DUPLICATE, DUPLICATE, DUPLICATE, LOCK);
    for (Routine other :
        List.of(
            macro(times(2, DUPLICATE), LOCK),
            macro(LOCK, times(3, DUPLICATE)),
            macro(times(3, DUPLICATE)))) {
      assertThat(proof().same(List.of(pair(before, other)))).as(other.toString()).isEmpty();
    }
  }

  /** What differs only where nothing is selected is found, too. */
  @Test
  void aDifferenceInOneStateIsEnough() {
    Routine before = macro(DUPLICATE);
    Routine after =
        macro(
            new Step.If(
                new foldtwice.routine.Condition.SomethingSelected(),
                List.of(new Line(DUPLICATE)),
                List.of()));
    assertThat(proof().same(List.of(pair(before, after)))).isEmpty();
  }

  @Test
  void theSiblingsOfTheDemoComeToTheSame() {
    List<Siblings.Group> groups = Siblings.find(Demo.LIBRARY);
    assertThat(groups).isNotEmpty();
    for (Siblings.Group group : groups) {
      assertThat(proof().same(FoldProof.pairs(group))).as(group.folded().name()).isNotEmpty();
    }
  }

  /** What was proved is taken over, on the same station, of pairs that lead to nothing else. */
  @Test
  void whatWasProvedIsNotTriedAgain() {
    List<FoldProof.Pair> two =
        List.of(pair(macro(DUPLICATE, DUPLICATE), macro(times(2, DUPLICATE))));
    FoldProof first = proof();
    OptionalInt came = first.same(two);
    assertThat(first.proved().pairs()).isEqualTo(Map.of(two, came));
    FoldProof.Proved said =
        new FoldProof.Proved(
            first.proved().applications(),
            first.proved().station(),
            Map.of(two, OptionalInt.of(99)));
    assertThat(proof(said).same(two)).hasValue(99);
    assertThat(
            new FoldProof(
                    Demo.LIBRARY,
                    Demo.keymap("label-corner"),
                    Ecmascript.ENGINE,
                    SimulatedComputer.fresh(),
                    said)
                .same(two))
        .as("on another station")
        .isEqualTo(came);
    Step another = new Step.RunRoutine("shift-boxes", Map.of());
    FoldProof leading = proof();
    leading.same(List.of(pair(macro(DUPLICATE, another), macro(DUPLICATE, another))));
    leading.same(List.of(pair(macro(times(2, another)), macro(times(2, another)))));
    assertThat(leading.proved().pairs()).isEmpty();
  }
}
