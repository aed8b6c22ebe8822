package foldtwice.suggest;

import foldtwice.resolve.Owner;
import foldtwice.trigger.Trigger;
import java.util.List;

/**
 * A free trigger that would suit.
 *
 * @param cost by the formula of the package; the smaller the better
 * @param reasons why it costs what it does, the most telling first
 */
public record Suggestion(Trigger trigger, double cost, List<Reason> reasons) {

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

    /** Commands of programs have it, and would lose it. */
    record Displaces(List<Owner.Native> commands) implements Reason {
      public Displaces {
        commands = List.copyOf(commands);
      }
    }

    /** Commands of programs get back what it has today. */
    record GivesBack(List<Owner.Native> commands) implements Reason {
      public GivesBack {
        commands = List.copyOf(commands);
      }
    }

    /** It is a key of a device, which is labelled: nobody has to remember it. */
    record OnDevice(String device) implements Reason {}

    /** Its strokes are letters of the routine's name, the first one first. */
    record OfItsName(String letters) implements Reason {}

    /**
     * How far a finger goes to its key.
     *
     * @param millimetres from the nearest key of the home row; negative for a key that is not there
     * @param oneHand true when the hand on the left modifiers reaches it too
     */
    record Within(int millimetres, boolean oneHand) implements Reason {}
  }
}
