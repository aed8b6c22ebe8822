package foldtwice.live.survey;

import foldtwice.live.bus.Label;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/** What is new, changed and gone, as it is found. */
final class Differences {

  private final boolean whole;
  private final List<Proposal.Difference> found = new ArrayList<>();

  /**
   * @param whole true when all menus were read, so that what was not seen is gone
   */
  Differences(boolean whole) {
    this.whole = whole;
  }

  boolean whole() {
    return whole;
  }

  List<Proposal.Difference> found() {
    return found;
  }

  interface Again<T> {
    T of(T old, T now);
  }

  /**
   * What is said and what was read, by name.
   *
   * @param onlySeen true for what need not have been open to be there, so that it is never gone
   */
  <T> List<T> merge(
      List<T> old,
      List<T> now,
      Function<T, String> name,
      Again<T> again,
      Function<T, String> words,
      Proposal.What what,
      boolean onlySeen) {
    Map<String, T> read = new LinkedHashMap<>();
    now.forEach(t -> read.putIfAbsent(name.apply(t), t));
    List<T> all = new ArrayList<>();
    Set<String> known = new HashSet<>();
    for (T t : old) {
      known.add(name.apply(t));
      T seen = read.get(name.apply(t));
      if (seen == null) {
        all.add(t);
        if (!onlySeen && whole) {
          differ(Proposal.Fate.GONE, what, name.apply(t), name.apply(t), words.apply(t), "");
        }
        continue;
      }
      T next = again.of(t, seen);
      all.add(next);
      if (!next.equals(t)) {
        differ(
            Proposal.Fate.CHANGED,
            what,
            name.apply(t),
            name.apply(t),
            words.apply(t),
            words.apply(next));
      }
    }
    read.forEach(
        (n, t) -> {
          if (!known.contains(n)) {
            all.add(t);
            differ(Proposal.Fate.NEW, what, n, n, "", words.apply(t));
          }
        });
    return all;
  }

  void differ(
      Proposal.Fate fate, Proposal.What what, String id, String name, String before, String now) {
    found.add(new Proposal.Difference(fate, what, id, name, before, now));
  }

  /** A path without what is only a way of writing. */
  static List<String> plain(List<String> path) {
    return path.stream().map(Label::of).toList();
  }
}
