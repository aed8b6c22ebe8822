package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Library;
import foldtwice.reading.Checker;
import foldtwice.reading.Mark;
import foldtwice.reading.SourceChecker;
import foldtwice.routine.Head;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.source.ToScript;
import foldtwice.writing.SourceOffers;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What is wrong in a script, found while it is written. */
class SourceCheckerTest {

  private static String marks(String application, String source) {
    Parameter dx =
        new Parameter("dx", new Kind.Words(), new Value.Text(""), foldtwice.extras.Extras.NONE);
    return SourceChecker.check(
            new Routine.Script(Head.of("s", "S", application, List.of(dx)), source),
            Demo.known("camera-bench"))
        .stream()
        .map(
            m ->
                m.at().line()
                    + ":"
                    + m.at().column()
                    + (m.found().isEmpty() ? "" : " " + m.found())
                    + m.nearest().map(n -> " > " + n).orElse(""))
        .collect(Collectors.joining("; "));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "log('a|1:7",
        "log(parameters.dxx)|1:5 dxx > dx",
        "program.choose('Box', 'Shift …')|''",
        "program.choose('Box', 'Shfit …')|1:1 Box › Shfit … > Box › Shift …",
        "program.choose('Box', what)|''",
        "program.choose('Bix', what)|1:1 Bix › …",
        "if (a) program.fill('Rigth by', 1)|1:8 Rigth by > Right by",
        "program.fill('Right by', f())|''",
        "program.press('Shfit')|1:1 Shfit > Shift",
        "program.setting('units')|1:1 units > unit",
        "program.change('unti', 'mm')|1:1 unti > unit",
        "program.change('unit', parameters.dx)|''",
        "program.select('sideways')|''",
        "program.keys('Ctrl+')|1:1 Ctrl+",
        "holds('unit is')|1:1 unit is",
        "holds('‹a› is 1', {a: 2})|''",
        "holds('‹a› is 1')|1:1 ‹a›",
        "computed('‹dx› + ‹b›', {b: 1})|''",
        "runRoutine('shift-box')|1:1 shift-box > shift-boxes",
        "runRoutine('shift-boxes', {d: 1})|1:1 d > dx",
        "use('shift-boxes')|1:1 shift-boxes > stair-boxes",
        "computer.bringToFront('trackwy')|1:1 trackwy > trackway",
        "program.dialogOpen('Shfit')|1:1 Shfit",
      })
  void whatIsWrongIsMarked(String source, String expected) {
    assertThat(marks("tagpress", source)).as(source).isEqualTo(expected);
  }

  /** What may stand where the sign | is typed: the first few. */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "program.sel|; program.select(, program.selectToo(, program.selected()",
        "x = param|; parameters.dx",
        "program.choose('Shift|; Box \u203a Shift \u2026",
        "program.choose('Box', 'Sh|'); Shift \u2026",
        "program.fill('Ri|; Right by",
        "program.press(\"Shi|; Shift",
        "program.change('uni|'); unit",
        "program.change('unit', '|'); mm, cm, in",
        "program.select('next', 'cl|; clamp",
        "computer.capture('w|; whole, window",
        "use('s|; stair-boxes",
        "log('Sh|; ''",
        "f(program.press('x'), log('Shi|'); ''",
        "// program.press('|; ''",
        "runRoutine('shift-b|; shift-boxes",
      })
  void howASourceMayGoOn(String written, String expected) {
    int caret = written.indexOf('|');
    Parameter dx =
        new Parameter("dx", new Kind.Words(), new Value.Text(""), foldtwice.extras.Extras.NONE);
    String source = written.replace("|", "");
    List<SourceOffers.Offer> offers =
        SourceOffers.at(
            source,
            caret,
            new Routine.Script(Head.of("s", "S", "tagpress", List.of(dx)), source),
            Demo.known("camera-bench"));
    assertThat(
            offers.stream()
                .map(SourceOffers.Offer::shown)
                .limit(3)
                .collect(Collectors.joining(", ")))
        .isEqualTo(expected);
    for (SourceOffers.Offer o : offers) {
      String then = source.substring(0, o.from()) + o.text() + source.substring(o.to());
      assertThat(then).as("once taken").contains(o.shown());
    }
  }

  static Stream<Routine.Macro> macros() {
    return Demo.LIBRARY.routines().values().stream()
        .filter(Routine.Macro.class::isInstance)
        .map(Routine.Macro.class::cast);
  }

  /** What is held against a macro is held against it as a script, but for which dialog is open. */
  @ParameterizedTest
  @MethodSource("macros")
  void aScriptIsCheckedLikeTheMacroItWas(Routine.Macro macro) {
    Library library = Demo.LIBRARY;
    assertThat(library.routines()).containsKey(macro.id());
    Set<String> was =
        Checker.check(macro, Demo.known("camera-bench")).stream()
            .filter(m -> m.fault() != Mark.Fault.NO_SUCH_DIALOG)
            .map(m -> m.found() + " | " + m.expected())
            .collect(Collectors.toSet());
    Set<String> is =
        SourceChecker.check(
                (Routine.Script) ToScript.of(macro).routine(), Demo.known("camera-bench"))
            .stream()
            .map(m -> m.found() + " | " + m.expected())
            .collect(Collectors.toSet());
    assertThat(is).isEqualTo(was);
  }
}
