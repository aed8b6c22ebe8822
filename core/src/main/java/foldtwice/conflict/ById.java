package foldtwice.conflict;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;

/** Lists of bindings in the order of their ids, which an edit changes in place. */
final class ById {

  static final Comparator<Binding> ORDER = Comparator.comparing(Binding::id);

  private ById() {}

  /**
   * A list after some bindings have changed.
   *
   * @param ids of those that changed
   * @param belongs which of them are in the list now
   */
  static List<Binding> changed(
      List<Binding> was, Collection<String> ids, Library now, Predicate<Binding> belongs) {
    List<Binding> next = new ArrayList<>(was);
    for (String id : Set.copyOf(ids)) {
      Binding is = now.bindings().get(id);
      int at = find(next, id);
      boolean in = is != null && belongs.test(is);
      if (at >= 0 && in) {
        next.set(at, is);
      } else if (at >= 0) {
        next.remove(at);
      } else if (in) {
        next.add(-at - 1, is);
      }
    }
    return next;
  }

  private static int find(List<Binding> sorted, String id) {
    int low = 0;
    int high = sorted.size() - 1;
    while (low <= high) {
      int middle = (low + high) >>> 1;
      int order = sorted.get(middle).id().compareTo(id);
      if (order == 0) {
        return middle;
      }
      low = order < 0 ? middle + 1 : low;
      high = order < 0 ? high : middle - 1;
    }
    return -low - 1;
  }

  /** The same bindings, in their order. */
  static List<Binding> sorted(Collection<Binding> some) {
    List<Binding> all = new ArrayList<>(some);
    Collections.sort(all, ORDER);
    return all;
  }
}
