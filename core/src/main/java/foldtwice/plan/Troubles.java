package foldtwice.plan;

import foldtwice.conflict.Audit;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.ConflictKind;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owner;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a plan would bring that is not wrong today, by a full audit of every station. */
final class Troubles {

  private final List<Subject> stations;
  private final Library library;

  /** Of the library as it is, by station. */
  private final List<Audit> today;

  /** What is wrong today, as what stays the same when only triggers are others. */
  private final Set<Object> before = new HashSet<>();

  /** Costs an audit of every station. */
  Troubles(List<Subject> stations) {
    this.stations = stations;
    library = stations.getFirst().library();
    today = stations.stream().map(Audit::of).toList();
    for (int i = 0; i < stations.size(); i++) {
      int station = i;
      today.get(i).conflicts().forEach(c -> before.add(trouble(station, c)));
    }
  }

  /**
   * What of a plan brings trouble that was not there.
   *
   * @param together bindings that bring it by what they would have or keep, all of them together
   * @param stay bindings by whose leaving it comes to light
   */
  record Bad(Set<Set<String>> together, Set<String> stay) {
    boolean isNothing() {
      return together.isEmpty() && stay.isEmpty();
    }
  }

  private static Object trouble(int station, Conflict c) {
    return List.of(
        station,
        c.kind(),
        c.claims().stream()
            .map(claim -> claim.owner().name())
            .collect(Collectors.toCollection(TreeSet::new)));
  }

  Bad of(Plan plan) {
    List<Plan.Line> moved = plan.moved();
    Bad bad = new Bad(new HashSet<>(), new HashSet<>());
    if (moved.isEmpty()) {
      return bad;
    }
    Library after = plan.take(library).on(library);
    Set<Owner.Native> displaced = plan.displaced();
    for (int i = 0; i < stations.size(); i++) {
      for (Conflict c : conflicts(i, after)) {
        if (!before.contains(trouble(i, c)) && !isMeant(c, displaced)) {
          blame(i, c, plan, bad);
        }
      }
    }
    return bad;
  }

  /** A command of a program loses its keys, as was allowed. */
  private static boolean isMeant(Conflict c, Set<Owner.Native> displaced) {
    return c.kind() == ConflictKind.DISPLACES
        && c.claims().stream()
            .map(Claim::owner)
            .filter(o -> o instanceof Owner.Native)
            .allMatch(displaced::contains);
  }

  private void blame(int station, Conflict c, Plan plan, Bad bad) {
    List<Plan.Line> moved = plan.moved();
    Set<String> involved =
        c.claims().stream()
            .filter(claim -> claim.owner() instanceof Owner.Yours)
            .map(claim -> ((Owner.Yours) claim.owner()).binding())
            .collect(Collectors.toSet());
    List<Plan.Line> in =
        moved.stream()
            .filter(l -> involved.contains(l.binding()) || c.isAbout(l.binding()))
            .toList();
    if (!in.isEmpty()) {
      bad.together().addAll(c.isShared() ? each(station, c, plan, in) : Set.of(all(involved, in)));
      return;
    }
    List<Plan.Line> left = moved.stream().filter(l -> brings(station, c, plan, l)).toList();
    // Only several together bring it: the one by which least is lost stays.
    (left.isEmpty() ? moved.subList(moved.size() - 1, moved.size()) : left)
        .forEach(l -> bad.stay().add(l.binding()));
  }

  /** All that have a part in a conflict, those that stay where they are as well. */
  private static Set<String> all(Set<String> involved, List<Plan.Line> in) {
    return Stream.concat(involved.stream(), in.stream().map(Plan.Line::binding))
        .collect(Collectors.toSet());
  }

  /** Of what is told of many at once, those that bring it each by itself; all where none does. */
  private Set<Set<String>> each(int station, Conflict c, Plan plan, List<Plan.Line> in) {
    Set<Set<String>> each =
        in.stream()
            .filter(l -> bringsItself(station, c, plan, l))
            .map(l -> Set.of(l.binding()))
            .collect(Collectors.toSet());
    return each.isEmpty()
        ? Set.of(in.stream().map(Plan.Line::binding).collect(Collectors.toSet()))
        : each;
  }

  /** Whether a line alone brings something new of a kind, with itself in it. */
  private boolean bringsItself(int station, Conflict c, Plan plan, Plan.Line l) {
    return conflicts(station, plan.take(library, List.of(l.binding())).on(library)).stream()
        .anyMatch(
            found ->
                found.kind() == c.kind()
                    && found.isAbout(l.binding())
                    && !before.contains(trouble(station, found)));
  }

  /** Whether a line alone brings a conflict, by leaving what it has today. */
  private boolean brings(int station, Conflict c, Plan plan, Plan.Line l) {
    Object sought = trouble(station, c);
    return conflicts(station, plan.take(library, List.of(l.binding())).on(library)).stream()
        .anyMatch(found -> trouble(station, found).equals(sought));
  }

  private List<Conflict> conflicts(int station, Library after) {
    Subject s = stations.get(station);
    return today
        .get(station)
        .after(s.with(after, s.keymap().following(library, after)))
        .conflicts();
  }
}
