package foldtwice.plan;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.binding.Pattern;
import foldtwice.extras.Extras;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Application;
import foldtwice.text.Digest;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Trigger;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a plan was made of: all that its promises hang on. What has been taken of it counts as not
 * taken; checks, facts, what is spent and what is said of programs do not count.
 */
final class Basis {

  /** Taking all of a family lays it out otherwise: how it is laid out does not count. */
  private static final Pattern ANY = new Pattern.Initials(List.of(), Modifiers.NONE);

  private Basis() {}

  /**
   * A library with nothing but what counts, in which nothing of a plan is taken. Costs a pass over
   * the bindings.
   *
   * @param application the id of the one that is planned for: what is bound in others does not
   *     count; nothing where it is planned for all
   */
  static Library of(Library library, Optional<String> application, Plan plan) {
    Map<String, Plan.Line> moved = new HashMap<>();
    plan.moved().forEach(l -> moved.put(l.binding(), l));
    Map<String, Binding> bindings = new LinkedHashMap<>();
    for (Binding b : library.bindings().values()) {
      if (application.isEmpty()
          || b.place().applicationId().map(application.get()::equals).orElse(true)) {
        bindings.put(b.id(), without(b, Optional.ofNullable(moved.get(b.id()))));
      }
    }
    Map<String, Application> applications = new LinkedHashMap<>(library.applications());
    application.ifPresent(a -> applications.keySet().retainAll(List.of(a)));
    Map<String, Family> families = new LinkedHashMap<>(library.families());
    families.replaceAll((id, f) -> f.with(ANY));
    return new Library(
        "",
        applications,
        library.stations(),
        library.surfaces(),
        library.routines(),
        bindings,
        families,
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        true,
        Extras.NONE);
  }

  private static Binding without(Binding b, Optional<Plan.Line> moved) {
    if (moved.isEmpty() || b.triggers().contains(moved.get().today())) {
      return b;
    }
    Plan.Line l = moved.get();
    List<Trigger> before =
        b.triggers().stream().map(t -> t.equals(l.proposed()) ? l.today() : t).toList();
    return b.withTriggers(before);
  }

  /** A basis in a few letters. Costs writing all of it. */
  static String print(Library basis) {
    return Digest.of(LibraryJson.write(basis));
  }
}
