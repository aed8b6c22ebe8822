package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.routine.Head;
import foldtwice.routine.Kind;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.run.Around;
import foldtwice.run.Run;
import foldtwice.run.Status;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.base.StandIn;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Scripts on the stand-ins: what they can do, and what they cannot. */
class ScriptTest {

  private final SimulatedComputer computer = SimulatedComputer.fresh();
  private final Around around =
      new Trial(Demo.LIBRARY, Demo.keymap("camera-bench"), computer, Ecmascript.ENGINE).around();

  private static Value.Length mm(String amount) {
    return new Value.Length(new BigDecimal(amount), LengthUnit.MM);
  }

  private static Routine.Script script(String application, String source) {
    Parameter dx =
        new Parameter(
            "dx",
            new Kind.Distance(mm("-100"), mm("100"), mm("0.1")),
            mm("0.5"),
            foldtwice.extras.Extras.NONE);
    return new Routine.Script(Head.of("s", "S", application, List.of(dx)), source);
  }

  private Trace run(String application, String source) {
    return Run.of(script(application, source), Map.of(), around).toEnd();
  }

  private StandIn<?> program(String id) {
    return computer.programs().get(id);
  }

  private String broke(String source) {
    Map<String, String> before = program("tagpress").state();
    Trace trace = run("tagpress", source);
    assertThat(trace.ending()).as(source).isInstanceOf(Trace.Broke.class);
    assertThat(program("tagpress").state()).as(source).isEqualTo(before);
    Trace.Broke broke = (Trace.Broke) trace.ending();
    return broke.number() + ": " + broke.message();
  }

  private static final String SHIFT =
      """
      const before = program.setting('unit');
      program.change('unit', parameters.dx.unit);
      program.choose('Box', 'Shift …');
      program.fill('Right by', parameters.dx);
      program.press('Shift');
      program.press('Close');
      log('unit was ' + before);
      """;

  @Test
  void itDoesWhatTheMacroDoesWithTheSameTraceAndOneUndo() {
    StandIn<?> other = (StandIn<?>) StandIns.of("tagpress").orElseThrow();
    Demo.run(other, "shift-boxes", "dx=0.5 mm");
    Map<String, String> before = program("tagpress").state();
    Trace trace = run("tagpress", SHIFT);
    assertThat(trace.ending()).isInstanceOf(Trace.Finished.class);
    assertThat(program("tagpress").state()).isEqualTo(other.state());
    assertThat(trace.entries())
        .filteredOn(e -> e instanceof Trace.Taken)
        .extracting(e -> ((Trace.Taken) e).number())
        .as("the lines of the source")
        .containsExactly("1", "2", "3", "4", "5", "6", "7");
    assertThat(program("tagpress").undoDepth()).isEqualTo(1);
    program("tagpress").undo();
    assertThat(program("tagpress").state()).isEqualTo(before);
  }

  @Test
  void settingsAreReadChangedAndPutBackWhateverHappens() {
    Trace trace =
        run(
            "tagpress",
            """
            program.change('unit', 'in');
            if (program.setting('unit') !== 'in') stop('not in');
            if (!program.ticked('View', 'Unit', 'Inches')) stop('no tick');
            throw new Error('enough of unit ' + program.setting('unit'));
            """);
    assertThat(trace.ending()).isEqualTo(new Trace.Broke("4", 7, "Error: enough of unit in"));
    assertThat(program("tagpress").settings().get("unit").shown()).isEqualTo("mm");
  }

  @Test
  void aSettingGoesRoundAPictureIsTakenAndHeldModifiersAreReleased() {
    computer.hold(foldtwice.trigger.Modifiers.of(foldtwice.trigger.Modifier.CTRL));
    Trace trace =
        run(
            "tagpress",
            """
            program.releaseHeld();
            program.cycle('unit', 'mm', 'in');
            log(program.setting('unit'));
            program.cycle('unit', 'mm', 'in');
            log(program.setting('unit'));
            computer.capture('window', 'label.png');
            """);
    assertThat(trace.ending()).isInstanceOf(Trace.Finished.class);
    assertThat(trace.entries())
        .filteredOn(
            e ->
                e instanceof Trace.Taken(var n, foldtwice.routine.Step.Note s, var d, var c, var t))
        .extracting(e -> ((Trace.Taken) e).detail())
        .containsExactly("in", "mm");
    assertThat(computer.held()).isEqualTo(foldtwice.trigger.Modifiers.NONE);
    assertThat(broke("computer.capture('everything');"))
        .contains("expected one of whole, window, selection, found everything");
  }

  @Test
  void amountsAreConvertedExactlyAndKeepTheirUnits() {
    Trace trace =
        run(
            "copystand",
            """
            const inch = amount('1 in').to('mm');
            if (inch.amount !== 25.4) throw new Error(String(inch));
            program.adjustBy('exposure', amount('0.5 EV').times(2));
            log(program.value('exposure'));
            program.adjustTo('white balance', amount('6000 K'));
            """);
    assertThat(trace.ending()).isInstanceOf(Trace.Finished.class);
    assertThat(program("copystand").values().get("exposure").shown()).isEqualTo("1 EV");
    assertThat(program("copystand").values().get("white balance").shown()).isEqualTo("6000 K");
  }

