package foldtwice.check;

import foldtwice.library.Expected;
import foldtwice.library.PressCheck;
import foldtwice.run.Trace;
import java.util.Collection;
import java.util.List;
import java.util.Optional;

/**
 * A check of presses that was made.
 *
 * @param station id of the station it was made on
 */
public record Checked(PressCheck check, String station, Verdict verdict) {

  /** How a check came out. */
  public sealed interface Verdict {

    /** What was expected came. */
    record Holds() implements Verdict {}

    /**
     * Something else came.
     *
     * @param came one after the other
     * @param ending how the run ended that did not go well; empty for none
     */
    record Differs(List<Expected> came, Optional<Trace.Ending> ending) implements Verdict {
      public Differs {
        came = List.copyOf(came);
      }
    }

    /** It cannot be made on this station. */
    record Cannot(Lack lack, String what) implements Verdict {}
  }

  /** What keeps a check from being made. */
  public enum Lack {
    /** There is no such station in the library. */
    NO_STATION,
    /** There is no such place in the library, or it is a group of places. */
    NO_PLACE,
    /** A press is on something that is not in the library. */
    NO_SURFACE,
    /** The application is not simulated, or not in the library. */
    NO_PROGRAM,
    /** The program cannot be brought into the state. */
    NO_STATE,
    /** The device is not plugged in. */
    NO_DEVICE,
    /** The keyboard cannot make the press. */
    NO_KEY;

    /** True when it can be made on no station at all. */
    public boolean isNowhere() {
      return this == NO_STATION || this == NO_PLACE || this == NO_SURFACE;
    }
  }

  /** What a check comes to for those who look over many. */
  public enum State {
    HOLDS,
    /** Somebody should look at it. */
    FAILED,
    /**
     * It could not be made, and need not: it is for every station, and this one lacks something.
     */
    SKIPPED
  }

  public State state() {
    return switch (verdict) {
      case Verdict.Holds h -> State.HOLDS;
      case Verdict.Differs d -> State.FAILED;
      case Verdict.Cannot c ->
          check.station().isEmpty() && !c.lack().isNowhere() ? State.SKIPPED : State.FAILED;
    };
  }

  /** How many of some came to this. */
  public static long count(Collection<Checked> some, State state) {
    return some.stream().filter(c -> c.state() == state).count();
  }
}
