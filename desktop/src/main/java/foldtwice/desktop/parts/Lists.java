package foldtwice.desktop.parts;

import foldtwice.desktop.session.Question;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.collections.ObservableList;

/** Long lists that follow what they show with as little work as can be. */
public final class Lists {

  private Lists() {}

  /** So far ahead it is looked for where two lists go on alike. */
  private static final int AHEAD = 64;

  /** More differences than these are not told apart. */
  private static final int MOST_APART = 200;

  /** What stands in one list where other things stand in the other. */
  private record Apart(int from, int to, int nextFrom, int nextTo) {}

  /**
   * Makes a list that is shown what it is to be now: what is the same is not touched, so that its
   * rows, and what is chosen, stay. Costs one pass, and a look ahead at each difference.
   */
  public static <T> void follow(ObservableList<T> shown, List<? extends T> next) {
    List<Apart> apart = apart(shown, next);
    Runnable change = () -> apart.reversed().forEach(a -> put(shown, next, a));
    if (shown instanceof Batched<T> batched && !apart.isEmpty()) {
      batched.together(change);
    } else {
      change.run();
    }
  }

  private static <T> void put(ObservableList<T> shown, List<? extends T> next, Apart a) {
    if (a.to - a.from == a.nextTo - a.nextFrom) {
      for (int i = 0; i < a.to - a.from; i++) {
        T value = next.get(a.nextFrom + i);
        if (!isSame(shown.get(a.from + i), value)) {
          shown.set(a.from + i, value);
        }
      }
    } else {
      if (a.from < a.to) {
        shown.remove(a.from, a.to);
      }
      shown.addAll(a.from, next.subList(a.nextFrom, a.nextTo));
    }
  }

  private static List<Apart> apart(List<?> shown, List<?> next) {
    List<Apart> apart = new ArrayList<>();
    int i = 0;
    int j = 0;
    while (i < shown.size() && j < next.size()) {
      if (isSame(shown.get(i), next.get(j))) {
        i++;
        j++;
        continue;
      }
      Optional<Apart> one = apart.size() < MOST_APART ? next(shown, i, next, j) : Optional.empty();
      if (one.isEmpty()) {
        break;
      }
      apart.add(one.get());
      i = one.get().to;
      j = one.get().nextTo;
    }
    if (i < shown.size() || j < next.size()) {
      int same = 0;
      int shorter = Math.min(shown.size() - i, next.size() - j);
      while (same < shorter
          && isSame(shown.get(shown.size() - 1 - same), next.get(next.size() - 1 - same))) {
        same++;
      }
      apart.add(new Apart(i, shown.size() - same, j, next.size() - same));
    }
    return apart;
  }

  /** The difference that begins here, when both go on alike soon. */
  private static Optional<Apart> next(List<?> shown, int i, List<?> next, int j) {
    for (int k = 1; k <= AHEAD; k++) {
      boolean more = i + k < shown.size();
      boolean nextMore = j + k < next.size();
      if (more && nextMore && isSame(shown.get(i + k), next.get(j + k))) {
        return Optional.of(new Apart(i, i + k, j, j + k));
      }
      if (more && isSame(shown.get(i + k), next.get(j))) {
        return Optional.of(new Apart(i, i + k, j, j));
      }
      if (nextMore && isSame(shown.get(i), next.get(j + k))) {
        return Optional.of(new Apart(i, i, j, j + k));
      }
    }
    return Optional.empty();
  }

  /** Most of ten thousand are the very ones of before: what they hold need not be compared. */
  public static boolean isSame(Object a, Object b) {
    return Question.Same.is(a, b) || a.equals(b);
  }
}
