package foldtwice.plan;

import com.google.ortools.Loader;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverSolutionCallback;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The assignment by a solver that proves how good it is (OR-Tools CP-SAT). */
final class CpSat {

  private static final Logger LOG = LoggerFactory.getLogger(CpSat.class);

  /** Costs are whole numbers for the solver: milliseconds. */
  private static final double SCALE = 1000;

  /** Whether its native library is there; loaded once, by whoever asks first. */
  private static CompletableFuture<Boolean> loading;

  private CpSat() {}

  /** False where its native library does not load. */
  static boolean isThere() {
    return loading().join();
  }

  /** On a thread of its own: whoever asks first may be interrupted in the midst of it. */
  private static synchronized CompletableFuture<Boolean> loading() {
    if (loading == null) {
      CompletableFuture<Boolean> loaded = new CompletableFuture<>();
      Thread.ofPlatform().daemon().name("plan-load").start(() -> load(loaded));
      loading = loaded;
    }
    return loading;
  }

  private static void load(CompletableFuture<Boolean> loaded) {
    try {
      Loader.loadNativeLibraries();
      loaded.complete(true);
    } catch (LinkageError | RuntimeException e) {
      LOG.warn("the solver does not load; plans are searched for without a proof", e);
      loaded.complete(false);
    }
  }

  static Solution solve(Problem problem, double seconds, Watcher watcher) {
    return solve(problem, problem.today(), seconds, watcher);
  }

  /**
   * Solves.
   *
   * @param like where to look first
   */
  static Solution solve(Problem problem, List<Integer> like, double seconds, Watcher watcher) {
    CpModel model = new CpModel();
    List<BoolVar[]> vars = new ArrayList<>();
    LinearExprBuilder cost = LinearExpr.newBuilder();
    LinearExprBuilder moved = LinearExpr.newBuilder();
    for (int i = 0; i < problem.choices().size(); i++) {
      double[] costs = problem.choices().get(i);
      BoolVar[] options = new BoolVar[costs.length];
      for (int a = 0; a < costs.length; a++) {
        options[a] = model.newBoolVar("");
        cost.addTerm(options[a], Math.round(costs[a] * SCALE));
        if (a > 0) {
          moved.addTerm(options[a], problem.sizes().get(i));
        }
        model.addHint(options[a], a == like.get(i) ? 1 : 0);
      }
      model.addExactlyOne(options);
      vars.add(options);
    }
    for (List<Problem.Option> group : problem.groups()) {
      model.addAtMostOne(
          group.stream().map(o -> vars.get(o.choice())[o.index()]).toArray(BoolVar[]::new));
    }
    for (List<Problem.Option> never : problem.never()) {
      model.addBoolOr(
          never.stream().map(o -> vars.get(o.choice())[o.index()].not()).toArray(Literal[]::new));
    }
    if (problem.moves() < problem.sizes().stream().mapToInt(n -> n).sum()) {
      model.addLessOrEqual(moved, problem.moves());
    }
    model.minimize(cost);
    CpSolver solver = new CpSolver();
    solver.getParameters().setMaxTimeInSeconds(Math.max(0.01, seconds));
    solver
        .getParameters()
        .setNumSearchWorkers(Math.max(1, Runtime.getRuntime().availableProcessors() - 1));
    // Who shares a key with whom is nearly all there is: as linear constraints it is quickly
    // proven.
    solver.getParameters().setLinearizationLevel(2);
    ScheduledExecutorService watch =
        Executors.newSingleThreadScheduledExecutor(
            r -> Thread.ofPlatform().daemon().name("plan-watch").unstarted(r));
    CpSolverStatus status;
    try {
      var unused =
          watch.scheduleWithFixedDelay(
              () -> {
                if (!watcher.isWanted()) {
                  solver.stopSearch();
                }
              },
              100,
              100,
              TimeUnit.MILLISECONDS);
      status =
          solver.solve(
              model,
              new CpSolverSolutionCallback() {
                @Override
                public void onSolutionCallback() {
                  watcher.best(objectiveValue() / SCALE, bestObjectiveBound() / SCALE);
                }
              });
    } finally {
      watch.shutdownNow();
    }
    if (status != CpSolverStatus.OPTIMAL && status != CpSolverStatus.FEASIBLE) {
      return new Solution(problem.today(), problem.cost(problem.today()), OptionalDouble.empty());
    }
    List<Integer> taken = new ArrayList<>();
    for (BoolVar[] options : vars) {
      int chosen = 0;
      for (int a = 0; a < options.length; a++) {
        chosen = solver.booleanValue(options[a]) ? a : chosen;
      }
      taken.add(chosen);
    }
    // What was rounded for the solver may be half a millisecond a choice on either side.
    double rounding = taken.size() * 0.5 / SCALE;
    double real = problem.cost(taken);
    return new Solution(
        taken,
        real,
        OptionalDouble.of(Math.min(real, solver.bestObjectiveBound() / SCALE - rounding)));
  }
}
