package foldtwice.live;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.live.display.Display;
import foldtwice.live.program.LiveProgram;
import foldtwice.live.program.LiveRun;
import foldtwice.live.program.Needed;
import foldtwice.place.Labels;
import foldtwice.routine.Condition;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Head;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Change;
import foldtwice.run.Reply;
import foldtwice.run.Status;
import foldtwice.run.Trace;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Routines run in a real window; what came of them is read back from the window itself. */
class RunTest {

  private static Desktop desktop;
  private Desktop.Window window;
  private Desktop.Window another;
  private Works works;
  @TempDir Path pictures;

  @BeforeAll
  static void begin() throws Exception {
    desktop = Desktop.open();
  }

  @AfterAll
  static void end() {
    if (desktop != null) {
      desktop.close();
    }
  }

  @BeforeEach
  void open() throws Exception {
    window = desktop.window(0);
    works = new Works(desktop, pictures, c -> c.equals(List.of("/bin/true", "now")), "Shift lines");
  }

  /** Another window, once it is in front; ended after the test, however that goes. */
  private Desktop.Window another() throws Exception {
    another = desktop.window(0);
    long process = another.process().pid();
    try (Display display = Display.open(Optional.of(desktop.display()))) {
      Desktop.await(
          "the other in front",
          () -> display.front().filter(w -> w.process() == process).isPresent());
    }
    return another;
  }

  @AfterEach
  void close() throws Exception {
    works.close();
    if (another != null) {
      another.process().destroyForcibly().waitFor();
      another = null;
    }
    window.process().destroyForcibly().waitFor();
  }

  private static void wentWell(Trace trace) {
    assertThat(trace.ending()).as(trace.toString()).isInstanceOf(Trace.Finished.class);
  }

  private LiveProgram program() {
    return works.computer.programs().get(Works.ID);
  }

  @Test
  void aCommandIsChosenByItsMenuPathAndItsEffectIsInTheTrace() throws Exception {
    Trace trace =
        works.run(Works.choose("Ledger", "Stamp"), Works.choose("Ledger", "More", "Bell"));
    wentWell(trace);
    assertThat(window.text()).isEqualTo("[stamp][bell]");
    assertThat(trace.entries().get(1).changes()).contains(new Change("text", "", "[bell]"));
  }

  @Test
  void aDialogIsFilledByLabelsAndItsButtonPressed() throws Exception {
    Parameter by =
        new Parameter("by", new Kind.Words(), new Value.Text("2"), foldtwice.extras.Extras.NONE);
    Routine shift =
        Works.macro(
            List.of(by),
            Works.choose("Ledger", "Shift lines\u2026"),
            new Step.Fill("By", ExprNotation.read("\u2039by\u203a")),
            new Step.Fill("Times", ExprNotation.read("3")),
            new Step.Fill("Way", ExprNotation.read("'left'")),
            new Step.Fill("Keep marks", ExprNotation.read("'yes'")),
            new Step.PressButton("Shift"));
    Trace trace = works.run(shift, Map.of("by", new Value.Text("12")));
    wentWell(trace);
    assertThat(window.text()).isEqualTo("[shift 12 x3 left keep]");
    assertThat(program().dialog()).isEmpty();
  }

  @Test
  void ticksAreSettingsAndThoseOfTheRunArePutBack() throws Exception {
    Trace trace =
        works.run(
            new Step.ChangeSetting("Upper case", ExprNotation.read("'on'"), Step.Lasting.THIS_RUN),
            new Step.ChangeSetting("View", ExprNotation.read("'Large'"), Step.Lasting.FOR_GOOD));
    wentWell(trace);
    assertThat(window.text()).isEqualTo("[upper True][upper False]");
    assertThat(program().settings().get("View").shown()).isEqualTo("Large");
    assertThat(program().settings().get("Upper case").shown()).isEqualTo("off");
  }

  @Test
  void textIsTypedSelectedAndValuesAreSet() throws Exception {
    wentWell(
        works.run(
            new Step.TypeText(new Template("one two")),
            new Step.Select(new Whom.Named(new Template("two")), false),
            new Step.TypeText(new Template("three")),
            new Step.Adjust(
                "Ink", Step.Adjusting.BY, ExprNotation.read("15 %"), Step.Edge.REPORT)));
    assertThat(window.text()).isEqualTo("one three");
    assertThat(program().values().get("Ink").shown()).isEqualTo("55%");
  }

  @Test
  void whatIsNotThereIsRefusedBeforeAnythingIsDone() throws Exception {
    Routine wrong =
        Works.macro(
            List.of(), Works.choose("Ledger", "Stamp"), Works.choose("Ledger", "More", "Whistle"));
    assertThat(Needed.of(wrong, program()))
        .singleElement()
        .satisfies(
            l -> {
              assertThat(l.number()).isEqualTo("2");
              assertThat(l.expected()).contains("Ledger \u203a More \u203a Whistle");
            });
    assertThat(window.text()).isEmpty();
  }

