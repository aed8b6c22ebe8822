package foldtwice.reading;

import foldtwice.known.Known;
import foldtwice.routine.Routine;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/**
 * What is read off routines before the same programs and the same library, each read once. Takes
 * the room of what was asked for. On any thread.
 */
public final class Readings {

  private final Known known;
  private final Map<Routine, Reading> readings = byRoutine();
  private final Map<Routine, List<Hindrance>> hindrances = byRoutine();
  private final Map<Routine, List<Mark>> marks = byRoutine();

  /**
   * @param known never changes
   */
  public Readings(Known known) {
    this.known = known;
  }

  /** By the very routine: to hold two against each other costs as much as to read one. */
  private static <T> Map<Routine, T> byRoutine() {
    return Collections.synchronizedMap(new IdentityHashMap<>());
  }

  /** As {@link Reading#of}. */
  public Reading of(Routine routine) {
    return readings.computeIfAbsent(routine, r -> Reading.of(r, known));
  }

  /** As {@link Hindrance#of}. */
  public List<Hindrance> hindrances(Routine routine) {
    return hindrances.computeIfAbsent(routine, r -> Hindrance.of(r, known));
  }

  /** As {@link Checker#check}. */
  public List<Mark> marks(Routine.Macro macro) {
    return marks.computeIfAbsent(macro, m -> Checker.check(macro, known));
  }
}
