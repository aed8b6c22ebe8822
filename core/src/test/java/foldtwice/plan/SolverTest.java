package foldtwice.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.jgrapht.alg.matching.KuhnMunkresMinimalWeightBipartitePerfectMatching;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;
import org.junit.jupiter.api.Test;

/** The solver against trying every assignment, and against Kuhn and Munkres (JGraphT). */
class SolverTest {

  private static Problem random(Random random, int choices, int options) {
    List<double[]> costs = new ArrayList<>();
    for (int i = 0; i < choices; i++) {
      double[] each = new double[random.nextInt(1, options + 1)];
      for (int a = 0; a < each.length; a++) {
        each[a] = random.nextInt(4000) / 1000.0;
      }
      costs.add(each);
    }
    List<List<Problem.Option>> groups = new ArrayList<>();
    for (int g = random.nextInt(8); g > 0; g--) {
      List<Problem.Option> group = new ArrayList<>();
      boolean today = false;
      for (int i = 0; i < choices; i++) {
        int a = random.nextInt(costs.get(i).length);
        if (random.nextInt(3) > 0 && !(a == 0 && today)) {
          today |= a == 0;
          group.add(new Problem.Option(i, a));
        }
      }
      if (group.size() > 1) {
        groups.add(group);
      }
    }
    List<Integer> sizes = random.ints(choices, 1, random.nextBoolean() ? 2 : 4).boxed().toList();
    List<List<Problem.Option>> never = new ArrayList<>();
    for (int n = random.nextInt(5); n > 0; n--) {
      List<Problem.Option> some = new ArrayList<>();
      for (int i = 0; i < choices; i++) {
        if (random.nextInt(2) == 0) {
          some.add(new Problem.Option(i, random.nextInt(costs.get(i).length)));
        }
      }
      if (some.stream().anyMatch(o -> o.index() > 0)) {
        never.add(some);
      }
    }
    return new Problem(costs, groups, random.nextInt(choices + 1), sizes, never);
  }

  /** Every assignment, tried. */
  private static double best(Problem p, List<Integer> taken, int at) {
    if (at == taken.size()) {
      return p.holds(taken) ? p.cost(taken) : Double.POSITIVE_INFINITY;
    }
    double best = Double.POSITIVE_INFINITY;
    for (int a = 0; a < p.choices().get(at).length; a++) {
      taken.set(at, a);
      best = Math.min(best, best(p, taken, at + 1));
    }
    taken.set(at, 0);
    return best;
  }

  /**
   * Laws: what is found holds, is never above today, is the best, and its bound is not above it.
   */
  @Property(tries = 60)
  void asGoodAsTryingEverything(@ForAll long seed) {
    Problem p = random(new Random(seed), 5, 5);
    double best = best(p, new ArrayList<>(p.today()), 0);
    double today = p.cost(p.today());
    assertThat(p.holds(p.today())).isTrue();
    Solution local = LocalSearch.solve(p, 5, Watcher.PATIENT);
    assertThat(p.holds(local.taken())).isTrue();
    assertThat(local.cost()).isLessThanOrEqualTo(today + 1e-9).isGreaterThanOrEqualTo(best - 1e-9);
    assertThat(local.bound()).isEmpty();
    assertThat(CpSat.isThere()).isTrue();
    Solution proven = CpSat.solve(p, 5, Watcher.PATIENT);
    assertThat(p.holds(proven.taken())).isTrue();
    assertThat(proven.cost()).isEqualTo(best, within(p.choices().size() * 0.001));
    assertThat(proven.bound().orElseThrow()).isLessThanOrEqualTo(best + 1e-9);
    assertThat(proven.gap().orElseThrow()).isLessThanOrEqualTo(p.choices().size() * 0.0011);
  }

  /** Reference: Kuhn (1955) and Munkres (1957), as JGraphT has them. */
  @Test
  void asKuhnAndMunkres() {
    Random random = new Random(7);
    for (int round = 0; round < 5; round++) {
      int n = 12;
      List<double[]> costs = new ArrayList<>();
      SimpleWeightedGraph<String, DefaultWeightedEdge> graph =
          new SimpleWeightedGraph<>(DefaultWeightedEdge.class);
      java.util.Set<String> left = new java.util.LinkedHashSet<>();
      java.util.Set<String> right = new java.util.LinkedHashSet<>();
      for (int i = 0; i < n; i++) {
        left.add("b" + i);
        right.add("t" + i);
        graph.addVertex("b" + i);
        graph.addVertex("t" + i);
      }
      List<List<Problem.Option>> groups = new ArrayList<>();
      for (int t = 0; t < n; t++) {
        groups.add(new ArrayList<>());
      }
      for (int i = 0; i < n; i++) {
        // Today everybody has a trigger of their own: option 0 is trigger i.
        double[] each = new double[n];
        for (int a = 0; a < n; a++) {
          int t = (i + a) % n;
          each[a] = random.nextInt(1, 9000) / 1000.0;
          graph.setEdgeWeight(graph.addEdge("b" + i, "t" + t), each[a]);
          groups.get(t).add(new Problem.Option(i, a));
        }
        costs.add(each);
      }
      double reference =
          new KuhnMunkresMinimalWeightBipartitePerfectMatching<>(graph, left, right)
              .getMatching()
              .getWeight();
      Solution s = CpSat.solve(new Problem(costs, groups, n), 10, Watcher.PATIENT);
      assertThat(s.cost()).isEqualTo(reference, within(1e-6));
    }
  }

  /** Nobody waits any more: what there is so far is the answer. */
  @Test
  void itEndsWhenNobodyWaits() {
    Problem p = random(new Random(3), 60, 40);
    long began = System.nanoTime();
    Solution s =
        CpSat.solve(
            p,
            60,
            new Watcher() {
              @Override
              public boolean isWanted() {
                return false;
              }

              @Override
              public void best(double cost, double bound) {}
            });
    assertThat((System.nanoTime() - began) / 1e9).isLessThan(30);
    assertThat(p.holds(s.taken())).isTrue();
  }
}
