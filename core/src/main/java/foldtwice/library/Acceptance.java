package foldtwice.library;

import java.time.Instant;
import java.util.Optional;

/**
 * That a person lives with a conflict, and why.
 *
 * @param conflict the fingerprint of the conflict as it was; it is another once anything about it
 *     has changed
 * @param about what it was, in words, for when it is no more
 * @param reason in the person's words; never empty
 * @param who the person's name, empty when not known
 * @param stake what was at stake then; empty when nobody wrote it down, then for any
 */
public record Acceptance(
    String conflict, String about, String reason, String who, Instant at, Optional<Stake> stake) {

  public Acceptance {
    if (reason.isBlank()) {
      throw new IllegalArgumentException("expected a reason, found none");
    }
  }

  /** True while no other danger is in it and what is lost is not used much more than then. */
  public boolean holds(Stake now) {
    return stake.isEmpty() || now.isLike(stake.get());
  }
}
