package foldtwice.live.bus;

import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Predicate;

/**
 * What a program brings a little late: a menu that is filled when it is opened, a dialog that comes
 * or goes after an answer, a button that can be pressed once a field is filled.
 */
public final class Late {

  /** How long it is waited for, in milliseconds. */
  private static final long MOST = 1_200;

  private static final long LOOK_EVERY = 40;

  private Late() {}

  /** A look at the program. */
  public interface Look<T> {
    T look() throws BusException;
  }

  /** What a look sees as soon as it is what is wanted, or what the last one saw. */
  public static <T> T waitedFor(Look<T> look, Predicate<T> isThere) throws BusException {
    return waitedFor(MOST, look, isThere);
  }

  /**
   * The same with another limit.
   *
   * @param most in milliseconds
   */
  public static <T> T waitedFor(long most, Look<T> look, Predicate<T> isThere) throws BusException {
    long end = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(most);
    T seen = look.look();
    while (!isThere.test(seen) && System.nanoTime() < end) {
      pause();
      seen = look.look();
    }
    return seen;
  }

  /** What two looks in a row see alike, or what the last one saw. */
  public static <T> T settled(Look<T> look) throws BusException {
    AtomicReference<T> before = new AtomicReference<>();
    return waitedFor(look, seen -> seen.equals(before.getAndSet(seen)));
  }

  /** From one look to the next. */
  public static void pause() {
    try {
      Thread.sleep(LOOK_EVERY);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
