package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.routine.Head;
import foldtwice.routine.Kind;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.run.Around;
import foldtwice.run.Run;
import foldtwice.run.Status;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.source.Interface;
import foldtwice.source.ToScript;
import foldtwice.source.Turned;
import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** The interface of scripts: each call, what comes of it, and scripts made of macros. */
class ScriptCallsTest {

  private final SimulatedComputer computer = SimulatedComputer.fresh();

  private static final Map<String, String> LIBRARY =
      Map.of(
          "edges", "exports.clamp = (n, least, most) => Math.min(Math.max(n, least), most);",
          "far", "exports.far = use('edges').clamp(99, 0, 10);",
          "round", "exports.a = use('about').a;",
          "about", "exports.a = use('round').a;",
          "deep", "exports.f = n => n ? exports.f(n - 1) : log('from below');",
          "broken", "exports.f = () => {\n  return undefined.x;\n};");

  private Around around(SimulatedComputer on) {
    Around plain =
        new Trial(Demo.LIBRARY, Demo.keymap("camera-bench"), on, Ecmascript.ENGINE).around();
    return new Around(
        plain.computer(),
        id ->
            LIBRARY.containsKey(id)
                ? Optional.of(script(id, LIBRARY.get(id)))
                : plain.routines().apply(id),
        plain.keys(),
        plain.scripts());
  }

  private static Routine script(String id, String source) {
    Value.Length half = new Value.Length(new BigDecimal("0.5"), LengthUnit.MM);
    Parameter dx =
        new Parameter(
            "dx",
            new Kind.Distance(half.negated(), half.times(BigDecimal.TEN), half),
            half,
            foldtwice.extras.Extras.NONE);
    return new Routine.Script(Head.of(id, id, "tagpress", List.of(dx)), source);
  }

  private Run begin(String source) {
    computer.bringToFront("tagpress");
    return Run.of(script("s", source), Map.of(), around(computer));
  }

  private Trace run(String source) {
    return begin(source).toEnd();
  }

  private List<String> logged(String source) {
    Trace trace = run(source);
    assertThat(trace.ending()).as(source).isInstanceOf(Trace.Finished.class);
    return notes(trace);
  }

  private static List<String> notes(Trace trace) {
    return trace.entries().stream()
        .filter(e -> e instanceof Trace.Taken t && t.step() instanceof Step.Note)
        .map(e -> ((Trace.Taken) e).detail())
        .toList();
  }

  /** One way of using each call that works in a label editor with two boxes. */
  private static final Map<String, String> USES = new LinkedHashMap<>();

