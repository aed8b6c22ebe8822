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
   * What is different between two maps by id. Costs one pass over both; values that are the same
   * object in the same order, as most are after an edit, are not looked into.
   */
  public static <T> List<Difference<T>> between(
      Map<String, T> was, Map<String, T> is, Function<T, String> id) {
    List<Difference<T>> all = new ArrayList<>();
    if (was == is) {
      return all;
    }
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
