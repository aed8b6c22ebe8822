package foldtwice.plan;

import foldtwice.binding.Binding;
import foldtwice.conflict.Subject;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.resolve.Keymap;
import foldtwice.suggest.Suggestion;
import foldtwice.suggest.Suggestions;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Key;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** Makes a plan. Cost: some hundred candidates a binding, then the time it is given. */
public final class Planning {

  /** Seconds of a unit of effort, of which holding Ctrl takes 1.5: the 0.2 s of a key. */
  public static final double UNIT = 0.133;

  /** Seconds a week that it costs to learn a trigger anew. */
  public static final double LEARNING = 2.3;

  /** So many triggers are looked at for a binding, today's among them. */
  private static final int OPTIONS = 40;

  /** So many besides that are taken by commands of programs, where these may lose them. */
  private static final int DISPLACING = 20;

  /** So often what an audit finds is taken out and planned again. */
  private static final int ROUNDS = 60;

  /**
   * What is wished.
   *
   * @param application its id; nothing for all programs
   * @param moves how many bindings may be moved
   * @param seconds how long the solver may look
   * @param displacing whether commands of programs that are in a menu may lose their keys
   * @param locked ids of bindings that stay
   * @param refused triggers a binding shall not have
   */
  public record Wanted(
      Optional<String> application,
      int moves,
      double seconds,
      boolean displacing,
      Set<String> locked,
      Map<String, Set<Trigger>> refused) {
    public Wanted {
      locked = Set.copyOf(locked);
      refused = Map.copyOf(refused);
    }

    /** Nothing locked or refused, and nothing of the programs displaced. */
    public static Wanted of(Optional<String> application, int moves, double seconds) {
      return new Wanted(application, moves, seconds, false, Set.of(), Map.of());
    }
  }

  private final List<Subject> stations;
  private final Library library;
  private final Wanted wanted;
  private final Natives natives;

  /** What keys of devices type of themselves: it is not for fingers. */
  private final Set<Trigger> sent = new HashSet<>();

  private Planning(List<Subject> stations, Wanted wanted) {
    this.stations = stations;
    this.library = stations.getFirst().library();
    this.wanted = wanted;
    this.natives = new Natives(library);
    for (Device d : library.devices()) {
      for (Page p : d.pages()) {
        p.sends().values().stream()
            .filter(x -> x instanceof Page.Sends.Chord)
            .forEach(x -> sent.add(((Page.Sends.Chord) x).keys()));
      }
    }
  }

  /**
   * Plans.
   *
   * @param stations on all of which a trigger has to work, the one in view first; of one library
   */
  public static Plan of(List<Subject> stations, Wanted wanted, Watcher watcher) {
    return new Planning(stations, wanted).plan(watcher);
  }

  /** Why a binding is not moved; nothing for one that may be. */
  private Optional<Plan.Fate> stays(Binding b) {
    if (!(b.triggers().getFirst() instanceof Trigger.Keys keys) || sent.contains(keys)) {
      return Optional.of(Plan.Fate.OTHER_KIND);
    }
    if (wanted.locked().contains(b.id())) {
      return Optional.of(Plan.Fate.LOCKED);
    }
    if (library.familyOf(b.id()).isPresent()) {
      return Optional.of(Plan.Fate.IN_FAMILY);
    }
    return pointsSomewhere(b.triggers().getFirst())
        ? Optional.of(Plan.Fate.POINTS)
        : Optional.empty();
  }

  /** Keys that are remembered by where they point. */
  private static final Set<String> ARROWS =
      Set.of("Left", "Right", "Up", "Down", "Home", "End", "Prior", "Next");

  private static boolean pointsSomewhere(Trigger t) {
    return t instanceof Trigger.Keys(List<Stroke> strokes)
        && strokes.getLast().key() instanceof Key.Making(Keysym k)
        && ARROWS.contains(k.name());
  }

  private boolean isMeant(Binding b) {
    return !b.isOff()
        && !b.triggers().isEmpty()
        && b.place().applicationId().isPresent()
        && wanted.application().map(b.place().applicationId().get()::equals).orElse(true);
  }

