package foldtwice.outline;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Function;

/**
 * Two lists of rows side by side: the longest common run of equal rows in order, the others marked.
 * Costs the product of the lengths of what differs, divided by 64, in time, and their sum in space:
 * two lists of 100,000 that have nothing in common take a second or two.
 */
public final class Comparison {

  /** A pair of rows; one side is empty where a row has no counterpart. */
  public record Pair<T>(Optional<T> left, Optional<T> right, boolean same) {}

  private Comparison() {}

  /**
   * The rows, equal ones beside each other; between these, as many as can be beside one of their
   * kind.
   *
   * @param kind rows of one kind are shown beside each other though they differ
   */
  public static <T> List<Pair<T>> of(List<T> left, List<T> right, Function<T, ?> kind) {
    List<Pair<T>> pairs = new ArrayList<>(Math.max(left.size(), right.size()));
    beside(
        left,
        right,
        row -> row,
        (a, b) ->
            beside(
                a, b, kind, (c, d) -> alone(c, d, pairs), (c, d) -> pairs.add(pair(c, d, false))),
        (a, b) -> pairs.add(pair(a, b, true)));
    return pairs;
  }

  /** Goes through both lists: what lies between two that belong together, then these. */
  private static <T> void beside(
      List<T> left,
      List<T> right,
      Function<T, ?> by,
      BiConsumer<List<T>, List<T>> between,
      BiConsumer<T, T> together) {
    Map<Object, Integer> numbers = new HashMap<>();
    int[] a = numbered(left, by, numbers);
    int[] b = numbered(right, by, numbers);
    int[] at = CommonRun.of(a, b, numbers.size());
    int i = 0;
    int j = 0;
    for (int k = 0; k < at.length; k++) {
      if (at[k] >= 0) {
        between.accept(left.subList(i, k), right.subList(j, at[k]));
        together.accept(left.get(k), right.get(at[k]));
        i = k + 1;
        j = at[k] + 1;
      }
    }
    between.accept(left.subList(i, left.size()), right.subList(j, right.size()));
  }

  private static <T> int[] numbered(List<T> rows, Function<T, ?> by, Map<Object, Integer> numbers) {
    return rows.stream()
        .mapToInt(row -> numbers.computeIfAbsent(by.apply(row), x -> numbers.size()))
        .toArray();
  }

  private static <T> Pair<T> pair(T left, T right, boolean same) {
    return new Pair<>(Optional.of(left), Optional.of(right), same);
  }

  private static <T> void alone(List<T> left, List<T> right, List<Pair<T>> pairs) {
    left.forEach(t -> pairs.add(new Pair<>(Optional.of(t), Optional.empty(), false)));
    right.forEach(t -> pairs.add(new Pair<>(Optional.empty(), Optional.of(t), false)));
  }
}