  static {
    String open = "program.select('all'); program.choose('Box', 'Shift …'); ";
    USES.put("program.choose", "program.choose('Box › Shift …');");
    USES.put("program.ticked", "log(program.ticked('View', 'Unit', 'Inches'));");
    USES.put("program.fill", open + "program.fill('Right by', amount('1 mm'));");
    USES.put("program.press", open + "program.press('Close');");
    USES.put("program.field", open + "log(program.field('Right by'));");
    USES.put("program.dialogOpen", open + "log(program.dialogOpen('Shift'));");
    USES.put("program.setting", "log(program.setting('unit'));");
    USES.put("program.change", "program.change('unit', 'in');");
    USES.put("program.changeForGood", "program.changeForGood('unit', 'in');");
    USES.put("program.cycle", "program.cycle('unit', 'mm', 'in');");
    USES.put("program.cycleForGood", "program.cycleForGood('unit', 'mm', 'in');");
    USES.put("program.value", "try { program.value('none'); } catch (e) { log(e.expected); }");
    USES.put(
        "program.adjustTo", "try { program.adjustTo('none', 1, 'clamp'); } catch (e) { log(1); }");
    USES.put("program.adjustBy", "try { program.adjustBy('none', 1); } catch (e) { log(1); }");
    USES.put("program.shown", "try { program.shown('none'); } catch (e) { log(e.expected); }");
    USES.put("program.select", "program.select('all'); program.select('next', 'clamp');");
    USES.put(
        "program.selectToo",
        "program.select('next', 'clamp'); program.selectToo('next', 'stop quietly');");
    USES.put("program.selected", "program.select('all'); log(program.selected().join());");
    USES.put(
        "program.eachSelected", "program.select('all'); program.eachSelected((n, at) => log(at));");
    USES.put("program.move", "program.select('all'); program.move(0, 0, 'clamp');");
    USES.put("program.somethingSelected", "log(program.somethingSelected());");
    USES.put("program.selectedCount", "log(program.selectedCount());");
    USES.put("program.selectedText", "log(program.selectedText());");
    USES.put("program.type", "try { program.type('a ‹b›'); } catch (e) { log(e.found); }");
    USES.put("program.keys", "try { program.keys('F9'); } catch (e) { log(e.found); }");
    USES.put("program.finish", "try { program.finish(); } catch (e) { log(e.found); }");
    USES.put("program.giveUp", "try { program.giveUp(); } catch (e) { log(e.found); }");
    USES.put("program.again", "try { program.again(); } catch (e) { log(e.found); }");
    USES.put("program.releaseHeld", "program.releaseHeld();");
    USES.put("program.ignoreHeld", "program.ignoreHeld();");
    USES.put("program.versionAtLeast", "log(program.versionAtLeast('1'));");
    USES.put("computer.clipboard", "log(computer.clipboard());");
    USES.put("computer.capture", "computer.capture('window');");
    USES.put("computer.lines", "try { computer.lines('none.txt'); } catch (e) { log(e.found); }");
    USES.put("computer.start", "computer.start('trackway');");
    USES.put("computer.bringToFront", "computer.bringToFront('trackway');");
    USES.put("computer.inFront", "log(computer.inFront('tagpress'));");
    USES.put("computer.waitForWindow", "computer.waitForWindow('tagpress', 1);");
    USES.put("amount", "log(amount('1 cm').to('mm'));");
    USES.put("askFor", "log(askFor('How many?', 2));");
    USES.put("ask", "log(ask('Size?', {w: {default: 2}}).w);");
    USES.put("pause", "pause('look'); log(pause('look', {w: {default: 'x'}}).w);");
    USES.put("holds", "log(holds('\u2039a\u203a is more than 2', {a: 3}));");
    USES.put("waitUntil", "waitUntil('program tagpress is in front', 1);");
    USES.put("computed", "log(computed('\u2039a\u203a * 2', {a: parameters.dx}));");
    USES.put("lines", "log(lines('a\\r\\nb\\n').join());");
    USES.put(
        "runRoutine", "program.select('all'); runRoutine('shift-boxes', {dx: amount('1 mm')});");
    USES.put("use", "log(use('far').far);");
    USES.put("log", "log('x');");
    USES.put("stop", "stop('enough');");
  }

  static Stream<String> calls() {
    return Interface.ALL.stream().map(Interface.Member::name);
  }

  @ParameterizedTest
  @MethodSource("calls")
  void eachCallIsCarriedOut(String name) {
    assertThat(USES).as("a use of it").containsKey(name);
    Trace trace = run(USES.get(name));
    assertThat(trace.ending())
        .as(USES.get(name))
        .isInstanceOfAny(Trace.Finished.class, Trace.Stopped.class);
    assertThat(trace.entries().isEmpty()).as(USES.get(name)).isEqualTo(name.equals("stop"));
  }

  /** What a script finds is what the interface says, and nothing else of the host's. */
  @Test
  void whatIsListedIsWhatThereIs() {
    List<String> found =
        logged(
            """
            for (const k of Object.keys(program)) log('program.' + k);
            for (const k of Object.keys(computer)) log('computer.' + k);
            for (const k of ['amount', 'askFor', 'ask', 'pause', 'holds', 'waitUntil', 'computed',
              'lines', 'runRoutine', 'use', 'log', 'stop']) if (typeof globalThis[k] === 'function') log(k);
            """);
    assertThat(found).containsExactlyInAnyOrderElementsOf(calls().toList());
  }

