package foldtwice.library;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.describe.Description;
import foldtwice.place.Application;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.place.Station;
import foldtwice.routine.Routine;
import foldtwice.surface.Surface;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * A change to a library.
 *
 * <p>Laws, for every edit {@code e} and library {@code l} it can be made on: {@code
 * e.inverse(l).on(e.on(l)).equals(l)}.
 */
public sealed interface Edit {

  /**
   * Puts a binding in: instead of the one with its id, else as a new one.
   *
   * @param at where a new one goes, counted from 0; beyond the end means last
   */
  record PutBinding(Binding binding, int at) implements Edit {
    /** As the last one when it is new. */
    public PutBinding(Binding binding) {
      this(binding, Integer.MAX_VALUE);
    }
  }

  /** Takes a binding out. Nothing happens when there is none of this id. */
  record RemoveBinding(String id) implements Edit {}

  /**
   * Puts a routine in: instead of the one with its id, else as a new one.
   *
   * @param at where a new one goes, counted from 0; beyond the end means last
   */
  record PutRoutine(Routine routine, int at) implements Edit {
    /** As the last one when it is new. */
    public PutRoutine(Routine routine) {
      this(routine, Integer.MAX_VALUE);
    }
  }

  /** Takes a routine out. Bindings to it stay and are drafts. */
  record RemoveRoutine(String id) implements Edit {}

  /** Puts a device, a toolbar or a radial menu, in place of the one with its id or as the last. */
  record PutSurface(Surface surface, int at) implements Edit {
    public PutSurface(Surface surface) {
      this(surface, Integer.MAX_VALUE);
    }
  }

  /** Removes a device, a toolbar or a radial menu. */
  record RemoveSurface(String id) implements Edit {}

  /** Puts an application in place of the one with its id, or as the last. */
  record PutApplication(Application application, int at) implements Edit {
    public PutApplication(Application application) {
      this(application, Integer.MAX_VALUE);
    }
  }

  /**
   * Removes an application. Whoever asks for it takes what is bound there out first: a file in
   * which something is bound in no application is refused.
   */
  record RemoveApplication(String id) implements Edit {}

  /** Puts a station in place of the one with its id, or as the last. */
  record PutStation(Station station, int at) implements Edit {
    public PutStation(Station station) {
      this(station, Integer.MAX_VALUE);
    }
  }

  /** Removes a station. */
  record RemoveStation(String id) implements Edit {}

  /**
   * Notes what a person found out about a native command, or that nothing is known. Nothing happens
   * when there is no such command.
   */
  record Find(String application, String command, Optional<Finding> finding) implements Edit {}

  /**
   * Gives a native command other triggers; what it came with is remembered. Nothing happens when
   * there is no such command.
   */
  record Remap(String application, String command, List<Trigger> triggers) implements Edit {
    public Remap {
      triggers = List.copyOf(triggers);
    }
  }

  /**
   * Says how often a week a native command is used. Nothing happens when there is no such command.
   */
  record Use(String application, String command, double timesAWeek) implements Edit {}

  /**
   * Puts a family in place of the one with its id, or as the last. Its bindings stay as they are.
   */
  record PutFamily(Family family, int at) implements Edit {
    public PutFamily(Family family) {
      this(family, Integer.MAX_VALUE);
    }
  }

  /** A conflict is accepted, or no longer when there is no acceptance. */
  record Accept(String conflict, Optional<Acceptance> how) implements Edit {
    public Accept {
      if (how.isPresent() && !how.get().conflict().equals(conflict)) {
        throw new IllegalArgumentException(
            "expected an acceptance of " + conflict + ", found one of " + how.get().conflict());
      }
    }
  }

  /**
   * A check of presses comes or changes.
   *
   * @param at its place in the list when it is new; beyond the end is at the end
   */
  record PutCheck(PressCheck check, int at) implements Edit {
    public PutCheck(PressCheck check) {
      this(check, Integer.MAX_VALUE);
    }
  }

  record RemoveCheck(String id) implements Edit {}

