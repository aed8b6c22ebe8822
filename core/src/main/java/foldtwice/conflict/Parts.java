package foldtwice.conflict;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What was found, by what it is told of. The next one begins as this one and shares what it does
 * not change: an edit costs what it changes, and once in a while a copy of the whole.
 */
final class Parts {

  /** When so much has changed, the whole is copied. */
  private static final int MOST_CHANGED = 400;

  private final Map<Object, List<Conflict>> whole;
  private final Map<Object, List<Conflict>> changed;

  Parts() {
    this(new HashMap<>(), new HashMap<>());
  }

  private Parts(Map<Object, List<Conflict>> whole, Map<Object, List<Conflict>> changed) {
    this.whole = whole;
    this.changed = changed;
  }

  /** One that begins as this; this is not to be changed any more. */
  Parts next() {
    if (changed.size() <= MOST_CHANGED) {
      return new Parts(whole, new HashMap<>(changed));
    }
    Map<Object, List<Conflict>> all = new HashMap<>(whole);
    all.putAll(changed);
    all.values().removeIf(List::isEmpty);
    return new Parts(all, new HashMap<>());
  }

  /** What is told of something; nothing when nothing is. */
  List<Conflict> get(Object key) {
    List<Conflict> found = changed.get(key);
    return found != null ? found : whole.getOrDefault(key, List.of());
  }

  void put(Object key, List<Conflict> found) {
    changed.put(key, List.copyOf(found));
  }

  /** All there is, in no order. */
  List<Conflict> all() {
    List<Conflict> all = new ArrayList<>();
    whole.forEach(
        (key, found) -> {
          if (!changed.containsKey(key)) {
            all.addAll(found);
          }
        });
    changed.values().forEach(all::addAll);
    return all;
  }
}
