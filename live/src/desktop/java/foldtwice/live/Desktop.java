package foldtwice.live;

import foldtwice.extras.Extras;
import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.display.Display;
import foldtwice.live.display.DisplayException;
import foldtwice.live.display.Grabs;
import foldtwice.place.Station;
import foldtwice.trigger.Platform;
import foldtwice.trigger.Press;
import foldtwice.trigger.Shape;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Assumptions;

/**
 * A desktop of a test's own: a display without a monitor, a window manager, a session bus and the
 * accessibility bus. Where a part of it is not installed the test is skipped, but not where {@code
 * FOLDTWICE_SMOKE} is {@code required}.
 */
public final class Desktop implements AutoCloseable {

  private static final List<String> NEEDED =
      List.of(
          "/usr/bin/Xvfb",
          "/usr/bin/openbox",
          "/usr/bin/dbus-daemon",
          "/usr/libexec/at-spi-bus-launcher",
          "/usr/bin/python3");

  private final List<Process> processes = new ArrayList<>();
  private final Path home;
  private final String display;
  private final String session;

  private Desktop(Path home, String display, String session) {
    this.home = home;
    this.display = display;
    this.session = session;
  }

  public static Desktop open() throws Exception {
    for (String program : NEEDED) {
      boolean there = Files.isExecutable(Path.of(program));
      if (!there && "required".equals(System.getenv("FOLDTWICE_SMOKE"))) {
        throw new IllegalStateException("not installed: " + program);
      }
      Assumptions.assumeTrue(there, program + " is not installed: live is not tested here");
    }
    Path home = Files.createTempDirectory("live");
    List<Process> begun = new ArrayList<>();
    Process x =
        new ProcessBuilder(
                "/usr/bin/Xvfb",
                "-displayfd",
                "1",
                "-screen",
                "0",
                "1280x800x24",
                "-nolisten",
                "tcp",
                // Otherwise the display begins anew, and drops whoever is just connecting, each
                // time
                // the last that looks at it goes.
                "-noreset")
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    begun.add(x);
    String display = ":" + line(x).strip();
    Process bus =
        new ProcessBuilder("/usr/bin/dbus-daemon", "--session", "--nofork", "--print-address=1")
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    begun.add(bus);
    Desktop desktop = new Desktop(home, display, line(bus).strip());
    desktop.processes.addAll(begun);
    Process manager = desktop.start("/usr/bin/openbox");
    desktop.start("/usr/libexec/at-spi-bus-launcher", "--launch-immediately");
    await("the window manager", () -> !manager.isAlive() || desktop.hasManager());
    if (!manager.isAlive()) {
      throw new AssertionError("the window manager ended with " + manager.exitValue());
    }
    await("the accessibility bus", desktop::hasBus);
    return desktop;
  }

  private boolean hasManager() {
    try (Display on = Display.open(Optional.of(display))) {
      return on.isManaged();
    } catch (DisplayException e) {
      return false;
    }
  }

  private boolean hasBus() {
    try (Bus bus = Bus.open(Optional.of(session))) {
      bus.programs();
      return true;
    } catch (BusException e) {
      return false;
    }
  }

  private static String line(Process of) throws IOException {
    return new BufferedReader(new InputStreamReader(of.getInputStream(), StandardCharsets.UTF_8))
        .readLine();
  }

  public String display() {
    return display;
  }

  public Live.Where where() {
    return new Live.Where(Optional.of(session), Optional.of(display));
  }

  /** Whether a key can be caught by somebody else. */
  public boolean isFree(Press press) {
    try (Display other = Display.open(Optional.of(display))) {
      Grabs grabs = new Grabs(other);
      boolean[] free = {false};
      grabs.alone( // nobody may find it taken because it is asked about
          () -> {
            free[0] = grabs.catching(Set.of(press)).isEmpty();
            grabs.catching(Set.of());
          });
      return free[0];
    } catch (DisplayException e) {
      throw new AssertionError(e);
    }
  }

  /** A computer with an American keyboard and nothing more. */
  public static Station station() {
    return new Station(
        "s", "S", "us", Shape.ANSI, Platform.CONTROL, List.of(), List.of(), List.of(), Extras.NONE);
  }

  /** Starts a program on this desktop. */
  public Process start(String... command) throws IOException {
    ProcessBuilder builder = new ProcessBuilder(command);
    environment(builder.environment());
    builder.redirectErrorStream(false).redirectError(ProcessBuilder.Redirect.DISCARD);
    Process process = builder.start();
    processes.add(process);
    return process;
  }

  public void environment(Map<String, String> environment) {
    environment.put("DISPLAY", display);
    environment.put("DBUS_SESSION_BUS_ADDRESS", session);
    environment.put("HOME", home.toString());
    environment.put("XDG_CONFIG_HOME", home.resolve("config").toString());
    environment.put("NO_AT_BRIDGE", "0");
    environment.put("GTK_A11Y", "atspi");
    environment.put("LANG", "C.UTF-8");
    environment.remove("GTK_MODULES");
  }

  /** The window of the tests, with so many items in a menu besides. */
  public Window window(int many) throws Exception {
    Path script = Path.of(System.getProperty("project.root"), "live/src/desktop/window.py");
    Process process = start("/usr/bin/python3", script.toString(), Integer.toString(many));
    Window window = new Window(process);
    if (!"up".equals(window.line())) {
      throw new IllegalStateException("the window of the tests does not come up");
    }
    return window;
  }

  /** The display goes away, as when a person logs out or it crashes. */
  public void loseDisplay() {
    processes.getFirst().destroyForcibly().onExit().orTimeout(5, TimeUnit.SECONDS).join();
  }

  /**
   * Waits until something is so. A minute is for a machine that is busy with something else, not a
   * claim of how quickly it comes: benchmarks say that.
   */
  public static void await(String what, BooleanSupplier so) throws InterruptedException {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
    while (!so.getAsBoolean()) {
      if (System.nanoTime() > end) {
        throw new AssertionError("waited a minute for " + what);
      }
      Thread.sleep(20);
    }
  }

  /** The window of the tests, which does what it is told. */
  public static final class Window {
    private final Process process;
    private final BufferedReader out;
    private final Writer in;

    Window(Process process) {
      this.process = process;
      this.out =
          new BufferedReader(
              new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
      this.in = new OutputStreamWriter(process.getOutputStream(), StandardCharsets.UTF_8);
    }

    private String line() throws IOException {
      return out.readLine();
    }

    /** Tells it something, and does not wait. */
    public void tell(String words) throws IOException {
      in.write(words + "\n");
      in.flush();
    }

    /** Tells it something, and waits until it is done. */
    public void told(String words) throws IOException {
      tell(words);
      tell("say");
      line();
    }

    /** What is written in it, as it says itself. */
    public String text() throws IOException {
      tell("text");
      return line();
    }

    public Process process() {
      return process;
    }
  }

  @Override
  public void close() {
    for (Process p : processes.reversed()) {
      p.destroyForcibly().onExit().orTimeout(5, TimeUnit.SECONDS).join();
    }
  }
}
