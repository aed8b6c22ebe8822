package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Head;
import foldtwice.routine.Line;
import foldtwice.routine.Readout;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Target;
import foldtwice.routine.Whom;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.run.Run;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.base.StandIn;
import foldtwice.standin.desk.Desk;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What a routine declares to act on is what it acts on, in every program, by every kind of it. */
class TargetsTest {

  private static final Library LIBRARY = Demo.LIBRARY;

  static Stream<String> programs() {
    return StandIns.all().keySet().stream();
  }

  /** Those in which something can be selected. */
  static Stream<String> selecting() {
    return StandIns.all().values().stream()
        .filter(p -> p.facts().selects().contains(Whom.Group.ALL) && !all(p).isEmpty())
        .map(Program::application);
  }

  private static List<String> all(StandIn<?> program) {
    StandIn<?> copy = program.copy();
    copy.select(Whom.Group.ALL, false);
    return copy.selected();
  }

  private static final Line COUNT = new Line(new Step.Read(Readout.Of.SELECTED_COUNT, "how many"));

  private static Routine.Macro macro(String application, Target target, Step... steps) {
    return new Routine.Macro(
        Head.of("r", "R", application, List.of()).with(target),
        Stream.of(steps).map(Line::new).toList());
  }

  private static Routine counts(String application, Target target) {
    return new Routine.Macro(
        Head.of("r", "R", application, List.of()).with(target), List.of(COUNT));
  }

  private static Trace run(SimulatedComputer computer, Routine routine) {
    return Run.of(
            routine,
            Map.of(),
            new Trial(
                    LIBRARY,
                    Keymap.of(LIBRARY, LIBRARY.stations().get("camera-bench")),
                    computer,
                    Ecmascript.ENGINE)
                .around())
        .toEnd();
  }

  private static String counted(Trace trace) {
    return trace.entries().stream()
        .filter(e -> e instanceof Trace.Taken)
        .map(e -> ((Trace.Taken) e).detail())
        .findFirst()
        .orElseThrow(() -> new AssertionError(trace.toString()));
  }

  @ParameterizedTest
  @MethodSource("selecting")
  void theWholeDocumentWhateverIsSelected(String id) {
    SimulatedComputer computer = SimulatedComputer.fresh();
    StandIn<?> program = computer.programs().get(id);
    computer.bringToFront(id);
    List<String> all = all(program);
    program.select(Whom.Group.NOTHING, false);
    assertThat(counted(run(computer, counts(id, Target.DOCUMENT)))).isEqualTo("" + all.size());
    assertThat(program.selected()).as("as before").isEmpty();

    program.selectNamed(all.getLast(), false);
    assertThat(counted(run(computer, counts(id, Target.SELECTION)))).isEqualTo("1");
    assertThat(counted(run(computer, counts(id, Target.DOCUMENT)))).isEqualTo("" + all.size());
    assertThat(program.selected()).as("as before").containsExactly(all.getLast());
  }

  @ParameterizedTest
  @MethodSource("selecting")
  void whatThePointerIsOverElseTheWholeDocument(String id) {
    SimulatedComputer computer = SimulatedComputer.fresh();
    StandIn<?> program = computer.programs().get(id);
    computer.bringToFront(id);
    List<String> all = all(program);
    program.selectNamed(all.getFirst(), false);
    program.point("");
    Routine routine = counts(id, Target.POINTER_OR_DOCUMENT);
    assertThat(counted(run(computer, routine))).as("over nothing").isEqualTo("" + all.size());
    if (program.point(all.getLast()) instanceof Reply.Done
        && program.facts().selects().contains(Whom.Group.AT_POINTER)) {
      assertThat(counted(run(computer, routine))).isEqualTo("1");
      assertThat(program.selected()).as("as before").containsExactly(all.getFirst());
    }
  }

  /** A step that selects is what the routine is for: that stays. */
  @ParameterizedTest
  @MethodSource("selecting")
  void whatAStepSelectsStays(String id) {
    SimulatedComputer computer = SimulatedComputer.fresh();
    StandIn<?> program = computer.programs().get(id);
    computer.bringToFront(id);
    program.select(Whom.Group.NOTHING, false);
    run(computer, macro(id, Target.DOCUMENT, new Step.Select(Whom.Group.ALL, false)));
    assertThat(program.selected()).isEqualTo(all(program));
  }

  /** Where a step fails, what was selected before is selected again. */
  @ParameterizedTest
  @MethodSource("selecting")
  void whereAStepFailsTheSelectionIsAsBefore(String id) {
    SimulatedComputer computer = SimulatedComputer.fresh();
    StandIn<?> program = computer.programs().get(id);
    computer.bringToFront(id);
    program.point("");
    program.select(Whom.Group.NOTHING, false);
    Trace trace =
        run(
            computer,
            macro(id, Target.POINTER_OR_DOCUMENT, new Step.Select(Whom.Group.AT_POINTER, false)));
    assertThat(trace.ending()).isInstanceOf(Trace.Failed.class);
    assertThat(program.selected()).isEmpty();
  }

