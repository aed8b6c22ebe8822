package foldtwice.describe;

import foldtwice.known.Effects;
import foldtwice.known.Touch;
import java.util.List;
import java.util.Set;

/**
 * One thing that a command, or a button of a dialog, does to a program. It is written as {@link
 * DoesNotation} says.
 */
public sealed interface Does {

  /** What something is given: a text as it stands, or what a field of the dialog holds. */
  sealed interface Given {
    record Is(String text) implements Given {}

    record Field(String label) implements Given {}
  }

  /** Gives a setting a value. */
  record Sets(String setting, Given to) implements Does {}

  /** Gives a setting the next of its values, the first after the last. */
  record Turns(String setting) implements Does {}

  /** Gives an adjustable value to all that is selected. */
  record Gives(String value, Given to) implements Does {}

  /** Adds to an adjustable value of all that is selected, within its range. */
  record Raises(String value, Given by) implements Does {}

  /** Selects. */
  record Selects(Which which) implements Does {}

  /** What can be selected without a name. */
  enum Which {
    ALL,
    NOTHING,
    NEXT,
    PREVIOUS
  }

  /** Makes a thing of a kind, and selects it. */
  record Adds(String kind) implements Does {}

  /** Takes away all that is selected. */
  record Removes() implements Does {}

  /** Keys go to a context then. */
  record Leads(String context) implements Does {}

  record Undoes() implements Does {}

  record Redoes() implements Does {}

  /** Changes something of a kind; more is not known of it. */
  record Changes(Touch touch) implements Does {}

  /** What it may change. */
  default Set<Touch> touches() {
    return switch (this) {
      case Sets s -> Set.of();
      case Turns t -> Set.of();
      case Gives g -> Set.of(Touch.OBJECTS);
      case Raises r -> Set.of(Touch.OBJECTS);
      case Selects s -> Set.of(Touch.SELECTION);
      case Adds a -> Set.of(Touch.OBJECTS, Touch.SELECTION);
      case Removes r -> Set.of(Touch.OBJECTS, Touch.SELECTION);
      case Leads l -> Set.of(Touch.VIEW);
      case Undoes u -> Set.of(Touch.OBJECTS, Touch.SELECTION);
      case Redoes r -> Set.of(Touch.OBJECTS, Touch.SELECTION);
      case Changes(Touch touch) -> Set.of(touch);
    };
  }

  /**
   * What all of them may change; where nothing is said of something, it may change the document.
   */
  static Effects effects(List<Does> all) {
    Effects effects =
        all.isEmpty()
            ? Effects.of(Touch.OBJECTS)
            : Effects.of(all.stream().flatMap(d -> d.touches().stream()).toArray(Touch[]::new));
    for (Does d : all) {
      if (d instanceof Sets(String setting, var to)) {
        effects = effects.setting(setting);
      } else if (d instanceof Turns(String setting)) {
        effects = effects.setting(setting);
      } else if (d instanceof Gives || d instanceof Raises || d instanceof Removes) {
        effects = effects.onSelection();
      }
    }
    return effects;
  }
}
