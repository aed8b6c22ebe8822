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
 * @param defaults what set it off before a person changed that; empty while they are the same
 * @param usesPerWeek how often the team uses it, measured or estimated; 0 for never
 * @param finding what a person found out about it, if anybody did
 */
public record NativeCommand(
    String id,
    String name,
    String group,
    List<String> menuPath,
    List<Trigger> triggers,
    Optional<List<Trigger>> defaults,
    Place place,
    double usesPerWeek,
    Danger danger,
    Optional<Finding> finding,
    Extras extras) {

  public NativeCommand {
    menuPath = List.copyOf(menuPath);
    triggers = List.copyOf(triggers);
    defaults = defaults.map(List::copyOf);
    if (defaults.equals(Optional.of(triggers))) {
      defaults = Optional.empty();
    }
  }

  /** One whose triggers are as the application brings them. */
  public NativeCommand(
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
    this(
        id,
        name,
        group,
        menuPath,
        triggers,
        Optional.empty(),
        place,
        usesPerWeek,
        danger,
        finding,
        extras);
  }

  /** What sets it off by default. */
  public List<Trigger> byDefault() {
    return defaults.orElse(triggers);
  }

  /** True when a person gave it other triggers than it came with. */
  public boolean isChanged() {
    return defaults.isPresent();
  }

  /** The same command with other triggers; what it came with is remembered. */
  public NativeCommand withTriggers(List<Trigger> others) {
    return new NativeCommand(
        id,
        name,
        group,
        menuPath,
        others,
        Optional.of(byDefault()),
        place,
        usesPerWeek,
        danger,
        finding,
        extras);
  }

  /** The same command, used so often. */
  public NativeCommand used(double timesAWeek) {
    return new NativeCommand(
        id, name, group, menuPath, triggers, defaults, place, timesAWeek, danger, finding, extras);
  }

  /** The same command, with another finding about it. */
  public NativeCommand found(Optional<Finding> other) {
    return new NativeCommand(
        id, name, group, menuPath, triggers, defaults, place, usesPerWeek, danger, other, extras);
  }
}
