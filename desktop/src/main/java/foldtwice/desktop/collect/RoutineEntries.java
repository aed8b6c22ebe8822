package foldtwice.desktop.collect;

import foldtwice.binding.Binding;
import foldtwice.desktop.collect.RoutineOrder.Entry;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Snapshot;
import foldtwice.routine.Routine;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The routines of a library as entries of the list; those of before are used again. */
final class RoutineEntries {

  /** An entry, and what it was made from. */
  private record Made(Routine of, List<Binding> bindings, Entry entry) {}

  private Map<String, Made> made = Map.of();
  private Snapshot last;

  /** The entries, in the order of the library. Costs one pass over the bindings. */
  List<Entry> of(Snapshot now) {
    Map<String, List<Binding>> bindings = new HashMap<>();
    now.library()
        .bindings()
        .values()
        .forEach(b -> bindings.computeIfAbsent(b.routine(), r -> new ArrayList<>()).add(b));
    Map<String, Made> before = isSaidAlike(now) ? made : Map.of();
    Map<String, Made> next = new HashMap<>();
    List<Entry> entries = new ArrayList<>();
    for (Routine r : now.library().routines().values()) {
      List<Binding> its = bindings.getOrDefault(r.id(), List.of());
      Made was = before.get(r.id());
      Made is =
          was != null && Question.Same.is(was.of(), r) && was.bindings().equals(its)
              ? was
              : new Made(r, its, entry(r, its, now.words()));
      next.put(r.id(), is);
      entries.add(is.entry());
    }
    made = next;
    last = now;
    return entries;
  }

  /** True when triggers are written as they were: by the layout and the names of surfaces. */
  private boolean isSaidAlike(Snapshot now) {
    return last != null
        && last.library().surfaces() == now.library().surfaces()
        && last.keymap().layout().equals(now.keymap().layout());
  }

  private static Entry entry(Routine routine, List<Binding> bindings, Words words) {
    double uses = bindings.stream().mapToDouble(Binding::usesPerWeek).sum();
    List<String> keys =
        bindings.stream()
            .sorted(Comparator.comparingDouble(Binding::usesPerWeek).reversed())
            .flatMap(b -> b.triggers().stream())
            .map(words::trigger)
            .distinct()
            .toList();
    return new Entry(routine, bindings.size(), uses, keys);
  }
}
