package foldtwice.trigger;

import java.util.Optional;

/** What a hand does that may set something off. */
public sealed interface Signal permits Press, Lift, Motion {

  /** A number of its own for each signal; dense enough for tables. */
  int id();

  /** The key press it is made of, going down or coming up; empty for what is no key. */
  default Optional<Press> key() {
    return switch (this) {
      case Press p -> Optional.of(p);
      case Lift(Press p) -> Optional.of(p);
      case Motion m -> Optional.empty();
    };
  }

  /** True when it is no hand: a program has been started. */
  default boolean isStart() {
    return this instanceof Motion(Trigger.AtStart s);
  }

  /** The key press it is; empty for anything else. */
  default Optional<Press> asPress() {
    return this instanceof Press p ? Optional.of(p) : Optional.empty();
  }
}
