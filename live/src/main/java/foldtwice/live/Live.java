package foldtwice.live;

import foldtwice.known.Facts;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Seen;
import foldtwice.live.display.Display;
import foldtwice.live.display.DisplayException;
import foldtwice.live.program.LiveComputer;
import foldtwice.live.program.LiveProgram;
import foldtwice.live.say.Say;
import foldtwice.live.survey.Survey;
import foldtwice.live.survey.Surveyor;
import foldtwice.place.Application;
import foldtwice.run.Reply;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.slf4j.LoggerFactory;

/**
 * The real programs of this computer: a connection to the accessibility bus and to the display.
 * Calls wait for other programs; none may be made on an interface thread.
 */
public final class Live implements AutoCloseable {

  private final Bus bus;
  private final Optional<Display> display;

  private Live(Bus bus, Optional<Display> display) {
    this.bus = bus;
    this.display = display;
  }

  /** Where to reach the desktop; what is empty is as the environment says. */
  public record Where(Optional<String> session, Optional<String> display) {
    public static final Where HERE = new Where(Optional.empty(), Optional.empty());
  }

  /** Why there is nothing live on this computer. */
  public static final class Unavailable extends Exception {
    Unavailable(String message, Throwable cause) {
      super(message, cause);
    }

    Unavailable(String message) {
      super(message);
    }
  }

  /** Connects. */
  public static Live open(Where where) throws Unavailable {
    String system = System.getProperty("os.name", "");
    if (!system.toLowerCase(Locale.ROOT).contains("linux")) {
      throw new Unavailable(Say.text("notyet", system));
    }
    Bus bus;
    try {
      bus = Bus.open(where.session());
    } catch (BusException e) {
      throw new Unavailable(Say.text("nobus", e.getMessage()), e);
    }
    Optional<Display> display = Optional.empty();
    try {
      display = Optional.of(Display.open(where.display()));
    } catch (DisplayException e) {
      LoggerFactory.getLogger(Live.class).info("live without keys: {}", e.getMessage());
    }
    return new Live(bus, display);
  }

  /** A running program. */
  public record Running(Seen seen, long process) {
    public String name() {
      return seen.name();
    }

    /** The id an application has that was read off it. */
    public String id() {
      return Ids.of(name(), "program");
    }

    /** True when an application of a library is this program, by its id or its name. */
    public boolean is(Application application) {
      return application.id().equals(id()) || application.name().equalsIgnoreCase(name());
    }
  }

  /** The programs that are running and tell of themselves, but for this one. */
  public List<Running> running() throws BusException {
    List<Running> running = new ArrayList<>();
    long own = ProcessHandle.current().pid();
    for (Seen s : bus.programs()) {
      long process = bus.process(s.ref());
      if (process != own) {
        running.add(new Running(s, process));
      }
    }
    return running;
  }

  /** Reads one. */
  public Survey survey(Running program) throws BusException {
    return new Surveyor(bus).survey(program.seen().ref());
  }

  /** The dialogs it has open right now. */
  public List<Survey.Form> forms(Running program) throws BusException {
    return new Surveyor(bus).forms(program.seen().ref());
  }

  /**
   * Has it open a dialog, by the command of a menu path, so that it can be read.
   *
   * @return false when there is no such command, or no dialog comes
   */
  public boolean open(Running program, List<String> menuPath) throws BusException {
    return LiveProgram.opening(bus, program.seen().ref(), menuPath, display);
  }

  /**
   * Has it open a dialog by the command of a menu path, reads it, and closes it again.
   *
   * @return none when there is no such command, or no dialog comes
   */
  public List<Survey.Form> dialog(Running program, List<String> menuPath) throws BusException {
    List<Survey.Form> before = forms(program);
    if (!before.isEmpty()) {
      throw new BusException(
          BusException.Why.REFUSED, Say.text("isopen", before.getFirst().title()));
    }
    if (!open(program, menuPath)) {
      return List.of();
    }
    List<Survey.Form> forms = forms(program).stream().map(f -> f.by(menuPath)).toList();
    if (LiveProgram.closing(bus, program.seen().ref(), display)
        instanceof Reply.Refused(String expected, String found)) {
      throw new BusException(BusException.Why.REFUSED, expected + ": " + found);
    }
    return forms;
  }

  /**
   * One as a program of a library.
   *
   * @param facts what is known of it
   */
  public LiveProgram program(Running program, Application application, Library library, Facts facts)
      throws BusException {
    return new LiveProgram(
        bus,
        program.seen().ref(),
        application,
        library.description(application.id()),
        facts,
        display);
  }

  /**
   * This computer as a library sees it: those of its programs that are running.
   *
   * @param facts what is known of each
   */
  public LiveComputer computer(
      Library library, Function<Application, Facts> facts, LiveComputer.Outside outside)
      throws BusException {
    return new LiveComputer(known -> programs(library, facts, known), display, outside);
  }

  /** Those of a library that are running; one that was known and runs still stays the same. */
  private Map<String, LiveProgram> programs(
      Library library, Function<Application, Facts> facts, Map<String, LiveProgram> known)
      throws BusException {
    Map<String, LiveProgram> programs = new LinkedHashMap<>();
    for (Running r : running()) {
      for (Application a : library.applications().values()) {
        if (r.is(a) && !programs.containsKey(a.id())) {
          LiveProgram before = known.get(a.id());
          boolean same = before != null && before.process() == r.process();
          programs.put(a.id(), same ? before : program(r, a, library, facts.apply(a)));
        }
      }
    }
    return programs;
  }

  public Optional<Display> display() {
    return display;
  }

  @Override
  public void close() {
    display.ifPresent(Display::close);
    bus.close();
  }
}
