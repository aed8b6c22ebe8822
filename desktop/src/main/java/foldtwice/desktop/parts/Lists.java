package foldtwice.desktop.parts;

import foldtwice.desktop.session.Question;
import java.util.List;
import javafx.collections.ObservableList;

/** Long lists that follow what they show with as little work as can be. */
public final class Lists {

  private Lists() {}

  /**
   * Makes a list that is shown what it is to be now: what is before the first difference and after
   * the last one is not touched, so that its rows, and what is chosen, stay. Costs one pass.
   */
  public static <T> void follow(ObservableList<T> shown, List<? extends T> next) {
    int start = 0;
    int shorter = Math.min(shown.size(), next.size());
    while (start < shorter && isSame(shown.get(start), next.get(start))) {
      start++;
    }
    int same = 0;
    while (same < shorter - start
        && isSame(shown.get(shown.size() - 1 - same), next.get(next.size() - 1 - same))) {
      same++;
    }
    int oldEnd = shown.size() - same;
    int newEnd = next.size() - same;
    if (oldEnd == newEnd) {
      for (int i = start; i < newEnd; i++) {
        if (!isSame(shown.get(i), next.get(i))) {
          shown.set(i, next.get(i));
        }
      }
    } else {
      shown.remove(start, oldEnd);
      shown.addAll(start, next.subList(start, newEnd));
    }
  }

  /** Most of ten thousand are the very ones of before: what they hold need not be compared. */
  public static boolean isSame(Object a, Object b) {
    return Question.Same.is(a, b) || a.equals(b);
  }
}
