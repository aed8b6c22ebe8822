package foldtwice.standin.sketch;

import foldtwice.run.Change;
import foldtwice.standin.base.StandIn;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;

/**
 * What a sketch works on.
 *
 * @param things what can be selected
 * @param selected those that are, in the order of selecting
 * @param text what was typed
 * @param done how often what has been done, such as {@code command Mirror}
 * @param given what was given to what nobody described, such as {@code field Width}
 */
public record Page(
    List<String> things,
    List<String> selected,
    String text,
    Map<String, Integer> done,
    Map<String, String> given) {

  public Page {
    things = List.copyOf(things);
    selected = List.copyOf(selected);
    done = Collections.unmodifiableMap(new LinkedHashMap<>(done));
    given = Collections.unmodifiableMap(new LinkedHashMap<>(given));
  }

  /** With a few things on it and nothing done. */
  static Page first() {
    return new Page(
        List.of("Thing 1", "Thing 2", "Thing 3", "Thing 4", "Thing 5", "Thing 6"),
        List.of(),
        "",
        Map.of(),
        Map.of());
  }

  Page selecting(List<String> names) {
    return new Page(things, names, text, done, given);
  }

  Page typing(String more) {
    return new Page(things, selected, text + more, done, given);
  }

  Page doing(String what) {
    Map<String, Integer> next = new LinkedHashMap<>(done);
    next.merge(what, 1, Integer::sum);
    return new Page(things, selected, text, next, given);
  }

  Page giving(String what, String to) {
    Map<String, String> next = new LinkedHashMap<>(given);
    next.put(what, to);
    return new Page(things, selected, text, done, next);
  }

  /** What is different in another. */
  List<Change> to(Page after) {
    List<Change> changes = new ArrayList<>();
    StandIn.compare(
        changes, "selection", String.join(", ", selected), String.join(", ", after.selected));
    StandIn.compare(changes, "text", text, after.text);
    TreeSet<String> names = new TreeSet<>(done.keySet());
    names.addAll(after.done.keySet());
    for (String name : names) {
      StandIn.compare(changes, name, times(name), after.times(name));
    }
    names = new TreeSet<>(given.keySet());
    names.addAll(after.given.keySet());
    for (String name : names) {
      StandIn.compare(
          changes,
          name,
          given.getOrDefault(name, "as it was"),
          after.given.getOrDefault(name, "as it was"));
    }
    return changes;
  }

  private String times(String name) {
    int n = done.getOrDefault(name, 0);
    return n == 0 ? "not done" : n == 1 ? "done once" : "done " + n + " times";
  }

  /** In words, as a program's state. */
  void describe(Map<String, String> state) {
    state.put("things", String.join(", ", things));
    state.put("text", text);
    done.forEach((name, n) -> state.put(name, times(name)));
    state.putAll(given);
  }
}
