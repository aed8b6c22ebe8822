package foldtwice.known;

import foldtwice.place.AddOn;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;

/**
 * What a command or a button may change, and what it needs. It never changes more than this; it may
 * change less.
 *
 * @param settings the names of settings it may change
 * @param takesUp those of which it only lets hold what they were changed to before; changed back
 *     after it, they wait again
 * @param needsSelection true when it refuses with nothing selected
 * @param addOn the add-on it comes with
 */
public record Effects(
    Set<Touch> touches,
    Set<String> settings,
    Set<String> takesUp,
    boolean needsSelection,
    Optional<String> addOn) {

  /** Changes nothing and needs nothing. */
  public static final Effects NONE =
      new Effects(Set.of(), Set.of(), Set.of(), false, Optional.empty());

  public Effects {
    touches = touches.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(touches));
    settings = Set.copyOf(settings);
    takesUp = Set.copyOf(takesUp);
  }

  public static Effects of(Touch... touches) {
    return new Effects(
        touches.length == 0 ? Set.of() : EnumSet.copyOf(Arrays.asList(touches)),
        Set.of(),
        Set.of(),
        false,
        Optional.empty());
  }

  /** The same, and this may change too. */
  public Effects touching(Touch more) {
    EnumSet<Touch> all = EnumSet.of(more);
    all.addAll(touches);
    return new Effects(all, settings, takesUp, needsSelection, addOn);
  }

  /** Changes this setting too. */
  public Effects setting(String name) {
    Set<String> more = new LinkedHashSet<>(settings);
    more.add(name);
    return new Effects(touches, more, takesUp, needsSelection, addOn);
  }

  /** Lets hold what this setting was changed to before. */
  public Effects takingUp(String setting) {
    Set<String> more = new LinkedHashSet<>(takesUp);
    more.add(setting);
    return setting(setting).withTakesUp(more);
  }

  private Effects withTakesUp(Set<String> others) {
    return new Effects(touches, settings, others, needsSelection, addOn);
  }

  /** Needs something selected. */
  public Effects onSelection() {
    return new Effects(touches, settings, takesUp, true, addOn);
  }

  /** Is there only with an add-on. */
  public Effects from(AddOn needed) {
    return new Effects(touches, settings, takesUp, needsSelection, Optional.of(needed.name()));
  }
}