  @Test
  void whatAScriptNamesIsLookedForBeforehand() {
    Routine script =
        new Routine.Script(
            Head.of("s", "S", Works.ID, List.of()),
            """
            program.choose("Ledger", "Stamp");
            program.choose("Ledger", "More", "Whistle");
            program.again();
            """);
    assertThat(Needed.of(script, program()).stream().map(Needed.Lack::number))
        .containsExactly("2", "3");
  }

  @Test
  void aMenuThatFillsLateIsWaitedForAndTwinsAreToldApartOrRefused() throws Exception {
    window.told("late");
    wentWell(works.run(Works.choose("Ledger", "More", "Late one")));
    assertThat(window.text()).isEqualTo("[late]");
    window.told("twin");
    works.close();
    works = new Works(desktop, pictures, c -> false, "");
    assertThat(works.survey.twins()).containsExactly(List.of("Ledger", "Stamp"));
    Trace trace = works.run(Works.choose("Ledger", "Stamp"));
    assertThat(trace.ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class, f -> assertThat(f.found()).contains("2 are called Stamp"));
    assertThat(window.text()).as("neither was chosen").isEqualTo("[late]");
  }

  @Test
  void whatCannotBeChosenNowIsSaidToBeSo() throws Exception {
    window.told("off _Stamp");
    Trace trace = works.run(Works.choose("Ledger", "Stamp"));
    assertThat(trace.ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class, f -> assertThat(f.found()).contains("cannot be chosen"));
  }

  /** A window that hangs is given up after its limit, and the run ends with one clear line. */
  @Test
  void aWindowThatHangsEndsTheRun() throws Exception {
    window.tell("hang 4");
    Thread.sleep(100);
    long began = System.nanoTime();
    Trace trace = works.run(Works.choose("Ledger", "Stamp"));
    assertThat(trace.ending()).isInstanceOf(Trace.Failed.class);
    assertThat(System.nanoTime() - began).isLessThan(15_000_000_000L);
    Thread.sleep(4_000);
    assertThat(window.text()).as("nothing is done late").isEmpty();
  }

  @Test
  void aProgramThatDiesEndsTheRun() throws Exception {
    Routine waits =
        Works.macro(
            List.of(),
            Works.choose("Ledger", "Stamp"),
            new Step.Pause(new Template("wait"), List.of()),
            Works.choose("Ledger", "Stamp"));
    LiveRun run = LiveRun.start(waits, Map.of(), works.around(), s -> {});
    Desktop.await(
        "the pause",
        () -> run.standing() != null && run.standing().status() instanceof Status.Asking);
    window.process().destroyForcibly().waitFor();
    run.answer(Map.of());
    Trace trace = run.await(10_000).trace();
    assertThat(trace.ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class, f -> assertThat(f.found()).contains("it has ended"));
  }

  @Test
  void aRunIsStoppedInTheMiddleAndPutsBackWhatItChanged() throws Exception {
    Routine endless =
        Works.macro(
            List.of(),
            new Step.ChangeSetting("Upper case", ExprNotation.read("'on'"), Step.Lasting.THIS_RUN),
            Works.choose("Ledger", "Shift lines\u2026"),
            new Step.WaitUntil(new Condition.SomethingSelected(), ExprNotation.read("60")));
    LiveRun run = LiveRun.start(endless, Map.of(), works.around(), s -> {});
    Desktop.await("the dialog", () -> program().dialog().isPresent());
    run.stop();
    Trace trace = run.await(10_000).trace();
    assertThat(trace.ending()).isInstanceOf(Trace.GivenUp.class);
    assertThat(program().dialog()).as("no dialog of the run stays open").isEmpty();
    assertThat(program().settings().get("Upper case").shown()).isEqualTo("off");
  }

  @Test
  void itsOwnUndoTakesARunBackAndSaysInHowManySteps() throws Exception {
    wentWell(works.run(Works.choose("Ledger", "Stamp")));
    wentWell(works.run(Works.choose("Ledger", "Stamp"), Works.choose("Ledger", "More", "Bell")));
    Reply undone = program().undo();
    assertThat(window.text()).isEqualTo("[stamp]");
    assertThat(undone)
        .isInstanceOfSatisfying(
            Reply.Done.class,
            d -> assertThat(d.changes()).contains(new Change("undo", "", "2 steps of its own")));
  }

  @Test
  void onlyWhatAPersonAllowedIsStarted() throws Exception {
    wentWell(works.run(new Step.StartProgram("/bin/true", List.of(new Template("now")))));
    Trace trace = works.run(new Step.StartProgram("/bin/true", List.of(new Template("later"))));
    assertThat(trace.ending()).isInstanceOf(Trace.Failed.class);
    assertThat(works.wanted)
        .containsExactly(List.of("/bin/true", "now"), List.of("/bin/true", "later"));
  }

  @Test
  void theScreenIsTakenAsAPicture() throws Exception {
    wentWell(works.run(new Step.Capture(Step.Area.WHOLE, new Template("all"))));
    byte[] png = Files.readAllBytes(pictures.resolve("all.png"));
    assertThat(png).startsWith(0x89, 'P', 'N', 'G').hasSizeGreaterThan(2_000);
    Trace again = works.run(new Step.Capture(Step.Area.WHOLE, new Template("all")));
    assertThat(again.ending()).as("no file is overwritten").isInstanceOf(Trace.Failed.class);
  }

