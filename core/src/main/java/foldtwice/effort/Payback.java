package foldtwice.effort;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.library.Outlay;
import foldtwice.library.Procedure;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.routine.Yardstick.Move;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * What a library saves on a station, binding by binding: the manual route less the route of the
 * trigger, as often as it is used.
 *
 * <p>A binding whose manual route nobody has recorded gets one worked out of its steps, and is
 * marked; where nothing can be worked out it saves an unknown time and is not in the sums. Where a
 * binding has several triggers the quickest is taken. What is switched off or has no trigger saves
 * nothing.
 *
 * <p>Cost: linear in bindings. Made of the one before it, only what changed is worked out anew.
 */
public final class Payback {

  /**
   * One binding.
   *
   * @param trigger the quickest; none for a draft, for what is off, and where the station cannot
   *     make any
   * @param byHand the manual route; nothing where nobody knows it
   * @param recorded false when it was worked out
   * @param bound the route of the trigger; nothing where there is none
   */
  public record Row(
      Binding binding,
      Optional<Trigger> trigger,
      Optional<Timing> byHand,
      boolean recorded,
      Optional<Timing> bound) {

    /** Seconds saved each time; nothing where it cannot be told. */
    public Optional<Span> perUse() {
      return byHand.flatMap(h -> bound.map(b -> saved(h, b)));
    }

    /** Seconds saved a week. */
    public Optional<Span> aWeek() {
      return perUse().map(s -> s.times(binding.usesPerWeek()));
    }

    /** Seconds a week that are spent by hand, or would be without the trigger. */
    public Optional<Span> byHandAWeek() {
      return byHand.map(h -> h.total().times(binding.usesPerWeek()));
    }
  }

  /** The model is wrong by a share of what is different, not of both. */
  private static Span saved(Timing byHand, Timing bound) {
    return byHand.plain().minus(bound.plain()).give(Timing.MODEL);
  }

  /**
   * A procedure.
   *
   * @param byHand what it takes by hand; nothing where a part of it is not known
   * @param bound what it takes by its triggers, thought of as one
   * @param missing how many of its parts are not there or have no trigger
   */
  public record Chain(
      Procedure procedure, Optional<Span> byHand, Optional<Span> bound, int missing) {

    /** Seconds saved a week. */
    public Optional<Span> aWeek() {
      return byHand.flatMap(
          h -> bound.map(b -> h.minus(b).give(Timing.MODEL).times(procedure.timesPerWeek())));
    }
  }

  /**
   * A task that is done by hand again and again.
   *
   * @param binding a draft or what is off; nothing for a command of a program
   * @param aWeek seconds
   */
  public record Task(
      String name,
      String application,
      Optional<String> binding,
      Optional<NativeCommand> command,
      double uses,
      Span aWeek) {}

  private final Library library;
  private final Keymap keymap;
  private final Values values;
  private final Map<String, Row> rows;
  private final List<Task> tasks;

  private Payback(
      Library library, Keymap keymap, Values values, Map<String, Row> rows, List<Task> tasks) {
    this.library = library;
    this.keymap = keymap;
    this.values = values;
    this.rows = rows;
    this.tasks = tasks;
  }

  /** Of a library on the station of a keymap, for somebody with these values. */
  public static Payback of(Library library, Keymap keymap, Values values) {
    return new Payback(
        library,
        keymap,
        values,
        rows(library, keymap, values, Optional.empty()),
        tasks(library, values));
  }

  /** The same of another library: what is the same there is not worked out again. */
  @SuppressWarnings("ReferenceEquality") // what an edit leaves alone is handed on as it is
  public Payback following(Library next, Keymap nextKeymap, Values nextValues) {
    boolean same =
        nextValues.equals(values)
            && nextKeymap.station().equals(keymap.station())
            && next.surfaces() == library.surfaces()
            && next.applications() == library.applications();
    return new Payback(
        next,
        nextKeymap,
        nextValues,
        rows(next, nextKeymap, nextValues, same ? Optional.of(this) : Optional.empty()),
        same ? tasks : tasks(next, nextValues));
  }

