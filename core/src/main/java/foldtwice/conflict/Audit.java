package foldtwice.conflict;

import foldtwice.binding.Binding;
import foldtwice.library.Layered;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.ready.Entries;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Owner;
import foldtwice.routine.Routine;
import foldtwice.surface.Device;
import foldtwice.surface.Summoned;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * All conflicts of a library on a station, kept by what they are told of, so that an edit looks
 * again only at what it can touch.
 *
 * <p>A binding that comes, goes or changes is looked at itself, and with it whatever claims a
 * trigger that begins with the same press in a place that meets its own; bindings with the same
 * routine and arguments; and everything that presses keys or is sent by a device, because those may
 * end anywhere. Any other change is looked at as a whole.
 */
public final class Audit {

  private final Looking looking;
  private final Subject subject;

  /** By what tells of them: a binding's id, a surface, an application, the routines. */
  private final Layered<Object, List<Conflict>> parts;

  private final List<Conflict> conflicts;
  private final List<Conflict> gone;
  private final List<Conflict> fresh;

  private Audit(
      Looking looking,
      Layered<Object, List<Conflict>> parts,
      List<Conflict> conflicts,
      List<Conflict> gone,
      List<Conflict> fresh) {
    this.looking = looking;
    this.subject = looking.subject;
    this.parts = parts;
    this.conflicts = conflicts;
    this.gone = gone;
    this.fresh = fresh;
  }

  /** Looks at everything. */
  public static Audit of(Subject subject) {
    return of(subject, List.of());
  }

  private static Audit of(Subject subject, List<Conflict> before) {
    Layered<Object, List<Conflict>> parts = new Layered<>();
    Looking looking = new Looking(subject);
    looking.all(parts);
    List<Conflict> all = new ArrayList<>();
    parts.forEach((key, found) -> all.addAll(found));
    List<Conflict> now = Auditor.ranked(all);
    return new Audit(looking, parts, now, before, now);
  }

  /**
   * Looks again after a change, at what it can touch. Equal to {@link #of} with the same subject.
   */
  public Audit after(Subject next) {
    Changes changes = Changes.between(subject, next);
    return changes.everything()
        ? of(next, conflicts)
        : looking.next(next, changes).again(this, changes);
  }

  /** Every conflict, the heaviest first. */
  public List<Conflict> conflicts() {
    return conflicts;
  }

  /**
   * The conflicts of the audit this one was made from that are told no more; with {@link #fresh},
   * all there is of a difference between the two.
   */
  public List<Conflict> gone() {
    return gone;
  }

  /** The conflicts that are told for the first time. */
  public List<Conflict> fresh() {
    return fresh;
  }

  /** The conflicts that are not told in another audit; the heaviest first. */
  public List<Conflict> unlike(Audit other) {
    Set<String> known =
        other.conflicts.stream().map(Conflict::fingerprint).collect(Collectors.toSet());
    return conflicts.stream().filter(c -> !known.contains(c.fingerprint())).toList();
  }

  public Subject subject() {
    return subject;
  }

  /** The finders, each reading every routine at most once. */
  private static final class Looking {
    private final Subject subject;

    /** By routine, its bindings with triggers, in the order of their ids. */
    private final Map<String, List<Binding>> byRoutine;

    /** The parts that are told anew. */
    private final Set<Object> replaced = new HashSet<>();

    private final Dangers dangers;
    private final Meetings meetings;
    private final Works works;
    private final Twins twins;
    private final Circles circles;
    private final NativeClashes clashes;

    Looking(Subject subject) {
      this(subject, new Dangers(subject));
    }

    private Looking(Subject subject, Dangers dangers) {
      this(
          subject,
          dangers,
          ById.sorted(subject.library().bindings().values()).stream()
              .filter(b -> !b.triggers().isEmpty())
              .collect(Collectors.groupingBy(Binding::routine)),
          new Twins(subject, dangers),
          new Works(subject, dangers),
          new Circles(subject, dangers),
          new NativeClashes(subject, dangers));
    }

