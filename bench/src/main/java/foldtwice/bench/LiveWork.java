package foldtwice.bench;

import foldtwice.binding.Binding;
import foldtwice.effort.Skill;
import foldtwice.effort.Timing;
import foldtwice.effort.Values;
import foldtwice.effort.WorkedOut;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.live.Firing;
import foldtwice.live.Live;
import foldtwice.live.display.Display;
import foldtwice.live.listen.Catching;
import foldtwice.live.program.LiveComputer;
import foldtwice.live.program.LiveProgram;
import foldtwice.live.program.LiveRun;
import foldtwice.live.survey.Describing;
import foldtwice.live.survey.Proposal;
import foldtwice.live.survey.Survey;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.run.Computer;
import foldtwice.run.Scripts;
import foldtwice.run.Trace;
import foldtwice.standin.StandIns;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Platform;
import foldtwice.trigger.Press;
import foldtwice.trigger.Shape;
import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;

/**
 * What real programs take, in a window of a test's own with a menu of 500 items: read, worked, its
 * keys caught among 1,000 bindings, and passed on. To be run on a desktop of its own: {@code
 * tools/live-desktop}. Prints medians and 95th percentiles in milliseconds.
 */
public final class LiveWork {

  private static final String ID = "window-py";
  private static final int ROUNDS = 60;
  private static final int WARM = 15;

  private final Live live;
  private final Process window;
  private final Library library;
  private final Station station = station();

  /** A computer with an American keyboard and nothing more. */
  static Station station() {
    return new Station(
        "s", "S", "us", Shape.ANSI, Platform.CONTROL, List.of(), List.of(), List.of(), Extras.NONE);
  }

  private LiveWork(Live live, Process window, Proposal read) {
    this.live = live;
    this.window = window;
    List<Edit> edits = new ArrayList<>();
    edits.add(new Edit.PutStation(station, 0));
    edits.add(read.edit(false));
    edits.add(new Edit.PutRoutine(macro("stamp", choose("Ledger", "Stamp")), 0));
    edits.add(new Edit.PutBinding(binding("b0", new Place.Whole(ID), "Ctrl+J")));
    String keys = "ABCDEFGHIKLMNOPQRSTUVWXYZ";
    for (int i = 1; i < 1_000; i++) {
      String chord =
          "Ctrl+Alt+"
              + keys.charAt(i / 40 % keys.length())
              + " then Shift+"
              + keys.charAt(i % keys.length())
              + " then "
              + keys.charAt(i / keys.length() % keys.length());
      edits.add(new Edit.PutBinding(binding("b" + i, new Place.Everywhere(), chord)));
    }
    library = new Edit.Together(edits).on(Library.empty("Bench"));
  }

  /** Takes no arguments. */
  public static void main(String[] none) throws Exception {
    Path script = Path.of(System.getProperty("foldtwice.home"), "live/src/desktop/window.py");
    Process window = new ProcessBuilder("/usr/bin/python3", script.toString(), "500").start();
    BufferedReader out =
        new BufferedReader(new InputStreamReader(window.getInputStream(), StandardCharsets.UTF_8));
    if (!"up".equals(out.readLine())) {
      throw new IllegalStateException("the window does not come up");
    }
    try (Live live = Live.open(Live.Where.HERE)) {
      Live.Running running =
          live.running().stream()
              .filter(r -> r.process() == window.pid())
              .findFirst()
              .orElseThrow();
      List<Double> reading = new ArrayList<>();
      Survey survey = null;
      for (int i = 0; i < 12; i++) {
        long began = System.nanoTime();
        survey = live.survey(running);
        reading.add((System.nanoTime() - began) / 1e6);
      }
      System.out.printf(
          "read, %d menu items, first %.0f%n", survey.items().size(), reading.getFirst());
      print("read, after the first", reading.subList(1, reading.size()));
      new LiveWork(live, window, Describing.anew(running.id(), survey)).measure();
    } finally {
      window.destroyForcibly();
    }
    System.exit(0);
  }

  private static Binding binding(String id, Place place, String keys) {
    return Binding.fresh(id, "stamp", place, List.of(Notation.read(keys)), Map.of());
  }

  private static Step choose(String... path) {
    return new Step.Choose(Template.all(List.of(path)));
  }

  private static Routine macro(String id, Step... steps) {
    List<Line> lines = new ArrayList<>();
    for (Step s : steps) {
      lines.add(new Line(s));
    }
    return Routine.Macro.of(id, id, ID, List.of(), lines);
  }

  private LiveComputer computer() throws Exception {
    return live.computer(
        library,
        StandIns.facts(station, library),
        new LiveComputer.Outside(
            name -> new Computer.File.Refused("none", "none"),
            () -> "",
            Optional.empty(),
            command -> false));
  }

