package foldtwice.family;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.binding.Pattern;
import foldtwice.conflict.Advice;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.shape.Opposites;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A family as it would be: worked out and advised on before anything is changed.
 *
 * <p>Laws: making a series gives its members exactly the planned triggers; no two members get one
 * trigger; taking the one edit back leaves the library as it was.
 */
public final class Series {

  /** What one member shall be. */
  public record Wish(String routine, Map<String, Value> arguments, String name) {
    public Wish {
      arguments = Map.copyOf(arguments);
    }
  }

  /**
   * One member as planned.
   *
   * @param binding with the planned trigger, or none where the pattern has no key left
   * @param advice on its trigger, were all the others made; empty without one
   */
  public record Member(Wish wish, Binding binding, Optional<Advice> advice) {}

  private Series() {}

  /** A wish for each value of one parameter, in their order. */
  public static List<Wish> wishes(
      Routine routine, Map<String, Value> rest, String parameter, List<Value> values) {
    List<Wish> all = new ArrayList<>();
    for (Value value : values) {
      Map<String, Value> arguments = new LinkedHashMap<>(rest);
      arguments.put(parameter, value);
      all.add(new Wish(routine.id(), arguments, value.shown()));
    }
    return List.copyOf(all);
  }

  /**
   * Plans a family of wishes in a place.
   *
   * @param family what it will be; its members that are there keep their bindings, in their order,
   *     and the wishes follow them
   * @param keymap compiled from the library
   */
  public static List<Member> plan(
      Library library, Keymap keymap, Family family, Place place, List<Wish> wishes) {
    List<Binding> bindings = new ArrayList<>(members(library, family));
    List<Wish> all = new ArrayList<>();
    bindings.forEach(b -> all.add(wish(library, b)));
    Set<String> taken = new LinkedHashSet<>(library.bindings().keySet());
    for (Wish w : wishes) {
      String id = Ids.next("b", taken::contains, library.bindings().size() + 1);
      taken.add(id);
      bindings.add(Binding.fresh(id, w.routine(), place, List.of(), w.arguments()));
      all.add(w);
    }
    List<Optional<Trigger>> triggers =
        family
            .pattern()
            .triggers(
                all.stream().map(Wish::name).toList(),
                keymap.layout(),
                keymap.station().shape(),
                library::device);
    Keymap then = keymap;
    List<Binding> laid = new ArrayList<>();
    for (int i = 0; i < bindings.size(); i++) {
      Binding next = bindings.get(i).withTriggers(triggers.get(i).stream().toList());
      Binding present = library.bindings().get(next.id());
      then = (present == null ? then : then.without(present)).with(next);
      laid.add(next);
    }
    Library made = edit(family, laid).on(library);
    List<Member> planned = new ArrayList<>();
    for (int i = 0; i < laid.size(); i++) {
      Binding b = laid.get(i);
      Optional<Advice> advice =
          b.triggers().isEmpty()
              ? Optional.empty()
              : Optional.of(Advice.on(made, then, b, b.triggers().getFirst()));
      planned.add(new Member(all.get(i), b, advice));
    }
    return List.copyOf(planned);
  }

  /** The edit that makes a planned family. */
  public static Edit make(Family family, List<Member> planned) {
    return edit(family, planned.stream().map(Member::binding).toList());
  }

  private static Edit edit(Family family, List<Binding> bindings) {
    List<Edit> edits = new ArrayList<>();
    bindings.forEach(b -> edits.add(new Edit.PutBinding(b)));
    edits.add(
        new Edit.PutFamily(
            new Family(
                family.id(),
                family.name(),
                bindings.stream().map(Binding::id).toList(),
                family.pattern(),
                family.extras())));
    return new Edit.Together(edits);
  }

  /** A family of this name with nobody in it yet. */
  public static Family begun(Library library, String name, Pattern pattern) {
    return new Family(
        Ids.free(Ids.of(name, "family"), library.families()::containsKey),
        name,
        List.of(),
        pattern,
        Extras.NONE);
  }

  /** The bindings of a family that are there, in order. */
  public static List<Binding> members(Library library, Family family) {
    return family.members().stream()
        .filter(library.bindings()::containsKey)
        .map(library.bindings()::get)
        .toList();
  }

  /** The members that nothing sets off. */
  public static List<Binding> unbound(Library library, Family family) {
    return members(library, family).stream().filter(b -> b.triggers().isEmpty()).toList();
  }

  private static Wish wish(Library library, Binding b) {
    Optional<Routine> routine = library.routineOf(b);
    String name =
        routine
            .flatMap(r -> varying(r, b.arguments()))
            .orElse(routine.map(Routine::name).orElse(b.routine()));
    return new Wish(b.routine(), b.arguments(), name);
  }

  private static Optional<String> varying(Routine routine, Map<String, Value> arguments) {
    List<String> given =
        routine.parameters().stream()
            .map(Parameter::name)
            .filter(arguments::containsKey)
            .map(n -> arguments.get(n).shown())
            .toList();
    return given.isEmpty() ? Optional.empty() : Optional.of(String.join(" ", given));
  }

  /**
   * What would go with a family and is not in it: the choices nobody has yet, the one that clears
   * among them, and the other half of each member. In the order of the choices.
   */
  public static List<Wish> offered(Library library, Family family) {
    List<Binding> members = members(library, family);
    Set<Wish> found = new LinkedHashSet<>();
    for (Binding b : members) {
      Optional<Routine> routine = library.routineOf(b);
      if (routine.isEmpty()) {
        continue;
      }
      choices(routine.get(), b, members).forEach(found::add);
      Opposites.of(routine.get(), b.arguments())
          .map(other -> wish(library, b.withRoutine(b.routine(), other)))
          .filter(w -> members.stream().noneMatch(m -> does(library, m, w)))
          .ifPresent(found::add);
    }
    return List.copyOf(found);
  }

  /** The wishes for the choices of the parameter in which the members differ. */
  private static List<Wish> choices(Routine routine, Binding b, List<Binding> members) {
    for (Parameter p : routine.parameters()) {
      List<Value> had =
          members.stream()
              .filter(m -> m.routine().equals(b.routine()))
              .map(m -> Library.argument(m, p))
              .distinct()
              .toList();
      if (p.kind() instanceof Kind.Choice(List<String> options) && had.size() > 1) {
        List<Value> missing =
            options.stream().<Value>map(Value.Text::new).filter(v -> !had.contains(v)).toList();
        return wishes(routine, b.arguments(), p.name(), missing);
      }
    }
    return List.of();
  }

  /** True when a binding is what a wish asks for, defaults counted in. */
  private static boolean does(Library library, Binding b, Wish wish) {
    return b.routine().equals(wish.routine())
        && library
            .routineOf(b)
            .map(
                r ->
                    r.parameters().stream()
                        .allMatch(
                            p ->
                                Library.argument(b, p)
                                    .equals(
                                        wish.arguments().getOrDefault(p.name(), p.otherwise()))))
            .orElse(false);
  }
}
