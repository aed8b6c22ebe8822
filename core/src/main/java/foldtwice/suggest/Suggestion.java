package foldtwice.suggest;

import foldtwice.trigger.Trigger;
import java.util.List;

/**
 * A free trigger that would suit.
 *
 * @param cost by the formula of the package; the smaller the better
 * @param reasons why it costs what it does, the most telling first
 */
public record Suggestion(Trigger.Keys trigger, double cost, List<Reason> reasons) {

  public Suggestion {
    reasons = List.copyOf(reasons);
  }

  /** What speaks for a trigger, or against it. */
  public sealed interface Reason {

    /** Its strokes spell the routine's initials. */
    record Initials(String letters) implements Reason {}

    /** Its key is the first letter of a word of the routine's name. */
    record FirstLetter(String word) implements Reason {}

    /** It fires the same routine in these other applications. */
    record SameElsewhere(List<String> applications) implements Reason {}

    /** It fires something else in another application. */
    record OtherElsewhere(String application) implements Reason {}

    /** Nothing has to be held with it. */
    record NoModifier() implements Reason {}

    /** A key beside it, with the same modifiers, does something that may not be undone. */
    record DangerBeside(String key, String command) implements Reason {}

    /** Only devices send it: nobody has to remember or reach it. */
    record OnlyDevices() implements Reason {}
  }
}
