package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.known.Touch;
import foldtwice.place.AddOn;
import foldtwice.place.Station;
import foldtwice.reading.Hindrance;
import foldtwice.reading.Reading;
import foldtwice.routine.Head;
import foldtwice.routine.Routine;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.run.Run;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.muniment.Muniment;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Plugin actions and stored commands: fired like macros, refused like macros. */
class KindsTest {

  private final SimulatedComputer computer = SimulatedComputer.fresh();

  private Trace run(Routine routine, Map<String, Value> arguments) {
    Trial trial = new Trial(Demo.LIBRARY, Demo.keymap("camera-bench"), computer, Ecmascript.ENGINE);
    return Run.of(routine, arguments, trial.around()).toEnd();
  }

  private Trace run(String id, String... arguments) {
    Routine routine = Demo.LIBRARY.routines().get(id);
    Map<String, Value> values = new LinkedHashMap<>();
    for (String a : arguments) {
      String[] f = a.split("=", 2);
      values.put(f[0], routine.parameter(f[0]).orElseThrow().kind().read(f[1]));
    }
    return run(routine, values);
  }

  private String state(String program, String what) {
    return computer.programs().get(program).state().get(what);
  }

  private static Routine sql(String text) {
    return new Routine.Stored(
        Head.of("s", "S", "muniment", List.of()), Routine.Stored.Language.SQL, new Template(text));
  }

  @Test
  void aPluginActionChangesWhatItIsForAndIsOneUndo() {
    String before = state("tagpress", "box 1");
    Trace trace = run("fit-with-margin", "margin=3 mm");
    assertThat(trace.ending()).isInstanceOf(Trace.Finished.class);
    assertThat(state("tagpress", "box 1")).isNotEqualTo(before);
    assertThat(trace.entries()).filteredOn(e -> e instanceof Trace.Taken).hasSize(1);
    computer.programs().get("tagpress").undo();
    assertThat(state("tagpress", "box 1")).isEqualTo(before);
  }

  @Test
  void withoutItsAddOnItIsToldBeforehandAndRefusedForReal() {
    Station without = Demo.LIBRARY.stations().get("mounting-table");
    SimulatedComputer there =
        SimulatedComputer.of(Demo.LIBRARY, without, java.time.Clock.systemUTC());
    Routine action = Demo.LIBRARY.routines().get("value-of-last");
    assertThat(Hindrance.of(action, Demo.known("mounting-table")))
        .containsExactly(new Hindrance.NoAddOn("Straightener"));
    assertThat(Hindrance.of(action, Demo.known("camera-bench"))).isEmpty();
    Trial trial = new Trial(Demo.LIBRARY, Demo.keymap("mounting-table"), there, Ecmascript.ENGINE);
    assertThat(Run.of(action, Map.of(), trial.around()).toEnd().ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class, f -> assertThat(f.expected()).isEqualTo("the add-on Straightener"));
  }