  /**
   * A procedure comes or changes.
   *
   * @param at its place in the list when it is new; beyond the end is at the end
   */
  record PutProcedure(Procedure procedure, int at) implements Edit {
    public PutProcedure(Procedure procedure) {
      this(procedure, Integer.MAX_VALUE);
    }
  }

  record RemoveProcedure(String id) implements Edit {}

  /** Lets what is in the library run in real programs, or not. */
  record AllowLive(boolean allowed) implements Edit {}

  /** Says what was spent on something, or that nothing is told. */
  record Spend(String id, Optional<Outlay> how) implements Edit {
    public Spend {
      if (how.isPresent() && !how.get().id().equals(id)) {
        throw new IllegalArgumentException("expected an outlay of " + id);
      }
    }
  }

  /** Says of an application what is said here, or nothing more when nothing is. */
  record Describe(String application, Optional<Description> how) implements Edit {
    public Describe {
      how = how.filter(d -> !d.isEmpty());
      if (how.isPresent() && !how.get().application().equals(application)) {
        throw new IllegalArgumentException(
            "expected a description of "
                + application
                + ", found one of "
                + how.get().application());
      }
    }

    /** As it is said. */
    public Describe(Description how) {
      this(how.application(), Optional.of(how));
    }
  }

  /** Takes a family apart: its bindings stay, each by itself. */
  record RemoveFamily(String id) implements Edit {}

  /** Several edits as one. */
  record Together(List<Edit> edits) implements Edit {
    public Together {
      edits = List.copyOf(edits);
    }
  }

  /** The library after this edit. */
  default Library on(Library library) {
    return switch (this) {
      case PutBinding(Binding binding, int at) ->
          library.withBindings(
              put(
                  library.bindings(),
                  binding.id(),
                  Rules.settled(binding, library.routines().get(binding.routine())),
                  at));
      case RemoveBinding(String id) -> library.withBindings(without(library.bindings(), id));
      case PutRoutine(Routine routine, int at) ->
          settled(library, routine.id(), routine)
              .withRoutines(put(library.routines(), routine.id(), routine, at));
      case RemoveRoutine(String id) ->
          settled(library, id, null).withRoutines(without(library.routines(), id));
      case PutSurface(Surface surface, int at) ->
          library.withSurfaces(put(library.surfaces(), surface.id(), surface, at));
      case RemoveSurface(String id) -> library.withSurfaces(without(library.surfaces(), id));
      case PutApplication(Application application, int at) ->
          library.withApplications(put(library.applications(), application.id(), application, at));
      case RemoveApplication(String id) ->
          library.withApplications(without(library.applications(), id));
      case PutStation(Station station, int at) ->
          library.withStations(put(library.stations(), station.id(), station, at));
      case RemoveStation(String id) -> library.withStations(without(library.stations(), id));
      case Find(String application, String command, Optional<Finding> finding) ->
          command(library, application, command)
              .map(
                  c -> library.with(library.applications().get(application).with(c.found(finding))))
              .orElse(library);
      case Remap(String application, String command, List<Trigger> triggers) ->
          command(library, application, command)
              .map(
                  c ->
                      library.with(
                          library.applications().get(application).with(c.withTriggers(triggers))))
              .orElse(library);
      case Use(String application, String command, double timesAWeek) ->
          command(library, application, command)
              .map(
                  c ->
                      library.with(
                          library.applications().get(application).with(c.used(timesAWeek))))
              .orElse(library);
      case PutFamily(Family family, int at) ->
          library.withFamilies(put(library.families(), family.id(), family, at));
      case RemoveFamily(String id) -> library.withFamilies(without(library.families(), id));
      case Accept(String conflict, Optional<Acceptance> how) ->
          library.withAccepted(
              how.map(a -> put(library.accepted(), conflict, a, Integer.MAX_VALUE))
                  .orElseGet(() -> without(library.accepted(), conflict)));
      case PutCheck(PressCheck check, int at) ->
          library.withChecks(put(library.checks(), check.id(), check, at));
      case RemoveCheck(String id) -> library.withChecks(without(library.checks(), id));
      case PutProcedure(Procedure procedure, int at) ->
          library.withProcedures(put(library.procedures(), procedure.id(), procedure, at));
      case RemoveProcedure(String id) -> library.withProcedures(without(library.procedures(), id));
      case Spend(String id, Optional<Outlay> how) ->
          library.withOutlays(
              how.map(o -> put(library.outlays(), id, o, Integer.MAX_VALUE))
                  .orElseGet(() -> without(library.outlays(), id)));
      case AllowLive(boolean allowed) -> library.withLive(allowed);
      case Describe(String application, Optional<Description> how) ->
          library.withDescriptions(
              how.map(d -> put(library.descriptions(), application, d, Integer.MAX_VALUE))
                  .orElseGet(() -> without(library.descriptions(), application)));
      case Together(List<Edit> edits) -> {
        Library next = library;
        int from = 0;
        while (from < edits.size()) {
          int to = from;
          while (to < edits.size() && isOfBindings(edits.get(to))) {
            to++;
          }
          if (to - from > 1) {
            next = next.withBindings(bindings(next, edits.subList(from, to)));
            from = to;
          } else {
            next = edits.get(from++).on(next);
          }
        }
        yield next;
      }
    };
  }

