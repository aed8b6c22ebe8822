package foldtwice.run;

import foldtwice.routine.Value;
import foldtwice.text.Refusals;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;

/** What one run may make and keep, so that a mistake cannot use up the memory. */
final class Budget {

  /** A longer text is not put together, in characters. */
  static final int LONGEST_TEXT = 200_000;

  /** All texts that a run puts together, in characters. */
  static final long MOST_TEXT = 4_000_000;

  /** A number of more digits is not computed. */
  static final int MOST_DIGITS = 200;

  /** Of what the steps changed, the trace keeps so many characters whole. */
  private static final long MOST_TOLD = 10_000_000;

  /** Beyond that each value is told by its beginning, in characters. */
  private static final int BEGINNING = 80;

  private long made;
  private long told;

  /** A text of this length is to be put together. */
  void text(long length) throws StepFailure {
    if (length > LONGEST_TEXT) {
      throw new StepFailure(
          Refusals.says("run.text-at-most-characters", LONGEST_TEXT), length + "");
    }
    made += length;
    if (made > MOST_TEXT) {
      throw new StepFailure(
          Refusals.says("run.run-puts-together-at", MOST_TEXT), Refusals.says("run.too-many"));
    }
  }

  /** The value itself, if it is not too long a number. */
  static Value checked(Value value) throws StepFailure {
    BigDecimal number =
        switch (value) {
          case Value.Amount(BigDecimal n) -> n;
          case Value.Length(BigDecimal n, var unit) -> n;
          case Value.Quantity(BigDecimal n, var scale) -> n;
          case Value.Text t -> BigDecimal.ZERO;
          case Value.Flag f -> BigDecimal.ZERO;
        };
    if (number.precision() + Math.max(0, number.scale()) > MOST_DIGITS) {
      throw new StepFailure(
          Refusals.says("run.number-at-most-digits", MOST_DIGITS), Refusals.says("run.too-many"));
    }
    return value;
  }

  /** What a step changed, as the trace keeps it. */
  List<Change> told(List<Change> changes) {
    for (Change c : changes) {
      told += c.before().length() + c.after().length();
    }
    if (told <= MOST_TOLD) {
      return changes;
    }
    List<Change> brief = new ArrayList<>();
    changes.forEach(c -> brief.add(new Change(c.what(), brief(c.before()), brief(c.after()))));
    return brief;
  }

  private static String brief(String text) {
    return text.length() <= BEGINNING ? text : text.substring(0, BEGINNING) + "\u2026";
  }
}
