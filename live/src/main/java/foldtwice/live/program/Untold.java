package foldtwice.live.program;

import foldtwice.binding.Binding;
import foldtwice.describe.Description;
import foldtwice.describe.While;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Place;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Bindings in contexts of which running programs do not tell: only whether a text has the keys and
 * which dialog is open can be seen from outside. Their keys are not heard there.
 *
 * @param contexts what these contexts are called
 */
public record Untold(List<Binding> bindings, List<String> contexts) {

  public Untold {
    bindings = List.copyOf(bindings);
    contexts = List.copyOf(contexts);
  }

  /** Those of some applications. */
  public static Untold of(Library library, Set<String> applications) {
    List<Binding> bindings = new ArrayList<>();
    Set<String> names = new LinkedHashSet<>();
    Map<Place, Boolean> known = new HashMap<>();
    for (Binding b : library.bindings().values()) {
      if (!b.triggers().isEmpty()
          && b.place() instanceof Place.Within(String id, String context)
          && applications.contains(id)
          && library.applications().containsKey(id)
          && !known.computeIfAbsent(
              b.place(), p -> isTold(library, library.applications().get(id), context))) {
        bindings.add(b);
        names.add(library.nameOf(b.place()));
      }
    }
    return new Untold(bindings, List.copyOf(names));
  }

  private static boolean isTold(Library library, Application application, String context) {
    return told(application, library.description(application.id())).stream()
        .anyMatch(
            t -> application.isWithin(new Place.Within(application.id(), t), List.of(context)));
  }

  /** The contexts one can be seen to be in. */
  private static Set<String> told(Application application, Description description) {
    Set<String> told = new HashSet<>();
    Spot.first(application, description, true).ifPresent(told::add);
    Spot.first(application, description, false).ifPresent(told::add);
    description.states().stream()
        .filter(s -> s.holds() instanceof While.DialogOpen)
        .forEach(s -> told.add(s.context()));
    return told;
  }
}
