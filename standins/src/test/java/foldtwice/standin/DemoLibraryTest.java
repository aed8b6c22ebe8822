package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.conflict.Auditor;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.ConflictKind;
import foldtwice.conflict.Subject;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Resolver;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.run.Run;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.base.StandIn;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Press;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The demo library and the stand-ins tell of the same programs. */
class DemoLibraryTest {

  /** All that a routine may need is there. */
  private static final SimulatedComputer SET_UP = setUp();

  @ParameterizedTest
  @ValueSource(strings = {"vasculum", "tagpress", "copystand", "muniment", "trackway", "desk"})
  void itListsEveryCommandOfTheStandInWithItsMenuPath(String id) {
    StandIn<?> program = (StandIn<?>) StandIns.of(id).orElseThrow();
    Application application = Demo.LIBRARY.applications().get(id);
    assertThat(application.commands().stream().map(NativeCommand::id).toList())
        .containsExactlyInAnyOrderElementsOf(program.commandIds());
    for (NativeCommand c : application.commands()) {
      assertThat(c.menuPath()).as(c.id()).isEqualTo(program.menuPath(c.id()));
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"vasculum", "tagpress", "copystand", "muniment", "trackway", "desk"})
  void theStandInCanBeInEveryStateAndInNoOther(String id) {
    for (Place state : Demo.LIBRARY.applications().get(id).states()) {
      Program program = StandIns.of(id).orElseThrow();
      assertThat(program.enter(state)).isInstanceOf(Reply.Done.class);
      assertThat(program.place()).isEqualTo(state);
      assertThat(program.enter(state)).as("already there").isEqualTo(Reply.QUIET);
    }
    Program program = StandIns.of(id).orElseThrow();
    assertThat(program.enter(new Place.Whole("elsewhere"))).isInstanceOf(Reply.Refused.class);
  }

  @Test
  void itHasSomeTwoHundredBindingsAndEachOfTheFirstConflictKinds() {
    assertThat(Demo.LIBRARY.bindings()).hasSizeBetween(190, 300);
    Set<ConflictKind> kinds =
        Auditor.audit(Subject.of(Demo.LIBRARY, Demo.keymap("camera-bench"))).stream()
            .map(Conflict::kind)
            .collect(Collectors.toSet());
    assertThat(kinds)
        .contains(
            ConflictKind.DOUBLE_CLAIM,
            ConflictKind.CUT_SHORT,
            ConflictKind.DISPLACES,
            ConflictKind.COVERED,
            ConflictKind.NOT_ACCEPTED);
  }

  @Test
  void theFrenchStationHasTroublesOfItsOwn() {
    assertThat(Auditor.audit(Subject.of(Demo.LIBRARY, Demo.keymap("register-desk"))))
        .anyMatch(c -> c.kind() == ConflictKind.RESERVED);
    Keymap french = Demo.keymap("label-corner");
    assertThat(
            french
                .layout()
                .presses(Notation.read("Alt+.").strokes().getFirst())
                .getFirst()
                .held()
                .list())
        .as("the full stop is typed with Shift there")
        .hasSize(2);
  }

  /** Every binding, fired in the first state that hears it, is done by the program. */
  @Test
  void everyBindingWithoutAConflictRunsThrough() {
    Keymap keymap = Demo.keymap("camera-bench");
    Set<String> inConflict =
        Auditor.audit(Subject.of(Demo.LIBRARY, keymap)).stream()
            .flatMap(c -> c.claims().stream())
            .map(c -> c.owner().toString())
            .collect(Collectors.toSet());
    int ran = 0;
    for (Binding b : Demo.LIBRARY.bindings().values()) {
      if (inConflict.contains(new foldtwice.resolve.Owner.Yours(b.id()).toString())) {
        continue;
      }
      Place state = stateItWorksIn(b, keymap);
      Keymap there = keymap;
      List<Outcome> outcomes =
          Resolver.outcomes(
              there, state, there.paths(Keymap.claims(b).getFirst().trigger()).getFirst());
      assertThat(outcomes.getLast())
          .isInstanceOfSatisfying(
              Outcome.Fired.class,
              f ->
                  assertThat(f.claim().owner())
                      .isEqualTo(new foldtwice.resolve.Owner.Yours(b.id())));
      ran++;
    }
    assertThat(ran).isGreaterThan(120);
  }

