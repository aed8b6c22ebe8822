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
  /** A native command answers only when the time for the rest of a longer trigger is up. */
  ANSWERS_LATER,
  /** Another claim takes the trigger before this one hears of it. */
  COVERED,
  /** A system-wide claim takes a trigger from what is in a program. */
  INTERCEPTED,
  /** The desktop keeps the trigger for itself. */
  RESERVED,
  /** A rule of the application refuses the trigger. */
  NOT_ACCEPTED,
  /** The keyboard layout cannot make it. */
  UNTYPEABLE,
  /** It takes a character away from typing. */
  TYPES_TEXT,
  /** A key of a device sends what nobody catches, or what somebody else catches first. */
  BROKEN_CHAIN,
  /** A routine presses or calls what fires it again. */
  CIRCULAR,
  /** It needs something that is not here. */
  MISSING,
  /** The same routine with the same arguments twice, or routines that differ in constants only. */
  TWINS,
  /** An argument of the wrong kind or out of its range. */
  BAD_ARGUMENT,
  /** A setting stays changed. */
  LEAVES_SETTING,
  /** What was done before can no longer be taken back. */
  EMPTIES_UNDO,
  /** A key that is held and one that is typed are the same. */
  HOLD_CLASH,
  /** The trigger's own modifiers are down while a step types, presses or selects. */
  MODIFIER_DOWN,
  /** A program goes on with what the library no longer has. */
  STALE_ENTRY;

  /** The identifier used in files and output, such as {@code double-claim}. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** True when it is about who gets a trigger: another trigger may settle it. */
  public boolean isAboutTrigger() {
    return switch (this) {
      case DOUBLE_CLAIM,
          CUT_SHORT,
          DISPLACES,
          ANSWERS_LATER,
          COVERED,
          INTERCEPTED,
          RESERVED,
          NOT_ACCEPTED,
          UNTYPEABLE,
          TYPES_TEXT,
          HOLD_CLASH ->
          true;
      case BROKEN_CHAIN,
          CIRCULAR,
          MISSING,
          TWINS,
          BAD_ARGUMENT,
          LEAVES_SETTING,
          EMPTIES_UNDO,
          MODIFIER_DOWN,
          STALE_ENTRY ->
          false;
    };
  }
}
