package foldtwice.conflict;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.reading.Reading;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.source.Named;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Routines that fire themselves again, by calling one another or by pressing keys somebody catches.
 *
 * <p>Keys are taken to land where the binding is heard, or in any state of the program the routine
 * brought to the front before. A depth-first search from each routine that presses or calls
 * anything; the others cost nothing.
 */
final class Circles {

  private final Subject subject;
  private final Dangers dangers;
  private final Library library;
  private final Keymap keymap;
  private final Map<String, List<Onward>> onward;

  /** What a routine sets off. */
  private sealed interface Onward {
    /** It calls another. */
    record Calls(String routine) implements Onward {}

    /** It presses keys, in the program it brought to the front or where it was fired. */
    record Presses(Trigger.Keys keys, Optional<String> front) implements Onward {}
  }

  Circles(Subject subject, Dangers dangers) {
    this(subject, dangers, new ConcurrentHashMap<>());
  }

  private Circles(Subject subject, Dangers dangers, Map<String, List<Onward>> onward) {
    this.subject = subject;
    this.dangers = dangers;
    this.library = subject.library();
    this.keymap = subject.keymap();
    this.onward = onward;
  }

  /**
   * The same after some changes: routines stay read.
   *
   * @param rewritten ids of those that are to be read again
   */
  Circles after(Subject next, Dangers its, Set<String> rewritten) {
    Map<String, List<Onward>> kept = rewritten.isEmpty() ? onward : new ConcurrentHashMap<>(onward);
    kept.keySet().removeAll(rewritten);
    return new Circles(next, its, kept);
  }

  /** These routines and all that call them, directly or around. */
  Set<String> callersOf(Set<String> routines) {
    Set<String> all = new HashSet<>(routines);
    boolean more = !all.isEmpty();
    while (more) {
      more =
          all.addAll(
              library.routines().keySet().stream()
                  .filter(
                      r ->
                          onward(r).stream()
                              .anyMatch(
                                  o ->
                                      o instanceof Onward.Calls(String called)
                                          && all.contains(called)))
                  .toList());
    }
    return all;
  }

  /** True when a routine can be part of a circle at all. */
  boolean leadsOn(Binding binding) {
    return !onward(binding.routine()).isEmpty();
  }

  /**
   * True when some routine presses keys that may begin with one of these presses.
   *
   * @param firsts ids of presses
   */
  boolean mayPress(Set<Integer> firsts) {
    return library.routines().keySet().stream()
        .flatMap(r -> onward(r).stream())
        .anyMatch(
            o ->
                o instanceof Onward.Presses(Trigger.Keys keys, var front)
                    && keymap.firsts(keys).stream().anyMatch(firsts::contains));
  }

  /** The circle the routine of a binding is on, if it is on one where the binding is heard. */
  List<Conflict> of(Binding binding) {
    if (binding.triggers().isEmpty() || !leadsOn(binding)) {
      return List.of();
    }
    List<Place> states = keymap.statesOf(binding.place());
    List<Detail.Link> path = new ArrayList<>();
    if (!search(binding.routine(), binding.routine(), states, path, new HashSet<>())) {
      return List.of();
    }
    return List.of(
        Told.of(
            subject,
            dangers,
            List.of(Keymap.claims(binding).getFirst()),
            ConflictKind.CIRCULAR,
            Weight.BLOCKS,
            new Detail.Circle(path)));
  }

  /**
   * True when the goal is reached from a routine; the links that lead there are then in the path.
   */
  private boolean search(
      String routine,
      String goal,
      List<Place> states,
      List<Detail.Link> path,
      Set<List<Object>> seen) {
    if (!seen.add(List.of(routine, states))) {
      return false;
    }
    for (Onward o : onward(routine)) {
      for (Next next : next(o, states)) {
        path.add(next.link(routine));
        if (next.routine.equals(goal) || search(next.routine, goal, next.states, path, seen)) {
          return true;
        }
        path.removeLast();
      }
    }
    return false;
  }

  /** A routine that is set off, and where it then is. */
  private record Next(String routine, List<Place> states, Optional<Trigger.Keys> presses) {
    Detail.Link link(String from) {
      return new Detail.Link(from, presses);
    }
  }

  private List<Next> next(Onward onward, List<Place> states) {
    return switch (onward) {
      case Onward.Calls(String routine) ->
          library.routines().containsKey(routine)
              ? List.of(new Next(routine, states, Optional.empty()))
              : List.of();
      case Onward.Presses(Trigger.Keys keys, Optional<String> front) -> {
        List<Place> where = front.map(a -> keymap.statesOf(new Place.Whole(a))).orElse(states);
        Map<String, List<Place>> fires = new HashMap<>();
        for (Place state : where) {
          fired(state, keys)
              .ifPresent(r -> fires.computeIfAbsent(r, x -> new ArrayList<>()).add(state));
        }
        yield fires.entrySet().stream()
            .map(e -> new Next(e.getKey(), e.getValue(), Optional.of(keys)))
            .toList();
      }
    };
  }

  /** The routine keys fire in a state, as a run's keys are resolved. */
  private Optional<String> fired(Place state, Trigger.Keys keys) {
    List<List<Signal>> paths = keymap.paths(keys);
    if (paths.isEmpty()) {
      return Optional.empty();
    }
    return switch (Resolver.outcomes(keymap, state, paths.getFirst()).getLast()) {
      case Outcome.Fired(Claim claim) when claim.owner() instanceof Owner.Yours(String id) ->
          Optional.ofNullable(library.bindings().get(id)).map(Binding::routine);
      default -> Optional.empty();
    };
  }

  private List<Onward> onward(String routine) {
    List<Onward> known = onward.get(routine);
    if (known == null) {
      known = new ArrayList<>();
      switch (library.routines().get(routine)) {
        case Routine.Macro m -> collect(m.steps(), known, Optional.empty(), 0);
        case Routine.Script s -> collect(Named.lines(s), known, Optional.empty(), 0);
        case null, default -> {} // one deed, which sets off nothing of the library
      }
      onward.put(routine, known);
    }
    return known;
  }

  /** Returns the program in front after the lines. */
  private static Optional<String> collect(
      List<Line> lines, List<Onward> into, Optional<String> front, int depth) {
    Optional<String> now = front;
    for (Line line : lines) {
      if (!line.on() || depth > Reading.DEEPEST) {
        continue;
      }
      switch (line.step()) {
        case Step.RunRoutine(String id, var arguments) -> into.add(new Onward.Calls(id));
        case Step.PressKeys(Trigger.Keys keys) -> into.add(new Onward.Presses(keys, now));
        case Step.BringToFront(String application) -> now = Optional.of(application);
        case Step.StartProgram(String application, var arguments) -> now = Optional.of(application);
        default -> {
          for (List<Line> body : line.step().bodies()) {
            now = collect(body, into, now, depth + 1);
          }
        }
      }
    }
    return now;
  }
}
