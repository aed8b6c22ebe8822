package foldtwice.resolve;

import foldtwice.trigger.Signal;
import java.util.List;
import java.util.Optional;

/** What comes of a press. */
public sealed interface Outcome {

  /** A claim is set off. */
  record Fired(Claim claim) implements Outcome {}

  /**
   * More strokes may follow.
   *
   * @param otherwise what fires when none do in time
   */
  record Waiting(Optional<Claim> otherwise) implements Outcome {}

  /** Several bindings have the same right to it, so none fires. */
  record Undecided(List<Claim> claims) implements Outcome {
    public Undecided {
      claims = List.copyOf(claims);
    }
  }

  /** A character goes into the text. */
  record Typed(String text) implements Outcome {}

  /** Nobody claims it; it goes to the application, for which it means nothing. */
  record Unclaimed(Signal signal) implements Outcome {}
}