  private Plan plan(Watcher watcher) {
    long began = System.nanoTime();
    List<Binding> meant = library.bindings().values().stream().filter(this::isMeant).toList();
    // What is locked is weighed too, so that plans with other locks can be held against each other.
    List<Binding> movable =
        meant.stream()
            .filter(b -> stays(b).isEmpty() || stays(b).equals(Optional.of(Plan.Fate.LOCKED)))
            .toList();
    Library without = without(movable);
    List<Keymap> cleared =
        stations.stream().map(s -> s.keymap().following(library, without)).toList();
    List<List<Suggestion>> options = new ArrayList<>();
    for (Binding b : movable) {
      if (!watcher.isWanted()) {
        break;
      }
      options.add(options(b, without, cleared));
    }
    List<Binding> looked = movable.subList(0, options.size());
    Map<String, Set<Trigger>> refused = new HashMap<>();
    wanted.refused().forEach((b, t) -> refused.put(b, new HashSet<>(t)));
    Troubles troubles = new Troubles(stations);
    // What is taken out may have been good beside other lines: only the first bound is one for all.
    OptionalDouble bound = OptionalDouble.empty();
    Optional<Plan> last = Optional.empty();
    for (int round = 0; round < ROUNDS && (round == 0 || goesOn(watcher, began)); round++) {
      Plan plan = solved(meant, looked, options, refused, watcher, began);
      bound = round == 0 ? plan.bound() : bound;
      Troubles.Bad bad = troubles.of(plan);
      if (bad.isNothing()) {
        return plan.provenTo(bound);
      }
      last = Optional.of(plan);
      bad.triggers().forEach((b, t) -> refused.computeIfAbsent(b, x -> new HashSet<>()).addAll(t));
      for (int i = 0; i < looked.size(); i++) {
        if (bad.stay().contains(looked.get(i).id())) {
          options.set(i, options.get(i).subList(0, 1));
        }
      }
    }
    Plan today = nothing(meant, looked, options, began);
    return last.map(p -> clean(p, today, troubles)).orElse(today).provenTo(bound);
  }

  /** What of a plan can be taken without trouble, line by line, what gains most first. */
  private static Plan clean(Plan plan, Plan today, Troubles troubles) {
    Set<String> good = new LinkedHashSet<>();
    for (Plan.Line l : plan.moved()) {
      Set<String> with = new LinkedHashSet<>(good);
      with.addAll(plan.with(l.binding()));
      Plan tried = plan.only(with, today);
      if (!with.equals(good)
          && tried.planned() < plan.only(good, today).planned()
          && troubles.of(tried).isNothing()) {
        good.addAll(with);
      }
    }
    return plan.only(good, today);
  }

  /** What an audit finds is planned around for as long again as the first plan may take. */
  private boolean goesOn(Watcher watcher, long began) {
    return watcher.isWanted() && (System.nanoTime() - began) / 1e9 < 2 * wanted.seconds() + 5;
  }

  /** Whether plans are proven on this computer: the solver loads. */
  public static boolean proves() {
    return CpSat.isThere();
  }

  /** The library in which what may move has nothing of what it would give up. */
  private Library without(List<Binding> movable) {
    List<Edit> edits = new ArrayList<>();
    for (Binding b : movable) {
      edits.add(new Edit.PutBinding(b.withTriggers(b.triggers().subList(1, b.triggers().size()))));
    }
    return new Edit.Together(edits).on(library);
  }

  /** Today's trigger first, then what is free for it, the best first. */
  private List<Suggestion> options(Binding b, Library without, List<Keymap> cleared) {
    Trigger.Keys today = (Trigger.Keys) b.triggers().getFirst();
    List<Suggestion> all = new ArrayList<>();
    all.add(Suggestions.scored(without, cleared, b, today));
    if (wanted.locked().contains(b.id())) {
      return all;
    }
    Suggestions.onKeys(without, cleared, b, OPTIONS).stream()
        .filter(s -> !s.trigger().equals(today))
        .forEach(all::add);
    if (wanted.displacing()) {
      Suggestions.displacing(without, cleared, b, DISPLACING, natives::mayLose).stream()
          .filter(s -> !s.trigger().equals(today))
          .forEach(all::add);
    }
    return all;
  }

