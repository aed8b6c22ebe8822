package foldtwice.desktop.payback;

import foldtwice.effort.Span;
import java.util.Optional;

/**
 * A line of what saves most.
 *
 * @param id of the routine, program, device, procedure or station
 * @param aWeek seconds saved a week; nothing where it cannot be told
 * @param note what more there is to say, such as how many bindings
 */
record Entry(By by, String id, String name, Optional<Span> aWeek, String note) {

  /** What the lines are of. */
  enum By {
    ROUTINE,
    PROCEDURE,
    PROGRAM,
    DEVICE,
    STATION
  }
}
