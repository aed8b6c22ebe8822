package foldtwice.bench;

import foldtwice.outline.Comparison;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;

/**
 * Two routines of many lines held against each other: where a twentieth of the lines is other, and
 * where all are in another order. Prints medians in milliseconds.
 */
public final class Compared {

  private static final int ROUNDS = 5;

  private Compared() {}

  /** Takes no arguments. */
  public static void main(String[] none) {
    for (int size : new int[] {2_000, 20_000, 100_000}) {
      Random random = new Random(size);
      List<String> lines = new ArrayList<>();
      for (int i = 0; i < size; i++) {
        lines.add("step " + random.nextInt(size));
      }
      List<String> few = new ArrayList<>(lines);
      for (int i = 0; i < size / 20; i++) {
        few.set(random.nextInt(size), "other " + i);
      }
      List<String> many = new ArrayList<>(lines);
      java.util.Collections.shuffle(many, random);
      System.out.printf(
          "%,d lines: a twentieth other %.1f ms, all in another order %.1f ms%n",
          size, median(lines, few), median(lines, many));
    }
  }

  private static double median(List<String> left, List<String> right) {
    double[] took = new double[ROUNDS];
    for (int i = 0; i < ROUNDS; i++) {
      long began = System.nanoTime();
      int rows = Comparison.of(left, right, line -> 0).size();
      took[i] = (System.nanoTime() - began) / 1e6;
      if (rows < left.size()) {
        throw new IllegalStateException(rows + " rows for " + left.size());
      }
    }
    Arrays.sort(took);
    return took[ROUNDS / 2];
  }
}
