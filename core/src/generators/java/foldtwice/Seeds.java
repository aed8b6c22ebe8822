package foldtwice;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.LongStream;

/**
 * Seeds for tests that draw their cases: one that is always the same, and one that never is, which
 * is printed, so that what it finds can be found again with {@code -Dseed=}.
 */
public final class Seeds {

  /** True when all is asked for that takes long: {@code -Dhard=true}. */
  public static final boolean HARD = Boolean.getBoolean("hard");

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

  /**
   * Cases that take long, dealt to so many one after the other, beginning with a drawn one: who
   * takes the first of three makes a third, another one each time. Each has all when it is hard.
   */
  public static <T> List<List<T>> dealt(List<T> cases, int to, long seed) {
    List<List<T>> dealt = new ArrayList<>();
    long first = Math.floorMod(nth(seed, to), to);
    for (int hand = 0; hand < to; hand++) {
      List<T> its = new ArrayList<>();
      for (int i = 0; i < cases.size(); i++) {
        if (HARD || (first + i) % to == hand) {
          its.add(cases.get(i));
        }
      }
      dealt.add(its);
    }
    return dealt;
  }

  /** The first part of them when they are dealt by a fresh seed. */
  public static <T> List<T> oneOf(int parts, List<T> cases) {
    return dealt(cases, parts, drawn()).getFirst();
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
