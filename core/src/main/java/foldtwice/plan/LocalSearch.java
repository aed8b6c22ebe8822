package foldtwice.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * Looks for a better assignment from today's on, by what helps most: one choice made otherwise.
 * Ends where nothing of that kind helps; proves nothing. For computers on which the solver does not
 * load. Cost: options times choices for each step.
 */
final class LocalSearch {

  private LocalSearch() {}

  static Solution solve(Problem problem, double seconds, Watcher watcher) {
    long until = System.nanoTime() + (long) (seconds * 1e9);
    Map<Problem.Option, List<Integer>> in = Problem.memberships(problem.groups());
    Map<Problem.Option, List<Integer>> never = Problem.memberships(problem.never());
    int[] taken = new int[problem.choices().size()];
    int[] load = new int[problem.groups().size()];
    for (int i = 0; i < taken.length; i++) {
      for (int g : in.getOrDefault(new Problem.Option(i, 0), List.of())) {
        load[g]++;
      }
    }
    int moved = 0;
    boolean better = true;
    while (better && System.nanoTime() < until && watcher.isWanted()) {
      better = false;
      List<Step> steps = steps(problem, taken);
      for (Step s : steps) {
        int size = problem.sizes().get(s.choice());
        int after = moved + size * ((s.index() == 0 ? 0 : 1) - (taken[s.choice()] == 0 ? 0 : 1));
        if (after > Math.max(moved, problem.moves())) {
          continue;
        }
        if (fits(s, taken, load, in) && isAllowed(s, taken, problem, never)) {
          moved = after;
          change(s, taken, load, in);
          watcher.best(problem.cost(list(taken)), Double.NEGATIVE_INFINITY);
          better = true;
          break;
        }
      }
    }
    return new Solution(list(taken), problem.cost(list(taken)), OptionalDouble.empty());
  }

  private static List<Integer> list(int[] taken) {
    return Arrays.stream(taken).boxed().toList();
  }

  private record Step(int choice, int index, double gain) {}

  private static List<Step> steps(Problem problem, int[] taken) {
    List<Step> all = new ArrayList<>();
    for (int i = 0; i < taken.length; i++) {
      double[] costs = problem.choices().get(i);
      for (int a = 0; a < costs.length; a++) {
        double gain = costs[taken[i]] - costs[a];
        if (a != taken[i] && gain > 1e-9) {
          all.add(new Step(i, a, gain));
        }
      }
    }
    all.sort(Comparator.comparingDouble((Step s) -> -s.gain()));
    return all;
  }

  private static boolean fits(
      Step s, int[] taken, int[] load, Map<Problem.Option, List<Integer>> in) {
    List<Integer> leaves =
        in.getOrDefault(new Problem.Option(s.choice(), taken[s.choice()]), List.of());
    for (int g : in.getOrDefault(new Problem.Option(s.choice(), s.index()), List.of())) {
      if (load[g] - (leaves.contains(g) ? 1 : 0) > 0) {
        return false;
      }
    }
    return true;
  }

  private static boolean isAllowed(
      Step s, int[] taken, Problem problem, Map<Problem.Option, List<Integer>> never) {
    return never.getOrDefault(new Problem.Option(s.choice(), s.index()), List.of()).stream()
        .allMatch(
            n ->
                problem.never().get(n).stream()
                    .anyMatch(o -> o.choice() != s.choice() && taken[o.choice()] != o.index()));
  }

  private static void change(
      Step s, int[] taken, int[] load, Map<Problem.Option, List<Integer>> in) {
    in.getOrDefault(new Problem.Option(s.choice(), taken[s.choice()]), List.of())
        .forEach(g -> load[g]--);
    taken[s.choice()] = s.index();
    in.getOrDefault(new Problem.Option(s.choice(), s.index()), List.of()).forEach(g -> load[g]++);
  }
}