  /** The edit that takes this one back, given the library before it. */
  default Edit inverse(Library before) {
    return switch (this) {
      case PutBinding(Binding binding, int at) ->
          back(before.bindings(), binding.id(), PutBinding::new, RemoveBinding::new);
      case RemoveBinding(String id) -> again(before.bindings(), id, PutBinding::new);
      case PutRoutine(Routine routine, int at) ->
          withArguments(
              before,
              settled(before, routine.id(), routine),
              back(before.routines(), routine.id(), PutRoutine::new, RemoveRoutine::new));
      case RemoveRoutine(String id) ->
          withArguments(
              before, settled(before, id, null), again(before.routines(), id, PutRoutine::new));
      case PutSurface(Surface surface, int at) ->
          back(before.surfaces(), surface.id(), PutSurface::new, RemoveSurface::new);
      case RemoveSurface(String id) -> again(before.surfaces(), id, PutSurface::new);
      case PutApplication(Application application, int at) ->
          back(
              before.applications(), application.id(), PutApplication::new, RemoveApplication::new);
      case RemoveApplication(String id) -> again(before.applications(), id, PutApplication::new);
      case PutStation(Station station, int at) ->
          back(before.stations(), station.id(), PutStation::new, RemoveStation::new);
      case RemoveStation(String id) -> again(before.stations(), id, PutStation::new);
      case Find(String application, String command, Optional<Finding> finding) ->
          command(before, application, command)
              .<Edit>map(c -> new Find(application, command, c.finding()))
              .orElse(new Together(List.of()));
      case Remap(String application, String command, List<Trigger> triggers) ->
          command(before, application, command)
              .<Edit>map(c -> new Remap(application, command, c.triggers()))
              .orElse(new Together(List.of()));
      case Use(String application, String command, double timesAWeek) ->
          command(before, application, command)
              .<Edit>map(c -> new Use(application, command, c.usesPerWeek()))
              .orElse(new Together(List.of()));
      case PutFamily(Family family, int at) ->
          back(before.families(), family.id(), PutFamily::new, RemoveFamily::new);
      case RemoveFamily(String id) -> again(before.families(), id, PutFamily::new);
      case Accept(String conflict, Optional<Acceptance> how) ->
          new Accept(conflict, Optional.ofNullable(before.accepted().get(conflict)));
      case PutCheck(PressCheck check, int at) ->
          back(before.checks(), check.id(), PutCheck::new, RemoveCheck::new);
      case RemoveCheck(String id) -> again(before.checks(), id, PutCheck::new);
      case PutProcedure(Procedure procedure, int at) ->
          back(before.procedures(), procedure.id(), PutProcedure::new, RemoveProcedure::new);
      case RemoveProcedure(String id) -> again(before.procedures(), id, PutProcedure::new);
      case Spend(String id, Optional<Outlay> how) ->
          new Spend(id, Optional.ofNullable(before.outlays().get(id)));
      case AllowLive(boolean allowed) -> new AllowLive(before.live());
      case Describe(String application, Optional<Description> how) ->
          new Describe(application, Optional.ofNullable(before.descriptions().get(application)));
      case Together(List<Edit> edits) -> {
        List<Edit> back = new ArrayList<>();
        Library state = before;
        for (Edit e : edits) {
          back.addFirst(e.inverse(state));
          state = e.on(state);
        }
        yield new Together(back);
      }
    };
  }

