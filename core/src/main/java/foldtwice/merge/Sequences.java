package foldtwice.merge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Lists whose order means something, such as steps and lines: both sides held against what they
 * came from, by a longest common subsequence of each. Where they differ in the same place, who asks
 * decides. Costs the product of the lengths of what is not alike at both ends.
 */
final class Sequences {

  /** Longer ones are not looked into: then all of it is one place. */
  private static final long MOST = 25_000_000;

  private Sequences() {}

  /** Decides what both sides changed. */
  interface Deciding<T> {
    List<T> decide(List<T> base, List<T> ours, List<T> theirs);
  }

  static <T> List<T> merged(List<T> base, List<T> ours, List<T> theirs, Deciding<T> deciding) {
    int[] toOurs = alike(base, ours);
    int[] toTheirs = alike(base, theirs);
    List<T> out = new ArrayList<>();
    int b = 0;
    int o = 0;
    int t = 0;
    for (int i = 0; i <= base.size(); i++) {
      boolean end = i == base.size();
      if (!end && (toOurs[i] < 0 || toTheirs[i] < 0)) {
        continue;
      }
      int untilOurs = end ? ours.size() : toOurs[i];
      int untilTheirs = end ? theirs.size() : toTheirs[i];
      out.addAll(
          place(
              base.subList(b, i),
              ours.subList(o, untilOurs),
              theirs.subList(t, untilTheirs),
              deciding));
      if (!end) {
        out.add(base.get(i));
      }
      b = i + 1;
      o = untilOurs + 1;
      t = untilTheirs + 1;
    }
    return out;
  }

  private static <T> List<T> place(
      List<T> base, List<T> ours, List<T> theirs, Deciding<T> deciding) {
    if (ours.equals(theirs) || theirs.equals(base)) {
      return ours;
    }
    return ours.equals(base) ? theirs : deciding.decide(base, ours, theirs);
  }

  /** For each of one list where it is in the other, in order; negative where it is not. */
  private static <T> int[] alike(List<T> from, List<T> to) {
    int[] at = new int[from.size()];
    Arrays.fill(at, -1);
    int first = 0;
    while (first < Math.min(from.size(), to.size()) && from.get(first).equals(to.get(first))) {
      at[first] = first;
      first++;
    }
    int n = from.size();
    int m = to.size();
    while (n > first && m > first && from.get(n - 1).equals(to.get(m - 1))) {
      at[--n] = --m;
    }
    int rows = n - first;
    int columns = m - first;
    if ((long) rows * columns <= MOST) {
      inTheMiddle(from, to, first, rows, columns, at);
    }
    return at;
  }

  private static <T> void inTheMiddle(
      List<T> from, List<T> to, int first, int rows, int columns, int[] at) {
    int[][] longest = new int[rows + 1][columns + 1];
    for (int i = rows - 1; i >= 0; i--) {
      for (int j = columns - 1; j >= 0; j--) {
        longest[i][j] =
            from.get(first + i).equals(to.get(first + j))
                ? longest[i + 1][j + 1] + 1
                : Math.max(longest[i + 1][j], longest[i][j + 1]);
      }
    }
    int i = 0;
    int j = 0;
    while (i < rows && j < columns) {
      if (from.get(first + i).equals(to.get(first + j))) {
        at[first + i++] = first + j++;
      } else if (longest[i + 1][j] >= longest[i][j + 1]) {
        i++;
      } else {
        j++;
      }
    }
  }
}
