package foldtwice.desktop.session;

import foldtwice.binding.Binding;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.run.Run;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.SimulatedComputer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Finds a routine that comes to the same as what was done by hand, whatever its steps: a script, an
 * action of an add-on, a macro that goes another way. Each is run on a copy of the programs as they
 * were before, with its defaults and with what its bindings give. Costs a run for each, {@value
 * #MOST_RUNS} at most.
 */
final class SameEffect {

  private static final int MOST_RUNS = 160;

  private final Snapshot now;
  private final String application;
  private final SimulatedComputer before;
  private final Map<String, String> wanted;

  /**
   * @param before the programs before anything was done; copied for each run
   * @param after what the program's state is now
   */
  SameEffect(
      Snapshot now, String application, SimulatedComputer before, Map<String, String> after) {
    this.now = now;
    this.application = application;
    this.before = before;
    this.wanted = after;
  }

  /** The first that comes to the same; none where nothing was changed at all. */
  Optional<Binding> find(String except) {
    if (before.programs().get(application).state().equals(wanted)) {
      return Optional.empty();
    }
    return candidates(except).stream().limit(MOST_RUNS).filter(this::isSame).findFirst();
  }

  /** The routines of the application that may be run, each with all it is given anywhere. */
  private List<Binding> candidates(String except) {
    Map<String, Set<Map<String, Value>>> given = new HashMap<>();
    for (Binding b : now.library().bindings().values()) {
      given.computeIfAbsent(b.routine(), r -> new LinkedHashSet<>()).add(b.arguments());
    }
    List<Binding> all = new ArrayList<>();
    for (Routine r : now.library().routines().values()) {
      boolean may = r.origin().seen() && !r.card().off() && !r.id().equals(except);
      if (may && r.application().equals(application)) {
        Set<Map<String, Value>> its = given.getOrDefault(r.id(), new LinkedHashSet<>());
        its.add(Map.of());
        its.forEach(
            a -> all.add(Binding.fresh("", r.id(), new Place.Whole(application), List.of(), a)));
      }
    }
    return all;
  }

  private boolean isSame(Binding candidate) {
    SimulatedComputer copy = before.copy();
    Trial trial = new Trial(now.library(), now.keymap(), copy, Ecmascript.ENGINE);
    Routine routine = now.library().routines().get(candidate.routine());
    Run run = Run.of(routine, candidate.arguments(), trial.around());
    run.toEnd();
    return !run.trace().endedBadly() && copy.programs().get(application).state().equals(wanted);
  }
}
