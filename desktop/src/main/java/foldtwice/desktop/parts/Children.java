package foldtwice.desktop.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToIntFunction;
import javafx.collections.ObservableList;
import javafx.scene.Node;

/** What is shown in a pane, made other with as little taken out and put in as possible. */
public final class Children {

  /** More pairs are not held against each other. */
  private static final int MOST = 40_000;

  private Children() {}

  /**
   * Makes a list another one. What stays in its order stays in the scene and keeps its styles;
   * where things change places, those of more weight stay.
   *
   * @param weight what it costs to take something out and put it in again, 1 or more
   */
  public static void follow(
      ObservableList<Node> there, List<Node> wanted, ToIntFunction<Node> weight) {
    int from = 0;
    while (from < Math.min(there.size(), wanted.size())
        && there.get(from).equals(wanted.get(from))) {
      from++;
    }
    int end = there.size();
    int wantedEnd = wanted.size();
    while (end > from && wantedEnd > from && there.get(end - 1).equals(wanted.get(wantedEnd - 1))) {
      end--;
      wantedEnd--;
    }
    List<Node> before = new ArrayList<>(there.subList(from, end));
    List<Node> after = wanted.subList(from, wantedEnd);
    boolean[] stays =
        (long) before.size() * after.size() <= MOST
            ? heaviest(before, after, weight)
            : new boolean[before.size()];
    for (int i = before.size(); i > 0; i--) {
      int to = i;
      while (i > 0 && !stays[i - 1]) {
        i--;
      }
      if (i < to) {
        there.remove(from + i, from + to);
      }
    }
    for (int i = 0; i < after.size(); i++) {
      int to = i;
      while (to < after.size()
          && (from + i >= there.size() || !there.get(from + i).equals(after.get(to)))) {
        to++;
      }
      if (to > i) {
        there.addAll(from + i, List.copyOf(after.subList(i, to)));
        i = to;
      }
    }
  }

  /** Which of one list are in a common subsequence of the greatest weight. */
  private static boolean[] heaviest(
      List<Node> before, List<Node> after, ToIntFunction<Node> weight) {
    int[][] best = new int[before.size() + 1][after.size() + 1];
    for (int i = before.size() - 1; i >= 0; i--) {
      for (int j = after.size() - 1; j >= 0; j--) {
        best[i][j] =
            before.get(i).equals(after.get(j))
                ? best[i + 1][j + 1] + weight.applyAsInt(before.get(i))
                : Math.max(best[i + 1][j], best[i][j + 1]);
      }
    }
    boolean[] stays = new boolean[before.size()];
    int j = 0;
    for (int i = 0; i < before.size() && j < after.size(); ) {
      if (before.get(i).equals(after.get(j))) {
        stays[i++] = true;
        j++;
      } else if (best[i + 1][j] >= best[i][j + 1]) {
        i++;
      } else {
        j++;
      }
    }
    return stays;
  }
}
