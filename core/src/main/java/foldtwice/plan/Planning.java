package foldtwice.plan;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.suggest.Suggestion;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Key;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Collections;
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
  private final Choices decisions;

  /** What keys of devices type of themselves: it is not for fingers. */
  private final Set<Trigger> sent = new HashSet<>();

  Planning(List<Subject> stations, Wanted wanted) {
    this.stations = stations;
    this.library = stations.getFirst().library();
    this.wanted = wanted;
    this.decisions = new Choices(library, stations.stream().map(Subject::keymap).toList(), wanted);
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
    List<Binding> meant = meant();
    List<Choice> choices = choices(watcher);
    Troubles troubles = new Troubles(stations);
    List<List<Problem.Option>> never = new ArrayList<>();
    // What has to stay may have been better elsewhere beside other lines: no bound is proven then.
    OptionalDouble bound = OptionalDouble.empty();
    boolean boundHolds = true;
    Optional<Plan> last = Optional.empty();
    List<Integer> like = Collections.nCopies(choices.size(), 0);
    for (int round = 0; round < ROUNDS && (round == 0 || goesOn(watcher, began)); round++) {
      Problem problem = problem(choices, never);
      Solution best = solved(problem, like, watcher, began);
      like = best.taken();
      Plan plan = told(meant, choices, problem, best, began);
      bound = boundHolds ? higher(bound, lowered(best.bound())) : bound;
      Troubles.Bad bad = troubles.of(plan);
      if (bad.isNothing()) {
        return plan.provenTo(bound);
      }
      last = Optional.of(plan);
      bad.together().forEach(t -> never.add(options(t, choices, best)));
      if (!bad.stay().isEmpty()) {
        boundHolds = false;
        for (int i = 0; i < choices.size(); i++) {
          if (bad.stay().stream().anyMatch(choices.get(i)::has)) {
            for (int a = 1; a < choices.get(i).options().size(); a++) {
              never.add(List.of(new Problem.Option(i, a)));
            }
          }
        }
      }
    }
    Plan today = nothing(meant, choices, began);
    return last.map(p -> clean(p, today, troubles)).orElse(today).provenTo(bound);
  }

  /** What was not looked at might have gained as well. */
  private OptionalDouble lowered(OptionalDouble bound) {
    return bound.isPresent() ? OptionalDouble.of(bound.getAsDouble() - decisions.missed()) : bound;
  }

  private static OptionalDouble higher(OptionalDouble a, OptionalDouble b) {
    return a.isEmpty() || (b.isPresent() && b.getAsDouble() > a.getAsDouble()) ? b : a;
  }

  /** What some bindings have in a solution. */
  private static List<Problem.Option> options(
      Set<String> bindings, List<Choice> choices, Solution solution) {
    List<Problem.Option> all = new ArrayList<>();
    for (int i = 0; i < choices.size(); i++) {
      if (bindings.stream().anyMatch(choices.get(i)::has)) {
        all.add(new Problem.Option(i, solution.taken().get(i)));
      }
    }
    return all;
  }

  List<Binding> meant() {
    return library.bindings().values().stream().filter(this::isMeant).toList();
  }

  /** What there is to decide. */
  List<Choice> choices(Watcher watcher) {
    List<Binding> meant = meant();
    // What is locked is weighed too, so that plans with other locks can be held against each other.
    List<Binding> alone = meant.stream().filter(b -> isMovable(b) && !isInFamily(b)).toList();
    return decisions.of(alone, families(Set.copyOf(meant)), watcher).stream()
        .map(c -> c.without(wanted.refused()))
        .toList();
  }

  private boolean isMovable(Binding b) {
    return stays(b).isEmpty() || stays(b).equals(Optional.of(Plan.Fate.LOCKED));
  }

  private boolean isInFamily(Binding b) {
    return library.familyOf(b.id()).isPresent();
  }

  /** The families that may be laid out otherwise, by a pattern of the same kind. */
  private List<Choices.Whole> families(Set<Binding> meant) {
    Laying laying = new Laying(library, stations.getFirst().keymap());
    List<Choices.Whole> all = new ArrayList<>();
    for (Family f : library.families().values()) {
      List<Binding> members =
          f.members().stream()
              .flatMap(m -> Optional.ofNullable(library.bindings().get(m)).stream())
              .toList();
      if (!members.isEmpty()
          && members.stream()
              .allMatch(
                  m ->
                      meant.contains(m)
                          && isMovable(m)
                          && library.familyOf(m.id()).equals(Optional.of(f)))
          && laying.isLaidBy(
              f.pattern(), members.stream().map(m -> m.triggers().getFirst()).toList())) {
        all.add(new Choices.Whole(f, members));
      }
    }
    return all;
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

  Problem problem(List<Choice> choices, List<List<Problem.Option>> never) {
    return new Problem(
        choices.stream().map(this::costs).toList(),
        Clashes.groups(stations.stream().map(Subject::keymap).toList(), choices),
        wanted.moves(),
        choices.stream().map(c -> c.members().size()).toList(),
        never);
  }

  private Solution solved(Problem problem, List<Integer> like, Watcher watcher, long began) {
    double seconds =
        Math.max(wanted.seconds() / 4, wanted.seconds() - (System.nanoTime() - began) / 1e9);
    return CpSat.isThere()
        ? CpSat.solve(problem, like, seconds, watcher)
        : LocalSearch.solve(problem, seconds, watcher);
  }

  private double[] costs(Choice choice) {
    double[] each = new double[choice.options().size()];
    for (int a = 0; a < each.length; a++) {
      each[a] = decisions.cost(choice.members(), choice.options().get(a), a > 0);
    }
    return each;
  }

  private Plan nothing(List<Binding> meant, List<Choice> choices, long began) {
    List<Choice> staying = choices.stream().map(Choice::staying).toList();
    Problem problem = new Problem(staying.stream().map(this::costs).toList(), List.of(), 0);
    Solution today =
        new Solution(problem.today(), problem.cost(problem.today()), OptionalDouble.empty());
    return told(meant, staying, problem, today, began);
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

  Plan told(
      List<Binding> meant, List<Choice> choices, Problem problem, Solution solution, long began) {
    Map<String, Plan.Line> decided = new HashMap<>();
    for (int i = 0; i < choices.size(); i++) {
      Choice choice = choices.get(i);
      int taken = solution.taken().get(i);
      for (int m = 0; m < choice.members().size(); m++) {
        Plan.Line line = line(choice, m, taken);
        decided.put(line.binding(), line);
      }
    }
    List<Plan.Line> lines = new ArrayList<>();
    meant.forEach(b -> lines.add(decided.getOrDefault(b.id(), left(b))));
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

  private Plan.Line line(Choice choice, int member, int taken) {
    Binding b = choice.members().get(member);
    Suggestion today = choice.options().getFirst().each().get(member);
    Suggestion s = choice.options().get(taken).each().get(member);
    boolean moves = taken != 0;
    return new Plan.Line(
        b.id(),
        today.trigger(),
        s.trigger(),
        decisions.cost(b, today, false) - decisions.cost(b, s, moves),
        moves ? Plan.Fate.MOVES : stays(b).orElse(Plan.Fate.STAYS),
        choice.family(),
        moves ? reasons(today, s) : List.of());
  }

  /** Of one that is not decided on. */
  private Plan.Line left(Binding b) {
    Trigger today = b.triggers().getFirst();
    Plan.Fate fate = stays(b).orElse(isInFamily(b) ? Plan.Fate.IN_FAMILY : Plan.Fate.LESS_TO_GAIN);
    return new Plan.Line(b.id(), today, today, 0, fate, Optional.empty(), List.of());
  }
}
