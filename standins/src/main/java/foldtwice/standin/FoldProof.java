package foldtwice.standin;

import foldtwice.fold.Siblings;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Run;
import foldtwice.run.Scripts;
import foldtwice.run.Trial;
import foldtwice.standin.base.StandIn;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.function.Consumer;

/**
 * Holds a routine against what it would be folded into, by running both on copies of the programs:
 * as they are now, with nothing, all, the first or the last selected, and with settings and
 * selections drawn at random. Costs two runs for each state.
 */
public final class FoldProof {

  /** A routine with arguments, and what would be run in its place. */
  public record Pair(
      Routine before, Map<String, Value> given, Routine after, Map<String, Value> instead) {

    /** True when it may come to something else although neither has changed. */
    private boolean leadsOn() {
      return leadsOn(before) || leadsOn(after);
    }

    private static boolean leadsOn(Routine routine) {
      return !(routine instanceof Routine.Macro m) || m.steps().stream().anyMatch(Pair::leadsOn);
    }

    private static boolean leadsOn(Line line) {
      return line.step() instanceof Step.RunRoutine
          || line.step() instanceof Step.PressKeys
          || line.step().bodies().stream().flatMap(List::stream).anyMatch(Pair::leadsOn);
    }
  }

  /** What came of pairs that lead to nothing else, on a station and before its programs. */
  public record Proved(
      Map<String, Application> applications,
      Optional<Station> station,
      Map<List<Pair>, OptionalInt> pairs) {
    public static final Proved NOTHING = new Proved(Map.of(), Optional.empty(), Map.of());

    @SuppressWarnings("ReferenceEquality") // the same until an edit touches them
    private boolean isOf(Library library, Keymap keymap) {
      return applications == library.applications()
          && station.equals(Optional.of(keymap.station()));
    }
  }

  /** Each sibling, and the folded one with what it gives it. */
  public static List<Pair> pairs(Siblings.Group group) {
    return group.members().stream()
        .map(m -> new Pair(m, Map.of(), group.folded(), group.arguments().get(m.id())))
        .toList();
  }

  private static final int DRAWN = 4;
  private static final List<Consumer<StandIn<?>>> STATES = states();

  private final Library library;
  private final Keymap keymap;
  private final Scripts scripts;
  private final SimulatedComputer now;
  private final Map<String, List<SimulatedComputer>> started = new HashMap<>();
  private final Map<List<Pair>, OptionalInt> before;
  private final Map<List<Pair>, OptionalInt> proved = new HashMap<>();

  /**
   * @param now the programs as they are, and stay; only copies of them are run on
   * @param before what was proved before and is not tried again
   */
  public FoldProof(
      Library library, Keymap keymap, Scripts scripts, SimulatedComputer now, Proved before) {
    this.before = before.isOf(library, keymap) ? before.pairs() : Map.of();
    this.library = library;
    this.keymap = keymap;
    this.scripts = scripts;
    this.now = now;
  }

  /**
   * In how many states the routines ran well and all pairs came to the same; empty when one did
   * not, or when there is a routine that runs well in none of the states.
   */
  public OptionalInt same(List<Pair> pairs) {
    if (pairs.stream().anyMatch(Pair::leadsOn)) {
      return tried(pairs);
    }
    return proved.computeIfAbsent(
        pairs, p -> Optional.ofNullable(before.get(p)).orElseGet(() -> tried(p)));
  }

  /** What has been proved since this was made. */
  public Proved proved() {
    return new Proved(library.applications(), Optional.of(keymap.station()), Map.copyOf(proved));
  }

  private OptionalInt tried(List<Pair> pairs) {
    int ran = 0;
    for (Pair pair : pairs) {
      int well = 0;
      for (SimulatedComputer state : started(pair.before().application())) {
        Outcome outcome = outcome(pair, state);
        if (outcome == Outcome.DIFFERENT) {
          return OptionalInt.empty();
        }
        well += outcome == Outcome.WELL ? 1 : 0;
      }
      if (well == 0) {
        return OptionalInt.empty(); // where both fail nothing is shown
      }
      ran += well;
    }
    return OptionalInt.of(ran);
  }

  private enum Outcome {
    DIFFERENT,
    BOTH_FAIL,
    WELL
  }

  private static List<Consumer<StandIn<?>>> states() {
    List<Consumer<StandIn<?>>> all = new ArrayList<>();
    all.add(p -> {});
    all.add(p -> p.select(Whom.Group.NOTHING, false));
    all.add(p -> p.select(Whom.Group.ALL, false));
    all.add(p -> one(p, 0));
    all.add(p -> one(p, -1));
    for (int seed = 0; seed < DRAWN; seed++) {
      int drawn = seed;
      all.add(p -> draw(p, new Random(drawn)));
    }
    return List.copyOf(all);
  }

  private static List<String> objects(StandIn<?> program) {
    program.select(Whom.Group.ALL, false);
    return program.selected();
  }

  private static void one(StandIn<?> program, int place) {
    List<String> all = objects(program);
    if (!all.isEmpty()) {
      program.selectNamed(place < 0 ? all.getLast() : all.get(place), false);
    }
  }

  private static void draw(StandIn<?> program, Random random) {
    List<String> all = objects(program);
    program.select(Whom.Group.NOTHING, false);
    all.stream().filter(n -> random.nextBoolean()).forEach(n -> program.selectNamed(n, true));
    program
        .facts()
        .settings()
        .forEach(
            (name, kind) -> {
              if (kind instanceof Kind.Choice(List<String> options) && !options.isEmpty()) {
                program.change(name, new Value.Text(options.get(random.nextInt(options.size()))));
              }
            });
  }

  private Outcome outcome(Pair pair, SimulatedComputer state) {
    SimulatedComputer one = state.copiedAsUsed();
    SimulatedComputer other = state.copiedAsUsed();
    Run before = run(pair.before(), pair.given(), one);
    Run after = run(pair.after(), pair.instead(), other);
    boolean same = before.trace().endedBadly() == after.trace().endedBadly() && one.isLike(other);
    return !same
        ? Outcome.DIFFERENT
        : before.trace().endedBadly() ? Outcome.BOTH_FAIL : Outcome.WELL;
  }

  /** The programs in each state, with this one in front. */
  private List<SimulatedComputer> started(String application) {
    return started.computeIfAbsent(
        application, a -> STATES.stream().map(state -> started(a, state)).toList());
  }

  private SimulatedComputer started(String application, Consumer<StandIn<?>> state) {
    SimulatedComputer copy = now.copiedAsUsed();
    copy.bringToFront(application);
    copy.standIn(application).ifPresent(state);
    return copy;
  }

  private Run run(Routine routine, Map<String, Value> given, SimulatedComputer on) {
    Run run = Run.of(routine, given, new Trial(library, keymap, on, scripts).around());
    run.toEnd();
    return run;
  }
}
