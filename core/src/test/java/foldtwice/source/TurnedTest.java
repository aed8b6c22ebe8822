package foldtwice.source;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.extras.Extras;
import foldtwice.library.RandomLibraries;
import foldtwice.outline.Outline;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.StepKinds;
import foldtwice.routine.Value;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.statistics.Statistics;

/** Macros turned into scripts and back. */
class TurnedTest {

  private static Routine.Macro macro(List<Line> lines) {
    List<Parameter> parameters =
        Stream.of("dx", "way", "words")
            .map(n -> new Parameter(n, new Kind.Words(), new Value.Text("a"), Extras.NONE))
            .toList();
    return Routine.Macro.of("m", "M", "tagpress", parameters, lines);
  }

  /** All switched on, and with nothing a later version put there. */
  private static List<Line> plain(List<Line> lines) {
    return lines.stream()
        .map(
            l ->
                new Line(
                    l.step().withBodies(l.step().bodies().stream().map(TurnedTest::plain).toList()),
                    true,
                    l.comment(),
                    Extras.NONE))
        .toList();
  }

  private static Turned back(Turned script) {
    return ToMacro.of((Routine.Script) script.routine());
  }

  /** Each part as it is written: minus three and the opposite of three are written alike. */
  private static String written(Routine macro) {
    StringBuilder out = new StringBuilder();
    for (Outline.Row row : Outline.rows(((Routine.Macro) macro).steps())) {
      out.append(row.number()).append(' ').append(StepKinds.of(row.line().step()).id());
      foldtwice.outline.StepParts.of(row.line().step())
          .forEach(p -> out.append(" | ").append(p.text()));
      row.line()
          .step()
          .questions()
          .forEach(
              q ->
                  out.append(" ? ")
                      .append(q.variable())
                      .append(q.kind())
                      .append(ExprNotation.write(q.otherwise()))
                      .append(q.offered())
                      .append(q.kept()));
      out.append(" // ").append(row.line().comment()).append('\n');
    }
    return out.toString();
  }

  @Property(tries = 400)
  void whatIsTurnedWithoutLossIsTheSameTurnedBack(@ForAll long seed) {
    Routine.Macro macro = macro(plain(RandomLibraries.lines(new Random(seed))));
    Turned script = ToScript.of(macro);
    String text = ((Routine.Script) script.routine()).source();
    assertThat(Source.of(text).slip()).as(text).isEmpty();
    Statistics.collect(script.whole());
    if (script.whole()) {
      Turned again = back(script);
      assertThat(again.lost()).as(text).isEmpty();
      assertThat(written(again.routine())).as(text).isEqualTo(written(macro));
    }
    Statistics.coverage(c -> c.check(true).percentage(p -> p > 25));
  }
}