  @Test
  void aDialogThatAsksBackIsAnsweredOrClosed() throws Exception {
    window.told("ask");
    Step[] asked = {Works.choose("Ledger", "Shift lines\u2026"), new Step.PressButton("Shift")};
    wentWell(works.run(asked[0], asked[1], new Step.PressButton("Yes")));
    assertThat(window.text()).isEqualTo("[shift 1 x1 right drop]");

    Trace other = works.run(asked[0], asked[1], new Step.PressButton("Maybe"));
    assertThat(other.ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class, f -> assertThat(f.found()).contains("No", "Yes"));
    assertThat(window.text()).as("not answered").isEqualTo("[shift 1 x1 right drop]");
    Desktop.await("no dialog of the run stays open", () -> program().dialog().isEmpty());
  }

  /** What a step needs may come a little after the step before: each waits for it. */
  @Test
  void aProgramThatIsSlowIsWaitedFor() throws Exception {
    window.told("slow 500");
    Step[] shift = {
      Works.choose("Ledger", "Shift lines\u2026"),
      new Step.Fill("By", ExprNotation.read("'2'")),
      new Step.PressButton("Shift")
    };
    wentWell(works.run(shift[0], shift[1], shift[2], Works.choose("Ledger", "Stamp")));
    assertThat(window.text()).isEqualTo("[shift 2 x1 right drop][stamp]");
    wentWell(works.run(shift[0], shift[2], new Step.TypeText(new Template("and more"))));
    assertThat(window.text()).contains("[shift 1 x1 right drop]").contains("and more");
    window.told("clear");
    window.told("ask");
    wentWell(works.run(shift[0], shift[1], shift[2], new Step.PressButton("Yes")));
    for (int i = 0; i < 100 && window.text().isEmpty(); i++) {
      Thread.sleep(50); // the run has ended with the answer, and what comes of it comes late
    }
    assertThat(window.text()).isEqualTo("[shift 2 x1 right drop]");
  }

  /** Its labels are others; where they are known, a routine goes by what they are there. */
  @Test
  void inAnotherLanguageLabelsAreWhatTheyAreThere() throws Exception {
    window.told("rename _Ledger=_Hauptbuch");
    window.told("rename _Stamp=_Stempeln");
    Routine stamps = Works.macro(List.of(), Works.choose("Ledger", "Stamp"));
    assertThat(Needed.of(stamps, program()))
        .singleElement()
        .satisfies(l -> assertThat(l.expected()).contains("Ledger"));
    LiveProgram german =
        works.named(new Labels("de", Map.of("Ledger", "Hauptbuch", "Stamp", "Stempeln")));
    assertThat(Needed.of(stamps, german)).isEmpty();
    assertThat(german.choose(List.of("Ledger", "Stamp"))).isInstanceOf(Reply.Done.class);
    assertThat(window.text()).isEqualTo("[stamp]");
  }

  @Test
  void aMenuOfAThousandItemsIsReadAndChosenFrom() throws Exception {
    Desktop.Window large = desktop.window(1_000);
    window.process().destroyForcibly().waitFor();
    works.close();
    works = new Works(desktop, pictures, c -> false, "");
    assertThat(works.survey.items().stream().filter(i -> i.path().getFirst().equals("Many")))
        .hasSize(1_000);
    wentWell(works.run(Works.choose("Many", "Item 999"), Works.choose("Many", "Item 0")));
    assertThat(large.text()).isEqualTo("[item][item]");
    large.process().destroyForcibly().waitFor();
  }

  @Test
  void whereTheKeysAreTakenAwayInTheMiddleNothingIsTyped() throws Exception {
    Routine types =
        Works.macro(
            List.of(),
            new Step.TypeText(new Template("one")),
            new Step.Pause(new Template("go on?"), List.of()),
            new Step.TypeText(new Template("two")));
    LiveRun run = LiveRun.start(types, Map.of(), works.around(), s -> {});
    Desktop.await(
        "the pause",
        () -> run.standing() != null && run.standing().status() instanceof Status.Asking);
    Desktop.Window other = another();
    run.answer(Map.of());
    assertThat(run.await(10_000).trace().ending()).isInstanceOf(Trace.Failed.class);
    assertThat(other.text()).isEmpty();
    assertThat(window.text()).isEqualTo("one");
    other.process().destroyForcibly().waitFor();
  }

  @Test
  void nothingIsTypedIntoAnotherWindow() throws Exception {
    Desktop.Window other = another();
    Trace trace = works.run(new Step.TypeText(new Template("lost")));
    assertThat(trace.ending()).isInstanceOf(Trace.Failed.class);
    assertThat(other.text()).isEmpty();
    wentWell(works.run(new Step.BringToFront(Works.ID), new Step.TypeText(new Template("here"))));
    assertThat(window.text()).isEqualTo("here");
    other.process().destroyForcibly().waitFor();
  }
}
