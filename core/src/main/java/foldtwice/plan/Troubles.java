package foldtwice.plan;

import foldtwice.conflict.Auditor;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.ConflictKind;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Owner;
import foldtwice.trigger.Trigger;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** What a plan would bring that is not wrong today, by a full audit of every station. */
final class Troubles {

  private final List<Subject> stations;
  private final Library library;
  private final Set<Object> before;

  /** Costs an audit of every station. */
  Troubles(List<Subject> stations) {
    this.stations = stations;
    library = stations.getFirst().library();
    before = all(library, stations.stream().map(Subject::keymap).toList());
  }

  /**
   * What of a plan brings trouble that was not there.
   *
   * @param triggers that are in it, by the binding that would get them
   * @param stay bindings by whose leaving it comes to light
   */
  record Bad(Map<String, Set<Trigger>> triggers, Set<String> stay) {
    boolean isNothing() {
      return triggers.isEmpty() && stay.isEmpty();
    }
  }

  /** What is wrong, as what stays the same when only triggers are others. */
  private Set<Object> all(Library of, List<Keymap> keymaps) {
    Set<Object> all = new HashSet<>();
    for (int i = 0; i < stations.size(); i++) {
      for (Conflict c : Auditor.audit(stations.get(i).with(of, keymaps.get(i)))) {
        all.add(trouble(i, c));
      }
    }
    return all;
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
    Bad bad = new Bad(new HashMap<>(), new HashSet<>());
    if (moved.isEmpty()) {
      return bad;
    }
    Library after = plan.take(library).on(library);
    Set<Owner.Native> displaced = plan.displaced();
    for (int i = 0; i < stations.size(); i++) {
      Subject s = stations.get(i);
      Keymap keymap = s.keymap().following(library, after);
      for (Conflict c : Auditor.audit(s.with(after, keymap))) {
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
    in.forEach(
        l -> bad.triggers().computeIfAbsent(l.binding(), x -> new HashSet<>()).add(l.proposed()));
    if (!in.isEmpty()) {
      return;
    }
    List<Plan.Line> left = moved.stream().filter(l -> brings(station, c, plan, l)).toList();
    // Only several together bring it: the one by which least is lost stays.
    (left.isEmpty() ? moved.subList(moved.size() - 1, moved.size()) : left)
        .forEach(l -> bad.stay().add(l.binding()));
  }

  /** Whether a line alone brings a conflict, by leaving what it has today. */
  private boolean brings(int station, Conflict c, Plan plan, Plan.Line l) {
    Library after = plan.take(library, List.of(l.binding())).on(library);
    Subject s = stations.get(station);
    Object sought = trouble(station, c);
    return Auditor.audit(s.with(after, s.keymap().following(library, after))).stream()
        .anyMatch(found -> trouble(station, found).equals(sought));
  }
}
