package foldtwice.outline;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;

/**
 * Two lists of rows side by side: the longest common run of equal rows in order, the others marked.
 * Costs the product of the lengths of what differs, divided by 64, in time, and their sum in space:
 * two lists of 100,000 that have nothing in common take a second or two.
 */
public final class Comparison {

  /** Between two equal rows, more than so many pairs are not all looked at for likeness. */
  private static final long MOST_PAIRS = 200_000;

  /** A pair of rows; one side is empty where a row has no counterpart. */
  public record Pair<T>(Optional<T> left, Optional<T> right, boolean same) {}

  private Comparison() {}

  /**
   * The rows, equal ones beside each other.
   *
   * @param alike whether two that differ are shown beside each other all the same
   */
  public static <T> List<Pair<T>> of(List<T> left, List<T> right, BiPredicate<T, T> alike) {
    Map<T, Integer> numbers = new HashMap<>();
    int[] a = numbered(left, numbers);
    int[] b = numbered(right, numbers);
    int[] at = CommonRun.of(a, b, numbers.size());
    List<Pair<T>> pairs = new ArrayList<>(Math.max(a.length, b.length));
    int i = 0;
    int j = 0;
    for (int k = 0; k < at.length; k++) {
      if (at[k] >= 0) {
        between(left.subList(i, k), right.subList(j, at[k]), alike, pairs);
        pairs.add(new Pair<>(Optional.of(left.get(k)), Optional.of(right.get(at[k])), true));
        i = k + 1;
        j = at[k] + 1;
      }
    }
    between(left.subList(i, left.size()), right.subList(j, right.size()), alike, pairs);
    return pairs;
  }

  private static <T> int[] numbered(List<T> rows, Map<T, Integer> numbers) {
    int[] all = new int[rows.size()];
    for (int i = 0; i < all.length; i++) {
      Integer known = numbers.putIfAbsent(rows.get(i), numbers.size());
      all[i] = known == null ? numbers.size() - 1 : known;
    }
    return all;
  }

  /** Rows without an equal one: as many as can be beside one that is like it. */
  private static <T> void between(
      List<T> a, List<T> b, BiPredicate<T, T> alike, List<Pair<T>> pairs) {
    boolean few = (long) a.size() * b.size() <= MOST_PAIRS;
    int[][] most = few ? most(a, b, alike) : new int[0][];
    int i = 0;
    int j = 0;
    while (i < a.size() && j < b.size()) {
      boolean paired =
          alike.test(a.get(i), b.get(j)) && (!few || most[i + 1][j + 1] + 1 == most[i][j]);
      boolean leftAlone = !paired && (few ? most[i + 1][j] >= most[i][j + 1] : i <= j);
      pairs.add(
          new Pair<>(
              paired || leftAlone ? Optional.of(a.get(i)) : Optional.empty(),
              paired || !leftAlone ? Optional.of(b.get(j)) : Optional.empty(),
              false));
      i += paired || leftAlone ? 1 : 0;
      j += paired || !leftAlone ? 1 : 0;
    }
    a.subList(i, a.size())
        .forEach(t -> pairs.add(new Pair<>(Optional.of(t), Optional.empty(), false)));
    b.subList(j, b.size())
        .forEach(t -> pairs.add(new Pair<>(Optional.empty(), Optional.of(t), false)));
  }

  /** How many can stand beside one like it, from each place on. */
  private static <T> int[][] most(List<T> a, List<T> b, BiPredicate<T, T> alike) {
    int[][] most = new int[a.size() + 1][b.size() + 1];
    for (int i = a.size() - 1; i >= 0; i--) {
      for (int j = b.size() - 1; j >= 0; j--) {
        int paired = alike.test(a.get(i), b.get(j)) ? most[i + 1][j + 1] + 1 : 0;
        most[i][j] = Math.max(paired, Math.max(most[i + 1][j], most[i][j + 1]));
      }
    }
    return most;
  }
}