  /** The library with what bindings of a routine give it as it means to that routine. */
  private static Library settled(Library library, String id, Routine routine) {
    Routine was = library.routines().get(id);
    if (was != null && routine != null && was.parameters().equals(routine.parameters())) {
      return library;
    }
    LinkedHashMap<String, Binding> changed = null;
    for (Binding b : Bound.to(library, id)) {
      Binding settled = Rules.settled(b, routine);
      if (!settled.equals(b)) {
        changed = changed == null ? new LinkedHashMap<>(library.bindings()) : changed;
        changed.put(b.id(), settled);
      }
    }
    return changed == null ? library : library.withBindings(changed);
  }

  /** The way back to a routine, and to what bindings gave it where that will mean another thing. */
  private static Edit withArguments(Library before, Library settled, Edit back) {
    List<Edit> all = new ArrayList<>(List.of(back));
    Difference.between(before.bindings(), settled.bindings(), Binding::id)
        .forEach(d -> d.was().ifPresent(b -> all.add(new PutBinding(b))));
    return all.size() == 1 ? back : new Together(all);
  }

  /** What was there before, or nothing again. */
  private static <T> Edit back(
      Map<String, T> before, String id, Function<T, Edit> put, Function<String, Edit> remove) {
    T old = before.get(id);
    return old == null ? remove.apply(id) : put.apply(old);
  }

  /** What was taken away, where it was; nothing when there was nothing. */
  private static <T> Edit again(
      Map<String, T> before, String id, BiFunction<T, Integer, Edit> putAt) {
    T old = before.get(id);
    return old == null
        ? new Together(List.of())
        : putAt.apply(old, List.copyOf(before.keySet()).indexOf(id));
  }

  private static Optional<NativeCommand> command(Library library, String application, String id) {
    return Optional.ofNullable(library.applications().get(application))
        .flatMap((Application a) -> a.command(id));
  }

  private static boolean isOfBindings(Edit edit) {
    return edit instanceof PutBinding || edit instanceof RemoveBinding;
  }

  /** Many bindings put and removed, one after the other, with the others copied only once. */
  private static LinkedHashMap<String, Binding> bindings(Library library, List<Edit> edits) {
    LinkedHashMap<String, Binding> next = new LinkedHashMap<>(library.bindings());
    for (Edit e : edits) {
      switch (e) {
        case PutBinding(Binding binding, int at) -> {
          Binding settled = Rules.settled(binding, library.routines().get(binding.routine()));
          if (next.containsKey(binding.id()) || at >= next.size()) {
            next.put(binding.id(), settled);
          } else {
            next = inserted(next, binding.id(), settled, at);
          }
        }
        case RemoveBinding(String id) -> next.remove(id);
        default -> throw new IllegalArgumentException("not of bindings: " + e);
      }
    }
    return next;
  }

  private static <T> LinkedHashMap<String, T> without(Map<String, T> map, String id) {
    LinkedHashMap<String, T> rest = new LinkedHashMap<>(map);
    rest.remove(id);
    return rest;
  }

  private static <T> Map<String, T> put(Map<String, T> old, String id, T item, int at) {
    return old.containsKey(id) || at >= old.size()
        ? Chunked.of(old).with(id, item)
        : inserted(old, id, item, at);
  }

  private static <T> LinkedHashMap<String, T> inserted(
      Map<String, T> old, String id, T item, int at) {
    LinkedHashMap<String, T> next = LinkedHashMap.newLinkedHashMap(old.size() + 1);
    int i = 0;
    for (var entry : old.entrySet()) {
      if (i++ == at) {
        next.put(id, item);
      }
      next.put(entry.getKey(), entry.getValue());
    }
    return next;
  }
}
