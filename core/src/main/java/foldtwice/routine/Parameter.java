package foldtwice.routine;

import foldtwice.extras.Extras;

/**
 * What a binding may give a routine.
 *
 * @param name unique within the routine; steps refer to it as {@code ‹name›}
 * @param otherwise the value when a binding gives none; fits {@code kind}
 */
public record Parameter(String name, Kind kind, Value otherwise, Extras extras) {

  public Parameter {
    kind.check(otherwise);
  }

  /**
   * The same parameter with another default.
   *
   * @throws ValueException when its kind does not allow it
   */
  public Parameter withDefault(Value other) {
    return new Parameter(name, kind, other, extras);
  }
}
