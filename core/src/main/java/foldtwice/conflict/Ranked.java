package foldtwice.conflict;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/** Lists of conflicts, the heaviest first, that are changed in a few places. */
public final class Ranked {

  private Ranked() {}

  /**
   * A list without some of its conflicts and with others, in order. Costs a search for each of them
   * and one copy of the list.
   *
   * @param before in the order of an audit, as all that is made of it
   * @param gone each of them is in it
   */
  public static List<Conflict> changed(
      List<Conflict> before, List<Conflict> gone, List<Conflict> fresh) {
    if (gone.isEmpty() && fresh.isEmpty()) {
      return before;
    }
    BitSet leaving = new BitSet();
    gone.forEach(c -> leaving.set(find(before, c, leaving)));
    int[] out = leaving.stream().toArray();
    List<Conflict> in = new ArrayList<>(fresh);
    in.sort(Auditor.HEAVIEST_FIRST);
    List<Conflict> all = new ArrayList<>(before.size() - gone.size() + in.size());
    int at = 0;
    int nextOut = 0;
    for (Conflict c : in) {
      int until = place(before, c);
      nextOut = copy(before, at, until, out, nextOut, all);
      at = until;
      all.add(c);
    }
    var unused = copy(before, at, before.size(), out, nextOut, all);
    return Collections.unmodifiableList(all);
  }

  /**
   * The same of several lists: those, by key, of which something goes or to which something comes.
   */
  public static <K> Map<K, List<Conflict>> changed(
      Function<K, List<Conflict>> before,
      Map<K, List<Conflict>> gone,
      Map<K, List<Conflict>> fresh) {
    Set<K> touched = new HashSet<>(gone.keySet());
    touched.addAll(fresh.keySet());
    Map<K, List<Conflict>> now = new HashMap<>();
    for (K key : touched) {
      now.put(
          key,
          changed(
              before.apply(key),
              gone.getOrDefault(key, List.of()),
              fresh.getOrDefault(key, List.of())));
    }
    return now;
  }

  /**
   * Adds what only one of two lists has, each as often as it has it more. Costs a comparison of
   * what both begin and end with, and a hash of each between.
   */
  static void apart(
      List<Conflict> was, List<Conflict> is, List<Conflict> gone, List<Conflict> fresh) {
    int begin = 0;
    int least = Math.min(was.size(), is.size());
    while (begin < least && was.get(begin).equals(is.get(begin))) {
      begin++;
    }
    int end = 0;
    while (end < least - begin
        && was.get(was.size() - 1 - end).equals(is.get(is.size() - 1 - end))) {
      end++;
    }
    Map<Conflict, Integer> left = new HashMap<>();
    was.subList(begin, was.size() - end).forEach(c -> left.merge(c, 1, Integer::sum));
    for (Conflict c : is.subList(begin, is.size() - end)) {
      if (left.getOrDefault(c, 0) > 0) {
        left.merge(c, -1, Integer::sum);
      } else {
        fresh.add(c);
      }
    }
    left.forEach((c, times) -> gone.addAll(Collections.nCopies(times, c)));
  }

  /** Copies a stretch but for what is out; returns how many of those are done with. */
  private static int copy(
      List<Conflict> from, int begin, int end, int[] out, int nextOut, List<Conflict> to) {
    int at = begin;
    int next = nextOut;
    while (next < out.length && out[next] < end) {
      to.addAll(from.subList(at, out[next]));
      at = out[next] + 1;
      next++;
    }
    to.addAll(from.subList(at, end));
    return next;
  }

  /** Where a conflict goes: behind all that are not lighter. */
  private static int place(List<Conflict> sorted, Conflict c) {
    int low = 0;
    int high = sorted.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (Auditor.HEAVIEST_FIRST.compare(sorted.get(middle), c) <= 0) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** Where a conflict stands that does not leave yet; of several that are equal any will do. */
  private static int find(List<Conflict> sorted, Conflict c, BitSet leaving) {
    for (int i = place(sorted, c) - 1; i >= 0; i--) {
      if (!leaving.get(i) && sorted.get(i).equals(c)) {
        return i;
      }
    }
    throw new IllegalStateException("not among those it was told with: " + c);
  }
}
