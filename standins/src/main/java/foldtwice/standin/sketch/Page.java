package foldtwice.standin.sketch;

import foldtwice.describe.Description;
import foldtwice.describe.While;
import foldtwice.routine.Value;
import foldtwice.run.Change;
import foldtwice.standin.base.StandIn;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * What a sketch works on.
 *
 * @param things what can be selected, in order; no two of one name
 * @param selected those that are, in the order of selecting
 * @param text what was typed
 * @param done how often what has been done, such as {@code command Mirror}
 * @param given what was given to what nobody described, such as {@code field Width}
 */
public record Page(
    List<Thing> things,
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

  /** Something that can be selected, with its adjustable values. */
  public record Thing(String name, Map<String, Value.Quantity> values) {
    public Thing {
      values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
    }

    /** Whether it is of a kind: its name without its number. Any is of an empty kind. */
    boolean is(String kind) {
      return kind.isEmpty() || name.substring(0, name.lastIndexOf(' ')).equals(kind);
    }

    Thing with(String value, Value.Quantity amount) {
      Map<String, Value.Quantity> next = new LinkedHashMap<>(values);
      next.put(value, amount);
      return new Thing(name, next);
    }
  }

  /** What is there when a program of which nobody said what can be selected is started. */
  private static final List<Description.Thing> SOME =
      List.of(new Description.Thing("Thing", 6, List.of()));

  /** What is there at first, and nothing done to it. */
  static Page first(Description d, List<Description.Adjustable> values) {
    Page page = new Page(List.of(), List.of(), "", Map.of(), Map.of());
    for (Description.Thing kind : d.things().isEmpty() ? SOME : d.things()) {
      for (int i = 0; i < kind.count(); i++) {
        page = page.adding(kind, values);
      }
    }
    return page.selecting(List.of());
  }

  /** With one more of a kind, which is selected. */
  Page adding(Description.Thing kind, List<Description.Adjustable> values) {
    int n = 1;
    List<String> names = names();
    while (names.contains(kind.kind() + " " + n)) {
      n++;
    }
    Map<String, Value.Quantity> its = new LinkedHashMap<>();
    for (Description.Adjustable v : values) {
      if (kind.values().isEmpty() || kind.values().contains(v.name())) {
        its.put(v.name(), v.start());
      }
    }
    Thing one = new Thing(kind.kind() + " " + n, its);
    List<Thing> more = new ArrayList<>(things);
    more.add(one);
    return new Page(more, List.of(one.name()), text, done, given);
  }

  /** Without what is selected. */
  Page removing() {
    return new Page(
        things.stream().filter(t -> !selected.contains(t.name())).toList(),
        List.of(),
        text,
        done,
        given);
  }

  /** With another thing instead of the one of its name. */
  Page with(Thing other) {
    return new Page(
        things.stream().map(t -> t.name().equals(other.name()) ? other : t).toList(),
        selected,
        text,
        done,
        given);
  }

  /** What can be selected, by name. */
  public List<String> names() {
    return things.stream().map(Thing::name).toList();
  }

  /** The things that are selected, in the order of selecting. */
  List<Thing> chosen() {
    Map<String, Thing> byName =
        things.stream().collect(Collectors.toMap(Thing::name, t -> t, (a, b) -> a));
    return selected.stream().map(byName::get).toList();
  }

  Page selecting(List<String> names) {
    return new Page(things, names, text, done, given);
  }

  /** With that selected which has to be; empty where there is nothing of it. */
  Optional<Page> during(While holds) {
    return switch (holds) {
      case While.Selected(String kind) ->
          chosen().stream().anyMatch(t -> t.is(kind))
              ? Optional.of(this)
              : things.stream()
                  .filter(t -> t.is(kind))
                  .findFirst()
                  .map(t -> selecting(List.of(t.name())));
      case While.NothingSelected n -> Optional.of(selected.isEmpty() ? this : selecting(List.of()));
      case While.DialogOpen d -> Optional.of(this);
      case While.Document d -> Optional.of(this);
    };
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
    things(changes, after);
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

  private void things(List<Change> changes, Page after) {
    Map<String, Thing> were = new LinkedHashMap<>();
    things.forEach(t -> were.put(t.name(), t));
    for (Thing t : after.things) {
      Thing was = were.remove(t.name());
      if (was == null) {
        changes.add(new Change(t.name(), "not there", "there"));
      } else {
        Set<String> names = new TreeSet<>(was.values().keySet());
        names.addAll(t.values().keySet()); // one of this name may be of another kind now
        for (String name : names) {
          StandIn.compare(changes, t.name() + " " + name, shown(was, name), shown(t, name));
        }
      }
    }
    were.keySet().forEach(name -> changes.add(new Change(name, "there", "gone")));
  }

  private static String shown(Thing thing, String value) {
    return Optional.ofNullable(thing.values().get(value))
        .map(Value.Quantity::shown)
        .orElse("not there");
  }

  private String times(String name) {
    int n = done.getOrDefault(name, 0);
    return n == 0 ? "not done" : n == 1 ? "done once" : "done " + n + " times";
  }

  /** In words, as a program's state. */
  void describe(Map<String, String> state) {
    state.put("things", String.join(", ", names()));
    for (Thing t : things) {
      t.values().forEach((name, amount) -> state.put(t.name() + " " + name, amount.shown()));
    }
    state.put("text", text);
    done.forEach((name, n) -> state.put(name, times(name)));
    state.putAll(given);
  }
}
