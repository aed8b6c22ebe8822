package foldtwice.routine;

import foldtwice.extras.Extras;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * A step in its place in a macro.
 *
 * @param on false for a step that is switched off: kept, but passed over
 * @param comment why it is there; empty for none
 */
public record Line(Step step, boolean on, String comment, Extras extras) {

  public Line(Step step) {
    this(step, true, "", Extras.NONE);
  }

  public Line with(Step other) {
    return new Line(other, on, comment, extras);
  }

  public Line switchedOn(boolean yes) {
    return new Line(step, yes, comment, extras);
  }

  public Line saying(String other) {
    return new Line(step, on, other, extras);
  }

  /** With the lines inside its step changed. */
  Line inside(UnaryOperator<List<Line>> change) {
    return with(step.withBodies(step.bodies().stream().map(change).toList()));
  }

  /** How many lines there are, those inside others included. */
  public static int count(List<Line> lines) {
    int count = lines.size();
    for (Line line : lines) {
      for (List<Line> body : line.step().bodies()) {
        count += count(body);
      }
    }
    return count;
  }
}
