package foldtwice.binding;

import foldtwice.extras.Extras;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.trigger.Trigger;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * A routine made to fire.
 *
 * @param id unique within the library
 * @param routine id of the routine
 * @param triggers what sets it off; empty while it is a draft
 * @param arguments parameter name to value; a parameter without one takes its default
 * @param usesPerWeek how often it is fired, measured or estimated
 * @param fitting how it sits in its program
 */
public record Binding(
    String id,
    String routine,
    Place place,
    List<Trigger> triggers,
    Map<String, Value> arguments,
    double usesPerWeek,
    Fitting fitting,
    Extras extras) {

  public Binding {
    triggers = List.copyOf(triggers);
    arguments = Collections.unmodifiableMap(new TreeMap<>(arguments));
  }

  /** One that sits in its program plainly. */
  public Binding(
      String id,
      String routine,
      Place place,
      List<Trigger> triggers,
      Map<String, Value> arguments,
      double usesPerWeek,
      Extras extras) {
    this(id, routine, place, triggers, arguments, usesPerWeek, Fitting.PLAIN, extras);
  }

  /** One that nobody has used yet. */
  public static Binding fresh(
      String id,
      String routine,
      Place place,
      List<Trigger> triggers,
      Map<String, Value> arguments) {
    return new Binding(id, routine, place, triggers, arguments, 0, Extras.NONE);
  }

  public Binding withFitting(Fitting other) {
    return new Binding(id, routine, place, triggers, arguments, usesPerWeek, other, extras);
  }

  public Binding withTriggers(List<Trigger> others) {
    return new Binding(id, routine, place, others, arguments, usesPerWeek, fitting, extras);
  }

  /** The routine as this binding runs it: it may ask at other times than the routine says. */
  public Routine asked(Routine of) {
    return fitting.asks().map(a -> of.withManner(of.manner().asking(a))).orElse(of);
  }

  /** True when it was switched off: it claims nothing, and keeps what it had. */
  public boolean isOff() {
    return triggers.isEmpty() && !fitting.parked().isEmpty();
  }

  /** True when it waits for a trigger; one that is switched off does not. */
  public boolean isDraft() {
    return triggers.isEmpty() && !isOff();
  }

  /** The same binding, claiming nothing; itself when it has no trigger. */
  public Binding switchedOff() {
    return triggers.isEmpty()
        ? this
        : withTriggers(List.of()).withFitting(fitting.parking(all(fitting.parked(), triggers)));
  }

  /** The same binding with the triggers it had, and those it was given meanwhile. */
  public Binding switchedOn() {
    return withTriggers(all(fitting.parked(), triggers)).withFitting(fitting.parking(List.of()));
  }

  private static List<Trigger> all(List<Trigger> some, List<Trigger> others) {
    LinkedHashSet<Trigger> all = new LinkedHashSet<>(some);
    all.addAll(others);
    return List.copyOf(all);
  }

  /** The same binding, used so often a week. */
  public Binding used(double times) {
    return new Binding(id, routine, place, triggers, arguments, times, fitting, extras);
  }

  public Binding withPlace(Place other) {
    return new Binding(id, routine, other, triggers, arguments, usesPerWeek, fitting, extras);
  }

  public Binding withRoutine(String other, Map<String, Value> arguments) {
    return new Binding(id, other, place, triggers, arguments, usesPerWeek, fitting, extras);
  }

  public Binding withArgument(String parameter, Value value) {
    Map<String, Value> changed = new TreeMap<>(arguments);
    changed.put(parameter, value);
    return new Binding(id, routine, place, triggers, changed, usesPerWeek, fitting, extras);
  }

  public Binding withoutArgument(String parameter) {
    Map<String, Value> changed = new TreeMap<>(arguments);
    changed.remove(parameter);
    return new Binding(id, routine, place, triggers, changed, usesPerWeek, fitting, extras);
  }
}
