package foldtwice.remedy;

import foldtwice.conflict.Audit;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.known.Known;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Owned;
import foldtwice.resolve.Owner;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.IntPredicate;
import java.util.stream.Collectors;

/**
 * Finds the remedies of a conflict.
 *
 * <p>Costs, for each of at most {@value #MOST} ways, an edit of a copy of the library and an audit
 * of what the edit touches; of everything when the way is to change the station.
 */
public final class Remedies {

  /** At most so many ways are tried. */
  public static final int MOST = 14;

  /** Of several conflicts so many are asked what could be done. */
  private static final int LOOKED_AT = 8;

  private static final Comparator<Remedy> BEST_FIRST =
      Comparator.comparing((Remedy r) -> !r.isClean())
          .thenComparing(r -> r.givesUp().isPresent())
          .thenComparing(Remedy::disturbs)
          .thenComparing(Comparator.comparingDouble(Remedy::gain).reversed());

  private final Audit audit;
  private final BiFunction<Station, Library, Known> around;

  /**
   * Remedies for the conflicts of an audit.
   *
   * @param around what the programs of a station offer, should the station change
   */
  public Remedies(Audit audit, BiFunction<Station, Library, Known> around) {
    this.audit = audit;
    this.around = around;
  }

  /**
   * Ways that really settle a conflict, the best first: those that cause nothing and give nothing
   * up, then those that disturb least, then those that gain most. None that leaves it as it is.
   */
  public List<Remedy> of(Conflict conflict) {
    Subject now = audit.subject();
    List<Remedy> all = new ArrayList<>();
    for (Idea idea : new Ideas(now).of(conflict).stream().limit(MOST).toList()) {
      tried(idea)
          .filter(r -> r.solves().stream().anyMatch(c -> c.topic().equals(conflict.topic())))
          .ifPresent(all::add);
    }
    all.sort(BEST_FIRST);
    return List.copyOf(all);
  }

  /**
   * Ways that settle several conflicts at once, those first that settle most of them. Costs as much
   * as the remedies of {@value #LOOKED_AT} conflicts.
   */
  public List<Remedy> together(List<Conflict> some) {
    Set<Object> topics = topics(some);
    Set<Idea> ideas = new LinkedHashSet<>();
    for (Conflict c : some.stream().limit(LOOKED_AT).toList()) {
      new Ideas(audit.subject()).of(c).stream().limit(MOST).forEach(ideas::add);
    }
    return ideas.stream()
        .flatMap(idea -> tried(idea).stream())
        .filter(r -> settled(r, topics) > 1)
        .sorted(
            Comparator.comparing((Remedy r) -> settled(r, topics))
                .reversed()
                .thenComparing(BEST_FIRST))
        .limit(MOST)
        .toList();
  }

  private static Set<Object> topics(List<Conflict> some) {
    return some.stream().map(Conflict::topic).collect(Collectors.toSet());
  }

  /** How many of these a remedy solves. */
  private static long settled(Remedy remedy, Set<Object> topics) {
    return remedy.solves().stream().filter(c -> topics.contains(c.topic())).count();
  }

  /**
   * Remedies that cause nothing and together settle what of these can be settled so; the one that
   * settles most comes first. A conflict that goes with one before it has none of its own.
   */
  public List<Remedy> clean(List<Conflict> conflicts) {
    return clean(conflicts, done -> true);
  }

  /**
   * The same for many.
   *
   * @param goesOn is told how many conflicts were looked at and answers whether to look at more;
   *     what was found until then counts
   */
  public List<Remedy> clean(List<Conflict> conflicts, IntPredicate goesOn) {
    Set<Object> topics = topics(conflicts);
    Map<Object, Remedy> best = new LinkedHashMap<>();
    for (int i = 0; i < conflicts.size() && goesOn.test(i); i++) {
      Conflict c = conflicts.get(i);
      quiet(c).ifPresent(r -> best.put(c.topic(), r));
    }
    List<Conflict> order =
        conflicts.stream()
            .filter(c -> best.containsKey(c.topic()))
            .sorted(
                Comparator.comparing((Conflict c) -> settled(best.get(c.topic()), topics))
                    .reversed())
            .toList();
    List<Remedy> all = new ArrayList<>();
    Remedies then = this;
    Set<Object> gone = new HashSet<>();
    for (Conflict c : order) {
      if (gone.contains(c.topic())) {
        continue;
      }
      Optional<Remedy> now = all.isEmpty() ? Optional.of(best.get(c.topic())) : then.quiet(c);
      if (now.isPresent()) {
        gone.addAll(topics(now.get().solves()));
        all.add(now.get());
        then = new Remedies(then.after(now.get().edit()), around);
      }
    }
    return List.copyOf(all);
  }

