package foldtwice;

import java.util.SplittableRandom;
import java.util.stream.LongStream;

/**
 * Seeds for tests that draw their cases: one that is always the same, and one that never is, which
 * is printed, so that what it finds can be found again with {@code -Dseed=}.
 */
public final class Seeds {

  private Seeds() {}

  /** Both; only the one that is given where one is. */
  public static LongStream both() {
    return System.getProperty("seed") == null
        ? LongStream.of(20_261_128, drawn())
        : LongStream.of(drawn());
  }

  /** The seed of one of many cases; those beside one another have nothing in common. */
  public static long nth(long seed, int n) {
    return new SplittableRandom(seed + n).nextLong(); // Random's first draws of near seeds are near
  }

  /** The one that never is the same, or the one that is given. */
  public static long drawn() {
    String given = System.getProperty("seed");
    if (given != null) {
      return Long.parseLong(given);
    }
    long drawn = System.nanoTime();
    System.out.println("seed " + drawn + " (again with -Dseed=" + drawn + ")");
    return drawn;
  }
}
