package foldtwice.bench;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.TimeValue;

/**
 * Runs all benchmarks and prints each promise with what was measured: for the small figures the
 * best iteration, the one that other work on the machine disturbed least.
 */
public final class Ratios {

  private Ratios() {}

  public static void main(String[] args) throws Exception {
    // A script is warm after many firings: its language is translated while it runs.
    Map<String, Double> scores = micro("(?!Script)\\w*Bench\\.", 3);
    scores.putAll(micro("ScriptBench\\.", 15));
    Loading loading = Loading.measure();
    Acknowledged kept = Acknowledged.measure();
    Starts starts = Starts.measure();
    System.out.println();
    row("promise", "ours", "rival", "measured", "kept");
    ratio("resolver within 3 x a plain HashMap", scores, "resolver", "plainHashMap", "ns", 3);
    times("resolver at least 50 x faster than a scan", scores, "resolver", "linearScan", "ns", 50);
    most("audit of 10,000 bindings under 300 ms", scores, "audit", "ms", 300);
    ratio("a run within 5 x the same calls from Java", scores, "interpreter", "direct", "ms", 5);
    row(
        "at least 300,000 simple steps a second",
        number(RunBench.STEPS / scores.get("interpreter") * 1000) + " /s",
        "",
        number(RunBench.STEPS / scores.get("interpreter") * 1000) + " /s",
        RunBench.STEPS / scores.get("interpreter") * 1000 >= 300_000);
    most("checking 500 steps while typing under 20 ms", scores, "checking", "ms", 20);
    most("a warm script fired under 10 ms", scores, "scriptShort", "ms", 10);
    ratio("160 calls within 20 x a macro's steps", scores, "scriptLong", "macroLong", "ms", 20);
    most("2,000 recorded steps folded under 1 s", scores, "loops2000", "ms", 1000);
    growth(scores, "loops2000", "loops4000", "loops8000", "loops16000");
    most("5,000 routines looked through under 2 s", scores, "siblings5000", "ms", 2000);
    growth(scores, "siblings5000", "siblings10000", "siblings20000", "siblings40000");
    turns("loading within 2 x Jackson's tree", loading.library(), loading.tree(), 2);
    row(
        "an edit among 10,000 acknowledged under 5 ms",
        number(kept.median()) + " ms",
        "",
        number(kept.last()) + " ms 95 %",
        kept.median() < 5);
    most("advice among 10,000 bindings under 50 ms", scores, "advice", "ms", 50);
    turns(
        "start within 1.5 x an empty window with a table",
        starts.application(),
        starts.emptyTable(),
        1.5);
  }

  private static void turns(String promise, double ours, double rival, double most) {
    pair(promise, ours, rival, "ms", ours / rival, ours / rival <= most);
  }

  private static void pair(
      String promise, double ours, double rival, String unit, double measured, boolean kept) {
    row(
        promise,
        number(ours) + " " + unit,
        number(rival) + " " + unit,
        number(measured) + " x",
        kept);
  }

  private static Map<String, Double> micro(String which, int warmUps) throws RunnerException {
    Collection<RunResult> results =
        new Runner(
                new OptionsBuilder()
                    .include("foldtwice\\.bench\\." + which)
                    .forks(1)
                    .warmupIterations(warmUps)
                    .warmupTime(TimeValue.seconds(1))
                    .measurementIterations(5)
                    .measurementTime(TimeValue.seconds(1))
                    .shouldFailOnError(true)
                    .build())
            .run();
    return results.stream()
        .collect(
            Collectors.toMap(
                r -> r.getPrimaryResult().getLabel(),
                r -> r.getPrimaryResult().getStatistics().getMin(),
                (one, other) -> one,
                LinkedHashMap::new));
  }

  private static void ratio(
      String promise,
      Map<String, Double> scores,
      String ours,
      String rival,
      String unit,
      int most) {
    double ratio = scores.get(ours) / scores.get(rival);
    pair(promise, scores.get(ours), scores.get(rival), unit, ratio, ratio <= most);
  }

  private static void times(
      String promise,
      Map<String, Double> scores,
      String ours,
      String rival,
      String unit,
      int least) {
    double times = scores.get(rival) / scores.get(ours);
    pair(promise, scores.get(ours), scores.get(rival), unit, times, times >= least);
  }

  private static void most(
      String promise, Map<String, Double> scores, String ours, String unit, int most) {
    double score = scores.get(ours);
    row(promise, number(score) + " " + unit, "", number(score) + " " + unit, score <= most);
  }

  /** How much longer twice, four and eight times as much takes. */
  private static void growth(
      Map<String, Double> scores, String once, String twice, String fourTimes, String eightTimes) {
    Object[] turns =
        Stream.of(twice, fourTimes, eightTimes)
            .map(size -> number(scores.get(size) / scores.get(once)) + " x")
            .toArray();
    row("growth of that for 2, 4 and 8 x", turns[0], turns[1], turns[2], "");
  }

  private static void row(Object... cells) {
    System.out.printf(Locale.ROOT, "%-46s %12s %12s %12s  %s%n", cells);
  }

  private static String number(double n) {
    return String.format(Locale.ROOT, n < 10 ? "%.2f" : "%.0f", n);
  }
}
