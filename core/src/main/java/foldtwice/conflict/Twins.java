package foldtwice.conflict;

import foldtwice.binding.Binding;
import foldtwice.fold.Siblings;
import foldtwice.library.Layered;
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
import java.util.Collection;
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
  private final Layered<List<Object>, List<Binding>> same;

  /** By binding, the states in which it fires, as far as they were asked for. */
  private final Layered<String, List<Place>> fires;

  private final List<Siblings.Group> groups;

  Twins(Subject subject, Dangers dangers) {
    this(subject, dangers, new Layered<>(), new Layered<>(), Siblings.find(subject.library()));
    Map<List<Object>, List<Binding>> all = new HashMap<>();
    for (Binding b : subject.library().bindings().values()) {
      if (!b.triggers().isEmpty()) {
        all.computeIfAbsent(key(b), k -> new ArrayList<>(1)).add(b);
      }
    }
    all.forEach((key, some) -> same.put(key, ById.sorted(some)));
  }

  private Twins(
      Subject subject,
      Dangers dangers,
      Layered<List<Object>, List<Binding>> same,
      Layered<String, List<Place>> fires,
      List<Siblings.Group> groups) {
    this.subject = subject;
    this.dangers = dangers;
    this.meetings = new Meetings(subject, dangers);
    this.same = same;
    this.fires = fires;
    this.groups = groups;
  }

  /**
   * The same after bindings have changed and nothing else.
   *
   * @param changed as they were and as they are
   */
  Twins after(Subject next, Dangers its, List<Binding> changed) {
    Twins after = new Twins(next, its, same.next(), fires.next(), groups);
    Set<String> ids = new HashSet<>();
    changed.forEach(b -> ids.add(b.id()));
    for (List<Object> key : changed.stream().map(this::key).distinct().toList()) {
      List<Binding> now =
          ById.changed(
              same.get(key).orElse(List.of()),
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
  List<List<Object>> keys() {
    List<List<Object>> keys = new ArrayList<>();
    same.forEach((key, some) -> keys.add(key));
    return keys;
  }

  /**
   * The keys whose twins may be others than before.
   *
   * @param changed as they were and as they are
   * @param touched ids of those that may fire in other states than before
   */
  Set<List<Object>> doubtful(List<Binding> changed, Collection<String> touched) {
    Set<List<Object>> doubtful = new LinkedHashSet<>();
    changed.forEach(b -> doubtful.add(key(b)));
    for (String id : touched) {
      Binding b = subject.library().bindings().get(id);
      Optional<List<Place>> was = fires.get(id);
      fires.remove(id);
      if (b != null && was.isPresent() && !fires(b).equals(was.get())) {
        doubtful.add(key(b)); // what was never asked for decided nothing
      }
    }
    return doubtful;
  }

  /**
   * Among the bindings of a key, each that does the same as one before it where both fire, with a
   * trigger of the same kind: a key and a button for one thing are no twins. Costs the number of
   * bindings times the depth of their places, and for those whose places meet the states they are
   * heard in.
   */
  List<Conflict> of(List<Object> key) {
    List<Binding> all = same.get(key).orElse(List.of());
    if (all.size() < 2) {
      return List.of();
    }
    Pairing pairing = new Pairing(all);
    List<Conflict> found = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      int first = pairing.first(i);
      if (first < i) {
        List<Place> both = pairing.both(i, first);
        if (!both.isEmpty()) {
          found.add(twins(all.get(i), all.get(first), both, false));
        }
      }
      pairing.add(i);
    }
    return found;
  }

  /** A kind of trigger in a place. */
  private record Spot(Place place, Class<?> kind) {}

  /** Which of some bindings come before others in places that meet. */
  private final class Pairing {
    private final List<Binding> all;
    private final Map<Place, List<Place>> around = new HashMap<>();
    private final Map<Spot, Deque<Integer>> at = new HashMap<>();
    private final Map<Spot, Deque<Integer>> within = new HashMap<>();

    private final Map<Integer, Set<Place>> fires = new HashMap<>();

    Pairing(List<Binding> all) {
      this.all = all;
    }

    /** Where both of two fire. */
    List<Place> both(int one, int first) {
      List<Place> its = Twins.this.fires(all.get(one));
      Set<Place> others =
          fires.computeIfAbsent(first, n -> Set.copyOf(Twins.this.fires(all.get(n))));
      return others.containsAll(its) ? its : its.stream().filter(others::contains).toList();
    }

    private List<Place> around(Place place) {
      return around.computeIfAbsent(place, Twins.this::around);
    }

    /** The first that was added, fires anywhere and meets this one; itself when there is none. */
    int first(int i) {
      Binding b = all.get(i);
      int first = i;
      for (Trigger t : b.triggers()) {
        first = Math.min(first, head(within.get(new Spot(b.place(), t.getClass())), i));
        for (Place p : around(b.place())) {
          first = Math.min(first, head(at.get(new Spot(p, t.getClass())), i));
        }
      }
      return first;
    }

    /** What fires nowhere is no twin of anybody, and is not asked about again. */
    private int head(Deque<Integer> some, int otherwise) {
      while (some != null && !some.isEmpty() && fires(all.get(some.peek())).isEmpty()) {
        some.poll();
      }
      return some == null || some.isEmpty() ? otherwise : some.peek();
    }

    void add(int i) {
      Binding b = all.get(i);
      for (Trigger t : b.triggers()) {
        add(at, new Spot(b.place(), t.getClass()), i);
        for (Place p : around(b.place())) {
          add(within, new Spot(p, t.getClass()), i);
        }
      }
    }

    private static void add(Map<Spot, Deque<Integer>> to, Spot key, int i) {
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

  /** True when what is told of copies may be told of one of these. */
  boolean isOfCopies(List<Binding> some) {
    return some.stream()
        .anyMatch(
            b ->
                groups.stream()
                    .anyMatch(g -> g.members().stream().anyMatch(r -> r.id().equals(b.routine()))));
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
  private List<Place> fires(Binding binding) {
    Optional<List<Place>> known = fires.get(binding.id());
    if (known.isPresent()) {
      return known.get();
    }
    Set<Place> all = new LinkedHashSet<>();
    for (Claim c : Keymap.claims(binding)) {
      all.addAll(meetings.fires(c));
    }
    List<Place> heard = subject.keymap().statesOf(binding.place());
    List<Place> found = List.copyOf(all);
    List<Place> kept = found.equals(heard) ? heard : found; // one list for all that fire everywhere
    fires.put(binding.id(), kept);
    return kept;
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
