package foldtwice.outline;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;

/**
 * Two lists of rows side by side: the longest common run of equal rows in order, the others marked.
 * What is equal at both ends is paired at once; between, dynamic programming costs time and space
 * of the lengths' product.
 */
public final class Comparison {

  /** A pair of rows; one side is empty where a row has no counterpart. */
  public record Pair<T>(Optional<T> left, Optional<T> right, boolean same) {}

  private Comparison() {}

  /**
   * The rows, equal ones beside each other.
   *
   * @param alike whether two that differ are shown beside each other all the same
   */
  public static <T> List<Pair<T>> of(List<T> left, List<T> right, BiPredicate<T, T> alike) {
    int begin = 0;
    int least = Math.min(left.size(), right.size());
    while (begin < least && left.get(begin).equals(right.get(begin))) {
      begin++;
    }
    int end = 0;
    while (end < least - begin
        && left.get(left.size() - 1 - end).equals(right.get(right.size() - 1 - end))) {
      end++;
    }
    List<Pair<T>> pairs = new ArrayList<>();
    same(left.subList(0, begin), right.subList(0, begin), pairs);
    between(
        left.subList(begin, left.size() - end),
        right.subList(begin, right.size() - end),
        alike,
        pairs);
    same(
        left.subList(left.size() - end, left.size()),
        right.subList(right.size() - end, right.size()),
        pairs);
    return pairs;
  }

  private static <T> void same(List<T> left, List<T> right, List<Pair<T>> pairs) {
    for (int i = 0; i < left.size(); i++) {
      pairs.add(new Pair<>(Optional.of(left.get(i)), Optional.of(right.get(i)), true));
    }
  }

  private static <T> void between(
      List<T> a, List<T> b, BiPredicate<T, T> alike, List<Pair<T>> pairs) {
    int[][] common = common(a, b);
    int i = 0;
    int j = 0;
    while (i < a.size() || j < b.size()) {
      boolean both = i < a.size() && j < b.size();
      if (both && a.get(i).equals(b.get(j))) {
        pairs.add(new Pair<>(Optional.of(a.get(i++)), Optional.of(b.get(j++)), true));
      } else if (both && alike.test(a.get(i), b.get(j)) && common[i + 1][j + 1] == common[i][j]) {
        pairs.add(new Pair<>(Optional.of(a.get(i++)), Optional.of(b.get(j++)), false));
      } else if (j >= b.size() || (i < a.size() && common[i + 1][j] >= common[i][j + 1])) {
        pairs.add(new Pair<>(Optional.of(a.get(i++)), Optional.empty(), false));
      } else {
        pairs.add(new Pair<>(Optional.empty(), Optional.of(b.get(j++)), false));
      }
    }
  }

  /** How long the longest common run is from each place on. */
  private static <T> int[][] common(List<T> a, List<T> b) {
    int[][] common = new int[a.size() + 1][b.size() + 1];
    for (int i = a.size() - 1; i >= 0; i--) {
      for (int j = b.size() - 1; j >= 0; j--) {
        common[i][j] =
            a.get(i).equals(b.get(j))
                ? common[i + 1][j + 1] + 1
                : Math.max(common[i + 1][j], common[i][j + 1]);
      }
    }
    return common;
  }
}