  @SuppressWarnings("ReferenceEquality")
  private static Map<String, Row> rows(
      Library library, Keymap keymap, Values values, Optional<Payback> before) {
    BoundRoute bound = new BoundRoute(library, keymap);
    Map<RoutineWith, Optional<Timing>> byHand = new HashMap<>();
    Map<String, Row> rows = new LinkedHashMap<>();
    boolean sameRoutines =
        before.filter(b -> b.library.routines() == library.routines()).isPresent();
    for (Binding b : library.bindings().values()) {
      Row was = before.map(p -> p.rows.get(b.id())).orElse(null);
      if (was != null && was.binding() == b && sameRoutines) {
        rows.put(b.id(), was);
      } else {
        rows.put(b.id(), row(library, bound, b, values, byHand));
      }
    }
    return rows;
  }

  /** What a manual route depends on. */
  private record RoutineWith(String routine, Map<String, Value> arguments) {}

  private static Row row(
      Library library,
      BoundRoute bound,
      Binding b,
      Values values,
      Map<RoutineWith, Optional<Timing>> known) {
    Optional<Routine> routine = library.routineOf(b);
    boolean recorded = routine.filter(r -> !r.yardstick().moves().isEmpty()).isPresent();
    Optional<Timing> byHand =
        routine.flatMap(
            r ->
                known.computeIfAbsent(
                    new RoutineWith(r.id(), recorded ? Map.of() : b.arguments()),
                    k ->
                        recorded
                            ? Optional.of(Timing.of(r.yardstick().moves(), values))
                            : WorkedOut.of(library, r, b.arguments())
                                .map(m -> Timing.of(m, values))));
    Optional<Trigger> best = Optional.empty();
    Optional<Timing> quickest = Optional.empty();
    if (!b.isOff()) {
      for (Trigger t : b.triggers()) {
        List<Move> moves = bound.of(b, t);
        if (moves.isEmpty() && !(t instanceof Trigger.AtStart)) {
          continue; // nobody can make it here
        }
        Timing timing = Timing.of(moves, values);
        if (quickest.isEmpty() || timing.plain().mid() < quickest.get().plain().mid()) {
          quickest = Optional.of(timing);
          best = Optional.of(t);
        }
      }
    }
    return new Row(b, best, byHand, recorded, quickest);
  }

  /** Commands of programs that are used and have no key. */
  private static List<Task> tasks(Library library, Values values) {
    List<Task> tasks = new ArrayList<>();
    for (Application a : library.applications().values()) {
      for (NativeCommand c : a.commands()) {
        if (c.triggers().isEmpty() && c.usesPerWeek() > 0 && !c.menuPath().isEmpty()) {
          tasks.add(
              new Task(
                  c.name(),
                  a.id(),
                  Optional.empty(),
                  Optional.of(c),
                  c.usesPerWeek(),
                  WorkedOut.byMenu(c.menuPath().size(), values).times(c.usesPerWeek())));
        }
      }
    }
    return tasks;
  }

  public Library library() {
    return library;
  }

  public Values values() {
    return values;
  }

  /** All bindings, in the order of the library. */
  public List<Row> rows() {
    return List.copyOf(rows.values());
  }

  public Optional<Row> row(String binding) {
    return Optional.ofNullable(rows.get(binding));
  }

  /** Seconds saved a week by all that is known. */
  public Span aWeek() {
    return sum(rows.values().stream().flatMap(r -> r.aWeek().stream()).toList());
  }

  static Span sum(List<Span> spans) {
    return spans.stream().reduce(Span.NONE, Span::plus);
  }

  /** A part of a library and what it saves a week. */
  public record Share(String id, Span aWeek, int bindings, double uses) {}

  /** By routine, what saves most first; those of which nothing is known are left out. */
  public List<Share> byRoutine() {
    return by(r -> Optional.of(r.binding().routine()));
  }

  /** By program; what works everywhere belongs to the program its routine acts on. */
  public List<Share> byProgram() {
    return by(r -> library.applicationOf(r.binding()));
  }

  /** By device: what its keys and dials save. */
  public List<Share> byDevice() {
    return by(r -> r.trigger().flatMap(Trigger::deviceId));
  }

  /**
   * What all would come to, were all of it done on one station: by its id, in their order. Costs
   * compiling the library for each.
   */
  public static Map<String, Payback> onStations(Library library, Values values) {
    Map<String, Payback> all = new LinkedHashMap<>();
    library.stations().forEach((id, s) -> all.put(id, of(library, Keymap.of(library, s), values)));
    return all;
  }

  /** All of it as one part, with what can be set off on the station. */
  public Share whole() {
    List<Row> set = rows.values().stream().filter(r -> r.trigger().isPresent()).toList();
    return new Share(
        keymap.station().id(),
        aWeek(),
        set.size(),
        set.stream().mapToDouble(r -> r.binding().usesPerWeek()).sum());
  }

