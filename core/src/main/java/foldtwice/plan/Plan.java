package foldtwice.plan;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.resolve.Owner;
import foldtwice.suggest.Suggestion;
import foldtwice.suggest.Suggestion.Reason;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A proposal of other triggers.
 *
 * @param lines every binding that was looked at, what gains most first
 * @param today seconds a week by the measure of the package, all lines together
 * @param planned the same if all of it is taken
 * @param bound no plan with these wishes costs less; nothing where nobody has proven any
 * @param options how many triggers were looked at, all bindings together
 * @param seconds it took
 */
public record Plan(
    List<Line> lines,
    double today,
    double planned,
    OptionalDouble bound,
    int options,
    double seconds) {

  /** There is none. */
  public static final Plan NOTHING = new Plan(List.of(), 0, 0, OptionalDouble.empty(), 0, 0);

  /** Why a line is as it is. */
  public enum Fate {
    /** Another trigger is proposed. */
    MOVES,
    /** It has the best there is for it, in this plan. */
    STAYS,
    /** Others can gain more: it was not looked at. */
    LESS_TO_GAIN,
    /** The person wants it to stay. */
    LOCKED,
    /** It is in a family that no other keys can be found for: it does not follow its pattern. */
    IN_FAMILY,
    /** Its key says which way something goes. */
    POINTS,
    /** What sets it off is not keys. */
    OTHER_KIND
  }

  /**
   * One binding.
   *
   * @param today what it has
   * @param proposed what it would have; the same where it stays
   * @param gain seconds a week, learning anew taken off
   * @param family the id of the family it is moved with, or would be
   * @param reasons for what is proposed
   */
  public record Line(
      String binding,
      Trigger today,
      Trigger proposed,
      double gain,
      Fate fate,
      Optional<String> family,
      List<Suggestion.Reason> reasons) {

    Line staying() {
      return new Line(binding, today, today, 0, Fate.STAYS, family, List.of());
    }

    public boolean moves() {
      return fate == Fate.MOVES;
    }
  }

  public Plan {
    lines = List.copyOf(lines);
  }

  /**
   * The same plan with nothing moved but these.
   *
   * @param still the plan in which nothing is moved, of the same bindings
   */
  Plan only(Collection<String> some, Plan still) {
    List<Line> kept =
        lines.stream()
            .map(l -> !l.moves() || some.contains(l.binding()) ? l : l.staying())
            .toList();
    double gained = kept.stream().mapToDouble(Line::gain).sum();
    return new Plan(
        kept, still.today, still.today - gained, OptionalDouble.empty(), options, seconds);
  }

  /** The same plan, with what is proven for all of its kind. */
  Plan provenTo(OptionalDouble least) {
    OptionalDouble proven =
        least.isPresent()
            ? OptionalDouble.of(Math.min(least.getAsDouble(), planned))
            : OptionalDouble.empty();
    return new Plan(lines, today, planned, proven, options, seconds);
  }

  /** How far it can be from the best possible, in seconds a week. */
  public OptionalDouble gap() {
    return bound.isPresent()
        ? OptionalDouble.of(Math.max(0, planned - bound.getAsDouble()))
        : OptionalDouble.empty();
  }

  /** How many bindings other triggers were looked for. */
  public long looked() {
    return lines.stream()
        .filter(l -> l.fate() == Fate.MOVES || l.fate() == Fate.STAYS || l.fate() == Fate.LOCKED)
        .count();
  }

  public List<Line> moved() {
    return lines.stream().filter(Line::moves).toList();
  }

  /** The commands of programs that lose their keys to it. */
  public Set<Owner.Native> displaced() {
    return moved().stream()
        .flatMap(l -> l.reasons().stream())
        .flatMap(r -> r instanceof Reason.Displaces(var all) ? all.stream() : Stream.of())
        .collect(Collectors.toSet());
  }

  /** Takes all of it. */
  public Edit take(Library library) {
    return take(library, moved().stream().map(Line::binding).toList());
  }

  /**
   * Takes lines: one edit. A line whose binding has another trigger by now is left out; a family of
   * which every line is taken is laid out by another pattern of its kind from then on.
   *
   * @param some bindings by id
   */
  public Edit take(Library library, Collection<String> some) {
    List<Edit> edits = new ArrayList<>();
    Set<String> taken = new HashSet<>();
    for (Line l : lines) {
      Binding b = library.bindings().get(l.binding());
      if (l.moves()
          && some.contains(l.binding())
          && b != null
          && b.triggers().contains(l.today())) {
        List<Trigger> triggers =
            b.triggers().stream().map(t -> t.equals(l.today()) ? l.proposed() : t).toList();
        edits.add(new Edit.PutBinding(b.withTriggers(triggers)));
        taken.add(l.binding());
      }
    }
    for (Family f : library.families().values()) {
      List<String> members = f.members().stream().filter(library.bindings()::containsKey).toList();
      if (!members.isEmpty() && taken.containsAll(members)) {
        Map<String, Trigger> proposed = new HashMap<>();
        lines.forEach(l -> proposed.put(l.binding(), l.proposed()));
        List<Trigger> laid = members.stream().map(proposed::get).toList();
        edits.add(new Edit.PutFamily(f.with(Laying.by(f.pattern(), laid)), at(library, f)));
      }
    }
    return new Edit.Together(edits);
  }

  private static int at(Library library, Family family) {
    return List.copyOf(library.families().keySet()).indexOf(family.id());
  }

  /**
   * The lines that have to be taken with one: those whose trigger of today it gets, or is begun by
   * or begins it, those of its family, and so on.
   */
  public List<String> with(String binding) {
    List<String> all = new ArrayList<>(List.of(binding));
    for (int i = 0; i < all.size(); i++) {
      String of = all.get(i);
      lines.stream()
          .filter(l -> l.binding().equals(of) && l.moves())
          .forEach(
              l ->
                  lines.stream()
                      .filter(Line::moves)
                      .filter(o -> !all.contains(o.binding()) && goesWith(l, o))
                      .forEach(o -> all.add(o.binding())));
    }
    return all;
  }

  private static boolean goesWith(Line l, Line o) {
    return (l.family().isPresent() && l.family().equals(o.family()))
        || meets(l.proposed(), o.today());
  }

  private static boolean meets(Trigger a, Trigger b) {
    if (!(a instanceof Trigger.Keys(var x)) || !(b instanceof Trigger.Keys(var y))) {
      return a.equals(b);
    }
    int common = Math.min(x.size(), y.size());
    return x.subList(0, common).equals(y.subList(0, common));
  }
}
