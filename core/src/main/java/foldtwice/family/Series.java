package foldtwice.family;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.binding.Pattern;
import foldtwice.conflict.Advice;
import foldtwice.conflict.Subject;
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
import foldtwice.trigger.Trigger;
import foldtwice.writing.Opposites;
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
 * <p>A wish that a binding of no family fulfils already takes that binding in, where it loses
 * nothing by that; what else sets a member off than its place in the series, it keeps.
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
  public record Member(Wish wish, Binding binding, Optional<Advice> advice) {

    /** The same, firing so many times a second while its key is down. */
    public Member repeating(int times) {
      return new Member(wish, binding.withFitting(binding.fitting().repeating(times)), advice);
    }
  }

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

  /** Wishes for an adjustable value in steps: up, down, coarse up, coarse down. */
  public static List<Wish> steps(
      Routine routine, Map<String, Value> rest, String parameter, Value fine, Value coarse) {
    List<Value> values = new ArrayList<>();
    for (Value step : List.of(fine, coarse)) {
      values.add(step);
      Opposites.of(routine, Map.of(parameter, step))
          .map(o -> o.get(parameter))
          .ifPresent(values::add);
    }
    return wishes(routine, rest, parameter, values);
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
    List<Binding> there = members(library, family);
    boolean mixed = there.stream().map(Binding::routine).distinct().count() > 1;
    List<Wish> all = new ArrayList<>();
    there.forEach(b -> all.add(wish(library, b, mixed)));
    all.addAll(wishes);
    List<Optional<Trigger>> triggers =
        family
            .pattern()
            .triggers(
                all.stream().map(Wish::name).toList(),
                keymap.layout(),
                keymap.station().shape(),
                library::device);
    Set<String> taken = new LinkedHashSet<>(library.bindings().keySet());
    List<Binding> laid = new ArrayList<>();
    Keymap then = keymap;
    for (int i = 0; i < all.size(); i++) {
      Wish wish = all.get(i);
      Optional<Trigger> trigger = triggers.get(i);
      Binding member =
          i < there.size()
              ? there.get(i)
              : doing(library, place, wish, trigger, laid)
                  .orElseGet(() -> fresh(library, place, wish, taken));
      taken.add(member.id());
      Binding next = member.withTriggers(with(trigger, member.triggers(), family.pattern()));
      Binding present = library.bindings().get(next.id());
      then = (present == null ? then : then.without(present)).with(next);
      laid.add(next);
    }
    Library made = edit(family, laid).on(library);
    List<Member> planned = new ArrayList<>();
    for (int i = 0; i < laid.size(); i++) {
      Binding b = laid.get(i);
      Subject whole = Subject.of(made, then);
      Optional<Advice> advice = triggers.get(i).map(t -> Advice.on(whole, b, t));
      planned.add(new Member(all.get(i), b, advice));
    }
    return List.copyOf(planned);
  }

  private static Binding fresh(Library library, Place place, Wish wish, Set<String> taken) {
    return Binding.fresh(
        Ids.next("b", taken::contains, library.bindings().size() + 1),
        wish.routine(),
        place,
        List.of(),
        wish.arguments());
  }

  /**
   * A binding of no family that does what is wished and would lose nothing: what sets it off is of
   * another sort, or the very trigger that is planned.
   */
  private static Optional<Binding> doing(
      Library library, Place place, Wish wish, Optional<Trigger> trigger, List<Binding> laid) {
    return library.bindings().values().stream()
        .filter(b -> b.place().equals(place) && does(library, b, wish))
        .filter(b -> library.familyOf(b.id()).isEmpty())
        .filter(b -> laid.stream().noneMatch(l -> l.id().equals(b.id())))
        .filter(
            b ->
                b.triggers().stream()
                    .filter(t -> trigger.filter(x -> x.getClass() == t.getClass()).isPresent())
                    .allMatch(t -> trigger.equals(Optional.of(t))))
        .findFirst();
  }

  /** The planned trigger first, and what a member has of another sort. */
  private static List<Trigger> with(
      Optional<Trigger> planned, List<Trigger> present, Pattern pattern) {
    Class<? extends Trigger> sort =
        pattern instanceof Pattern.PadKeys ? Trigger.PadKey.class : Trigger.Keys.class;
    List<Trigger> all = new ArrayList<>(planned.stream().toList());
    present.stream().filter(t -> !sort.isInstance(t)).forEach(all::add);
    return all;
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

  /** What a binding is, named by what it passes; where routines differ, by those too. */
  private static Wish wish(Library library, Binding b, boolean mixed) {
    Optional<Routine> routine = library.routineOf(b);
    String of = routine.map(Routine::name).orElse(b.routine());
    String name =
        routine
            .flatMap(r -> varying(r, b.arguments()))
            .map(v -> mixed ? of + " " + v : v)
            .orElse(of);
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
          .map(other -> wish(library, b.withRoutine(b.routine(), other), false))
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
