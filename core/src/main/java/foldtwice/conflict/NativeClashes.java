package foldtwice.conflict;

import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Signal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Native commands of one program with an equal right to the same keys: none of them answers. As a
 * description of a program usually has it by mistake, it is told although nobody bound anything.
 *
 * <p>Cost: one pass over the native commands, and the states of those that share their keys.
 */
final class NativeClashes {

  private final Subject subject;
  private final Meetings meetings;

  /** By application, the claims that share their presses with another of the same place. */
  private final Map<String, List<Claim>> shared;

  NativeClashes(Subject subject, Dangers dangers) {
    this(subject, dangers, new LinkedHashMap<>());
    for (Application a : subject.library().applications().values()) {
      shared.put(a.id(), shared(subject.keymap(), a));
    }
  }

  private NativeClashes(Subject subject, Dangers dangers, Map<String, List<Claim>> shared) {
    this.subject = subject;
    this.meetings = new Meetings(subject, dangers);
    this.shared = shared;
  }

  /** The same after a change. */
  NativeClashes after(Subject next, Dangers its) {
    return next.library().applications() == subject.library().applications()
            && next.keymap().station().equals(subject.keymap().station())
        ? new NativeClashes(next, its, shared)
        : new NativeClashes(next, its);
  }

  private static List<Claim> shared(Keymap keymap, Application application) {
    Map<List<Object>, List<Claim>> by = new LinkedHashMap<>();
    for (NativeCommand c : application.commands()) {
      for (Claim claim : Keymap.claims(application, c)) {
        for (List<Signal> path : keymap.paths(claim.trigger())) {
          by.computeIfAbsent(key(claim.place(), path), k -> new ArrayList<>(1)).add(claim);
        }
      }
    }
    return by.values().stream()
        .filter(all -> all.stream().map(Claim::owner).distinct().count() > 1)
        .flatMap(List::stream)
        .distinct()
        .toList();
  }

  private static List<Object> key(Place place, List<Signal> path) {
    return List.of(place, path);
  }

  /** The conflicts of the commands of an application with one another, each told once. */
  List<Conflict> of(Application application) {
    List<Conflict> found = new ArrayList<>();
    for (Claim claim : shared.getOrDefault(application.id(), List.of())) {
      meetings.of(claim, true).stream()
          .filter(c -> c.kind() == ConflictKind.DOUBLE_CLAIM || c.kind() == ConflictKind.HOLD_CLASH)
          .filter(c -> c.claims().stream().noneMatch(Claim::isYours))
          .forEach(found::add);
    }
    return found;
  }
}
