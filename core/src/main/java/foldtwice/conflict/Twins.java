package foldtwice.conflict;

import foldtwice.binding.Binding;
import foldtwice.fold.Siblings;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Bindings that are one in two: the same routine with the same arguments in places that meet, and
 * routines that differ in constants only. Each is told once, of the later of the two.
 *
 * <p>Cost: one pass over the bindings, and one over the routines for the copies.
 */
final class Twins {

  private final Subject subject;

  /** By routine and arguments, the bindings that have them, in the order of the library. */
  private final Map<List<Object>, List<Binding>> same;

  private final List<Siblings.Group> groups;

  Twins(Subject subject) {
    this(subject, new HashMap<>(), Siblings.find(subject.library()));
    for (Binding b : subject.library().bindings().values()) {
      if (!b.triggers().isEmpty()) {
        same.computeIfAbsent(key(b), k -> new ArrayList<>(1)).add(b);
      }
    }
  }

  private Twins(
      Subject subject, Map<List<Object>, List<Binding>> same, List<Siblings.Group> groups) {
    this.subject = subject;
    this.same = same;
    this.groups = groups;
  }

  /**
   * The same after bindings have changed and nothing else.
   *
   * @param changed as they were and as they are
   */
  Twins after(Subject next, List<Binding> changed) {
    Twins after = new Twins(next, new HashMap<>(same), groups);
    Set<List<Object>> keys = new LinkedHashSet<>();
    Set<String> ids = new HashSet<>();
    for (Binding b : changed) {
      keys.add(key(b));
      ids.add(b.id());
    }
    for (List<Object> key : keys) {
      Set<String> there = new HashSet<>();
      same.getOrDefault(key, List.of()).forEach(b -> there.add(b.id()));
      there.addAll(ids);
      List<Binding> now =
          next.library().bindings().values().stream()
              .filter(b -> there.contains(b.id()))
              .filter(b -> !b.triggers().isEmpty() && key(b).equals(key))
              .toList();
      if (now.isEmpty()) {
        after.same.remove(key);
      } else {
        after.same.put(key, now);
      }
    }
    return after;
  }

  private List<Object> key(Binding binding) {
    Optional<Routine> routine = subject.library().routineOf(binding);
    Map<String, Value> arguments = new TreeMap<>(binding.arguments());
    routine.ifPresent(
        r -> r.parameters().forEach(p -> arguments.computeIfAbsent(p.name(), n -> p.otherwise())));
    return List.of(binding.routine(), arguments);
  }

  /** Those with the same routine and arguments, itself among them. */
  List<Binding> like(Binding binding) {
    return same.getOrDefault(key(binding), List.of());
  }

  /** The conflict of a binding with the first before it that does the same where both are heard. */
  List<Conflict> of(Binding binding) {
    if (binding.triggers().isEmpty()) {
      return List.of();
    }
    for (Binding other : like(binding)) {
      if (other.id().equals(binding.id())) {
        return List.of();
      }
      if (meet(binding.place(), other.place()) && alike(binding, other)) {
        return List.of(twins(binding, other, false));
      }
    }
    return List.of();
  }

  /** True when both have a trigger of one kind: a key and a button for one thing are no twins. */
  private static boolean alike(Binding one, Binding other) {
    return one.triggers().stream()
        .anyMatch(t -> other.triggers().stream().anyMatch(o -> o.getClass() == t.getClass()));
  }

  /** True when one place lies in the other. */
  private boolean meet(Place one, Place other) {
    return contains(one, other) || contains(other, one);
  }

  private boolean contains(Place outer, Place inner) {
    return switch (outer) {
      case Place.Everywhere() -> true;
      case Place.Whole(String id) -> inner.applicationId().equals(Optional.of(id));
      case Place.Within(String id, String context) ->
          inner instanceof Place.Within(String other, String within)
              && other.equals(id)
              && path(id, within).stream().anyMatch(c -> c.id().equals(context));
    };
  }

  private List<Context> path(String application, String context) {
    Application a = subject.library().applications().get(application);
    return a == null ? List.of() : a.path(context);
  }

  /** Routines that could be one with parameters: told of a binding of each after the first. */
  List<Conflict> copies() {
    if (groups.isEmpty()) {
      return List.of();
    }
    Library library = subject.library();
    Map<String, Binding> firsts = new LinkedHashMap<>();
    library.bindings().values().stream()
        .filter(b -> !b.triggers().isEmpty())
        .forEach(b -> firsts.putIfAbsent(b.routine(), b));
    List<Conflict> found = new ArrayList<>();
    for (Siblings.Group group : groups) {
      List<Binding> bound =
          group.members().stream()
              .flatMap(r -> Optional.ofNullable(firsts.get(r.id())).stream())
              .toList();
      for (int i = 1; i < bound.size(); i++) {
        found.add(twins(bound.get(i), bound.getFirst(), true));
      }
    }
    return found;
  }

  private Conflict twins(Binding binding, Binding other, boolean differ) {
    Claim claim = Keymap.claims(binding).getFirst();
    List<Place> places = subject.keymap().statesOf(binding.place());
    List<Claim> claims = List.of(claim, Keymap.claims(other).getFirst());
    return new Conflict(
        ConflictKind.TWINS,
        Weight.NOTE,
        Loss.of(subject.library(), List.of(), claims, 1),
        places,
        true,
        claims,
        new Detail.Copies(differ),
        new Evidence(
            places.isEmpty() ? binding.place() : places.getFirst(),
            subject.keymap().paths(claim.trigger()).stream().findFirst().orElse(List.of())));
  }
}
