package foldtwice.bench;

import foldtwice.binding.Binding;
import foldtwice.conflict.Subject;
import foldtwice.effort.Payback;
import foldtwice.effort.Skill;
import foldtwice.effort.UseLog;
import foldtwice.effort.Values;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryJson;
import foldtwice.plan.Plan;
import foldtwice.plan.Planning;
import foldtwice.plan.Watcher;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Expr;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What ten thousand bindings save, anew and after an edit; a use log of a million rows; plans of
 * the demo library, one program and all.
 */
public final class PaidBack {

  private PaidBack() {}

  /** Takes no arguments. */
  public static void main(String[] none) throws IOException, FormatException {
    payback();
    log();
    Library demo =
        LibraryJson.read(
            Files.readAllBytes(
                Path.of(System.getProperty("foldtwice.home", "."), "demo", "fernhollow.json")));
    plan(demo, Optional.of("tagpress"), 60, 10);
    plan(demo, Optional.empty(), 20, 30);
  }

  /** Ten thousand bindings of a routine that goes down a menu, fills a field and closes. */
  private static Library many() {
    Library big = Big.library(10_000, 50, 1);
    Routine.Macro m = (Routine.Macro) big.routines().values().iterator().next();
    List<Line> lines =
        List.of(
            new Line(new Step.Choose(List.of(new Template("Box"), new Template("Shift")))),
            new Line(new Step.Fill("By", new Expr.Name("dx"))),
            new Line(new Step.PressButton("Shift")),
            new Line(new Step.PressButton("Close")));
    return new Edit.PutRoutine(new Routine.Macro(m.head(), lines)).on(big);
  }

  private static void payback() {
    Library library = many();
    Keymap keymap = Keymap.of(library, library.stations().values().iterator().next());
    Values values = Values.of(Skill.AVERAGE_SKILLED);
    double[] anew = new double[9];
    double[] after = new double[anew.length];
    double sum = 0;
    for (int i = 0; i < anew.length; i++) {
      long began = System.nanoTime();
      Payback all = Payback.of(library, keymap, values);
      sum += all.aWeek().mid();
      long then = System.nanoTime();
      Binding b = library.bindings().get("b" + i);
      Library next = new Edit.PutBinding(b.used(b.usesPerWeek() + 1)).on(library);
      Keymap followed = keymap.following(library, next);
      long edited = System.nanoTime();
      sum += all.following(next, followed, values).aWeek().mid();
      anew[i] = (then - began) / 1e6;
      after[i] = (System.nanoTime() - edited) / 1e6;
    }
    System.out.printf(
        "payback of 10,000 bindings: %.0f ms the first time, %.1f ms after; after an edit %.1f ms (%.0f)%n",
        anew[0], median(anew), median(after), sum);
  }

  private static void log() throws IOException, FormatException {
    Library library = Big.library(10_000, 50, 1);
    List<String> ids = new ArrayList<>(library.bindings().keySet());
    Path file = Files.createTempFile("uses", ".csv");
    try (var out = Files.newBufferedWriter(file)) {
      out.write("when,station,binding,count\n");
      for (int i = 0; i < 1_000_000; i++) {
        out.write(
            "2031-05-%02dT%02d:%02d:%02d.%03dZ,s,%s,%d\n"
                .formatted(
                    1 + i % 28,
                    i / 28 % 24,
                    i / 700 % 60,
                    i / 13 % 60,
                    i % 1000,
                    ids.get(i % ids.size()),
                    1 + i % 9));
      }
    }
    long began = System.nanoTime();
    try (BufferedReader in = Files.newBufferedReader(file)) {
      UseLog log = UseLog.read(in, library, n -> true);
      System.out.printf(
          "a use log of 1,000,000 rows (%d MB): %.1f s, %d counted%n",
          Files.size(file) / 1_000_000, (System.nanoTime() - began) / 1e9, log.rows());
    }
    Files.delete(file);
  }

  private static void plan(Library demo, Optional<String> application, int moves, double seconds) {
    List<Subject> stations =
        demo.stations().values().stream().map(s -> Subject.of(demo, Keymap.of(demo, s))).toList();
    Plan plan =
        Planning.of(stations, Planning.Wanted.of(application, moves, seconds), Watcher.PATIENT);
    System.out.printf(
        "plan of %s: %d bindings, %d triggers, %.1f s; %.0f s a week less, at most %.1f s (%.2f %% of today)"
            + " from the best possible%n",
        application.orElse("all programs"),
        plan.lines().size(),
        plan.options(),
        plan.seconds(),
        plan.today() - plan.planned(),
        plan.gap().orElse(Double.NaN),
        100 * plan.gap().orElse(Double.NaN) / Math.max(1e-9, plan.today()));
  }

  private static double median(double[] of) {
    double[] sorted = of.clone();
    Arrays.sort(sorted);
    return sorted[sorted.length / 2];
  }
}
