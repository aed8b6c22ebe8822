package foldtwice.cli;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.binding.Fitting;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.live.Desktop;
import foldtwice.live.Firing;
import foldtwice.live.Live;
import foldtwice.live.bus.BusException;
import foldtwice.live.display.Display;
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
import foldtwice.routine.Condition;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Head;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Reply;
import foldtwice.run.Scripts;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.SimulatedComputer;
import foldtwice.standin.StandIns;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Press;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * The whole way with a small text editor: read, bound, its keys pressed for real, its text read
 * back through the accessibility interface, taken back, stopped; and the same library on a sketch.
 */
class EditorTest {

  private static final String EDITOR = "/usr/bin/mousepad";
  private static final Press STOP = Press.of(KeyCode.ESCAPE, Modifier.CTRL, Modifier.ALT);
  private static final Press UPPER = Press.of(KeyCode.KEY_J, Modifier.CTRL);
  private static final Press GO = Press.of(KeyCode.KEY_K, Modifier.CTRL);
  private static final Press ENDLESS = Press.of(KeyCode.KEY_E, Modifier.CTRL, Modifier.ALT);

  private static Desktop desktop;
  private static Process editor;
  private static Live live;
  private static Library library;
  private static String id;

  private final List<String> heard = new CopyOnWriteArrayList<>();

  @BeforeAll
  static void begin() throws Exception {
    boolean there = Files.isExecutable(Path.of(EDITOR));
    if (!there && "required".equals(System.getenv("FOLDTWICE_SMOKE"))) {
      throw new IllegalStateException("not installed: " + EDITOR);
    }
    Assumptions.assumeTrue(there, EDITOR + " is not installed: not tested here");
    desktop = Desktop.open();
    editor = desktop.start(EDITOR);
    live = Live.open(desktop.where());
    Desktop.await("the editor", () -> running().isPresent());
    Desktop.await("its menus", EditorTest::hasMenus);
    Live.Running running = running().orElseThrow();
    // as far as a field goes may depend on the text: "go to" goes as far as there are lines
    LiveProgram first =
        computer(library(Describing.anew(running.id(), survey()))).programs().get(running.id());
    assertThat(first.type("first\nsecond\n")).isInstanceOf(Reply.Done.class);
    Survey survey = survey().with(live.dialog(running, List.of("Search", "Go to...")));
    assertThat(survey.forms()).as("the dialog").hasSize(1);
    library = library(Describing.anew(running.id(), survey));
    id = running.id();
  }

  @AfterAll
  static void end() {
    if (live != null) {
      live.close();
    }
    if (desktop != null) {
      desktop.close();
    }
  }

  private static Optional<Live.Running> running() {
    try {
      return live.running().stream().filter(r -> r.process() == editor.pid()).findFirst();
    } catch (BusException e) {
      return Optional.empty();
    }
  }

  /** While it starts, what is there now is gone a moment later. */
  private static boolean hasMenus() {
    try {
      return live.survey(running().orElseThrow()).items().size() > 50;
    } catch (BusException e) {
      return false;
    }
  }

  private static Survey survey() {
    try {
      return live.survey(running().orElseThrow());
    } catch (BusException e) {
      throw new AssertionError(e);
    }
  }

  private static Step choose(String... path) {
    return new Step.Choose(Template.all(List.of(path)));
  }

  private static Routine macro(
      String id, String application, List<Parameter> parameters, Step... steps) {
    List<Line> lines = new ArrayList<>();
    for (Step s : steps) {
      lines.add(new Line(s));
    }
    return Routine.Macro.of(id, id, application, parameters, lines);
  }