    private Looking(
        Subject subject,
        Dangers dangers,
        Map<String, List<Binding>> byRoutine,
        Twins twins,
        Works works,
        Circles circles,
        NativeClashes clashes) {
      this.clashes = clashes;
      this.subject = subject;
      this.byRoutine = byRoutine;
      this.dangers = dangers;
      this.meetings = new Meetings(subject, dangers);
      this.works = works;
      this.twins = twins;
      this.circles = circles;
    }

    /** The same after some changes: the routines that are as they were stay read. */
    Looking next(Subject next, Changes changes) {
      Set<String> rewritten = circles.callersOf(changes.routines());
      Map<String, List<Binding>> by = new HashMap<>(byRoutine);
      Set<String> ids = new HashSet<>();
      changes.bindings().forEach(b -> ids.add(b.id()));
      changes.bindings().stream()
          .map(Binding::routine)
          .distinct()
          .forEach(
              r ->
                  by.put(
                      r,
                      ById.changed(
                          by.getOrDefault(r, List.of()),
                          ids,
                          next.library(),
                          b -> b.routine().equals(r) && !b.triggers().isEmpty())));
      Dangers its = dangers.after(next, rewritten);
      return new Looking(
          next,
          its,
          by,
          changes.routines().isEmpty()
              ? twins.after(next, its, changes.bindings())
              : new Twins(next, its),
          works.after(next, its, rewritten),
          circles.after(next, its, rewritten),
          clashes.after(next, its));
    }

    void all(Layered<Object, List<Conflict>> parts) {
      Library library = subject.library();
      each(parts, library.bindings().values(), Binding::id, this::of);
      byRoutine.keySet().forEach(r -> routine(parts, r));
      each(parts, twins.keys(), k -> k, twins::of);
      around(parts, null, Changes.EVERYTHING);
    }

    /** Looks at many things, on several cores; what is found is kept in their order. */
    private <T> void each(
        Layered<Object, List<Conflict>> parts,
        Collection<T> things,
        Function<T, Object> key,
        Function<T, List<Conflict>> look) {
      List<T> all = List.copyOf(things);
      List<List<Conflict>> found = all.parallelStream().map(look).toList();
      for (int i = 0; i < all.size(); i++) {
        put(parts, key.apply(all.get(i)), found.get(i));
      }
    }

    Audit again(Audit before, Changes changes) {
      Layered<Object, List<Conflict>> parts = before.parts.next();
      Library library = subject.library();
      Set<String> routines = new HashSet<>(before.looking.circles.callersOf(changes.routines()));
      routines.addAll(circles.callersOf(changes.routines()));
      Set<String> touched = touched(before, changes, endangering(before, routines));
      for (String r : routines) {
        byRoutine.getOrDefault(r, List.of()).forEach(b -> touched.add(b.id()));
      }
      changes.bindings().forEach(b -> routines.add(b.routine()));
      routines.forEach(r -> routine(parts, r));
      for (String id : touched) {
        Binding b = library.bindings().get(id);
        put(parts, id, b == null ? List.of() : of(b));
      }
      if (changes.routines().isEmpty()) {
        twins.doubtful(changes.bindings(), touched).forEach(k -> put(parts, k, twins.of(k)));
      } else {
        before.looking.twins.keys().forEach(k -> put(parts, k, List.of()));
        twins.keys().forEach(k -> put(parts, k, twins.of(k)));
      }
      around(parts, before.subject, changes);
      List<Conflict> gone = new ArrayList<>();
      List<Conflict> fresh = new ArrayList<>();
      for (Object key : replaced) {
        Ranked.apart(told(before.parts, key), told(parts, key), gone, fresh);
      }
      return new Audit(this, parts, Ranked.changed(before.conflicts, gone, fresh), gone, fresh);
    }