  @Test
  void aPressIsResolvedAndReallyDone() {
    SimulatedComputer programs = SimulatedComputer.fresh();
    programs.bringToFront("tagpress");
    Trial trial = new Trial(Demo.LIBRARY, Demo.keymap("camera-bench"), programs, Ecmascript.ENGINE);
    Trial.Result result = trial.press(press("Alt+."), 0);
    assertThat(result.effects()).singleElement().isInstanceOf(Trial.Effect.Ran.class);
    assertThat(programs.programs().get("tagpress").state().get("box 1"))
        .isNotEqualTo(fresh("box 1"));
    programs.programs().get("tagpress").undo();
    assertThat(programs.programs().get("tagpress").state().get("box 1")).isEqualTo(fresh("box 1"));
    assertThat(trial.press(press("Alt+F4"), 1).effects())
        .singleElement()
        .isEqualTo(new Trial.Effect.Kept("Close the window"));
    assertThat(trial.press(press("Ctrl+S"), 2).effects())
        .singleElement()
        .isInstanceOf(Trial.Effect.Native.class);
  }

  @Test
  void aSequenceWaitsAndFiresWhenTheTimeIsUp() {
    SimulatedComputer programs = SimulatedComputer.fresh();
    programs.bringToFront("tagpress");
    Trial trial = new Trial(Demo.LIBRARY, Demo.keymap("camera-bench"), programs, Ecmascript.ENGINE);
    assertThat(trial.press(press("U"), 0).effects())
        .singleElement()
        .isInstanceOf(Trial.Effect.Waits.class);
    assertThat(trial.pending()).hasSize(1);
    assertThat(trial.press(press("I"), 10).effects())
        .singleElement()
        .isInstanceOf(Trial.Effect.Ran.class);
    assertThat(programs.programs().get("tagpress").settings().get("unit").shown()).isEqualTo("in");
    trial.press(press("U"), 20);
    assertThat(trial.tick(21).effects()).isEmpty();
    assertThat(trial.tick(21 + Resolver.TIME_LIMIT_MILLIS).effects())
        .singleElement()
        .isInstanceOf(Trial.Effect.Nothing.class);
    assertThat(trial.pending()).isEmpty();
  }

  /** The first state in which a binding's routine goes through, with all selected or with one. */
  private static Place stateItWorksIn(Binding binding, Keymap keymap) {
    List<Object> endings = new ArrayList<>();
    for (Place state : keymap.statesOf(binding.place())) {
      for (boolean all : new boolean[] {true, false}) {
        Trace trace = fired(binding, keymap, state, all);
        if (trace.wentWell()) {
          return state;
        }
        endings.add(trace.ending());
      }
    }
    throw new AssertionError(binding.id() + " goes through nowhere: " + endings);
  }

  /**
   * A binding's routine run in a state, as a person would begin: something selected, all set up.
   */
  private static Trace fired(Binding binding, Keymap keymap, Place state, boolean all) {
    SimulatedComputer computer = SET_UP.copy();
    String application = state.applicationId().orElseThrow();
    computer.bringToFront(application);
    Program program = computer.front();
    program.enter(state);
    if (all) {
      program.fire("select-all");
      program.enter(state);
    }
    Trial trial = new Trial(Demo.LIBRARY, keymap, computer, Ecmascript.ENGINE);
    return Run.of(
            Demo.LIBRARY.routineOf(binding).orElseThrow(), binding.arguments(), trial.around())
        .toEnd();
  }

  private static SimulatedComputer setUp() {
    SimulatedComputer computer = SimulatedComputer.fresh();
    Program map = computer.programs().get("trackway");
    map.choose(List.of("View", "Numbered places", "Switch on"));
    map.point("Footbridge");
    for (int i = 1; i <= 9; i++) {
      map.choose(List.of("View", "Numbered places", "Set " + i));
    }
    computer.programs().get("muniment").choose(List.of("Stored", "Stocktake"));
    return computer;
  }

  private static String fresh(String what) {
    return StandIns.all().get("tagpress").state().get(what);
  }

  private static Press press(String keys) {
    return Demo.keymap("camera-bench")
        .layout()
        .presses(Notation.read(keys).strokes().getFirst())
        .getFirst();
  }
}
