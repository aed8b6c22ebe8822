package foldtwice.library;

import foldtwice.binding.Binding;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.surface.Summoned;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * What holds between the parts of a library. What one part may be by itself, its reader in {@code
 * library.file} says; every change is read back there before it is made, so that both hold for
 * every library there is.
 *
 * <ol>
 *   <li>What is bound, and what can be summoned, is so in a place that there is.
 *   <li>What is described is an application that there is.
 *   <li>An argument is what its text means to the parameter it is for.
 * </ol>
 */
public final class Rules {

  private Rules() {}

  /** An id: a text that is not empty and has no blank around it. */
  public static boolean isId(String id) {
    return !id.isBlank() && id.equals(id.strip());
  }

  /**
   * An id of an application is no place of another kind: it has no slash, and is not {@code
   * everywhere}.
   */
  public static boolean isApplicationId(String id) {
    return isId(id) && Place.of(id) instanceof Place.Whole;
  }

  /** An id of a context leaves a place with it to be read: it has no plus. */
  public static boolean isContextId(String id) {
    return isId(id) && id.indexOf('+') < 0;
  }

  /** An id for an application of this name that none has yet. */
  public static String applicationId(String name, Map<String, Application> taken) {
    return Ids.free(
        Ids.of(name, "application"), id -> taken.containsKey(id) || !isApplicationId(id));
  }

  /** What is somewhere that is nowhere, if anything: the first two rules. Costs one pass. */
  public static Optional<String> dangling(Library library) {
    Set<Place> places = new HashSet<>(library.places());
    for (Binding b : library.bindings().values()) {
      if (!places.contains(b.place())) {
        return Optional.of(nowhere("the binding " + b.id(), b.place()));
      }
    }
    for (Summoned s : library.summoned()) {
      if (!places.contains(s.place())) {
        return Optional.of(nowhere(s.name(), s.place()));
      }
    }
    return library.descriptions().keySet().stream()
        .filter(id -> !library.applications().containsKey(id))
        .findFirst()
        .map(id -> "the description of " + id + " would be of nothing any more; take it out first");
  }

  private static String nowhere(String what, Place place) {
    return what + " is in " + place.id() + ", which would not be there any more; move it first";
  }

  /** The binding with arguments as they mean to its routine, if there is one: the third rule. */
  static Binding settled(Binding binding, Routine routine) {
    Map<String, Value> settled = null;
    for (var argument : binding.arguments().entrySet()) {
      Value is = argument.getValue();
      Value meant = kind(argument.getKey(), routine).lenient(is.shown());
      if (!meant.equals(is)) {
        settled = settled == null ? new TreeMap<>(binding.arguments()) : settled;
        settled.put(argument.getKey(), meant);
      }
    }
    return settled == null ? binding : binding.withRoutine(binding.routine(), settled);
  }

  /** What a parameter takes; any text when there is no such routine or parameter. */
  public static Kind kind(String name, Routine routine) {
    return routine == null
        ? new Kind.Words()
        : routine.parameter(name).map(Parameter::kind).orElse(new Kind.Words());
  }
}