  @Test
  void aRefusalCanBeCaughtAndTellsWhatWasExpectedAndFound() {
    Trace trace =
        run(
            "tagpress",
            """
            try {
              program.choose('Box', 'Shyft …');
            } catch (e) {
              if (!(e instanceof Refusal)) throw e;
              stop(e.expected + ' | ' + e.found);
            }
            """);
    assertThat(trace.ending())
        .isEqualTo(new Trace.Stopped("5", "a menu path, such as Box › Shift … | Box › Shyft …"));
    assertThat(broke("\nprogram.choose('Box', 'Shyft …');"))
        .isEqualTo("2: Refusal: expected a menu path, such as Box › Shift …, found Box › Shyft …");
  }

  @Test
  void itAsksAndIsGivenUpCleanly() {
    Run run =
        Run.of(
            script(
                "vasculum",
                "const n = askFor('How many?', 2);\nfor (let i = 0; i < n; i++) program.move(1);"),
            Map.of(),
            around);
    long end = System.nanoTime() + 10_000_000_000L;
    while (!(run.status() instanceof Status.Asking) && System.nanoTime() < end) {
      run.step();
    }
    assertThat(run.status()).isInstanceOf(Status.Asking.class);
    assertThat(run.answer(Map.of("script answer", Value.Amount.of(3)))).isEmpty();
    assertThat(run.toEnd().ending()).isInstanceOf(Trace.Finished.class);
    Run other = Run.of(script("vasculum", "askFor('How many?', 2);"), Map.of(), around);
    while (!(other.status() instanceof Status.Asking) && System.nanoTime() < end) {
      other.step();
    }
    other.giveUp();
    assertThat(other.trace().ending()).isInstanceOf(Trace.GivenUp.class);
  }

  @Test
  void itRunsOtherRoutinesWithArguments() {
    Trace trace = run("tagpress", "runRoutine('shift-boxes', {dx: amount('2 mm')});");
    assertThat(trace.ending()).isInstanceOf(Trace.Finished.class);
    assertThat(trace.entries())
        .anyMatch(e -> e instanceof Trace.Taken t && t.number().startsWith("1/"));
  }

  /** Everything an attacker would try first; each ends with a message, and nothing has changed. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "while (true) {}",
        "const all = []; while (true) all.push(new Array(100000).fill(1));",
        "function f() { f(); } f();",
        "throw null;",
        "throw undefined;",
        "throw {toString() { throw 1; }};",
        "Java.type('java.lang.System').exit(1);",
        "Packages.java.lang.System.exit(1);",
        "Polyglot.eval('js', '1');",
        "load('/etc/passwd');",
        "print('out');",
        "require('fs');",
        "import('fs').then(() => {}); throw new Error('gone on');",
        "process.exit(1);",
        "fetch('http://localhost');",
        "new Worker('x');",
        "new XMLHttpRequest();",
        "program = null;",
        "program.choose = () => {};",
        "delete program.choose; ",
        "Object.defineProperty(program, 'choose', {value: 1});",
        "globalThis.program = {};",
        "let program = 1;",
        "host('choose', 'Sheet', 'Save');",
        "program.choose.constructor('return this')().host('x');",
        "program.constructor.constructor('return Java')();",
        "program.fill('x', () => 1);",
        "program.fill('x', null);",
        "program.fill('x', NaN);",
        "program.choose();",
        "program.choose(1, 2);",
        "program.select({});",
        "program.move('a lot');",
        "amount('much');",
        "amount('1 in').to('EV');",
        "runRoutine('nobody');",
        "parameters.dx = 3;",
        "let x = ;",
        "'unfinished",
        "askFor();",
      })
  void itIsKeptIn(String source) {
    assertThat(broke(source)).matches("(?s)\\d+: .+");
  }

  @Test
  void itSeesNoOtherPrototypeThanItsOwnContext() {
    run("tagpress", "Array.prototype.map = () => { throw new Error('mine'); };");
    assertThat(run("tagpress", SHIFT).ending()).isInstanceOf(Trace.Finished.class);
  }

  /** A script that breaks the built-in functions breaks itself and nothing else. */
  @Test
  void breakingBuiltInFunctionsHurtsNobodyElse() {
    Trace trace =
        run(
            "tagpress",
            """
            Array.prototype.map = () => ['Sheet', 'Print'];
            RegExp.prototype.exec = () => null;
            program.choose('View', 'Larger');
            """);
    assertThat(trace.ending()).isInstanceOfAny(Trace.Finished.class, Trace.Broke.class);
    assertThat(run("tagpress", SHIFT).ending()).isInstanceOf(Trace.Finished.class);
  }
}
