package foldtwice.trigger;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Something done with another thing than the keyboard: a key of a pad, a dial, the pointer, a
 * button on the screen.
 *
 * @param what the trigger it is
 */
public record Motion(Trigger what) implements Signal {

  private static final int FIRST = 1 << 29;
  private static final Map<Trigger, Integer> IDS = new ConcurrentHashMap<>();
  private static final AtomicInteger NEXT = new AtomicInteger();

  /** As long as the process runs, one trigger has one number. */
  @Override
  public int id() {
    return FIRST | IDS.computeIfAbsent(what, t -> NEXT.getAndIncrement());
  }
}
