package foldtwice.source;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.outline.Outline;
import foldtwice.outline.StepParts;
import foldtwice.routine.Head;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.StepKinds;
import foldtwice.routine.Value;
import foldtwice.source.Source.Spot;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What stands in source texts of scripts. Positions counted by hand. */
class SourceTest {

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "let x = 1\\nlet y = ;|2:9",
        "log('a|1:7",
        "a(|1:3",
        "for (const of x) {|1:15",
        "class { }|1:7",
      })
  void whereATextCannotBeRead(String text, String at) {
    Source.Slip slip = Source.of(text.replace("\\n", "\n")).slip().orElseThrow();
    assertThat(slip.at().line() + ":" + slip.at().column()).as(slip.what()).isEqualTo(at);
    assertThat(slip.what()).isNotBlank().doesNotContain("\n", "oracle", "java");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "class A { #p = 1; m() { return this.#p; } }",
        "async function* z() { yield 1; }",
        "const {a = 1, ...rest} = f(...g);",
        "label: for (;;) { continue label; }",
        "switch (a) { case 1: log(2); default: }",
        "try { a?.b ?? c } catch { d &&= 1000n } finally { }",
      })
  void allOfTheLanguageIsRead(String text) {
    assertThat(Source.of(text).slip()).as(text).isEmpty();
  }

  /** Whatever is typed: read, or said where it cannot be. */
  @Property(tries = 500)
  void anyTextIsReadOrRefused(@ForAll @StringLength(max = 60) String text) {
    Source source = Source.of(text);
    source
        .slip()
        .ifPresent(
            s ->
                assertThat(s.at().line())
                    .isBetween(1, (int) text.chars().filter(c -> c == '\n').count() + 1));
    Named.calls(source);
    Watched.of(text);
  }

  @Test
  void whatIsNestedTooDeepIsRefused() {
    assertThat(Source.of("(".repeat(100_000)).slip()).isPresent();
    assertThat(Source.of("[".repeat(190) + "]".repeat(190)).slip()).isEmpty();
  }

  private static String calls(String text) {
    return Named.calls(Source.of(text)).stream()
        .map(
            c ->
                c.at().line()
                    + ":"
                    + c.at().column()
                    + " "
                    + c.step()
                        .map(s -> StepKinds.of(s).id() + " " + StepParts.of(s).getFirst().text())
                        .orElse(
                            c.wrong()
                                .map(w -> "expected " + w.allowed())
                                .orElse(c.member().host())))
        .collect(Collectors.joining("; "));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "program.choose('Box', 'Shift')|1:1 choose Box \u203a Shift",
        "if (a) { program.choose('Box \u203a Shift') }|1:10 choose Box \u203a Shift",
        "const f = () => program.press('OK'); f()|1:17 press OK",
        "program.fill('x', program.setting('y'))|1:19 setting; 1:1 fill x",
        "program.keys('Ctrl+')|1:1 expected keys, such as Ctrl+S",
        "program.change(name, 1)|1:1 change",
        "function g(program) { program.press('OK'); }|''",
        "const log = 1; log('x')|''",
        "other.press('OK')|''",
        "runRoutine('r', {a: 1})|1:1 run r",
        "program.press(`a${1}`)|1:1 press",
      })
  void callsAreFoundWithWhatTheyWant(String text, String expected) {
    assertThat(calls(text)).isEqualTo(expected);
  }

  @Test
  void whatIsUsedIsFoundThroughOthersAndRoundCircles() {
    assertThat(Helpers.named("const a = use('x'), b = use(name); use('y').f(use('x'))"))
        .containsExactly("x", "y");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "log(parameters.dx); f(parameters.dy, parameters['dx'])|log(parameters.w); f(parameters.dy, parameters.w)|w",
        "other.dx = parameters . dx|other.dx = parameters['new name']|new name",
        "log('parameters.dx')|log('parameters.dx')|w",
        "log(parameters.dx|log(parameters.dx|w",
      })
  void aParameterIsCalledOtherwise(String text, String expected, String to) {
    assertThat(Rewriting.renamed(text, "dx", to)).isEqualTo(expected);
  }

  @Test
  void settingsAreChangedForTheRunOnly() {
    assertThat(
            Rewriting.forThisRun(
                "program.changeForGood('unit', 1); program.changeForGood('zoom', 2);"
                    + " program.cycleForGood('unit', 1)",
                Set.of("unit")))
        .isEqualTo(
            "program.change('unit', 1); program.changeForGood('zoom', 2); program.cycle('unit', 1)");
  }

  /** Each spot of what is watched is the spot of the original it was made from. */
  @Test
  void spotsOfAWatchedTextAreThoseOfTheOriginal() {
    String text = "let a = 1;\nlet b = a; log(a); log(b);\nfor (const c of [1]) { log(c); }\n";
    Watched watched = Watched.of(text);
    assertThat(watched.added()).hasSize(3);
    int from = 0;
    for (String word : List.of("log(a)", "log(b)", "log(c)", "[1]")) {
      Spot here = Spot.of(watched.text(), watched.text().indexOf(word, from));
      assertThat(watched.original(here)).as(word).isEqualTo(Spot.of(text, text.indexOf(word)));
    }
  }

  private static Turned macro(String text) {
    Parameter dx =
        new Parameter("dx", new Kind.Words(), new Value.Text(""), foldtwice.extras.Extras.NONE);
    return ToMacro.of(
        new Routine.Script(Head.of("s", "S", "tagpress", List.of(dx)), text.replace("\\n", "\n")));
  }

  private static String steps(Turned turned) {
    return Outline.rows(((Routine.Macro) turned.routine()).steps()).stream()
        .map(
            r ->
                r.number()
                    + " "
                    + Stream.concat(
                            Stream.of(StepKinds.of(r.line().step()).id()),
                            StepParts.of(r.line().step()).stream().map(StepParts.Part::text))
                        .collect(Collectors.joining(" ")))
        .collect(Collectors.joining("; "));
  }

  /** Written as a person would, not as {@link ToScript} does. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "const w = parameters.dx; program.type(w)|1 type \u2039dx\u203a",
        "program.type(`a ${parameters.dx}`)|1 type a \u2039dx\u203a",
        "const n = program.selectedCount(); if (n > 2 && !program.ticked('A')) log('x');"
            + "|1 read how many are selected n; 2 if \u2039n\u203a is more than 2 and not menu A is ticked; 2.1 note x",
        "if (program.setting('unit') === 'mm') stop('mm')|1 if setting unit is 'mm'; 1.1 stop mm",
        "const x = 2; log(`${x}`); program.fill('W', x * 3)"
            + "|1 set x 2; 2 note \u2039x\u203a; 3 fill W \u2039x\u203a * 3",
        "for (let i = 1; i <= 3; i++) log(`${i}`)|1 repeat 3; 1.1 note \u2039turn\u203a",
        "const who = askFor('Who?', 'me')|1 ask Who?",
        "for (const l of lines(parameters.dx)) program.choose('X', l)"
            + "|1 each l lines of \u2039dx\u203a; 1.1 choose X \u203a \u2039l\u203a",
      })
  void whatAMacroCanDoBecomesAMacro(String text, String expected) {
    Turned turned = macro(text);
    assertThat(turned.lost()).as(text).isEmpty();
    assertThat(steps(turned)).isEqualTo(expected);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "while (true) log(1)|1: no step does this: while (true) log(1)",
        "log(1);\\nconst f = () => 1;|2: a value no step computes: () => 1",
        "log(Math.max(1, 2))|1: a value no step computes: Math.max(1, 2)",
        "try { log(1) } catch (e) { }|1: no step does this: try { log(1) } catch (e) { }",
        "if (parameters.dx) log(1)|1: a condition no step looks at: parameters.dx",
        "let x = 1;\\nif (true) { let x = 2; }|2: a condition no step looks at: true",
        "log(1) // why|1: a comment that stands above no step",
        "log(1|1: it cannot be read: Expected , but found the end",
        "for (let i = 1; i <= 2; i++) { for (let j = 1; j <= 2; j++) { log(`${i}`); } }"
            + "|1: the turn of a loop around another, in or after it",
        "let n = 2; for (let i = 1; i <= n; i++) { n = 3; }|1: how often it repeats changes while it does",
        "let w = parameters.dx; w = 1; log(parameters.dx)"
            + "|1: parameters.dx as it was given, beside one that changes",
      })
  void whatAMacroCannotDoIsToldWithItsLine(String text, String expected) {
    Turned turned = macro(text);
    assertThat(turned.lost().stream().map(l -> l.where() + ": " + l.what()))
        .as(text)
        .contains(expected);
  }
}
