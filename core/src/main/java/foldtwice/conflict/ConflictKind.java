package foldtwice.conflict;

import java.util.Locale;

/** What can be wrong. The identifier in files and output is {@link #id()}. */
public enum ConflictKind {
  /** Two bindings claim one trigger in one place. */
  DOUBLE_CLAIM,
  /** A sequence never completes, because a shorter claim fires first. */
  CUT_SHORT,
  /** A native command no longer answers. */
  DISPLACES,
  /** Another claim takes the trigger before this one hears of it. */
  COVERED,
  /** The desktop keeps the trigger for itself. */
  RESERVED,
  /** A rule of the application refuses the trigger. */
  NOT_ACCEPTED,
  /** The keyboard layout cannot make it. */
  UNTYPEABLE,
  /** It takes a character away from typing. */
  TYPES_TEXT;

  /** The identifier used in files and output, such as {@code double-claim}. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
