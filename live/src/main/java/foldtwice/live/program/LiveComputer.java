package foldtwice.live.program;

import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Late;
import foldtwice.live.display.Display;
import foldtwice.live.display.DisplayException;
import foldtwice.live.say.Say;
import foldtwice.routine.Step;
import foldtwice.run.Computer;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** This computer: the running programs a library knows, its display, its clock. */
public final class LiveComputer implements Computer {

  private static final Logger LOG = LoggerFactory.getLogger(LiveComputer.class);

  /** How long a window is waited for that was told to come to the front, in milliseconds. */
  private static final long COMES = 1_500;

  /** Programs are looked for again no sooner than this after the last time, in milliseconds. */
  private static final long AGAIN = 300;

  private final Finding finding;
  private final Optional<Display> display;
  private final Outside outside;
  private volatile Map<String, LiveProgram> programs;
  private volatile long looked = System.nanoTime();

  /** Looks which programs of the library are running. */
  public interface Finding {

    /**
     * @param known those of the last time; what is running still stays the same
     */
    Map<String, LiveProgram> now(Map<String, LiveProgram> known) throws BusException;
  }

  /**
   * What is the person's to give.
   *
   * @param files the files beside the library, by name
   * @param clipboard the text on the clipboard
   * @param pictures where pictures of the screen go; empty where there is no such place
   * @param mayStart asked before a program is started, with its name first and then its arguments;
   *     says yes only to what a person allowed
   */
  public record Outside(
      Function<String, File> files,
      Supplier<String> clipboard,
      Optional<Path> pictures,
      Predicate<List<String>> mayStart) {}

  /**
   * @throws BusException when nobody tells which programs are running
   */
  public LiveComputer(Finding finding, Optional<Display> display, Outside outside)
      throws BusException {
    this.finding = finding;
    this.programs = Map.copyOf(finding.now(Map.of()));
    this.display = display;
    this.outside = outside;
  }

  /** The programs that were running when it was looked last, by application id. */
  public Map<String, LiveProgram> programs() {
    return programs;
  }

  /**
   * Looks again which programs are running: some may have begun, or begun anew. Costs a call to
   * each program there is.
   *
   * @return true when there are others
   */
  public synchronized boolean look() {
    Map<String, LiveProgram> before = programs;
    try {
      programs = Map.copyOf(finding.now(before));
    } catch (BusException e) {
      LOG.debug("programs are not looked for: {}", e.getMessage());
    }
    looked = System.nanoTime();
    return !before.equals(programs);
  }

  /** One that is running; it is looked again for one that was not. */
  private Optional<LiveProgram> running(String application) {
    LiveProgram program = programs.get(application);
    boolean late = System.nanoTime() - looked > TimeUnit.MILLISECONDS.toNanos(AGAIN);
    if (program == null && late) {
      look();
    }
    return Optional.ofNullable(programs.get(application));
  }

  @Override
  public boolean isReal() {
    return true;
  }

  @Override
  public Optional<Program> program(String application) {
    return running(application).map(p -> p);
  }

  @Override
  public Program front() {
    return live().<Program>map(p -> p).orElseGet(() -> new Elsewhere(title()));
  }

  /** The program of the library that is in front. */
  public Optional<LiveProgram> live() {
    if (display.isPresent()) {
      Optional<Display.Window> front = display.get().front();
      if (front.filter(w -> w.process() > 0).isPresent()) {
        return programs.values().stream()
            .filter(p -> p.process() == front.get().process())
            .findFirst();
      }
    }
    return programs.values().stream().filter(LiveProgram::isFront).findFirst();
  }

  private String title() {
    return display.flatMap(Display::front).map(Display.Window::title).orElse("");
  }

  @Override
  public Reply bringToFront(String application) {
    LiveProgram program = running(application).orElse(null);
    if (program == null) {
      return new Reply.Refused(Say.text("running", application), Say.text("notrunning"));
    }
    if (live().filter(program::equals).isPresent()) {
      return Reply.QUIET;
    }
    if (display.isEmpty()) {
      return new Reply.Refused(Say.text("display"), Say.text("none"));
    }
    Display.Window window = null;
    for (Display.Window w : display.get().windows()) {
      window = w.process() == program.process() ? w : window; // the last is the topmost
    }
    if (window == null) {
      return new Reply.Refused(Say.text("window", application), Say.text("none"));
    }
    display.get().raise(window);
    long end = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(COMES);
    while (System.nanoTime() < end) {
      if (live().filter(program::equals).isPresent()) {
        return Reply.QUIET;
      }
      Late.pause();
    }
    return new Reply.Refused(Say.text("infront", application), title());
  }

  @Override
  public Reply start(String application, List<String> arguments) {
    List<String> command = new ArrayList<>(List.of(application));
    command.addAll(arguments);
    if (!outside.mayStart.test(List.copyOf(command))) {
      return new Reply.Refused(Say.text("allowed"), String.join(" ", command));
    }
    try {
      new ProcessBuilder(command)
          .redirectErrorStream(true)
          .redirectOutput(ProcessBuilder.Redirect.DISCARD)
          .redirectInput(ProcessBuilder.Redirect.from(Path.of("/dev/null").toFile()))
          .start();
      return Reply.QUIET;
    } catch (IOException e) {
      return new Reply.Refused(Say.text("startable", application), e.getMessage());
    }
  }

  @Override
  public Reply capture(Step.Area area, String file) {
    if (display.isEmpty() || outside.pictures.isEmpty()) {
      return new Reply.Refused(Say.text("display"), Say.text("none"));
    }
    if (file.isEmpty() || file.contains("/") || area == Step.Area.SELECTION) {
      return new Reply.Refused(Say.text("picturefile"), file.isEmpty() ? Say.text("none") : file);
    }
    try {
      byte[] png =
          display
              .get()
              .picture(area == Step.Area.WINDOW ? display.get().front() : Optional.empty());
      Path to = outside.pictures.get().resolve(file.endsWith(".png") ? file : file + ".png");
      if (Files.exists(to)) {
        return new Reply.Refused(Say.text("newfile"), to.getFileName().toString());
      }
      Files.write(to, png);
      return Reply.QUIET;
    } catch (DisplayException | IOException e) {
      return new Reply.Refused(Say.text("picture"), e.getMessage());
    }
  }

  @Override
  public File file(String name) {
    return outside.files.apply(name);
  }

  @Override
  public String clipboard() {
    return outside.clipboard.get();
  }

  /** Presses a key as a hand would, wherever the keys go. */
  public void strike(Press press) {
    display.ifPresent(d -> d.strike(press));
  }

  @Override
  public Clock clock() {
    return Clock.system(ZoneId.systemDefault());
  }

  @Override
  public void pass(long millis) {} // real time passes by itself

  @Override
  public Modifiers held() {
    return display.map(Display::held).orElse(Modifiers.NONE);
  }

  @Override
  public void hold(Modifiers modifiers) {
    if (modifiers.isEmpty()) {
      display.ifPresent(Display::release);
    }
  }
}
