package foldtwice.library;

import foldtwice.extras.Extras;
import foldtwice.routine.Yardstick;
import java.util.List;

/**
 * Several bindings one after another, across programs, as one thing.
 *
 * @param id unique among the procedures of a library
 * @param parts what is done, in order; what a part names need not be there any more
 * @param timesPerWeek how often it is gone through
 * @param atATime how many are done in one go, at least 1: what goes before and after is done once
 * @param yardstick the manual route it is measured against
 */
public record Procedure(
    String id,
    String name,
    List<Part> parts,
    double timesPerWeek,
    int atATime,
    Yardstick yardstick,
    Extras extras) {

  /** Longer ones are none a person keeps in mind. */
  public static final int MOST = 100;

  /** One thing that is set off. */
  public sealed interface Part {

    /** A binding, by its id. */
    record Bound(String binding) implements Part {}

    /** A command of a program, by its own key. */
    record Native(String application, String command) implements Part {}
  }

  public Procedure {
    parts = List.copyOf(parts);
    if (atATime < 1) {
      throw new IllegalArgumentException("at least one at a time: " + atATime);
    }
  }

  /** The ids of the bindings among its parts, in order. */
  public List<String> bindings() {
    return parts.stream()
        .filter(Part.Bound.class::isInstance)
        .map(p -> ((Part.Bound) p).binding())
        .toList();
  }

  public Procedure named(String other) {
    return new Procedure(id, other, parts, timesPerWeek, atATime, yardstick, extras);
  }

  public Procedure of(List<Part> others) {
    return new Procedure(id, name, others, timesPerWeek, atATime, yardstick, extras);
  }

  public Procedure done(double times, int each) {
    return new Procedure(id, name, parts, times, each, yardstick, extras);
  }

  public Procedure with(Yardstick other) {
    return new Procedure(id, name, parts, timesPerWeek, atATime, other, extras);
  }
}
