package foldtwice.bench;

import foldtwice.extras.Extras;
import foldtwice.fold.LoopFolder;
import foldtwice.fold.Siblings;
import foldtwice.library.Library;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;

/** Folding recordings and siblings of growing size. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class FoldBench {

  private final List<Line> twoThousand = recording(2_000);
  private final List<Line> fourThousand = recording(4_000);
  private final List<Line> eightThousand = recording(8_000);
  private final List<Line> sixteenThousand = recording(16_000);
  private final Library fiveThousand = siblings(5_000);
  private final Library tenThousand = siblings(10_000);
  private final Library twentyThousand = siblings(20_000);
  private final Library fortyThousand = siblings(40_000);

  /** Five steps again and again: one counts, one has a value of its own each time. */
  private static List<Line> recording(int steps) {
    Random random = new Random(1);
    List<Line> lines = new ArrayList<>();
    for (int i = 0; lines.size() < steps; i++) {
      lines.add(new Line(new Step.Choose(Template.all(List.of("Box", "Shift \u2026")))));
      lines.add(new Line(new Step.Fill("Right by", ExprNotation.read(i + " mm"))));
      lines.add(new Line(new Step.Fill("Down by", ExprNotation.read(random.nextInt(100) + " mm"))));
      lines.add(new Line(new Step.PressButton("Shift")));
      lines.add(new Line(new Step.PressButton("Close")));
    }
    return List.copyOf(lines);
  }

  /** Macros of twelve steps, some ten of each shape. */
  private static Library siblings(int routines) {
    Random random = new Random(3);
    Map<String, Routine> all = new LinkedHashMap<>();
    for (int i = 0; i < routines; i++) {
      Random shape = new Random(random.nextInt(routines / 10));
      List<Line> steps = new ArrayList<>();
      for (int s = 0; s < 12; s++) {
        steps.add(
            new Line(
                shape.nextBoolean()
                    ? new Step.Fill(
                        "F" + shape.nextInt(9), ExprNotation.read(random.nextInt(4) + " mm"))
                    : new Step.Choose(
                        Template.all(List.of("M" + shape.nextInt(5), "L" + shape.nextInt(20))))));
      }
      all.put("r" + i, Routine.Macro.of("r" + i, "R", "app", List.of(), steps));
    }
    return new Library(
        "many",
        Map.of(),
        Map.of(),
        Map.of(),
        all,
        Map.of(),
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
  }

  @Benchmark
  public Object loops2000() {
    return LoopFolder.fold(twoThousand, Set.of());
  }

  @Benchmark
  public Object loops4000() {
    return LoopFolder.fold(fourThousand, Set.of());
  }

  @Benchmark
  public Object loops8000() {
    return LoopFolder.fold(eightThousand, Set.of());
  }

  @Benchmark
  public Object loops16000() {
    return LoopFolder.fold(sixteenThousand, Set.of());
  }

  @Benchmark
  public Object siblings5000() {
    return Siblings.find(fiveThousand);
  }

  @Benchmark
  public Object siblings10000() {
    return Siblings.find(tenThousand);
  }

  @Benchmark
  public Object siblings20000() {
    return Siblings.find(twentyThousand);
  }

  @Benchmark
  public Object siblings40000() {
    return Siblings.find(fortyThousand);
  }
}