  @Test
  void theDocumentTellsOfEach() throws java.io.IOException {
    String says =
        java.nio.file.Files.readString(
            java.nio.file.Path.of(System.getProperty("project.root"), "docs", "scripts.md"));
    assertThat(calls()).allMatch(name -> says.contains("`" + name + "("));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "log(computed('\u2039a\u203a * 2 + 1 mm', {a: amount('0.5 mm')}))|2 mm",
        "log(computed('\u2039dx\u203a'))|0.5 mm",
        "log(holds('\u2039a\u203a is more than 2 and something is selected', {a: 1}))|no",
        "log(lines('a\\nb\\n\\n').length)|3",
        "log(use('edges').clamp(12, 0, 9))|9",
        "log(use('edges') === use('edges'))|yes",
        "const {w, n} = ask('?', {w: {default: amount('2 mm'), least: '1 mm'}, n: {kind: 'choice', options: ['a', 'b'], default: 'b'}}); log(w + n)|2 mmb",
        "log(amount('5\u00b0'))|5\u00b0",
        "try { computed('\u2039a\u203a', {}) } catch (e) { log(e.found) }|no \u2039a\u203a",
        // what is given by name is known there only
        "computed('\u2039a\u203a', {a: 1}); try { computed('\u2039a\u203a') } catch (e) { log(e.found) }|no \u2039a\u203a",
        "computed('\u2039dx\u203a', {dx: 1}); log(computed('\u2039dx\u203a'))|0.5 mm",
        "try { ask('?', {w: {kind: 'width'}}) } catch (e) { log(e.found) }|width",
        "try { use('round') } catch (e) { log(e.expected) }|a script that does not use this one again",
        "try { use('none') } catch (e) { log(e.found) }|none",
      })
  void whatComesOut(String source, String expected) {
    assertThat(logged(source)).containsExactly(expected);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "log(1);  program.fill('x', 1);|1|10",
        "let a;\\n  a.b;|2|3",
        "'use strict'; nothing|1|15",
        "log(1;|1|6",
      })
  void anErrorSaysItsLineAndColumn(String source, String line, int column) {
    Trace trace = run(source.replace("\\n", "\n"));
    assertThat(trace.ending()).isInstanceOf(Trace.Broke.class);
    Trace.Broke broke = (Trace.Broke) trace.ending();
    assertThat(broke.number() + ":" + broke.column())
        .as(broke.message())
        .isEqualTo(line + ":" + column);
  }

  @Test
  void anErrorInWhatIsUsedSaysWhereInIt() {
    Trace.Broke broke = (Trace.Broke) run("log(0);\nuse('broken').f();").ending();
    assertThat(broke.number()).isEqualTo("2");
    assertThat(broke.message()).startsWith("in broken, line 2, column 10: ");
  }

  /** Each step stands at the line of the script that led to it, however it was called. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "log(1);\\nlog(\\n  2);|1 2",
        "const f = n => {\\n  log(n);\\n};\\nf(1);\\nlog(2);|2 5",
        "['a',\\n 'b'].forEach(\\n  log);|1 1",
        "['a'].forEach(\\n  one =>\\n    log(one));|3",
        "class A { get x() {\\n  log(1); return 1; } }\\nnew A().x; log(2);|2 3",
        "try {\\n  program.fill('x', 1);\\n} catch (e) {\\n  log(e.found);\\n}|4",
        "const {f} = use('deep');\\nf(0);\\nf(50);|2 3",
        "const deep = n => n\\n  ? deep(n - 1)\\n  : log(1);\\ndeep(200);|3",
        "[3, 1].map(\\n  n => {\\n    log(n); return n; });|3 3",
      })
  void eachStepStandsAtTheLineThatLedToIt(String source, String lines) {
    for (Around on : List.of(around(computer), around(computer).watching())) {
      computer.bringToFront("tagpress");
      Trace trace = Run.of(script("s", source.replace("\\n", "\n")), Map.of(), on).toEnd();
      assertThat(trace.ending()).as(source).isInstanceOf(Trace.Finished.class);
      assertThat(
              trace.entries().stream()
                  .filter(Trace.Taken.class::isInstance)
                  .map(e -> ((Trace.Taken) e).number())
                  .toList())
          .as(source)
          .containsExactly(lines.split(" "));
    }
  }

  /** Stepping shows what a script has computed so far, where it is. */
  @Test
  void aWatchedScriptTellsItsVariables() {
    computer.bringToFront("tagpress");
    String source =
        """
        const names = ['a', 'b'];
        let later;
        for (const name of names) {
          log(name + 1);
        }
        later = amount('3 mm'); log(later);
        program.fill('x', 1);
        """;
    Run run = Run.of(script("s", source), Map.of(), around(computer).watching());
    Map<String, String> seen = new TreeMap<>();
    while (!(run.status() instanceof Status.Over)) {
      run.step();
      if (!(run.status() instanceof Status.Over)) {
        run.variables()
            .forEach((n, v) -> seen.merge(n, v.shown(), (a, b) -> a.contains(b) ? a : a + ";" + b));
      }
    }
    assertThat(seen)
        .containsEntry("names", "[\"a\",\"b\"]")
        .containsEntry("name", "a;b")
        .containsEntry("later", "3 mm")
        .containsEntry("dx", "0.5 mm")
        .doesNotContainKey(foldtwice.source.Calls.ANSWER);
    Trace.Broke broke = (Trace.Broke) ((Status.Over) run.status()).trace().ending();
    assertThat(broke.number() + ":" + broke.column()).as("of what was written").isEqualTo("7:1");
  }

  /** Answered as before: as long as the same is asked, and never for what is done by hand. */
  @Test
  void aRunIsMadeAgainWithTheSameAnswers() {
    String source =
        """
        for (let i = 1; i <= askFor('How often?', 1); i++) log(askFor('What?', 'a') + i);
        pause('look');
        log(askFor('And?', 'z'));
        """;
    Run first = begin(source);
    answer(first, Map.of("How often?", Value.Amount.of(2), "What?", new Value.Text("b")));
    answer(first, Map.of("And?", new Value.Text("y")));
    assertThat(notes(first)).containsExactly("b1", "b2", "y");
    Run again = begin(source);
    again.replay(first.inputs());
    again.go(Long.MAX_VALUE);
    assertThat(again.status()).as("at the pause").isInstanceOf(Status.Asking.class);
    again.answer(Map.of());
    again.go(Long.MAX_VALUE);
    assertThat(notes(again)).containsExactly("b1", "b2", "y");
    Run other = begin("ask('?', {n: {default: 'q'}}); log(askFor('What?', 'a'));");
    other.replay(first.inputs());
    other.go(Long.MAX_VALUE);
    assertThat(other.status()).as("it asks something else").isInstanceOf(Status.Asking.class);
  }

  /** Answers what is asked by its text, up to the end or a pause, which is let go on. */
  private static void answer(Run run, Map<String, Value> answers) {
    run.go(Long.MAX_VALUE);
    while (run.status() instanceof Status.Asking asking) {
      Value given = answers.get(asking.text());
      run.answer(given == null ? Map.of() : Map.of(asking.questions().getFirst().name(), given));
      if (asking.byHand()) {
        run.go(Long.MAX_VALUE);
        return;
      }
      run.go(Long.MAX_VALUE);
    }
  }

  private static List<String> notes(Run run) {
    return notes(run.trace());
  }

  static Stream<String> macros() {
    return Demo.LIBRARY.routines().values().stream()
        .filter(r -> r instanceof Routine.Macro)
        .map(Routine::id);
  }

  /** A macro and the script it is turned into do the same, among all programs. */
  @ParameterizedTest
  @MethodSource("macros")
  void aScriptMadeOfAMacroDoesWhatTheMacroDoes(String id) {
    Routine.Macro macro = (Routine.Macro) Demo.LIBRARY.routines().get(id);
    Turned turned = ToScript.of(macro);
    assertThat(turned.lost()).isEmpty();
    for (boolean all : new boolean[] {false, true}) {
      SimulatedComputer one = SimulatedComputer.fresh();
      SimulatedComputer other = SimulatedComputer.fresh();
      Trace was = done(macro, one, all);
      Trace is = done(turned.routine(), other, all);
      assertThat(is.endedBadly())
          .as(is.ending() + " beside " + was.ending())
          .isEqualTo(was.endedBadly());
      one.programs()
          .forEach(
              (name, program) ->
                  assertThat(other.programs().get(name).state())
                      .as(name)
                      .isEqualTo(program.state()));
    }
  }

  private Trace done(Routine routine, SimulatedComputer on, boolean all) {
    on.bringToFront(routine.application());
    if (all) {
      on.program(routine.application())
          .ifPresent(p -> p.select(foldtwice.routine.Whom.Group.ALL, false));
    }
    return Run.of(routine, Map.of(), around(on)).toEnd();
  }
}
