package foldtwice.conflict;

import foldtwice.library.Dangling;
import foldtwice.place.Rule;
import foldtwice.reading.Hindrance;
import foldtwice.ready.Entries;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;

/** What there is to say of a conflict beside its claims. */
public sealed interface Detail {

  /** Nothing: the claims say it all. */
  record None() implements Detail {}

  /** For {@link ConflictKind#NOT_ACCEPTED}: what refuses the trigger. */
  record Refused(Rule rule) implements Detail {}

  /** For {@link ConflictKind#UNTYPEABLE}: the first stroke that cannot be made, and why. */
  record Untyped(Stroke stroke, Unmade why) implements Detail {}

  /** Why a stroke cannot be made on a keyboard. */
  enum Unmade {
    /** No key of the layout makes the character. */
    NO_KEY,
    /** Its key is dead here: it waits for a letter. */
    DEAD,
    /** A keyboard of this shape has no such key, and no device that is plugged in sends it. */
    NOT_ON_SHAPE
  }

  /**
   * For {@link ConflictKind#MISSING} and {@link ConflictKind#BAD_ARGUMENT}: what keeps a routine
   * from working; the claims are all its bindings.
   */
  record Hindered(String routine, List<Hindrance> by) implements Detail {
    public Hindered {
      by = List.copyOf(by);
    }
  }

  /** For {@link ConflictKind#MISSING}: the binding's routine is not in the library. */
  record NoRoutine(String routine) implements Detail {}

  /** For {@link ConflictKind#MISSING}: the routine has no such parameter. */
  record NoParameter(String parameter) implements Detail {}

  /**
   * For {@link ConflictKind#MISSING}: the device of the triggers is not plugged in; the claims are
   * all those on it.
   */
  record NoDevice(String device) implements Detail {}

  /** For {@link ConflictKind#MISSING}: what the trigger is on is not there. */
  record Dangles(Dangling what) implements Detail {}

  /** For {@link ConflictKind#MISSING}: the application has no such way in. */
  record NoWay(String way) implements Detail {}

  /** For {@link ConflictKind#MISSING}: all numbered slots of the way in are taken before it. */
  record NoSlot(int slots) implements Detail {}

  /** For {@link ConflictKind#MISSING}: the routine starts in none of the states of the place. */
  record NeverStarts(List<String> startIn) implements Detail {
    public NeverStarts {
      startIn = List.copyOf(startIn);
    }
  }

  /**
   * For {@link ConflictKind#BAD_ARGUMENT}.
   *
   * @param allowed what the parameter takes, in words
   */
  record Argument(String parameter, String given, String allowed) implements Detail {}

  /** For {@link ConflictKind#EMPTIES_UNDO}; the claims are all bindings of the routine. */
  record Undo(String routine) implements Detail {}

  /**
   * For {@link ConflictKind#LEAVES_SETTING}: the settings, in order of their names; the claims are
   * all bindings of the routine.
   */
  record Settings(String routine, SortedSet<String> names) implements Detail {
    public Settings {
      names = Collections.unmodifiableSortedSet(new TreeSet<>(names));
    }
  }

  /** For {@link ConflictKind#HOLD_CLASH}: true when neither comes before the other. */
  record Held(boolean equal) implements Detail {}

  /**
   * For {@link ConflictKind#TYPES_TEXT}: what is typed in its stead, though a modifier is held;
   * empty for a dead key.
   */
  record Typed(String text) implements Detail {}

  /** For {@link ConflictKind#MODIFIER_DOWN}: what is down, and what the first such step does. */
  record Down(Modifiers held, Harm harm) implements Detail {}

  /** What modifiers that are still down do to a step. */
  enum Harm {
    /** Nothing can be typed: the run fails there. */
    TYPES,
    /** The keys pressed become others. */
    PRESSES,
    /** What the pointer is over is added to the selection instead of replacing it. */
    SELECTS
  }

  /**
   * For {@link ConflictKind#BROKEN_CHAIN}.
   *
   * @param sends what the key of the device types; empty when it turns to a page that is not there
   */
  record Chain(Optional<Trigger.Keys> sends) implements Detail {}

  /** For {@link ConflictKind#CIRCULAR}: from the routine round to itself. */
  record Circle(List<Link> links) implements Detail {
    public Circle {
      links = List.copyOf(links);
    }
  }

  /**
   * A part of a circle.
   *
   * @param routine id of the routine
   * @param presses what it presses to fire the next; empty when it calls it
   */
  record Link(String routine, Optional<Trigger.Keys> presses) {}

  /** For {@link ConflictKind#TWINS}: true when the routines are copies that differ in constants. */
  record Copies(boolean differ) implements Detail {}

  /**
   * For {@link ConflictKind#STALE_ENTRY}.
   *
   * @param entry what the program lists
   */
  record Entry(String application, String entry, Entries.State state) implements Detail {}
}
