package foldtwice.library;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * One value of a map that came, went or changed.
 *
 * @param was empty for one that came
 * @param is empty for one that went
 */
public record Difference<T>(Optional<T> was, Optional<T> is) {

  /**
   * What is different between two maps by id. Costs what was put since, when one map was made from
   * the other a few edits ago, else one pass over both; values that are the same object in the same
   * order are not looked into.
   */
  public static <T> List<Difference<T>> between(
      Map<String, T> was, Map<String, T> is, Function<T, String> id) {
    if (was == is) {
      return List.of();
    }
    Optional<List<String>> apart = is instanceof Chunked<T> now ? now.apart(was) : Optional.empty();
    return apart
        .map(
            ids ->
                ids.stream()
                    .filter(i -> !is.get(i).equals(was.get(i)))
                    .map(i -> new Difference<>(Optional.of(was.get(i)), Optional.of(is.get(i))))
                    .toList())
        .orElseGet(() -> whole(was, is, id));
  }

  /**
   * True when two maps have the same ids in the same order. Costs nothing when one was made from
   * the other by putting other values, else one pass over both.
   */
  public static <T> boolean isSameOrder(Map<String, T> was, Map<String, T> is) {
    if (is instanceof Chunked<T> now && now.apart(was).isPresent()) {
      return true;
    }
    return List.copyOf(was.keySet()).equals(List.copyOf(is.keySet()));
  }

  private static <T> List<Difference<T>> whole(
      Map<String, T> was, Map<String, T> is, Function<T, String> id) {
    List<Difference<T>> all = new ArrayList<>();
    Iterator<T> old = was.values().iterator();
    int kept = 0;
    for (T value : is.values()) {
      T beside = old.hasNext() ? old.next() : null;
      if (value == beside) {
        kept++;
        continue;
      }
      T before = was.get(id.apply(value));
      kept += before == null ? 0 : 1;
      if (!value.equals(before)) {
        all.add(new Difference<>(Optional.ofNullable(before), Optional.of(value)));
      }
    }
    if (kept < was.size()) {
      for (T value : was.values()) {
        if (!is.containsKey(id.apply(value))) {
          all.add(new Difference<>(Optional.of(value), Optional.empty()));
        }
      }
    }
    return all;
  }
}
