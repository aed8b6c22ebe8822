package foldtwice.binding;

import foldtwice.routine.Manner;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Optional;

/**
 * How a binding sits in its program.
 *
 * @param way id of the way in by which it reaches the program; empty for the program's first
 * @param repeats how many times a second it fires while its key stays down; 0 for once a press
 * @param replaces the native command in whose place it was put, if any
 * @param parked the triggers it has again when it is switched on; empty while it is on
 * @param asks when a person is asked for the arguments, if otherwise than the routine says
 */
public record Fitting(
    String way,
    int repeats,
    Optional<Replaced> replaces,
    List<Trigger> parked,
    Optional<Manner.Asking> asks) {

  /** The fastest repetition. */
  public static final int MOST_REPEATS = 30;

  /** In by the first way, once a press, in nobody's place. */
  public static final Fitting PLAIN =
      new Fitting("", 0, Optional.empty(), List.of(), Optional.empty());

  /** A native command that stands back for a binding. */
  public record Replaced(String application, String command) {}

  public Fitting {
    parked = List.copyOf(parked);
    if (repeats < 0 || repeats > MOST_REPEATS) {
      throw new IllegalArgumentException(
          "expected 0 to " + MOST_REPEATS + " times a second, found " + repeats);
    }
  }

  public Fitting by(String other) {
    return new Fitting(other, repeats, replaces, parked, asks);
  }

  public Fitting repeating(int times) {
    return new Fitting(way, times, replaces, parked, asks);
  }

  public Fitting replacing(Optional<Replaced> other) {
    return new Fitting(way, repeats, other, parked, asks);
  }

  public Fitting parking(List<Trigger> others) {
    return new Fitting(way, repeats, replaces, others, asks);
  }

  public Fitting asking(Optional<Manner.Asking> other) {
    return new Fitting(way, repeats, replaces, parked, other);
  }
}