  private double cost(Binding b, Suggestion s, boolean moved) {
    double units = Double.isFinite(s.cost()) ? s.cost() : 60;
    return b.usesPerWeek() * units * UNIT + natives.lost(s) + (moved ? LEARNING : 0);
  }

  private Plan solved(
      List<Binding> meant,
      List<Binding> movable,
      List<List<Suggestion>> options,
      Map<String, Set<Trigger>> refused,
      Watcher watcher,
      long began) {
    List<List<Suggestion>> left = new ArrayList<>();
    List<double[]> costs = new ArrayList<>();
    for (int i = 0; i < movable.size(); i++) {
      Binding b = movable.get(i);
      Set<Trigger> not = refused.getOrDefault(b.id(), Set.of());
      List<Suggestion> some = new ArrayList<>();
      for (int a = 0; a < options.get(i).size(); a++) {
        Suggestion s = options.get(i).get(a);
        if (a == 0 || !not.contains(s.trigger())) {
          some.add(s);
        }
      }
      left.add(some);
      double[] each = new double[some.size()];
      for (int a = 0; a < each.length; a++) {
        each[a] = cost(b, some.get(a), a > 0);
      }
      costs.add(each);
    }
    Problem problem =
        new Problem(
            costs,
            Clashes.groups(stations.stream().map(Subject::keymap).toList(), movable, left),
            wanted.moves());
    double seconds =
        Math.max(wanted.seconds() / 4, wanted.seconds() - (System.nanoTime() - began) / 1e9);
    Solution best =
        CpSat.isThere()
            ? CpSat.solve(problem, seconds, watcher)
            : LocalSearch.solve(problem, seconds, watcher);
    return told(meant, movable, left, problem, best, began);
  }

  private Plan nothing(
      List<Binding> meant, List<Binding> movable, List<List<Suggestion>> options, long began) {
    List<double[]> costs = new ArrayList<>();
    for (int i = 0; i < movable.size(); i++) {
      costs.add(new double[] {cost(movable.get(i), options.get(i).getFirst(), false)});
    }
    Problem problem = new Problem(costs, List.of(), 0);
    Solution today =
        new Solution(problem.today(), problem.cost(problem.today()), OptionalDouble.empty());
    return told(meant, movable, options, problem, today, began);
  }

  /** For a trigger in the place of another. */
  private static List<Suggestion.Reason> reasons(Suggestion today, Suggestion s) {
    List<Suggestion.Reason> all = new ArrayList<>(s.reasons());
    for (Suggestion.Reason r : today.reasons()) {
      if (r instanceof Suggestion.Reason.Displaces(var commands)) {
        all.addFirst(new Suggestion.Reason.GivesBack(commands));
      }
    }
    return all;
  }

  private Plan told(
      List<Binding> meant,
      List<Binding> movable,
      List<List<Suggestion>> options,
      Problem problem,
      Solution solution,
      long began) {
    List<Plan.Line> lines = new ArrayList<>();
    Map<String, Integer> at = new HashMap<>();
    for (int i = 0; i < movable.size(); i++) {
      at.put(movable.get(i).id(), i);
    }
    for (Binding b : meant) {
      Trigger today = b.triggers().getFirst();
      Integer i = at.get(b.id());
      if (i == null) {
        lines.add(
            new Plan.Line(b.id(), today, today, 0, stays(b).orElse(Plan.Fate.STAYS), List.of()));
        continue;
      }
      int taken = solution.taken().get(i);
      Suggestion s = options.get(i).get(taken);
      double[] costs = problem.choices().get(i);
      lines.add(
          new Plan.Line(
              b.id(),
              today,
              s.trigger(),
              costs[0] - costs[taken],
              taken == 0 ? stays(b).orElse(Plan.Fate.STAYS) : Plan.Fate.MOVES,
              taken == 0 ? List.of() : reasons(options.get(i).getFirst(), s)));
    }
    lines.sort(
        Comparator.comparing((Plan.Line l) -> !l.moves()).thenComparingDouble(l -> -l.gain()));
    return new Plan(
        lines,
        problem.cost(problem.today()),
        solution.cost(),
        solution.bound(),
        problem.choices().stream().mapToInt(c -> c.length).sum(),
        (System.nanoTime() - began) / 1e9);
  }
}
