package foldtwice.source;

import foldtwice.routine.Routine;
import java.util.List;

/**
 * A routine turned into one of another kind.
 *
 * @param lost what it no longer does or says; nothing when it is the same
 */
public record Turned(Routine routine, List<Loss> lost) {

  /**
   * Something the other kind has no place for.
   *
   * @param where the number of the step, or the line
   * @param what it was, and why it is lost
   */
  public record Loss(String where, String what) {}

  public Turned {
    lost = List.copyOf(lost);
  }

  /** True when nothing is lost. */
  public boolean whole() {
    return lost.isEmpty();
  }
}
