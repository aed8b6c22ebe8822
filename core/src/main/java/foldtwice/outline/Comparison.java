package foldtwice.outline;

import foldtwice.routine.Line;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Two macros side by side: the longest common run of equal lines in order (dynamic programming,
 * cost and space of the lengths' product), the others marked.
 */
public final class Comparison {

  /** A row of the two outlines; one side is empty where a line has no counterpart. */
  public record Pair(Optional<Outline.Row> left, Optional<Outline.Row> right, boolean same) {}

  private Comparison() {}

  /** The rows of two outlines, equal ones beside each other. */
  public static List<Pair> of(List<Line> left, List<Line> right) {
    List<Outline.Row> a = Outline.rows(left);
    List<Outline.Row> b = Outline.rows(right);
    int[][] common = new int[a.size() + 1][b.size() + 1];
    for (int i = a.size() - 1; i >= 0; i--) {
      for (int j = b.size() - 1; j >= 0; j--) {
        common[i][j] =
            same(a.get(i), b.get(j))
                ? common[i + 1][j + 1] + 1
                : Math.max(common[i + 1][j], common[i][j + 1]);
      }
    }
    List<Pair> pairs = new ArrayList<>();
    int i = 0;
    int j = 0;
    while (i < a.size() || j < b.size()) {
      if (i < a.size() && j < b.size() && same(a.get(i), b.get(j))) {
        pairs.add(new Pair(Optional.of(a.get(i++)), Optional.of(b.get(j++)), true));
      } else if (i < a.size()
          && j < b.size()
          && alike(a.get(i), b.get(j))
          && common[i + 1][j + 1] == common[i][j]) {
        pairs.add(new Pair(Optional.of(a.get(i++)), Optional.of(b.get(j++)), false));
      } else if (j >= b.size() || (i < a.size() && common[i + 1][j] >= common[i][j + 1])) {
        pairs.add(new Pair(Optional.of(a.get(i++)), Optional.empty(), false));
      } else {
        pairs.add(new Pair(Optional.empty(), Optional.of(b.get(j++)), false));
      }
    }
    return pairs;
  }

  /** Equal but for what lies inside, which has rows of its own. */
  private static boolean same(Outline.Row a, Outline.Row b) {
    return a.depth() == b.depth() && bare(a.line()).equals(bare(b.line()));
  }

  private static Line bare(Line line) {
    return line.with(
        line.step().withBodies(line.step().bodies().stream().map(x -> List.<Line>of()).toList()));
  }

  /** The same kind of step on the same level: shown beside each other, marked as differing. */
  private static boolean alike(Outline.Row a, Outline.Row b) {
    return a.depth() == b.depth() && a.line().step().getClass() == b.line().step().getClass();
  }
}
