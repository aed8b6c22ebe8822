package foldtwice.place;

import foldtwice.extras.Extras;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Optional;

/**
 * A command an application brings along.
 *
 * @param id unique within the application; commands with one name keep their identity by it
 * @param menuPath the labels to choose one after the other
 * @param triggers what sets it off unless something displaces it
 * @param usesPerWeek how often the team uses it, measured or estimated; 0 for never
 * @param finding what a person found out about it, if anybody did
 */
public record NativeCommand(
    String id,
    String name,
    String group,
    List<String> menuPath,
    List<Trigger> triggers,
    Place place,
    double usesPerWeek,
    Danger danger,
    Optional<Finding> finding,
    Extras extras) {

  public NativeCommand {
    menuPath = List.copyOf(menuPath);
    triggers = List.copyOf(triggers);
  }

  /** The same command, with another finding about it. */
  public NativeCommand found(Optional<Finding> other) {
    return new NativeCommand(
        id, name, group, menuPath, triggers, place, usesPerWeek, danger, other, extras);
  }
}
