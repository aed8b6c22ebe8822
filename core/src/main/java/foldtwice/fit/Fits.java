package foldtwice.fit;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Expr;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Target;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Entry;
import foldtwice.run.Program;
import foldtwice.run.Simulated;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Everything that fits a program as it is.
 *
 * @param all pinned routines, adjustable values, the other routines; among routines those that act
 *     on what is selected first, then the most used, then by name
 * @param up true when what is selected lies in something that can be selected instead
 * @param down true when something lies inside what is selected
 */
public record Fits(List<Fit> all, boolean up, boolean down) {

  public Fits {
    all = List.copyOf(all);
  }

  /**
   * What fits now. A routine fits when it is for this program and not set aside, when a run of it
   * would begin, and when there is something selected or it does not act on that. Costs one pass
   * over the library.
   */
  public static Fits of(Library library, Keymap keymap, Program program) {
    Place state = program.place();
    Map<String, List<Binding>> here = new HashMap<>();
    Set<Place> heard = places(keymap, library, state);
    for (Binding b : library.bindings().values()) {
      if (!b.triggers().isEmpty() && heard.contains(b.place())) {
        here.computeIfAbsent(b.routine(), r -> new ArrayList<>()).add(b);
      }
    }
    here.values().forEach(l -> l.sort(Comparator.comparingDouble(Binding::usesPerWeek).reversed()));
    Optional<Application> application =
        Optional.ofNullable(library.applications().get(program.application()));
    List<Fit.Does> routines =
        library.routines().values().stream()
            .filter(r -> fits(r, program, application))
            .map(r -> new Fit.Does(r, here.getOrDefault(r.id(), List.of())))
            .sorted(ORDER)
            .toList();
    List<Fit> all = new ArrayList<>();
    routines.stream().filter(d -> d.routine().card().pinned()).forEach(all::add);
    program
        .values()
        .forEach(
            (name, now) -> all.add(new Fit.Adjusts(name, now, program.facts().values().get(name))));
    routines.stream().filter(d -> !d.routine().card().pinned()).forEach(all::add);
    Set<Whom.Group> ways = program.facts().selects();
    return new Fits(
        all,
        program.somethingSelected() && changes(program, ways, Whom.Group.PARENT),
        program.somethingSelected() && changes(program, ways, Whom.Group.CHILDREN));
  }

  /**
   * A routine on what is selected; with {@code inside}, on all that lies inside it, and what was
   * selected is selected again. One run, one undo.
   */
  public static Routine run(Routine routine, boolean inside) {
    if (!inside) {
      return routine;
    }
    Map<String, Expr> same = new LinkedHashMap<>();
    routine.parameters().forEach(p -> same.put(p.name(), new Expr.Name(p.name())));
    return around(
        routine.application(),
        routine.name(),
        routine.parameters(),
        new Step.RunRoutine(routine.id(), same));
  }

  /** An adjustable value set, clamped to its range; with {@code inside} as {@link #run} has it. */
  public static Routine set(
      String application, Fit.Adjusts value, Value.Quantity to, boolean inside) {
    Step adjust =
        new Step.Adjust(value.name(), Step.Adjusting.TO, new Expr.Literal(to), Step.Edge.CLAMP);
    return inside
        ? around(application, value.name(), List.of(), adjust)
        : Routine.Macro.of("fits", value.name(), application, List.of(), List.of(new Line(adjust)));
  }

  private static Routine around(
      String application, String name, List<Parameter> parameters, Step step) {
    return Routine.Macro.of(
        "fits",
        name,
        application,
        parameters,
        List.of(
            new Line(new Step.Select(Whom.Group.CHILDREN, false)),
            new Line(step),
            new Line(new Step.Select(Whom.Group.PARENT, false))));
  }

  /** The places whose bindings are heard in a state. */
  private static Set<Place> places(Keymap keymap, Library library, Place state) {
    Set<Place> places = new HashSet<>();
    for (Place p : library.places()) {
      if (keymap.statesOf(p).contains(state)) {
        places.add(p);
      }
    }
    return places;
  }

  private static final Comparator<Fit.Does> ORDER =
      Comparator.comparing((Fit.Does d) -> !actsOnSelection(d.routine()))
          .thenComparing(d -> -d.here().stream().mapToDouble(Binding::usesPerWeek).max().orElse(0))
          .thenComparing(d -> d.routine().name());

  private static boolean actsOnSelection(Routine routine) {
    return routine.target() == Target.SELECTION || routine.target() == Target.LAST_SELECTED;
  }

  private static boolean fits(Routine routine, Program program, Optional<Application> application) {
    return routine.application().equals(program.application())
        && !routine.card().setAside()
        && (program.somethingSelected() || !actsOnSelection(routine))
        && Entry.isOpen(routine, program, application);
  }

  /** Whether a way of selecting leads anywhere: tried on a copy. */
  private static boolean changes(Program program, Set<Whom.Group> ways, Whom.Group group) {
    if (!ways.contains(group) || !(program instanceof Simulated simulated)) {
      return false;
    }
    Program copy = simulated.copy();
    copy.select(group, false);
    return !copy.selected().isEmpty() && !copy.selected().equals(program.selected());
  }
}
