package foldtwice.fold;

import foldtwice.routine.Value;

/**
 * A constant in a step: something another step of the same shape may have another one of.
 *
 * @param place where it stands: a value, a text or a label of a menu
 * @param text as the step writes it
 * @param value what it is; texts and labels are texts
 */
record Constant(Place place, String text, Value value) {

  /** Where a constant can stand. */
  enum Place {
    VALUE,
    TEXT,
    LABEL
  }

  /** A text or a label. */
  static Constant of(Place place, String text) {
    return new Constant(place, text, new Value.Text(text));
  }

  /** As it is written where a name stands for it. */
  static String named(String name) {
    return "\u2039" + name + "\u203a";
  }
}