  private static Library library(Proposal read) {
    String app = read.application().id();
    Parameter line =
        new Parameter(
            "line", new Kind.Count(1, 99, 1), new Value.Amount(BigDecimal.ONE), Extras.NONE);
    List<Edit> edits = new ArrayList<>();
    edits.add(new Edit.PutStation(Desktop.station(), 0));
    edits.add(read.edit(false));
    edits.add(
        new Edit.PutRoutine(
            macro(
                "upper",
                app,
                List.of(),
                choose("Edit", "Select All"),
                choose("Edit", "Convert", "To Uppercase")),
            0));
    edits.add(
        new Edit.PutRoutine(
            macro(
                "go",
                app,
                List.of(line),
                new Step.Modifiers(Step.Holding.RELEASE),
                choose("Search", "Go to..."),
                new Step.Fill("Line number", ExprNotation.read("\u2039line\u203a")),
                new Step.PressButton("Jump to"),
                new Step.TypeText(new Template("> "))),
            1));
    edits.add(
        new Edit.PutRoutine(
            macro(
                "endless",
                app,
                List.of(),
                // While it types, the modifiers of the stop may end it before its key does.
                new Step.TypeText(new Template("xxx")),
                new Step.WaitUntil(new Condition.DialogOpen("Never"), ExprNotation.read("60")),
                new Step.TypeText(new Template("y"))),
            2));
    edits.add(put("b1", "upper", new Place.Whole(app), "Ctrl+J", Map.of()));
    edits.add(
        put(
            "b2",
            "go",
            new Place.Whole(app),
            "Ctrl+K",
            Map.of("line", new Value.Amount(BigDecimal.valueOf(2)))));
    edits.add(
        new Edit.PutRoutine(macro("r", app, List.of(), new Step.TypeText(new Template("r-"))), 3));
    edits.add(
        new Edit.PutBinding(
            Binding.fresh(
                    "b4", "r", new Place.Whole(app), List.of(Notation.read("Ctrl+R")), Map.of())
                .withFitting(Fitting.PLAIN.repeating(8))));
    edits.add(put("b3", "endless", new Place.Everywhere(), "Ctrl+Alt+E", Map.of()));
    return new Edit.Together(edits).on(Library.empty("Editor"));
  }

  private static Edit put(
      String id, String routine, Place place, String keys, Map<String, Value> arguments) {
    return new Edit.PutBinding(
        Binding.fresh(id, routine, place, List.of(Notation.read(keys)), arguments));
  }

  private static Station station() {
    return library.stations().get("s");
  }

  private static LiveComputer computer(Library library) throws Exception {
    return live.computer(
        library,
        StandIns.facts(library.stations().get("s"), library),
        new LiveComputer.Outside(
            name -> new foldtwice.run.Computer.File.Refused("none", "none"),
            () -> "",
            Optional.empty(),
            command -> false));
  }

  private Firing listen(LiveComputer computer) throws Exception {
    Firing firing =
        Firing.start(
            library,
            station(),
            computer,
            desktop.where(),
            STOP,
            Scripts.NONE,
            r -> true,
            new Firing.Tells() {
              @Override
              public void begins(Binding binding, Routine routine) {
                heard.add("begins " + binding.id());
              }

              @Override
              public void goes(Binding binding, Routine routine, LiveRun.Standing standing) {
                if (standing.isOver()) {
                  Trace trace = standing.trace();
                  heard.add(
                      binding.id()
                          + " "
                          + trace.ending().getClass().getSimpleName()
                          + (trace.wentWell() ? "" : " " + trace));
                }
              }

              @Override
              public void refused(Binding binding, String expected, String found) {
                heard.add("refused " + binding.id() + " " + expected + " " + found);
              }

              @Override
              public void undecided(List<Claim> claims) {
                heard.add("undecided");
              }

              @Override
              public void taken(Set<Press> presses) {
                heard.add("taken " + presses);
              }

              @Override
              public void ended(String why) {
                heard.add("ended " + why);
              }
            });
    Desktop.await("caught keys", () -> !desktop.isFree(UPPER));
    return firing;
  }

  /** Writes a text in place of all there is. */
  private static void write(LiveProgram program, String text) {
    assertThat(program.select(Whom.Group.ALL, false)).isInstanceOf(Reply.Done.class);
    assertThat(program.type(text)).isInstanceOf(Reply.Done.class);
    assertThat(text(program)).isEqualTo(text);
  }

  private static String text(LiveProgram program) {
    return program.state().getOrDefault("text", "");
  }

