package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.outline.ConditionText;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Head;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Manner;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Beside;
import foldtwice.run.Computer;
import foldtwice.run.Entry;
import foldtwice.run.KeptAnswer;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.run.Run;
import foldtwice.run.Status;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.base.StandIn;
import foldtwice.writing.KeptAnswers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a step says is what is done: files of lines, joined conditions, edges, kept answers. */
class HonouredTest {

  @TempDir Path folder;

  private static Routine.Macro macro(String application, Step... steps) {
    return new Routine.Macro(
        Head.of("m", "M", application, List.of()), Stream.of(steps).map(Line::new).toList());
  }

  private static Run begin(SimulatedComputer computer, Routine routine) {
    computer.bringToFront(routine.application());
    return Run.of(
        routine,
        Map.of(),
        new Trial(Demo.LIBRARY, Demo.keymap("camera-bench"), computer, Ecmascript.ENGINE).around());
  }

  private static Step note(String text) {
    return new Step.Note(new Template(text));
  }

  private static List<String> notes(Trace trace) {
    return trace.entries().stream()
        .filter(e -> e instanceof Trace.Taken t && t.step() instanceof Step.Note)
        .map(e -> ((Trace.Taken) e).detail())
        .toList();
  }

  // files

  private Trace overLines(String file) {
    SimulatedComputer computer = SimulatedComputer.fresh().withFiles(new Beside(folder)::file);
    Step each =
        new Step.ForEach(
            "line",
            new Step.Items.LinesOfFile(new Template(file)),
            List.of(new Line(note("\u2039line\u203a"))));
    return begin(computer, macro("tagpress", each)).toEnd();
  }

  @Test
  void aLoopGoesThroughTheLinesOfAFileBesideTheLibrary() throws Exception {
    Files.writeString(folder.resolve("plots.txt"), "A 1\nB 2\r\nC 3");
    assertThat(notes(overLines("plots.txt"))).containsExactly("A 1", "B 2", "C 3");
  }

  /** A macro may be anybody's: it reads no other files. */
  @ParameterizedTest
  @ValueSource(
      strings = {"", "nowhere.txt", "../secret.txt", "/etc/hostname", ".", "..", "inside/x.txt"})
  void noOtherFileIsRead(String name) throws Exception {
    Files.writeString(folder.resolveSibling("secret.txt"), "secret");
    Files.createDirectories(folder.resolve("inside"));
    Files.writeString(folder.resolve("inside/x.txt"), "x");
    assertThat(overLines(name).ending()).isInstanceOf(Trace.Failed.class);
  }

  @Test
  void noLinkAndNothingHugeOrGarbledIsRead() throws Exception {
    Path secret = Files.createTempFile("secret", ".txt");
    Files.createSymbolicLink(folder.resolve("link.txt"), secret);
    Files.write(folder.resolve("big.txt"), new byte[Beside.MOST_BYTES + 1]);
    Files.write(folder.resolve("garbled.txt"), new byte[] {(byte) 0xff, (byte) 0xfe, 0x41});
    Beside beside = new Beside(folder);
    for (String name : List.of("link.txt", "big.txt", "garbled.txt")) {
      assertThat(beside.file(name)).as(name).isInstanceOf(Computer.File.Refused.class);
    }
    Files.delete(secret);
  }

  // conditions

  @ParameterizedTest
  @CsvSource({
    "1 is 1 and 2 is 2, yes",
    "1 is 1 and 2 is 3, no",
    "1 is 2 or 2 is 2, yes",
    "not (1 is 1 and 2 is 3), yes",
    "1 is 2 or 1 is 1 and 2 is 3, no",
    "1 is 2 and setting nowhere is 1, no", // what comes after one that decides is not looked at
    "1 is 1 or setting nowhere is 1, yes"
  })
  void conditionsAreJoined(String written, String holds) {
    Condition condition = ConditionText.read(written);
    Step step =
        new Step.If(condition, List.of(new Line(note("yes"))), List.of(new Line(note("no"))));
    assertThat(notes(begin(SimulatedComputer.fresh(), macro("tagpress", step)).toEnd()))
        .containsExactly(holds);
  }

  // edges

  static Stream<String> selecting() {
    return TargetsTest.selecting();
  }

