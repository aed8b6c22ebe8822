package foldtwice.outline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import foldtwice.library.RandomLibraries;
import foldtwice.routine.Condition;
import foldtwice.routine.Condition.Relation;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Form;
import foldtwice.routine.Readout;
import foldtwice.routine.Step;
import foldtwice.routine.StepKind;
import foldtwice.routine.StepKinds;
import foldtwice.routine.Template;
import foldtwice.routine.ValueException;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class StepPartsTest {

  private static final Condition SOME = new Condition.SomethingSelected();

  private static Expr e(String text) {
    return ExprNotation.read(text);
  }

  /** The law of the class, for steps of every kind with hostile names in them. */
  @Property(tries = 400)
  void aPartWrittenAsItReadsChangesNothing(@ForAll long seed) {
    for (Outline.Row row : Outline.rows(RandomLibraries.lines(new Random(seed)))) {
      Step step = row.line().step();
      for (StepParts.Part part : StepParts.of(step)) {
        assertThat(StepParts.with(step, part.index(), part.text()))
            .as("%s as \"%s\"", part.label(), part.text())
            .isEqualTo(step);
      }
      List<StepFields.Field> fields = StepFields.of(step);
      for (int i = 0; i < fields.size(); i++) {
        assertThat(StepFields.with(step, i, fields.get(i).text())).isEqualTo(step);
      }
    }
  }

  @Property(tries = 600)
  void aConditionReadsAsItIsWritten(@ForAll long seed) {
    Condition condition = RandomLibraries.condition(new Random(seed));
    assertThat(ConditionText.read(ConditionText.write(condition))).isEqualTo(condition);
  }

  /** Names that look like what may follow them. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        " ",
        " unit",
        "'",
        "it's",
        "'quoted'",
        "what is open",
        "this is",
        "is open",
        "a and b",
        "x) or (y",
        "is not",
        "fish is more than",
        "unit is less than 3",
        "not",
        "and",
        "\u2039name\u203a"
      })
  void anyNameCanBeWritten(String name) {
    Expr one = e("1");
    List<Condition> plain =
        List.of(
            new Condition.Reads(new Readout.Setting(name), Relation.IS, one),
            new Condition.Reads(new Readout.Field(name), Relation.MORE, one),
            new Condition.DialogOpen(name),
            new Condition.InFront(name),
            new Condition.VersionAtLeast(name));
    for (Condition c : plain) {
      assertThat(ConditionText.read(ConditionText.write(c))).isEqualTo(c);
      Condition all = new Condition.All(List.of(c, new Condition.Any(List.of(c, SOME)), c));
      assertThat(ConditionText.read(ConditionText.write(all))).isEqualTo(all);
    }
    Step run = new Step.RunRoutine("r", Map.of(name, e("'a, b = c'")));
    assertThat(StepParts.with(run, 1, StepParts.of(run).get(1).text())).isEqualTo(run);
    Step start = new Step.StartProgram("p", List.of(new Template(name), new Template("-x")));
    assertThat(StepParts.with(start, 1, StepParts.of(start).get(1).text())).isEqualTo(start);
  }

  @Test
  void conditionsAreReadAsAPersonWritesThem() {
    assertThat(ConditionText.read("Something is selected")).isEqualTo(SOME);
    assertThat(ConditionText.read("nothing is selected")).isEqualTo(new Condition.Not(SOME));
    assertThat(ConditionText.read("setting unit is 'mm'"))
        .isEqualTo(new Condition.Reads(new Readout.Setting("unit"), Relation.IS, e("'mm'")));
    assertThat(ConditionText.read("menu View \u203a Grid is ticked and not dialog Export is open"))
        .isEqualTo(
            new Condition.All(
                List.of(
                    new Condition.Ticked(Template.all(List.of("View", "Grid"))),
                    new Condition.Not(new Condition.DialogOpen("Export")))));
    assertThat(ConditionText.read("(\u2039n\u203a + 1) * 2 is more than 3 mm"))
        .isEqualTo(new Condition.Compare(e("(\u2039n\u203a + 1) * 2"), Relation.MORE, e("3 mm")));
    assertThat(ConditionText.read("3 is 3 or 2 in is less than 5 cm"))
        .isEqualTo(
            new Condition.Any(
                List.of(
                    new Condition.Compare(e("3"), Relation.IS, e("3")),
                    new Condition.Compare(e("2 in"), Relation.LESS, e("5 cm")))));
    assertThat(ConditionText.read("how many are selected is not 2 and version at least 3.1"))
        .isEqualTo(
            new Condition.All(
                List.of(
                    new Condition.Reads(Readout.Of.SELECTED_COUNT, Relation.IS_NOT, e("2")),
                    new Condition.VersionAtLeast("3.1"))));
  }

  /** {@code and} binds closer than {@code or}, as in the languages of scripts. */
  @Test
  void andBindsCloserThanOr() {
    Condition a = new Condition.InFront("a");
    Condition b = new Condition.InFront("b");
    assertThat(
            ConditionText.read(
                "program a is in front or program b is in front and something is selected"))
        .isEqualTo(new Condition.Any(List.of(a, new Condition.All(List.of(b, SOME)))));
  }

  @Test
  void whatIsNoConditionSaysWhereAndWhatIsAllowed() {
    assertThatThrownBy(() -> ConditionText.read(""))
        .isInstanceOf(ValueException.class)
        .hasMessageContaining("something is selected");
    assertThatThrownBy(() -> ConditionText.read("dialog Export")).hasMessageContaining("is open");
    assertThatThrownBy(() -> ConditionText.read("setting unit"))
        .hasMessageContaining("is less than");
    assertThatThrownBy(() -> ConditionText.read("something is selected and"))
        .hasMessageContaining("character 26");
    assertThatThrownBy(() -> ConditionText.read("(".repeat(5_000) + "1 is 1"))
        .isInstanceOf(ValueException.class);
    assertThatThrownBy(() -> ConditionText.read("not ".repeat(5_000) + "1 is 1"))
        .hasMessageContaining("nested");
  }

  @Test
  void whatALoopGoesThroughIsWritten() {
    Step.ForEach loop = new Step.ForEach("x", new Step.Items.Selected(), List.of());
    assertThat(StepParts.with(loop, 1, "lines of file plots.txt"))
        .isEqualTo(
            new Step.ForEach(
                "x", new Step.Items.LinesOfFile(new Template("plots.txt")), List.of()));
    assertThat(StepParts.with(loop, 1, "lines of \u2039text\u203a"))
        .isEqualTo(new Step.ForEach("x", new Step.Items.LinesOf(e("\u2039text\u203a")), List.of()));
    assertThat(StepParts.with(loop, 1, "1 mm, 'a, b', \u2039n\u203a"))
        .isEqualTo(
            new Step.ForEach(
                "x",
                new Step.Items.Given(List.of(e("1 mm"), e("'a, b'"), e("\u2039n\u203a"))),
                List.of()));
    assertThatThrownBy(() -> StepParts.with(loop, 1, "1 mm 2 mm")).hasMessageContaining("a comma");
  }

  /** A name that changes is found in every part, also in what a person is asked. */
  @Test
  void aNameChangesWhereverItIsMentioned() {
    String was = "\u2039 n \u203a";
    String is = "\u2039many\u203a";
    Condition condition =
        new Condition.All(
            List.of(SOME, new Condition.Compare(e("\u2039n\u203a"), Relation.IS, e("1"))));
    Step ask =
        new Step.Ask(
            new Template("how " + was),
            List.of(
                new Step.Question(
                    "m", new foldtwice.routine.Kind.Count(0, 9), e("\u2039n\u203a"))));
    assertThat(Renaming.in(ask, "n", "many").toString())
        .isEqualTo(ask.toString().replace(was, is).replace("Name[name=n]", "Name[name=many]"));
    Step wait = new Step.WaitUntil(condition, e("\u2039n\u203a"));
    assertThat(Renaming.in(wait, "n", "many").toString())
        .isEqualTo(wait.toString().replace("Name[name=n]", "Name[name=many]"));
    Step start = new Step.StartProgram("p", List.of(new Template("-n=" + was)));
    assertThat(Renaming.in(start, "n", "many").toString())
        .isEqualTo(start.toString().replace(was, is));
  }

  /** No kind of step has a part that can neither be written as text nor is edited one by one. */
  @Test
  void everyPartOfEveryKindIsText() {
    Set<StepKind<?>> seen = new HashSet<>();
    Random random = new Random(7);
    while (seen.size() < StepKinds.ALL.size()) {
      for (Outline.Row row : Outline.rows(RandomLibraries.lines(random))) {
        StepKind<?> kind = StepKinds.of(row.line().step());
        seen.add(kind);
        long others =
            kind.parts().stream()
                .filter(p -> p.form() instanceof Form.Questions || p.form() instanceof Form.Lines)
                .count();
        assertThat(StepParts.of(row.line().step())).hasSize((int) (kind.parts().size() - others));
      }
    }
  }
}
