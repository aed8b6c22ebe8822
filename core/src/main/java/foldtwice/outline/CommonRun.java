package foldtwice.outline;

import java.util.Arrays;

/**
 * A longest common subsequence of two lists of numbers: for each of the first, where its
 * counterpart stands in the second. Halved until a table is small, each half weighed by how long
 * the common run is up to every place, 64 places at a time: time of the lengths' product divided by
 * 64, space of their sum.
 *
 * <p>Sources, from memory: D. S. Hirschberg, A linear space algorithm for computing maximal common
 * subsequences, 1975; H. Hyyrö, Bit-parallel LCS-length computation revisited, 2004.
 */
final class CommonRun {

  /** Tables with no more cells are worked out as a whole. */
  private static final int CELLS = 1 << 14;

  private static final int NONE = -1;

  private final int[] a;
  private final int[] b;
  private final int cells;
  private final int[] at;

  /** By number, the first place in the part of the second list that is looked at. */
  private final int[] first;

  /** By place in that part, the next place with the same number. */
  private final int[] next;

  private CommonRun(int[] a, int[] b, int numbers, int cells) {
    this.a = a;
    this.b = b;
    this.cells = cells;
    at = new int[a.length];
    first = new int[numbers];
    next = new int[b.length];
    Arrays.fill(at, NONE);
    Arrays.fill(first, NONE);
  }

  /**
   * By place in the first list, the place of its counterpart in the second, ascending; -1 for none.
   *
   * @param numbers more than the largest number in either; none is negative
   */
  static int[] of(int[] a, int[] b, int numbers) {
    return of(a, b, numbers, CELLS);
  }

  /** The same with tables of at most so many cells. */
  static int[] of(int[] a, int[] b, int numbers, int cells) {
    CommonRun run = new CommonRun(a, b, numbers, cells);
    run.find(0, a.length, 0, b.length);
    return run.at;
  }

  private void find(int fromA, int toA, int fromB, int toB) {
    int a0 = fromA;
    int a1 = toA;
    int b0 = fromB;
    int b1 = toB;
    while (a0 < a1 && b0 < b1 && a[a0] == b[b0]) {
      at[a0++] = b0++;
    }
    while (a0 < a1 && b0 < b1 && a[a1 - 1] == b[b1 - 1]) {
      at[--a1] = --b1;
    }
    if (a0 == a1 || b0 == b1) {
      return;
    }
    if (a1 - a0 == 1) {
      one(a0, b0, b1);
    } else if ((long) (a1 - a0) * (b1 - b0) <= cells) {
      table(a0, a1, b0, b1);
    } else {
      halve(a0, a1, b0, b1);
    }
  }

  private void one(int a0, int b0, int b1) {
    for (int j = b0; j < b1; j++) {
      if (a[a0] == b[j]) {
        at[a0] = j;
        return;
      }
    }
  }

  private void table(int a0, int a1, int b0, int b1) {
    int[][] common = new int[a1 - a0 + 1][b1 - b0 + 1];
    for (int i = a1 - a0 - 1; i >= 0; i--) {
      for (int j = b1 - b0 - 1; j >= 0; j--) {
        common[i][j] =
            a[a0 + i] == b[b0 + j]
                ? common[i + 1][j + 1] + 1
                : Math.max(common[i + 1][j], common[i][j + 1]);
      }
    }
    int i = 0;
    int j = 0;
    while (a0 + i < a1 && b0 + j < b1) {
      if (a[a0 + i] == b[b0 + j]) {
        at[a0 + i++] = b0 + j++;
      } else if (common[i + 1][j] >= common[i][j + 1]) {
        i++;
      } else {
        j++;
      }
    }
  }

  private void halve(int a0, int a1, int b0, int b1) {
    int middle = (a0 + a1) >>> 1;
    int[] before = lengths(a0, middle, b0, b1, true);
    int[] after = lengths(middle, a1, b0, b1, false);
    int size = b1 - b0;
    int best = 0;
    for (int j = 1; j <= size; j++) {
      if (before[j] + after[size - j] > before[best] + after[size - best]) {
        best = j;
      }
    }
    find(a0, middle, b0, b0 + best);
    find(middle, a1, b0 + best, b1);
  }

  /**
   * How long the common run is of a part of the first list and the first 0, 1, 2 … of a part of the
   * second; of the last ones where not forward.
   */
  private int[] lengths(int a0, int a1, int b0, int b1, boolean forward) {
    int size = b1 - b0;
    for (int p = size - 1; p >= 0; p--) {
      int number = b[forward ? b0 + p : b1 - 1 - p];
      next[p] = first[number];
      first[number] = p;
    }
    // A place is 0 where the run grows by it.
    long[] places = new long[(size + 63) >>> 6];
    Arrays.fill(places, ~0L);
    for (int i = 0; i < a1 - a0; i++) {
      add(places, first[a[forward ? a0 + i : a1 - 1 - i]]);
    }
    for (int j = b0; j < b1; j++) {
      first[b[j]] = NONE;
    }
    int[] lengths = new int[size + 1];
    for (int p = 0; p < size; p++) {
      lengths[p + 1] = lengths[p] + (int) (~places[p >>> 6] >>> p & 1);
    }
    return lengths;
  }

  /** One number more of the first list, which stands at these places of the second. */
  private void add(long[] places, int start) {
    int p = start;
    int word = p < 0 ? places.length : p >>> 6;
    long carry = 0;
    while (word < places.length) {
      long equal = 0;
      for (; p >= 0 && p >>> 6 == word; p = next[p]) {
        equal |= 1L << p;
      }
      long was = places[word];
      long grown = was & equal;
      long sum = was + grown;
      long over = Long.compareUnsigned(sum, was) < 0 ? 1 : 0;
      if (carry == 1 && ++sum == 0) {
        over = 1;
      }
      places[word] = sum | (was & ~grown);
      carry = over;
      if (carry == 1) {
        word++;
      } else {
        word = p < 0 ? places.length : p >>> 6;
      }
    }
  }
}