  @ParameterizedTest
  @MethodSource("selecting")
  void pastTheLastAndBeforeTheFirst(String id) {
    SimulatedComputer computer = SimulatedComputer.fresh();
    StandIn<?> program = computer.programs().get(id);
    program.select(Whom.Group.ALL, false);
    List<String> all = program.selected();
    if (!program.facts().selects().contains(Whom.Group.NEXT)) {
      return;
    }
    for (Whom.Group way : List.of(Whom.Group.NEXT, Whom.Group.PREVIOUS)) {
      String end = way == Whom.Group.NEXT ? all.getLast() : all.getFirst();
      for (Step.Edge edge : Step.Edge.values()) {
        program.selectNamed(end, false);
        Trace trace =
            begin(computer, macro(id, new Step.Select(way, false, edge), note("after"))).toEnd();
        assertThat(program.selected()).as("stays where it is").containsExactly(end);
        switch (edge) {
          case REPORT -> assertThat(trace.ending()).isInstanceOf(Trace.Failed.class);
          case STOP_QUIETLY -> assertThat(trace.ending()).isInstanceOf(Trace.Stopped.class);
          case CLAMP -> assertThat(notes(trace)).containsExactly("after");
        }
      }
    }
  }

  // asking

  @Test
  void anAnswerThatIsKeptIsTheDefaultFromThenOn() {
    Expr one = ExprNotation.read("1");
    Step.Question kept =
        new Step.Question("n", new Kind.Count(0, 9), one, List.of(Value.Amount.of(3)), true);
    Step.Question other = new Step.Question("m", new Kind.Count(0, 9), one);
    Routine.Macro asks =
        macro("tagpress", new Step.Ask(new Template("How many?"), List.of(kept, other)));
    Run run = begin(SimulatedComputer.fresh(), asks);
    run.step();
    assertThat(run.status())
        .isInstanceOfSatisfying(
            Status.Asking.class,
            a ->
                assertThat(a.questions().getFirst().offered()).containsExactly(Value.Amount.of(3)));
    run.answer(Map.of("n", Value.Amount.of(5), "m", Value.Amount.of(7)));
    run.toEnd();
    assertThat(run.kept()).containsExactly(new KeptAnswer("m", kept, Value.Amount.of(5)));
    Routine.Macro next = KeptAnswers.in(asks, kept, Value.Amount.of(5));
    assertThat(((Step.Ask) next.steps().getFirst().step()).questions().getFirst().otherwise())
        .isEqualTo(ExprNotation.read("5"));
    assertThat(begin(SimulatedComputer.fresh(), next).kept()).isEmpty();
  }

  @Test
  void aRoutineThatNeedsADialogOpenIsRefusedWithoutIt() {
    Routine.Macro needs = macro("copystand", note("in it"));
    Routine routine = needs.withManner(Manner.PLAIN.opened("Size"));
    SimulatedComputer computer = SimulatedComputer.fresh();
    assertThat(begin(computer, routine).toEnd().ending()).isInstanceOf(Trace.Failed.class);
    computer.programs().get("copystand").select(Whom.Group.ALL, false);
    computer.programs().get("copystand").choose(List.of("Image", "Size \u2026"));
    assertThat(begin(computer, routine).toEnd().ending()).isInstanceOf(Trace.Finished.class);
  }

  /** A routine that starts in a context starts in those inside it too, and nowhere else. */
  @ParameterizedTest
  @CsvSource({"sheet, true", "box-selected, true", "text-edit, false", "nothing-selected, false"})
  void whereItMayStartReachesInside(String context, boolean starts) {
    SimulatedComputer computer = SimulatedComputer.fresh();
    Routine routine =
        macro("tagpress", note("here")).withManner(Manner.PLAIN.startingIn(List.of(context)));
    Program tagpress = computer.program("tagpress").orElseThrow();
    assertThat(tagpress.select(Whom.Group.NEXT, false)).isInstanceOf(Reply.Done.class);
    assertThat(tagpress.place()).isEqualTo(new Place.Within("tagpress", "box-selected"));
    Trace trace = begin(computer, routine).toEnd();
    assertThat(notes(trace)).hasSize(starts ? 1 : 0);
    Application known = Demo.LIBRARY.applications().get("tagpress");
    assertThat(Entry.prepare(routine, tagpress, Optional.of(known))).isEmpty();
    assertThat(Entry.isOpen(routine, tagpress, Optional.of(known))).isTrue();
  }
}