    /** The ids of the bindings to look at again, those that are gone among them. */
    private Set<String> touched(Audit before, Changes changes, List<Claim> endangering) {
      Keymap keymap = subject.keymap();
      Set<String> touched = new HashSet<>();
      Set<Integer> firsts = new HashSet<>();
      List<Claim> claims = new ArrayList<>(changes.claims());
      claims.addAll(endangering);
      for (Claim claim : claims) {
        Set<Integer> its = keymap.firsts(claim.trigger());
        firsts.addAll(its);
        keymap.meeting(List.of(claim.place()), its).stream()
            .flatMap(c -> c.owner() instanceof Owner.Yours(String id) ? Stream.of(id) : Stream.of())
            .forEach(touched::add);
      }
      for (Binding b : changes.bindings()) {
        touched.add(b.id());
      }
      boolean mayCircle =
          circles.mayPress(firsts)
              || !changes.routines().isEmpty()
              || changes.bindings().stream().anyMatch(circles::leadsOn);
      if (mayCircle) {
        subject.library().bindings().values().stream()
            .filter(b -> circles.leadsOn(b) || before.looking.circles.leadsOn(b))
            .forEach(b -> touched.add(b.id()));
      }
      return touched;
    }

    /** What is claimed for routines that do other harm than before: it counts in all they meet. */
    private List<Claim> endangering(Audit before, Set<String> routines) {
      List<Claim> claims = new ArrayList<>();
      for (String r : routines) {
        if (dangers.ofRoutine(r) != before.looking.dangers.ofRoutine(r)) {
          byRoutine.getOrDefault(r, List.of()).forEach(b -> claims.addAll(Keymap.claims(b)));
        }
      }
      return claims;
    }

    /**
     * What is no binding.
     *
     * @param before what was looked at last; null for nothing
     * @param changes what has changed since
     */
    private void around(Layered<Object, List<Conflict>> parts, Subject before, Changes changes) {
      Library library = subject.library();
      for (Summoned s : library.summoned()) {
        put(parts, new Owner.Menu(s.id()), claims(Keymap.claims(s)));
      }
      Chains chains = new Chains(subject, dangers);
      for (Device d : library.devices()) {
        put(parts, d.id() + " sends", chains.of(d));
      }
      StaleEntries stale = new StaleEntries(subject, dangers);
      boolean all = before == null || !changes.routines().isEmpty();
      for (Application a : library.applications().values()) {
        if (all
            || !before.setup().program(a.id()).equals(subject.setup().program(a.id()))
            || changes.bindings().stream().anyMatch(b -> Entries.isOf(subject.setup(), a, b))) {
          put(parts, a.id() + " has", stale.of(a));
        }
      }
      if (all || changes.isOnDevices()) {
        put(parts, "devices", works.devices());
      }
      if (all || changes.bindings().stream().anyMatch(works::isNumbered)) {
        put(parts, "slots", works.slots());
      }
      Set<Integer> firsts = new HashSet<>();
      changes.claims().forEach(c -> firsts.addAll(subject.keymap().firsts(c.trigger())));
      boolean sameCommands =
          before != null && before.library().applications() == library.applications();
      for (Application a : library.applications().values()) {
        if (!sameCommands || clashes.concerns(a, firsts)) {
          put(parts, a.id() + " shares", clashes.of(a));
        }
      }
      if (all || twins.isOfCopies(changes.bindings())) {
        put(parts, "copies", twins.copies());
      }
    }

    private void routine(Layered<Object, List<Conflict>> parts, String id) {
      Routine routine = subject.library().routines().get(id);
      put(
          parts,
          "routine " + id,
          routine == null ? List.of() : works.of(routine, byRoutine.getOrDefault(id, List.of())));
    }

    List<Conflict> of(Binding binding) {
      List<Conflict> found = new ArrayList<>(claims(Keymap.claims(binding)));
      found.addAll(works.of(binding));
      found.addAll(circles.of(binding));
      return found;
    }

    private List<Conflict> claims(List<Claim> claims) {
      List<Conflict> found = new ArrayList<>();
      claims.forEach(c -> found.addAll(meetings.of(c, true)));
      return found;
    }

    private void put(Layered<Object, List<Conflict>> parts, Object key, List<Conflict> found) {
      if (!found.equals(told(parts, key))) {
        replaced.add(key);
        if (found.isEmpty()) {
          parts.remove(key);
        } else {
          parts.put(key, List.copyOf(found));
        }
      }
    }

    /** What is told of something; nothing when nothing is. */
    private static List<Conflict> told(Layered<Object, List<Conflict>> parts, Object key) {
      return parts.get(key).orElse(List.of());
    }
  }
}