  /** The best remedy of a conflict that causes nothing and moves nothing that is not yours. */
  private Optional<Remedy> quiet(Conflict conflict) {
    return of(conflict).stream().filter(Remedy::isClean).filter(Remedies::isQuiet).findFirst();
  }

  private static boolean isQuiet(Remedy remedy) {
    return !(remedy.way() instanceof Way.Copy)
        && !(remedy.way() instanceof Way.Move(Owner who, var from, var to)
            && who instanceof Owner.Native);
  }

  private Audit after(Edit edit) {
    return audit.after(subject(edit));
  }

  private Subject subject(Edit edit) {
    Subject now = audit.subject();
    Library next = edit.on(now.library());
    Keymap keymap = now.keymap().following(now.library(), next);
    Subject then = now.with(next, keymap);
    return keymap.station().equals(now.keymap().station())
        ? then
        : new Subject(next, keymap, around.apply(keymap.station(), next), then.setup());
  }

  /** The way made on a copy; empty when it settles nothing. */
  private Optional<Remedy> tried(Idea idea) {
    Subject now = audit.subject();
    Audit after =
        idea.way() instanceof Way.Copy(String application)
            ? audit.after(
                new Subject(
                    now.library(),
                    now.keymap(),
                    now.known(),
                    now.setup()
                        .copied(now.library(), now.library().applications().get(application))))
            : after(idea.edit());
    if (after.gone().isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        new Remedy(
            idea.way(),
            idea.edit(),
            without(after.gone(), after.fresh()),
            without(after.fresh(), after.gone()),
            disturbs(idea.way()),
            givenUp(idea.way(), after.subject().library()),
            Whose.alsoOn(idea.way(), now)));
  }

  private double disturbs(Way way) {
    Library library = audit.subject().library();
    return switch (way) {
      case Way.Move(Owner who, var from, var to) -> Owned.uses(library, who);
      case Way.TakeAway(Owner who, var trigger) -> Owned.uses(library, who);
      case Way.Narrow(String binding, var to) -> Owned.uses(library, new Owner.Yours(binding));
      case Way.Remove(String binding) -> Owned.uses(library, new Owner.Yours(binding));
      case Way.SwitchOff(String binding) -> Owned.uses(library, new Owner.Yours(binding));
      case Way.FirstStroke(List<String> bindings, var from, var to) ->
          bindings.stream().mapToDouble(b -> Owned.uses(library, new Owner.Yours(b))).sum();
      case Way.ByAction b -> 0;
      case Way.Join j -> 0;
      case Way.Register r -> 0;
      case Way.Install i -> 0;
      case Way.Update u -> 0;
      case Way.PlugIn p -> 0;
      case Way.Release r -> 0;
      case Way.PutBack p -> 0;
      case Way.Argument a -> 0;
      case Way.Fold f -> 0;
      case Way.Resend r -> 0;
      case Way.Silence s -> 0;
      case Way.Copy c -> 0;
    };
  }

  /** Whose last trigger is gone. */
  private static Optional<Owner> givenUp(Way way, Library then) {
    return switch (way) {
      case Way.TakeAway(Owner who, var trigger) ->
          switch (who) {
            case Owner.Yours(String id) ->
                Optional.of(who)
                    .filter(
                        o ->
                            !then.bindings().containsKey(id)
                                || then.bindings().get(id).triggers().isEmpty());
            case Owner.Native(String application, String command) ->
                Optional.of(who)
                    .filter(
                        o ->
                            then.applications()
                                .get(application)
                                .command(command)
                                .filter(c -> c.triggers().isEmpty())
                                .isPresent());
            default -> Optional.of(who);
          };
      case Way.Silence(Owner.Key key) -> Optional.of(key);
      case Way.Remove(String binding) -> Optional.of(new Owner.Yours(binding));
      case Way.SwitchOff(String binding) -> Optional.of(new Owner.Yours(binding));
      default -> Optional.empty();
    };
  }

  /** Those of a list whose trouble is not in another. */
  private static List<Conflict> without(List<Conflict> some, List<Conflict> others) {
    Set<Object> topics = topics(others);
    return some.stream().filter(c -> !topics.contains(c.topic())).toList();
  }
}