  public Keymap keymap() {
    return keymap;
  }

  private List<Share> by(Function<Row, Optional<String>> key) {
    Map<String, List<Row>> parts = new LinkedHashMap<>();
    for (Row r : rows.values()) {
      if (r.aWeek().isPresent()) {
        key.apply(r).ifPresent(k -> parts.computeIfAbsent(k, x -> new ArrayList<>()).add(r));
      }
    }
    return parts.entrySet().stream()
        .map(
            e ->
                new Share(
                    e.getKey(),
                    sum(e.getValue().stream().map(r -> r.aWeek().orElseThrow()).toList()),
                    e.getValue().size(),
                    e.getValue().stream().mapToDouble(r -> r.binding().usesPerWeek()).sum()))
        .sorted(Comparator.comparingDouble((Share s) -> -s.aWeek().mid()))
        .toList();
  }

  /** What is done by hand and costs most, drafts and what is off among it; the most first. */
  public List<Task> withoutTrigger() {
    List<Task> all = new ArrayList<>(tasks);
    for (Row r : rows.values()) {
      if (r.trigger().isEmpty() && r.binding().usesPerWeek() > 0 && r.byHand().isPresent()) {
        Routine routine = library.routineOf(r.binding()).orElseThrow();
        all.add(
            new Task(
                routine.name(),
                routine.application(),
                Optional.of(r.binding().id()),
                Optional.empty(),
                r.binding().usesPerWeek(),
                r.byHandAWeek().orElseThrow()));
      }
    }
    all.sort(Comparator.comparingDouble((Task t) -> -t.aWeek().mid()));
    return all;
  }

  /** Bindings that nobody uses. */
  public List<Row> neverUsed() {
    return rows.values().stream()
        .filter(r -> r.trigger().isPresent() && r.binding().usesPerWeek() == 0)
        .toList();
  }

  /** Bindings that take longer than doing it by hand. */
  public List<Row> costing() {
    return rows.values().stream()
        .filter(r -> r.perUse().filter(s -> s.mid() < 0).isPresent())
        .toList();
  }

  /** Bindings of whose manual route nothing is known. */
  public List<Row> unknown() {
    return rows.values().stream()
        .filter(r -> r.trigger().isPresent() && r.byHand().isEmpty())
        .toList();
  }

  /** The procedures of the library. */
  public List<Chain> chains() {
    Chains chains = new Chains(this, keymap);
    return library.procedures().values().stream().map(chains::of).toList();
  }

  /** One of them. */
  public Optional<Chain> chain(String procedure) {
    return Optional.ofNullable(library.procedures().get(procedure))
        .map(new Chains(this, keymap)::of);
  }

  /**
   * What was spent, in seconds, prices by the price of an hour.
   *
   * @param seconds on all of these
   * @param untold prices in another currency than the hour's, or without one of an hour
   */
  public record Spent(double seconds, List<Outlay> untold) {}

  /** What was spent on a routine, a device, an add-on; by {@link Outlay}'s ids. */
  public Spent spent(String... ids) {
    return spent(Arrays.stream(ids).map(library::outlay).toList());
  }

  /** What was spent on everything. */
  public Spent spentInAll() {
    return spent(
        library.outlays().values().stream().filter(o -> !o.id().equals(Outlay.HOUR)).toList());
  }

  private Spent spent(List<Outlay> on) {
    Outlay hour = library.outlay(Outlay.HOUR);
    double seconds = 0;
    List<Outlay> untold = new ArrayList<>();
    for (Outlay o : on) {
      seconds += o.minutes() * 60;
      if (o.price().signum() > 0) {
        if (hour.price().signum() > 0 && hour.currency().equals(o.currency())) {
          seconds += o.price().doubleValue() / hour.price().doubleValue() * 3600;
        } else {
          untold.add(o);
        }
      }
    }
    return new Spent(seconds, untold);
  }

  /**
   * After how many weeks what was spent is saved.
   *
   * @return nothing where nothing is saved; else its high end is endless when nothing may be saved
   */
  public static Optional<Span> weeks(double spent, Span savedAWeek) {
    if (savedAWeek.mid() <= 0) {
      return Optional.empty();
    }
    double high = savedAWeek.low() <= 0 ? Double.POSITIVE_INFINITY : spent / savedAWeek.low();
    return Optional.of(new Span(spent / savedAWeek.high(), spent / savedAWeek.mid(), high));
  }
}
