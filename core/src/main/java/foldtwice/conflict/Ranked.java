package foldtwice.conflict;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;

/** Lists of conflicts, the heaviest first, that are changed in a few places. */
final class Ranked {

  private Ranked() {}

  /**
   * A list without some of its conflicts and with others, in order. Costs a search for each of them
   * and one copy of the list.
   */
  static List<Conflict> changed(List<Conflict> before, List<Conflict> gone, List<Conflict> fresh) {
    if (gone.isEmpty() && fresh.isEmpty()) {
      return before;
    }
    int[] out = new int[gone.size()];
    for (int i = 0; i < out.length; i++) {
      out[i] = find(before, gone.get(i));
    }
    Arrays.sort(out);
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

  /** Where this very conflict stands; two may be equal. */
  @SuppressWarnings("ReferenceEquality")
  private static int find(List<Conflict> sorted, Conflict c) {
    for (int i = place(sorted, c) - 1; i >= 0; i--) {
      if (sorted.get(i) == c) {
        return i;
      }
    }
    throw new IllegalStateException("not among those it was told with: " + c);
  }
}
