package foldtwice.standin;

import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Station;
import foldtwice.routine.Step;
import foldtwice.run.Alone;
import foldtwice.run.Around;
import foldtwice.run.Computer;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.run.Scripts;
import foldtwice.run.Trial;
import foldtwice.standin.base.Clipboard;
import foldtwice.standin.base.StandIn;
import foldtwice.standin.desk.Desk;
import foldtwice.trigger.Modifiers;
import java.time.Clock;
import java.time.Instant;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** All stand-ins on one computer: they share its clipboard, its clock and its windows. */
public final class SimulatedComputer implements Computer {

  private final Map<String, StandIn<?>> programs;

  /** The ids of those that are still another computer's: whoever comes to one is given a copy. */
  private final Set<String> borrowed;

  private final Clock clock;
  private final Desk desk;
  private final Clipboard clipboard = new Clipboard();
  private Modifiers held = Modifiers.NONE;
  private Function<String, File> files =
      name -> new File.Refused("a library with files beside it", "none");

  /**
   * @param desk one of the programs, or one that is there without being one of the library's
   */
  private SimulatedComputer(
      Map<String, StandIn<?>> programs, Set<String> borrowed, Desk desk, Clock clock) {
    this.programs = programs;
    this.borrowed = borrowed;
    this.clock = clock;
    this.desk = desk;
    desk.attach(clipboard, clock);
    programs.forEach(
        (id, p) -> {
          if (!borrowed.contains(id)) {
            p.attach(clipboard, clock);
          }
        });
    programs.keySet().forEach(desk::add);
  }

  /** With the desk that is among the programs, or another behind them. */
  private static SimulatedComputer with(Map<String, StandIn<?>> programs, Clock clock) {
    Desk desk = programs.get(Desk.ID) instanceof Desk d ? d : new Desk();
    SimulatedComputer computer = new SimulatedComputer(programs, new HashSet<>(), desk, clock);
    if (!programs.containsKey(Desk.ID) && !programs.isEmpty()) {
      desk.toFront(programs.keySet().iterator().next());
    }
    return computer;
  }

  /** The programs of a library as they are on a station, at this clock's pace. */
  public static SimulatedComputer of(Library library, Station station, Clock clock) {
    return with(StandIns.on(station, library), clock);
  }

  /**
   * After a change of the library: programs come and go, and what is only sketched is sketched anew
   * where what the library says of it is another. True when any did.
   */
  public boolean follow(Library before, Library after, Station station) {
    if (before.applications().equals(after.applications())
        && before.descriptions().equals(after.descriptions())) {
      return false;
    }
    boolean changed = own().keySet().retainAll(after.applications().keySet());
    for (Application a : after.applications().values()) {
      boolean other =
          StandIns.isSketched(a.id())
              && !(a.equals(before.applications().get(a.id()))
                  && after.description(a.id()).equals(before.description(a.id())));
      if (other || !programs.containsKey(a.id())) {
        StandIn<?> fresh = StandIns.of(a, after, station);
        fresh.attach(clipboard, clock);
        programs.put(a.id(), fresh);
        desk.add(a.id());
        changed = true;
      }
    }
    return changed;
  }

  /**
   * The same computer, from now on with somebody before it who does not wait: what takes its time
   * is still going on when a program has answered.
   */
  public SimulatedComputer hurried() {
    desk.hurry();
    own().values().forEach(StandIn::hurry);
    return this;
  }

  /** The same computer, from now on with these files beside its library, by name. */
  public SimulatedComputer withFiles(Function<String, File> beside) {
    files = beside;
    return this;
  }

  @Override
  public File file(String name) {
    return files.apply(name);
  }

  /**
   * What surrounds a run on fresh programs of a station that nobody else works: the same each time.
   *
   * @param beside the files beside the library, by name
   */
  public static Around apart(Subject subject, Function<String, File> beside, Scripts scripts) {
    SimulatedComputer computer =
        of(subject.library(), subject.keymap().station(), standingClock()).withFiles(beside);
    return new Trial(subject.library(), subject.keymap(), computer, scripts).around();
  }