  @Test
  void anOlderAddOnIsToldBeforehandAndRefusedForReal() {
    Routine action = Demo.LIBRARY.routines().get("value-of-last");
    Station older = Demo.LIBRARY.stations().get("label-corner");
    assertThat(Hindrance.of(action, Demo.known("label-corner")))
        .containsExactly(new Hindrance.AddOnTooOld(new AddOn("Straightener", "2.0"), "1.6"));
    SimulatedComputer there =
        SimulatedComputer.of(Demo.LIBRARY, older, java.time.Clock.systemUTC());
    Trial trial = new Trial(Demo.LIBRARY, Demo.keymap("label-corner"), there, Ecmascript.ENGINE);
    assertThat(Run.of(action, Map.of(), trial.around()).toEnd().ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class,
            f -> {
              assertThat(f.expected()).isEqualTo("the add-on Straightener 2.0 or later");
              assertThat(f.found()).isEqualTo("1.6");
            });
    Routine level = Demo.LIBRARY.routines().get("straighten-all");
    assertThat(Hindrance.of(level, Demo.known("label-corner"))).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"fit-with-margin, OBJECTS", "value-of-last, OBJECTS"})
  void theReadingOfAnActionIsWhatTheAddOnSays(String id, Touch touch) {
    Reading reading = Reading.of(Demo.LIBRARY.routines().get(id), Demo.known("camera-bench"));
    assertThat(reading.touches()).containsExactly(touch);
    assertThat(reading.needsSelection()).isTrue();
    assertThat(reading.beyond()).isEmpty();
  }

  @Test
  void aStoredCommandGivesItsArgumentsAsValues() {
    Trace trace = run("sheets-in-cabinet", "cabinet=3");
    assertThat(trace.ending()).isInstanceOf(Trace.Finished.class);
    assertThat(state("muniment", "answer")).contains("SHELF");
    String due = "SELECT DUE FROM LENDING.ITEM WHERE ID = 1";
    run(sql(due), Map.of());
    String before = state("muniment", "answer");
    assertThat(run("extend-loan", "loan=1", "days=30").ending()).isInstanceOf(Trace.Finished.class);
    run(sql(due), Map.of());
    assertThat(state("muniment", "answer")).isNotEqualTo(before);
    computer.programs().get("muniment").undo();
    computer.programs().get("muniment").undo();
    run(sql(due), Map.of());
    assertThat(state("muniment", "answer")).as("taken back").isEqualTo(before);
  }

  /** What an argument holds cannot become part of the statement. */
  @ParameterizedTest
  @ValueSource(strings = {"' OR '1'='1", "x'; DROP TABLE LENDING.ITEM; --", "\u0000", "‹name›"})
  void nothingCanBeSlippedIn(String name) {
    foldtwice.routine.Parameter p =
        new foldtwice.routine.Parameter(
            "name",
            new foldtwice.routine.Kind.Words(),
            new Value.Text(""),
            foldtwice.extras.Extras.NONE);
    Routine find =
        new Routine.Stored(
            Head.of("s", "S", "muniment", List.of(p)),
            Routine.Stored.Language.SQL,
            new Template("SELECT COUNT(*) AS N FROM LENDING.BORROWER WHERE NAME = ‹name›"));
    assertThat(run(find, Map.of("name", new Value.Text(name))).ending())
        .isInstanceOf(Trace.Finished.class);
    assertThat(state("muniment", "answer")).contains("[[0]]");
    assertThat(run("extend-loan", "loan=1", "days=1").ending())
        .as("the table is still there")
        .isInstanceOf(Trace.Finished.class);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "SELEKT 1",
        "SELECT * FROM NOWHERE",
        "SELECT '‹name›'",
        "SHUTDOWN",
        "CREATE USER MOLE PASSWORD 'x'",
        "CALL FILE_READ('/etc/passwd')",
        "CREATE ALIAS X AS 'void x() {}'",
        "DROP SCHEMA LENDING CASCADE",
        "SCRIPT TO '/tmp/x'",
        "RUNSCRIPT FROM 'http://localhost/x'",
        "BACKUP TO '/tmp/x.zip'",
        "SELECT * FROM CSVREAD('/etc/passwd')",
        "SELECT LINK_SCHEMA('a','','jdbc:h2:mem:x','','','')",
      })
  void whatTheArchiveWillNotTakeChangesNothing(String text) {
    Map<String, String> before = computer.programs().get("muniment").state();
    assertThat(run(sql(text), Map.of()).ending()).isInstanceOf(Trace.Failed.class);
    assertThat(computer.programs().get("muniment").state()).isEqualTo(before);
  }

  @Test
  void aScopedStatementIsTriedInEverySchema() {
    Muniment muniment = new Muniment();
    assertThat(muniment.tryEverywhere("SELECT COUNT(*) FROM ITEM", List.of()).values())
        .as("it works everywhere and means another thing each time")
        .allMatch(o -> o instanceof Muniment.Outcome.Works)
        .doesNotHaveDuplicates();
    assertThat(muniment.tryEverywhere("SELECT * FROM BORROWER", List.of()))
        .satisfies(
            m -> {
              assertThat(m.get("lending")).isInstanceOf(Muniment.Outcome.Works.class);
              assertThat(m.get("storage")).isInstanceOf(Muniment.Outcome.Fails.class);
            });
    assertThat(muniment.tryEverywhere("DELETE FROM LENDING.ITEM", List.of())).hasSize(3);
    assertThat(muniment.state()).as("all on copies").isEqualTo(new Muniment().state());
  }

  @Test
  void aCommandLineStartsAProgramAndIsNoShell() {
    Routine two =
        new Routine.Stored(
            Head.of("c", "C", "desk", List.of()),
            Routine.Stored.Language.COMMAND_LINE,
            new Template("converter; rm -rf /"));
    assertThat(run("open-converter").ending()).isInstanceOf(Trace.Finished.class);
    assertThat(run(two, Map.of()).ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class, f -> assertThat(f.found()).contains("converter;"));
  }

  @Test
  void whatNobodyHasLookedThroughDoesNotRun() {
    Routine stored = sql("SELECT 1");
    Routine collected =
        stored.with(
            stored.head().with(new foldtwice.routine.Origin("x.sql", "", "MIT", "", false)));
    assertThat(run(collected, Map.of()).ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class, f -> assertThat(f.expected()).contains("looked through"));
    assertThat(
            run(collected.with(collected.head().with(collected.origin().asSeen())), Map.of())
                .ending())
        .isInstanceOf(Trace.Finished.class);
  }

  @Test
  void theDemoScriptsRun() {
    assertThat(run("flag-doubtful").ending()).isInstanceOf(Trace.Finished.class);
    Trace stair = run("stair-boxes", "tread=4 mm");
    assertThat(stair.ending()).isInstanceOf(Trace.Finished.class);
    assertThat(state("tagpress", "setting unit")).isEqualTo("mm");
  }
}