  @Test
  void itIsReadBoundFiredTakenBackAndStopped() throws Exception {
    LiveComputer computer = computer(library);
    LiveProgram program = computer.programs().get(id);
    write(program, "first\nsecond\n");
    try (Firing firing = listen(computer);
        Display keys = Display.open(Optional.of(desktop.display()))) {
      keys.strike(UPPER);
      Desktop.await("the first " + heard, () -> heard.contains("b1 Finished"));
      assertThat(text(program)).isEqualTo("FIRST\nSECOND\n");
      keys.strike(GO);
      Desktop.await("the second", () -> heard.stream().anyMatch(h -> h.startsWith("b2")));
      assertThat(heard).contains("b2 Finished");
      assertThat(text(program)).isEqualTo("FIRST\n> SECOND\n");
      assertThat(program.undo()).isInstanceOf(Reply.Done.class);
      assertThat(text(program)).isEqualTo("FIRST\nSECOND\n");
      keys.strike(ENDLESS);
      Desktop.await("it to run", () -> text(program).contains("xxx"));
      keys.strike(STOP);
      Desktop.await("the end", () -> heard.contains("ended "));
      Desktop.await("the run's end", () -> heard.stream().anyMatch(h -> h.startsWith("b3")));
      assertThat(heard.stream().filter(h -> h.startsWith("b3")).findFirst().orElseThrow())
          .startsWith("b3 GivenUp");
      String stopped = text(program);
      Thread.sleep(300);
      assertThat(text(program)).as("nothing follows").isEqualTo(stopped);
      for (Press p : List.of(UPPER, GO, ENDLESS, STOP)) {
        assertThat(desktop.isFree(p)).as(p.toString()).isTrue();
      }
      assertThat(firing.caught()).hasSize(4);
    }
  }

  /** Each call of a script is a step in the real program. */
  @Test
  void aScriptWorksTheProgram() throws Exception {
    LiveComputer computer = computer(library);
    LiveProgram program = computer.programs().get(id);
    write(program, "One Line");
    Routine script =
        new Routine.Script(
            Head.of("s", "s", id, List.of()),
            """
            program.choose('Edit', 'Select All');
            if (program.somethingSelected()) {
              program.choose('Edit', 'Convert', 'To Lowercase');
            }
            """);
    Trace trace =
        LiveRun.start(
                script,
                Map.of(),
                Firing.around(library, Keymap.of(library, station()), computer, Ecmascript.ENGINE),
                s -> {})
            .await(30_000)
            .trace();
    assertThat(trace.ending()).as(trace.toString()).isInstanceOf(Trace.Finished.class);
    assertThat(text(program)).isEqualTo("one line");
  }

  /** What repeats fires again and again while its key stays down, and no more after. */
  @Test
  void aKeyThatStaysDownRepeats() throws Exception {
    LiveComputer computer = computer(library);
    LiveProgram program = computer.programs().get(id);
    write(program, ".");
    try (Firing firing = listen(computer);
        Display keys = Display.open(Optional.of(desktop.display()))) {
      assertThat(firing.caught()).isNotEmpty();
      keys.key(KeyCode.CONTROL_LEFT, true);
      keys.key(KeyCode.KEY_R, true);
      Desktop.await("it repeats", () -> text(program).contains("r-r-r-"));
      keys.key(KeyCode.KEY_R, false);
      keys.key(KeyCode.CONTROL_LEFT, false);
      Thread.sleep(500);
      String then = text(program);
      Thread.sleep(500);
      assertThat(text(program)).isEqualTo(then);
    }
  }

  /** What was read off the program makes a sketch of it on which the same library works. */
  @Test
  void theSameLibraryWorksOnItsSketch() {
    SimulatedComputer computer =
        SimulatedComputer.of(library, station(), SimulatedComputer.standingClock());
    computer.bringToFront(id);
    Trial trial = new Trial(library, Keymap.of(library, station()), computer, Scripts.NONE);
    Trial.Result result = trial.press(GO, 0);
    assertThat(result.effects())
        .singleElement()
        .isInstanceOfSatisfying(
            Trial.Effect.Ran.class,
            ran -> assertThat(ran.trace().ending()).isInstanceOf(Trace.Finished.class));
  }
}
