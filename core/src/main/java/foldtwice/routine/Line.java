package foldtwice.routine;

import foldtwice.extras.Extras;

/** A step in its place in a macro. */
public record Line(Step step, Extras extras) {

  public Line(Step step) {
    this(step, Extras.NONE);
  }
}
