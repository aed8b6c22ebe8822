package foldtwice.live.listen;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Which presses of a library are caught: the first strokes of the keys of its bindings whose
 * routines may run. A pure function of library and station.
 */
public final class Catching {

  private final String elsewhere;
  private final Library library;
  private final Keymap keymap;
  private final Set<Press> everywhere = new HashSet<>();
  private final Map<String, Set<Press>> within = new HashMap<>();

  /**
   * @param elsewhere id of the program that stands for all a library does not know
   */
  private Catching(Library library, Keymap keymap, String elsewhere) {
    this.elsewhere = elsewhere;
    this.library = library;
    this.keymap = keymap;
  }

  public static Catching of(Library library, Station station) {
    String other = Ids.free("elsewhere", library.applications()::containsKey);
    Library with =
        new Edit.PutApplication(Application.unknown(other), library.applications().size())
            .on(library);
    Catching catching = new Catching(with, Keymap.of(with, station), other);
    library.bindings().values().stream().filter(b -> catching.runs(b)).forEach(catching::add);
    return catching;
  }

  /** True when its routine is there, switched on and looked through. */
  private boolean runs(Binding b) {
    Optional<Routine> routine = library.routineOf(b);
    return routine.filter(r -> !r.card().off() && r.origin().seen()).isPresent();
  }

  private void add(Binding b) {
    for (Trigger t : b.triggers()) {
      for (Press p : firsts(t)) {
        if (b.place() instanceof Place.Everywhere) {
          everywhere.add(p);
        } else {
          within
              .computeIfAbsent(b.place().applicationId().orElseThrow(), k -> new HashSet<>())
              .add(p);
        }
      }
    }
  }

  private Set<Press> firsts(Trigger t) {
    Trigger keys =
        t instanceof Trigger.Held(var stroke, var edge) ? new Trigger.Keys(List.of(stroke)) : t;
    Set<Press> firsts = new HashSet<>();
    if (keys instanceof Trigger.Keys) {
      for (List<Signal> path : keymap.paths(keys)) {
        if (path.getFirst() instanceof Press p) {
          firsts.add(p);
        }
      }
    }
    return firsts;
  }

  /** Caught whatever is in front. */
  public Set<Press> everywhere() {
    return everywhere;
  }

  /** Caught while a window of a program is in front, by application id. */
  public Map<String, Set<Press>> within() {
    return within;
  }

  /** Whether one of the library's own sequences goes on from strokes that wait, in a state. */
  boolean goesOn(Place state, List<Signal> pending) {
    return library.bindings().values().stream()
        .filter(b -> runs(b) && keymap.statesOf(b.place()).contains(state))
        .flatMap(b -> b.triggers().stream())
        .filter(t -> t instanceof Trigger.Keys keys && keys.strokes().size() > 1)
        .flatMap(t -> keymap.paths(t).stream())
        .anyMatch(
            path ->
                path.size() > pending.size()
                    && path.get(pending.size()) instanceof Press
                    && path.subList(0, pending.size()).equals(pending));
  }

  Keymap keymap() {
    return keymap;
  }

  /** The library, with a program that stands for all it does not know. */
  public Library library() {
    return library;
  }

  /** The state of a program in front, or that of one nobody knows. */
  Place state(Optional<Place> of) {
    return of.filter(p -> keymap.states().contains(p)).orElse(new Place.Whole(elsewhere));
  }
}
