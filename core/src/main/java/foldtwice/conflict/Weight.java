package foldtwice.conflict;

import java.util.Locale;

/** How much a conflict matters; the heaviest first. */
public enum Weight {
  /** It will not do what it says. */
  BLOCKS,
  /** It works, something else is lost. */
  COSTS,
  /** Worth knowing. */
  NOTE;

  public String id() {
    return name().toLowerCase(Locale.ROOT);
  }
}