  @ParameterizedTest
  @MethodSource("selecting")
  void oneUndoTakesItBack(String id) {
    SimulatedComputer computer = SimulatedComputer.fresh();
    StandIn<?> program = computer.programs().get(id);
    computer.bringToFront(id);
    Map<String, String> before = program.state();
    run(computer, macro(id, Target.DOCUMENT, new Step.Select(Whom.Group.ALL, false)));
    if (!program.state().equals(before)) {
      program.undo();
    }
    assertThat(program.state()).isEqualTo(before);
  }

  /** Whatever is in front is worked, not the program the routine is kept with. */
  @ParameterizedTest
  @MethodSource("selecting")
  void theProgramInFront(String id) {
    String other = id.equals("tagpress") ? "copystand" : "tagpress";
    SimulatedComputer computer = SimulatedComputer.fresh();
    StandIn<?> front = computer.programs().get(id);
    StandIn<?> home = computer.programs().get(other);
    front.select(Whom.Group.NOTHING, false);
    home.select(Whom.Group.NOTHING, false);
    computer.bringToFront(id);
    Trace trace =
        run(computer, macro(other, Target.FRONT_PROGRAM, new Step.Select(Whom.Group.ALL, false)));
    assertThat(trace.ending()).isInstanceOf(Trace.Finished.class);
    assertThat(front.selected()).isEqualTo(all(front));
    assertThat(home.selected()).isEmpty();
  }

  /** A routine of a program behind another is run there, and that is told. */
  @ParameterizedTest
  @MethodSource("programs")
  void whatIsDoneBehindIsTold(String id) {
    SimulatedComputer computer = SimulatedComputer.fresh();
    computer.bringToFront(id);
    Routine routine = macro(id, Target.PROGRAM, new Step.Note(foldtwice.routine.Template.EMPTY));
    assertThat(run(computer, routine).entries().getFirst()).isInstanceOf(Trace.Taken.class);
    computer.bringToFront(id.equals("tagpress") ? "copystand" : "tagpress");
    assertThat(run(computer, routine).entries().getFirst())
        .isInstanceOfSatisfying(
            Trace.Aimed.class,
            a -> {
              assertThat(a.inFront()).isFalse();
              assertThat(a.application()).isEqualTo(id);
            });
  }

  @Test
  void aScriptFindsTheWholeDocumentSelected() {
    SimulatedComputer computer = SimulatedComputer.fresh();
    StandIn<?> program = computer.programs().get("tagpress");
    computer.bringToFront("tagpress");
    program.select(Whom.Group.NOTHING, false);
    Routine script =
        new Routine.Script(
            Head.of("s", "S", "tagpress", List.of()).with(Target.DOCUMENT),
            "log('' + program.selectedCount());");
    assertThat(run(computer, script).entries().toString())
        .contains("detail=" + all(program).size());
    assertThat(program.selected()).isEmpty();
  }

  /** An action of an add-on acts on all of it, too. */
  @Test
  void anActionOfAnAddOnActsOnTheWholeDocument() {
    SimulatedComputer computer = SimulatedComputer.fresh();
    StandIn<?> program = computer.programs().get("copystand");
    computer.bringToFront("copystand");
    var action = program.facts().actions().getFirst();
    program.select(Whom.Group.NOTHING, false);
    Routine none =
        new Routine.PluginAction(
            Head.of("p", "P", "copystand", List.of()), action.from().name(), action.id());
    Map<String, String> before = program.state();
    run(computer, none);
    assertThat(program.state()).as("nothing selected, nothing done").isEqualTo(before);
    Trace trace = run(computer, none.with(none.head().with(Target.DOCUMENT)));
    assertThat(trace.endedBadly()).isFalse();
    assertThat(program.state()).isNotEqualTo(before);
    assertThat(program.selected()).isEmpty();
  }

  @Test
  void aSketchIsPointedAtTheSame() throws Exception {
    Library library =
        LibraryJson.read(
            Files.readAllBytes(
                Path.of(System.getProperty("project.root"), "demo", "seedhouse.json")));
    SimulatedComputer computer =
        SimulatedComputer.of(
            library,
            library.stations().values().iterator().next(),
            SimulatedComputer.standingClock());
    StandIn<?> program =
        computer.programs().values().stream()
            .filter(p -> !(p instanceof Desk) && all(p).size() > 1)
            .findFirst()
            .orElseThrow();
    computer.bringToFront(program.application());
    program.selectNamed(all(program).getFirst(), false);
    Trace trace = run(computer, counts(program.application(), Target.DOCUMENT));
    assertThat(counted(trace)).isEqualTo("" + all(program).size());
    assertThat(program.selected()).containsExactly(all(program).getFirst());
  }
}
