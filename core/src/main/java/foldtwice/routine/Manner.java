package foldtwice.routine;

import foldtwice.place.AddOn;
import java.util.List;

/**
 * How a routine wants to be run.
 *
 * @param asking when the person is asked for the arguments before it begins
 * @param fromVersion the application's version it needs at least; empty for any
 * @param addOns the add-ons it needs, with the least version of each
 * @param startIn ids of the contexts it may start in; empty for any
 * @param opened the title of the dialog that has to be open; empty for none
 */
public record Manner(
    Asking asking, String fromVersion, List<AddOn> addOns, List<String> startIn, String opened) {

  /** Runs at once, anywhere, in any version. */
  public static final Manner PLAIN = new Manner(Asking.NEVER, "", List.of(), List.of(), "");

  /** When the person is asked. */
  public enum Asking {
    NEVER,
    /** Only when nothing is selected. */
    WHEN_NOTHING_SELECTED,
    ALWAYS
  }

  public Manner {
    addOns = List.copyOf(addOns);
    startIn = List.copyOf(startIn);
  }

  public Manner asking(Asking other) {
    return new Manner(other, fromVersion, addOns, startIn, opened);
  }

  public Manner fromVersion(String other) {
    return new Manner(asking, other, addOns, startIn, opened);
  }

  public Manner withAddOns(List<AddOn> others) {
    return new Manner(asking, fromVersion, others, startIn, opened);
  }

  public Manner startingIn(List<String> contexts) {
    return new Manner(asking, fromVersion, addOns, contexts, opened);
  }

  public Manner opened(String dialog) {
    return new Manner(asking, fromVersion, addOns, startIn, dialog);
  }
}
