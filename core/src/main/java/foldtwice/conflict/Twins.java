package foldtwice.conflict;

import foldtwice.binding.Binding;
import foldtwice.fold.Siblings;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Owned;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.trigger.Trigger;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
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
  private final Dangers dangers;
  private final Meetings meetings;

  /** By routine and arguments, the bindings that have them, in the order of their ids. */
  private final Map<List<Object>, List<Binding>> same;

  private final List<Siblings.Group> groups;

  Twins(Subject subject, Dangers dangers) {
    this(subject, dangers, new HashMap<>(), Siblings.find(subject.library()));
    for (Binding b : subject.library().bindings().values()) {
      if (!b.triggers().isEmpty()) {
        same.computeIfAbsent(key(b), k -> new ArrayList<>(1)).add(b);
      }
    }
    same.values().forEach(some -> some.sort(ById.ORDER));
  }

  private Twins(
      Subject subject,
      Dangers dangers,
      Map<List<Object>, List<Binding>> same,
      List<Siblings.Group> groups) {
    this.subject = subject;
    this.dangers = dangers;
    this.meetings = new Meetings(subject, dangers);
    this.same = same;
    this.groups = groups;
  }

  /**
   * The same after bindings have changed and nothing else.
   *
   * @param changed as they were and as they are
   */
  Twins after(Subject next, Dangers its, List<Binding> changed) {
    Twins after = new Twins(next, its, new HashMap<>(same), groups);
    Set<String> ids = new HashSet<>();
    changed.forEach(b -> ids.add(b.id()));
    for (List<Object> key : changed.stream().map(this::key).distinct().toList()) {
      List<Binding> now =
          ById.changed(
              same.getOrDefault(key, List.of()),
              ids,
              next.library(),
              b -> !b.triggers().isEmpty() && key(b).equals(key));
      if (now.isEmpty()) {
        after.same.remove(key);
      } else {
        after.same.put(key, now);
      }
    }
    return after;
  }

  /** What bindings must have the same of to be twins. */
  List<Object> key(Binding binding) {
    return key(subject.library(), binding);
  }

  private static List<Object> key(Library library, Binding binding) {
    Optional<Routine> routine = library.routineOf(binding);
    Map<String, Value> arguments = new TreeMap<>(binding.arguments());
    routine.ifPresent(
        r -> r.parameters().forEach(p -> arguments.computeIfAbsent(p.name(), n -> p.otherwise())));
    return List.of(binding.routine(), arguments);
  }

  /** True when two bindings do the very same, with the same arguments. */
  static boolean areSame(Library library, Claim one, Claim other) {
    Optional<Binding> first = Owned.binding(library, one.owner());
    Optional<Binding> second = Owned.binding(library, other.owner());
    return first.isPresent()
        && second.isPresent()
        && first.get().routine().equals(second.get().routine())
        && first.get().fitting().asks().equals(second.get().fitting().asks())
        && key(library, first.get()).equals(key(library, second.get()));
  }

  /** Every key that a binding has. */
  Set<List<Object>> keys() {
    return same.keySet();
  }

  /**
   * Among the bindings of a key, each that does the same as one before it where both fire, with a
   * trigger of the same kind: a key and a button for one thing are no twins. Costs the number of
   * bindings times the depth of their places, and for those whose places meet the states they are
   * heard in.
   */
  List<Conflict> of(List<Object> key) {
    List<Binding> all = same.getOrDefault(key, List.of());
    if (all.size() < 2) {
      return List.of();
    }
    Pairing pairing = new Pairing(all);
    List<Conflict> found = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      int first = pairing.first(i);
      if (first < i) {
        Set<Place> both = new LinkedHashSet<>(pairing.fires(i));
        both.retainAll(pairing.fires(first));
        if (!both.isEmpty()) {
          found.add(twins(all.get(i), all.get(first), List.copyOf(both), false));
        }
      }
      pairing.add(i);
    }
    return found;
  }

  /** Which of some bindings come before others in places that meet; where they fire, if asked. */
  private final class Pairing {
    private final List<Binding> all;
    private final Map<Integer, Set<Place>> fires = new HashMap<>();
    private final Map<List<Object>, Deque<Integer>> at = new HashMap<>();
    private final Map<List<Object>, Deque<Integer>> within = new HashMap<>();

    Pairing(List<Binding> all) {
      this.all = all;
    }

    Set<Place> fires(int i) {
      return fires.computeIfAbsent(i, n -> Twins.this.fires(all.get(n)));
    }

    /** The first that was added, fires anywhere and meets this one; itself when there is none. */
    int first(int i) {
      Binding b = all.get(i);
      int first = i;
      for (Trigger t : b.triggers()) {
        first = Math.min(first, head(within.get(List.of(b.place(), t.getClass())), i));
        for (Place p : around(b.place())) {
          first = Math.min(first, head(at.get(List.of(p, t.getClass())), i));
        }
      }
      return first;
    }

    /** What fires nowhere is no twin of anybody, and is not asked about again. */
    private int head(Deque<Integer> some, int otherwise) {
      while (some != null && !some.isEmpty() && fires(some.peek()).isEmpty()) {
        some.poll();
      }
      return some == null || some.isEmpty() ? otherwise : some.peek();
    }

    void add(int i) {
      Binding b = all.get(i);
      for (Trigger t : b.triggers()) {
        add(at, List.of(b.place(), t.getClass()), i);
        for (Place p : around(b.place())) {
          add(within, List.of(p, t.getClass()), i);
        }
      }
    }

    private static void add(Map<List<Object>, Deque<Integer>> to, List<Object> key, int i) {
      to.computeIfAbsent(key, k -> new ArrayDeque<>(1)).add(i);
    }
  }

  /** A place and all it lies in. */
  private List<Place> around(Place place) {
    List<Place> all = new ArrayList<>(List.of(new Place.Everywhere()));
    place.applicationId().ifPresent(id -> all.add(new Place.Whole(id)));
    if (place instanceof Place.Within(String id, String context)) {
      path(id, context).forEach(c -> all.add(new Place.Within(id, c.id())));
      if (!all.contains(place)) {
        all.add(place);
      }
    }
    return all;
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
        Binding b = bound.get(i);
        found.add(twins(b, bound.getFirst(), subject.keymap().statesOf(b.place()), true));
      }
    }
    return found;
  }

  /** The states in which a binding fires by one of its triggers. */
  private Set<Place> fires(Binding binding) {
    Set<Place> all = new LinkedHashSet<>();
    for (Claim c : Keymap.claims(binding)) {
      all.addAll(meetings.fires(c));
    }
    return all;
  }

  private Conflict twins(Binding binding, Binding other, List<Place> places, boolean differ) {
    Claim claim = Keymap.claims(binding).getFirst();
    boolean everywhere = places.size() == subject.keymap().statesOf(binding.place()).size();
    List<Claim> claims = List.of(claim, Keymap.claims(other).getFirst());
    return new Conflict(
        ConflictKind.TWINS,
        Weight.NOTE,
        Loss.of(subject.library(), dangers, List.of(), claims, 1),
        places,
        everywhere,
        claims,
        new Detail.Copies(differ),
        new Evidence(
            places.isEmpty() ? binding.place() : places.getFirst(),
            subject.keymap().paths(claim.trigger()).stream().findFirst().orElse(List.of())));
  }
}
