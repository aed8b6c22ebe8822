package foldtwice.bench;

import foldtwice.routine.ExprNotation;
import foldtwice.routine.Head;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.run.Around;
import foldtwice.run.Run;
import foldtwice.run.Trace;
import foldtwice.script.Ecmascript;
import foldtwice.standin.SimulatedComputer;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;

/** A script fired warm, and a macro that does the same: forty times through a dialog. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class ScriptBench {

  private final Around around =
      new Around(
          SimulatedComputer.fresh(),
          id -> Optional.empty(),
          (keys, computer) -> {
            throw new IllegalStateException("presses no keys");
          },
          Ecmascript.ENGINE);

  private static final String SHIFT =
      """
      program.choose('Box', 'Shift \u2026');
      program.fill('Right by', amount('0.5 mm'));
      program.press('Shift');
      program.press('Close');
      """;

  private final Routine shortScript =
      new Routine.Script(Head.of("s", "S", "tagpress", List.of()), SHIFT);
  private final Routine script =
      new Routine.Script(
          Head.of("s", "S", "tagpress", List.of()),
          "for (let i = 0; i < 40; i++) {\n" + SHIFT + "}\n");
  private final Routine macro =
      Routine.Macro.of(
          "m",
          "M",
          "tagpress",
          List.of(),
          List.of(
              new Line(
                  new Step.Repeat(
                      ExprNotation.read("40"),
                      List.of(
                          new Line(new Step.Choose(Template.all(List.of("Box", "Shift \u2026")))),
                          new Line(new Step.Fill("Right by", ExprNotation.read("0.5 mm"))),
                          new Line(new Step.PressButton("Shift")),
                          new Line(new Step.PressButton("Close")))))));

  private Object fire(Routine routine) {
    Trace trace = Run.of(routine, Map.of(), around).toEnd();
    if (!(trace.ending() instanceof Trace.Finished)) {
      throw new IllegalStateException(trace.ending().toString());
    }
    return trace;
  }

  /** Four calls. */
  @Benchmark
  public Object scriptShort() {
    return fire(shortScript);
  }

  /** 160 calls. */
  @Benchmark
  public Object scriptLong() {
    return fire(script);
  }

  /** The same 160 steps. */
  @Benchmark
  public Object macroLong() {
    return fire(macro);
  }
}
