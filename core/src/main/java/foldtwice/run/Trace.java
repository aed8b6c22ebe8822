package foldtwice.run;

import foldtwice.routine.Step;
import foldtwice.routine.Target;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a run did, step by step.
 *
 * @param nanos how long it computed in all; waiting and asking are not counted
 */
public record Trace(List<Entry> entries, Ending ending, long nanos) {

  public Trace {
    entries = List.copyOf(entries);
  }

  /** One line of a trace. */
  public sealed interface Entry {
    List<Change> changes();

    long nanos();
  }

  /**
   * A step that was taken.
   *
   * @param number its place in the macro, such as {@code 5.2}; {@code 3/2} is the second step of
   *     the routine that step 3 runs
   * @param detail the values it worked with, as they were at that moment
   */
  public record Taken(String number, Step step, String detail, List<Change> changes, long nanos)
      implements Entry {}

  /**
   * What it was pointed at before its first step, as the routine declares.
   *
   * @param inFront false when its program is behind another
   */
  public record Aimed(
      Target target, String application, boolean inFront, List<Change> changes, long nanos)
      implements Entry {}

  /** A setting put back at the end. */
  public record PutBack(String setting, List<Change> changes, long nanos) implements Entry {}

  /** A setting the program would not take back; it stays as the run left it. */
  public record NotPutBack(String setting, String expected, String found, long nanos)
      implements Entry {
    @Override
    public List<Change> changes() {
      return List.of();
    }
  }

  /** How a run ended. */
  public sealed interface Ending {}

  /** Every step was taken. */
  public record Finished() implements Ending {}

  /** A step said stop, for a reason the macro foresees, such as the edge of a register. */
  public record Stopped(String number, String reason) implements Ending {}

  /** A step could not be taken; those before it were, and settings are put back. */
  public record Failed(String number, Step step, String expected, String found) implements Ending {}

  /**
   * A script ended with an error it did not catch; settings are put back.
   *
   * @param number of the line
   * @param column in it, counted from 1; 0 where it cannot be told
   */
  public record Broke(String number, int column, String message) implements Ending {}

  /** The person gave it up before this step. */
  public record GivenUp(String number) implements Ending {}

  /** It has not ended yet. */
  public record Underway(String number) implements Ending {}

  /** All changes, in order. */
  public List<Change> changes() {
    return entries.stream().flatMap(e -> e.changes().stream()).toList();
  }

  /**
   * What is different in the end, each thing once: what was changed on the way and back is left
   * out, and so are the fields of dialogs that were filled.
   */
  public List<Change> net() {
    Map<String, Change> net = new LinkedHashMap<>();
    for (Change c : changes()) {
      net.merge(c.what(), c, (a, b) -> new Change(a.what(), a.before(), b.after()));
    }
    for (Entry e : entries) {
      if (e instanceof Taken t && t.step() instanceof Step.Fill fill) {
        net.remove(fill.field());
      }
    }
    return net.values().stream().filter(c -> !c.before().equals(c.after())).toList();
  }

  /** True when it ended before its end, and not as foreseen: it failed, broke or was given up. */
  public boolean endedBadly() {
    return ending instanceof Failed || ending instanceof Broke || ending instanceof GivenUp;
  }

  /** True when it went to its end or stopped as foreseen, and settings are as they were. */
  public boolean wentWell() {
    return (ending instanceof Finished || ending instanceof Stopped)
        && entries.stream().noneMatch(e -> e instanceof NotPutBack);
  }
}
