package foldtwice.conflict;

import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Signal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

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
  private final Map<String, Shared> shared;

  /** Claims, and the presses they may begin with. */
  private record Shared(List<Claim> claims, Set<Integer> firsts) {
    static final Shared NONE = new Shared(List.of(), Set.of());
  }

  NativeClashes(Subject subject, Dangers dangers) {
    this(subject, dangers, new LinkedHashMap<>());
    for (Application a : subject.library().applications().values()) {
      shared.put(a.id(), shared(subject.keymap(), a));
    }
  }

  private NativeClashes(Subject subject, Dangers dangers, Map<String, Shared> shared) {
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

  private static Shared shared(Keymap keymap, Application application) {
    Map<List<Object>, List<Claim>> by = new LinkedHashMap<>();
    for (NativeCommand c : application.commands()) {
      for (Claim claim : Keymap.claims(application, c)) {
        for (List<Signal> path : keymap.paths(claim.trigger())) {
          by.computeIfAbsent(key(claim.place(), path), k -> new ArrayList<>(1)).add(claim);
        }
      }
    }
    List<Claim> claims =
        by.values().stream()
            .filter(all -> all.stream().map(Claim::owner).distinct().count() > 1)
            .flatMap(List::stream)
            .distinct()
            .toList();
    Set<Integer> firsts = new HashSet<>();
    claims.forEach(c -> firsts.addAll(keymap.firsts(c.trigger())));
    return new Shared(claims, firsts);
  }

  private static List<Object> key(Place place, List<Signal> path) {
    return List.of(place, path);
  }

  /** True when presses that begin with one of these may come to commands that share their keys. */
  boolean concerns(Application application, Set<Integer> firsts) {
    return !Collections.disjoint(
        shared.getOrDefault(application.id(), Shared.NONE).firsts(), firsts);
  }

  /** The conflicts of the commands of an application with one another, each told once. */
  List<Conflict> of(Application application) {
    List<Conflict> found = new ArrayList<>();
    for (Claim claim : shared.getOrDefault(application.id(), Shared.NONE).claims()) {
      meetings.of(claim, true).stream()
          .filter(Conflict::isBetweenEquals)
          .filter(c -> c.claims().stream().noneMatch(Claim::isYours))
          .forEach(found::add);
    }
    return found;
  }
}
