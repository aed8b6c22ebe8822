package foldtwice;

import java.util.stream.LongStream;

/**
 * Seeds for tests that draw their cases: one that is always the same, and one that never is, which
 * is printed, so that what it finds can be found again with {@code -Dseed=}.
 */
public final class Seeds {

  private Seeds() {}

  public static LongStream both() {
    String given = System.getProperty("seed");
    if (given != null) {
      return LongStream.of(Long.parseLong(given));
    }
    long drawn = System.nanoTime();
    System.out.println("seed " + drawn + " (again with -Dseed=" + drawn + ")");
    return LongStream.of(20_261_128, drawn);
  }
}