  /** Fresh programs; time passes only when a run lets it. */
  public static SimulatedComputer fresh() {
    return with(StandIns.all(), standingClock());
  }

  /** A clock that stands at a morning of the archive's year until a run lets time pass. */
  public static Clock standingClock() {
    return new Alone.Ticking(Instant.parse("2031-05-08T09:00:00Z"));
  }

  /**
   * The same programs in the same state, independent from now on; its time passes as a run lets it.
   */
  public SimulatedComputer copy() {
    SimulatedComputer copy = copiedAsUsed();
    copy.own();
    return copy;
  }

  /**
   * The same as long as this one stays as it is: each program is copied when somebody comes to it.
   */
  SimulatedComputer copiedAsUsed() {
    Map<String, StandIn<?>> copies = new LinkedHashMap<>(programs);
    Set<String> later = new HashSet<>(programs.keySet());
    Desk its = desk.copy();
    if (later.remove(Desk.ID)) {
      copies.put(Desk.ID, its);
    }
    Clock ticking = new Alone.Ticking(clock.instant());
    SimulatedComputer copy = new SimulatedComputer(copies, later, its, ticking);
    copy.clipboard.put(clipboard.text());
    copy.held = held;
    copy.files = files;
    return copy;
  }

  /** A program of its own; null when there is none of this id. */
  private StandIn<?> own(String id) {
    if (borrowed.remove(id)) {
      StandIn<?> its = programs.get(id).copy();
      its.attach(clipboard, clock);
      programs.put(id, its);
    }
    return programs.get(id);
  }

  private Map<String, StandIn<?>> own() {
    List.copyOf(borrowed).forEach(this::own);
    return programs;
  }

  /** True when the programs of both are in the same states, and the same is on their clipboards. */
  boolean isLike(SimulatedComputer other) {
    return clipboard().equals(other.clipboard())
        && programs.keySet().equals(other.programs.keySet())
        && programs.keySet().stream()
            .filter(id -> programs.get(id) != other.programs.get(id))
            .allMatch(id -> own(id).state().equals(other.own(id).state()));
  }

  /** The programs, by application id. */
  public Map<String, StandIn<?>> programs() {
    return Collections.unmodifiableMap(own());
  }

  public Desk desk() {
    return desk;
  }

  Optional<StandIn<?>> standIn(String application) {
    return Optional.ofNullable(own(application));
  }

  @Override
  public Optional<Program> program(String application) {
    return Optional.ofNullable(own(application));
  }

  @Override
  public Program front() {
    return programs.containsKey(desk.front()) ? own(desk.front()) : desk;
  }

  @Override
  public String frontWindow() {
    return desk.front();
  }

  @Override
  public Reply bringToFront(String application) {
    return desk.toFront(application);
  }

  @Override
  public Reply start(String application, List<String> arguments) {
    return programs.containsKey(application) || Desk.smallProgram(application).isPresent()
        ? desk.start(application, arguments)
        : new Reply.Refused(
            "a program, one of "
                + String.join(", ", programs.keySet())
                + ", "
                + Desk.CONVERTER
                + ", "
                + Desk.NOTEPAD,
            "no " + application);
  }

  @Override
  public Reply capture(Step.Area area, String file) {
    return desk.capture(area, file);
  }

  @Override
  public String clipboard() {
    return clipboard.text();
  }

  @Override
  public Clock clock() {
    return clock;
  }

  @Override
  public void pass(long millis) {
    if (clock instanceof Alone.Ticking ticking) {
      ticking.pass(millis);
    }
  }

  @Override
  public Modifiers held() {
    return held;
  }

  @Override
  public void hold(Modifiers modifiers) {
    held = modifiers;
  }
}
