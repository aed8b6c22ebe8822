package foldtwice.library;

import java.time.Instant;

/**
 * That a person lives with a conflict, and why.
 *
 * @param conflict the fingerprint of the conflict as it was; it is another once anything about it
 *     has changed
 * @param about what it was, in words, for when it is no more
 * @param reason in the person's words; never empty
 * @param who the person's name, empty when not known
 */
public record Acceptance(String conflict, String about, String reason, String who, Instant at) {

  public Acceptance {
    if (reason.isBlank()) {
      throw new IllegalArgumentException("expected a reason, found none");
    }
  }
}
