package foldtwice.resolve;

import foldtwice.trigger.Signal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What is claimed in one place, by the first press of what makes it. Immutable to its users. */
final class Bundle {

  static final Bundle EMPTY = new Bundle(new HashMap<>());

  private final Map<Integer, List<Compiled>> byFirst;

  private Bundle(Map<Integer, List<Compiled>> byFirst) {
    this.byFirst = byFirst;
  }

  /** Empty, to be filled by {@link #add} before anybody sees it. */
  static Bundle open() {
    return new Bundle(new HashMap<>());
  }

  /** Only while the keymap is compiled. */
  void add(Compiled compiled) {
    for (int first : firsts(compiled)) {
      byFirst.computeIfAbsent(first, f -> new ArrayList<>(1)).add(compiled);
    }
  }

  /** The ids of the presses a claim may begin with; none when the layout cannot make it. */
  static Set<Integer> firsts(Compiled compiled) {
    List<List<Signal>> paths = compiled.paths();
    if (paths.size() == 1) {
      return Set.of(paths.getFirst().getFirst().id());
    }
    Set<Integer> firsts = new LinkedHashSet<>();
    paths.forEach(p -> firsts.add(p.getFirst().id()));
    return firsts;
  }

  List<Compiled> beginningWith(int first) {
    return Collections.unmodifiableList(byFirst.getOrDefault(first, List.of()));
  }

  /** The same with more, and without what is gone. */
  Bundle changed(List<Compiled> more, List<Compiled> gone) {
    Map<Integer, List<Compiled>> next = new HashMap<>(byFirst);
    Map<Integer, Set<Claim>> out = new HashMap<>();
    for (Compiled c : gone) {
      firsts(c).forEach(f -> out.computeIfAbsent(f, x -> new HashSet<>()).add(c.claim()));
    }
    out.forEach(
        (first, claims) -> {
          List<Compiled> rest = new ArrayList<>(next.getOrDefault(first, List.of()));
          rest.removeIf(o -> claims.contains(o.claim()));
          if (rest.isEmpty()) {
            next.remove(first);
          } else {
            next.put(first, rest);
          }
        });
    for (Compiled c : more) {
      for (int first : firsts(c)) {
        List<Compiled> grown = new ArrayList<>(next.getOrDefault(first, List.of()));
        grown.add(c);
        next.put(first, grown);
      }
    }
    return new Bundle(next);
  }
}
