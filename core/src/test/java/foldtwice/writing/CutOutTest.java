package foldtwice.writing;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.known.NothingElse;
import foldtwice.outline.Several;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Head;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Manner;
import foldtwice.routine.Origin;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Target;
import foldtwice.routine.Template;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class CutOutTest {

  private static Step note(String text) {
    return new Step.Note(new Template(text));
  }

  private static Step set(String name, String value) {
    return new Step.SetVariable(name, ExprNotation.read(value));
  }

  private static Routine.Macro macro(Step... steps) {
    return new Routine.Macro(
        Head.of("m", "M", "app", List.of()), Stream.of(steps).map(Line::new).toList());
  }

  private static CutOut cut(Routine.Macro macro, String... numbers) {
    return CutOut.of(macro, List.of(numbers), "own", "Own", NothingElse.NOTHING);
  }

  @Test
  void whatTheyNeedBecomesParametersOfItsKind() {
    Routine.Macro m = macro(set("far", "2 mm"), note("\u2039far\u203a"), note("b"));
    assertThat(cut(m, "2", "3"))
        .isInstanceOfSatisfying(
            CutOut.Made.class,
            made -> {
              assertThat(made.own().steps()).isEqualTo(m.steps().subList(1, 3));
              assertThat(made.own().parameter("far").orElseThrow().kind())
                  .isInstanceOf(Kind.Distance.class);
              assertThat(made.rest().steps()).hasSize(2);
              assertThat(((Step.RunRoutine) made.rest().steps().get(1).step()).arguments())
                  .containsOnlyKeys("far");
            });
  }

  /** A routine gives nothing back, and puts settings back at its own end. */
  @Test
  void whatWouldDoSomethingElseIsRefused() {
    Routine.Macro needed = macro(set("n", "1"), note("a"), note("\u2039n\u203a"));
    assertThat(cut(needed, "1", "2"))
        .isEqualTo(new CutOut.Refused(CutOut.Reason.NEEDED_AFTER, "n", "3"));
    Routine.Macro changes =
        macro(
            new Step.ChangeSetting("unit", ExprNotation.read("'mm'"), Step.Lasting.THIS_RUN),
            note("a"),
            note("b"));
    assertThat(cut(changes, "1", "2"))
        .isEqualTo(new CutOut.Refused(CutOut.Reason.PUT_BACK, "unit", "3"));
    assertThat(cut(changes, "1", "2", "3")).isInstanceOf(CutOut.Made.class);
    assertThat(cut(changes, "1", "3")).isEqualTo(new CutOut.Refused(CutOut.Reason.APART, "", "1"));
  }

  /** In a loop the steps before come again after. */
  @Test
  void inALoopWhatStandsBeforeComesAfter() {
    Routine.Macro m =
        macro(
            set("n", "0"),
            new Step.Repeat(
                ExprNotation.read("3"),
                Stream.of(note("\u2039n\u203a"), set("n", "1")).map(Line::new).toList()));
    assertThat(cut(m, "2.2")).isEqualTo(new CutOut.Refused(CutOut.Reason.NEEDED_AFTER, "n", "2.1"));
    assertThat(cut(m, "2.1"))
        .isInstanceOfSatisfying(
            CutOut.Made.class, made -> assertThat(made.own().parameter("n")).isPresent());
  }

  /** It is not pointed at anything anew, does not ask, and is as unseen as what it comes from. */
  @Test
  void itRunsWhereTheMacroIs() {
    Routine.Macro m = macro(note("a"), note("b"));
    Head head =
        m.head()
            .with(Target.DOCUMENT)
            .with(Manner.PLAIN.asking(Manner.Asking.ALWAYS).fromVersion("3.1").opened("Size"))
            .with(new Origin("a stranger", "", "", "", false));
    CutOut.Made made = (CutOut.Made) cut(new Routine.Macro(head, m.steps()), "2");
    assertThat(made.own().target()).isEqualTo(Target.SELECTION);
    assertThat(made.own().manner()).isEqualTo(Manner.PLAIN.fromVersion("3.1"));
    assertThat(made.own().origin().seen()).isFalse();
    assertThat(made.rest().head()).isEqualTo(head);
  }

  /** A copied line is the very same value as the one it was copied from. */
  @Test
  void oneOfTwoEqualLinesIsMoved() {
    Line twice = new Line(note("a"));
    List<Line> lines = List.of(twice, twice, new Line(note("b")));
    assertThat(Several.move(lines, List.of("1"), "4"))
        .isEqualTo(List.of(twice, new Line(note("b")), twice));
  }

  @Test
  void severalAreMovedInTheirOrder() {
    List<Line> lines = macro(note("a"), note("b"), note("c"), note("d")).steps();
    assertThat(Several.move(lines, List.of("4", "2"), "1"))
        .isEqualTo(macro(note("b"), note("d"), note("a"), note("c")).steps());
    assertThat(Several.up(lines, List.of("2", "3")))
        .isEqualTo(macro(note("b"), note("c"), note("a"), note("d")).steps());
    assertThat(Several.down(Several.up(lines, List.of("2", "3")), List.of("1", "2")))
        .isEqualTo(lines);
    assertThat(Several.up(lines, List.of("1", "3"))).as("not together").isEqualTo(lines);
    assertThat(Several.remove(lines, List.of("1", "3")))
        .isEqualTo(macro(note("b"), note("d")).steps());
  }
}