  private void measure() throws Exception {
    LiveComputer computer = computer();
    LiveProgram program = computer.programs().get(ID);
    steps(computer);
    dialog(computer);
    Display keys = live.display().orElseThrow();
    passing(keys, program, "a key to its text, nobody listens");
    BlockingQueue<Long> began = new LinkedBlockingQueue<>();
    BlockingQueue<Long> stepped = new LinkedBlockingQueue<>();
    try (Firing firing = listen(computer, began, stepped)) {
      System.out.printf(
          "%d keys caught, %d bindings%n", firing.caught().size(), library.bindings().size());
      passing(keys, program, "a key to its text, listening");
      List<Double> fired = new ArrayList<>();
      List<Double> first = new ArrayList<>();
      for (int i = 0; i < ROUNDS; i++) {
        long at = System.nanoTime();
        keys.strike(Press.of(KeyCode.KEY_J, Modifier.CTRL));
        Long begin = began.poll(5, TimeUnit.SECONDS);
        Long step = stepped.poll(5, TimeUnit.SECONDS);
        if (begin == null || step == null) {
          throw new IllegalStateException("it did not fire");
        }
        if (i >= WARM) {
          fired.add((begin - at) / 1e6);
          first.add((step - at) / 1e6);
        }
        Thread.sleep(120);
      }
      print("a caught key to the run's beginning", fired);
      print("a caught key to its run over (one step)", first);
    }
    long began2 = System.nanoTime();
    Catching.of(library, station);
    System.out.printf("what is caught worked out %.1f%n", (System.nanoTime() - began2) / 1e6);
    if (!window.isAlive()) {
      throw new IllegalStateException("the window is gone");
    }
  }

  private Trace run(LiveComputer computer, Routine routine) throws InterruptedException {
    Trace trace =
        LiveRun.start(
                routine,
                Map.of(),
                Firing.around(library, Keymap.of(library, station), computer, Scripts.NONE),
                s -> {})
            .await(60_000)
            .trace();
    if (!trace.wentWell()) {
      throw new IllegalStateException(trace.toString());
    }
    return trace;
  }

  private void steps(LiveComputer computer) throws InterruptedException {
    Step[] steps = new Step[ROUNDS];
    Arrays.fill(steps, choose("Ledger", "Stamp"));
    List<Double> took = new ArrayList<>();
    for (Trace.Entry e : run(computer, macro("many", steps)).entries()) {
      took.add(e.nanos() / 1e6);
    }
    print("a step chosen, with what it does", took.subList(WARM, took.size()));
  }

  private void dialog(LiveComputer computer) throws InterruptedException {
    Routine shift =
        macro(
            "shift",
            choose("Ledger", "Shift lines\u2026"),
            new Step.Fill("By", ExprNotation.read("12")),
            new Step.PressButton("Shift"));
    List<Double> took = new ArrayList<>();
    for (int i = 0; i < 20; i++) {
      long at = System.nanoTime();
      run(computer, shift);
      took.add((System.nanoTime() - at) / 1e6);
    }
    print("menu, dialog, field, button", took.subList(5, took.size()));
    double byHand =
        WorkedOut.of(library, shift, Map.of())
            .map(moves -> Timing.of(moves, Values.of(Skill.AVERAGE_SKILLED)).total().mid() * 1000)
            .orElse(Double.NaN);
    List<Double> sorted = took.subList(5, took.size()).stream().sorted().toList();
    System.out.printf(
        "by hand %.0f, that is %.0f times as long%n",
        byHand, byHand / sorted.get(sorted.size() / 2));
  }

  private void passing(Display keys, LiveProgram program, String what) {
    List<Double> took = new ArrayList<>();
    for (int i = 0; i < ROUNDS; i++) {
      int before = program.state().getOrDefault("text", "").length();
      long at = System.nanoTime();
      keys.strike(Press.of(KeyCode.KEY_X));
      while (program.state().getOrDefault("text", "").length() == before) {
        Thread.onSpinWait();
      }
      if (i >= WARM) {
        took.add((System.nanoTime() - at) / 1e6);
      }
    }
    print(what, took);
  }

  private Firing listen(
      LiveComputer computer, BlockingQueue<Long> began, BlockingQueue<Long> stepped)
      throws Exception {
    return Firing.start(
        library,
        station,
        computer,
        Live.Where.HERE,
        Press.of(KeyCode.ESCAPE, Modifier.CTRL, Modifier.ALT),
        Scripts.NONE,
        r -> true,
        new Firing.Tells() {
          @Override
          public void begins(Binding binding, Routine routine) {
            began.add(System.nanoTime());
          }

          @Override
          public void goes(Binding binding, Routine routine, LiveRun.Standing standing) {
            if (standing.isOver()) {
              stepped.add(System.nanoTime());
            }
          }

          @Override
          public void refused(Binding binding, String expected, String found) {
            System.out.println("refused: " + expected + ", " + found);
          }

          @Override
          public void undecided(List<Claim> claims) {
            System.out.println("undecided");
          }

          @Override
          public void taken(Set<Press> presses) {
            System.out.println("taken: " + presses.size());
          }

          @Override
          public void ended(String why) {
            System.out.println("ended " + why);
          }
        });
  }

  private static void print(String what, List<Double> millis) {
    List<Double> sorted = millis.stream().sorted().toList();
    System.out.printf(
        "%-42s median %.1f, 95th percentile %.1f%n",
        what, sorted.get(sorted.size() / 2), sorted.get((int) (0.95 * (sorted.size() - 1))));
  }
}
