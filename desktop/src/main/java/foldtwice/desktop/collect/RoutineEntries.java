package foldtwice.desktop.collect;

import foldtwice.binding.Binding;
import foldtwice.desktop.collect.RoutineOrder.Entry;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Snapshot;
import foldtwice.library.Bound;
import foldtwice.library.Difference;
import foldtwice.routine.Routine;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The routines of a library as entries of the list; those of before are used again. */
final class RoutineEntries {

  /** An entry, and what it was made from. */
  private record Made(Routine of, Entry entry) {}

  private Map<String, Made> made = Map.of();
  private Snapshot last;

  /** The entries, in the order of the library. Costs a look at each routine. */
  List<Entry> of(Snapshot now) {
    Map<String, Made> before = isSaidAlike(now) ? made : Map.of();
    Set<String> touched = touched(now);
    Map<String, Made> next = new HashMap<>();
    List<Entry> entries = new ArrayList<>();
    for (Routine r : now.library().routines().values()) {
      Made was = before.get(r.id());
      Made is =
          was != null && Question.Same.is(was.of(), r) && !touched.contains(r.id())
              ? was
              : new Made(r, new Entry(r, Bound.to(now.library(), r.id()), now.words()));
      next.put(r.id(), is);
      entries.add(is.entry());
    }
    made = next;
    last = now;
    return entries;
  }

  /** The routines with bindings that are not as they were when the entries were made last. */
  private Set<String> touched(Snapshot now) {
    Set<String> touched = new HashSet<>();
    if (last != null) {
      for (Difference<Binding> d :
          Difference.between(last.library().bindings(), now.library().bindings(), Binding::id)) {
        d.was().ifPresent(b -> touched.add(b.routine()));
        d.is().ifPresent(b -> touched.add(b.routine()));
      }
    }
    return touched;
  }

  /** True when triggers are written as they were: by the layout and the names of surfaces. */
  private boolean isSaidAlike(Snapshot now) {
    return last != null
        && last.library().surfaces() == now.library().surfaces()
        && last.keymap().layout().equals(now.keymap().layout());
  }
}
