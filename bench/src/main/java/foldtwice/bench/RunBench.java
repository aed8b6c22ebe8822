package foldtwice.bench;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.reading.Checker;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.run.Around;
import foldtwice.run.Run;
import foldtwice.standin.StandIns;
import foldtwice.standin.base.StandIn;
import foldtwice.standin.tagpress.Tagpress;
import java.util.ArrayList;
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

/** Simple steps on an in-memory stand-in, by the interpreter and by the same calls from Java. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class RunBench {

  /** Steps of one run, the repeat itself not counted. */
  static final int STEPS = 20_000;

  private static final List<String> NEXT = List.of("Edit", "Next box");
  private static final List<String> FIRST = List.of("Edit", "Select nothing");

  private final Routine.Macro macro =
      Routine.Macro.of(
          "m",
          "M",
          "tagpress",
          List.of(),
          List.of(
              new Line(
                  new Step.Repeat(
                      ExprNotation.read(Integer.toString(STEPS / 2)),
                      List.of(choose(NEXT), choose(FIRST))))));
  private final Routine.Macro long500 = writing();
  private final List<Facts> here = StandIns.all().values().stream().map(StandIn::facts).toList();
  private final List<Facts> every = StandIns.everyVersion();

  private static Line choose(List<String> menu) {
    return new Line(new Step.Choose(Template.all(menu)));
  }

  /** Five hundred steps, a slip among them. */
  private static Routine.Macro writing() {
    List<Line> lines = new ArrayList<>();
    for (int i = 0; i < 100; i++) {
      lines.add(choose(List.of("Box", "Shift \u2026")));
      lines.add(new Line(new Step.Fill("Right by", ExprNotation.read("0.5 mm"))));
      lines.add(new Line(new Step.PressButton("Shift")));
      lines.add(new Line(new Step.PressButton("Close")));
      lines.add(choose(List.of("Edit", i == 70 ? "Nxet box" : "Next box")));
    }
    return Routine.Macro.of("w", "W", "tagpress", List.of(), lines);
  }

  /** By the interpreter. */
  @Benchmark
  public Object interpreter() {
    return Run.of(macro, Map.of(), Around.alone(new Tagpress())).toEnd();
  }

  /** The same calls made directly. */
  @Benchmark
  public Object direct() {
    Tagpress program = new Tagpress();
    program.beginRun();
    for (int i = 0; i < STEPS / 2; i++) {
      program.choose(NEXT);
      program.choose(FIRST);
    }
    program.endRun();
    return program;
  }

  /** Checking a macro of 500 steps while it is written. */
  @Benchmark
  public Object checking() {
    return Checker.check(
        long500,
        new Known() {
          @Override
          public List<Facts> programs() {
            return here;
          }

          @Override
          public List<Facts> otherVersions() {
            return every;
          }

          @Override
          public Optional<Routine> routine(String id) {
            return Optional.empty();
          }

          @Override
          public List<String> routines() {
            return List.of();
          }
        });
  }
}
