package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.conflict.Auditor;
import foldtwice.conflict.ConflictKind;
import foldtwice.conflict.Subject;
import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.outline.Outline;
import foldtwice.place.Labels;
import foldtwice.place.Station;
import foldtwice.reading.Checker;
import foldtwice.reading.Mark;
import foldtwice.ready.Setup;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Condition;
import foldtwice.routine.Form;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.StepKinds;
import foldtwice.routine.Template;
import foldtwice.run.Alone;
import foldtwice.run.Run;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.base.StandIn;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Programs in another language: the same programs under other labels. */
class LabelsTest {

  private static final String THERE = "xx";
  private static final Station BENCH = Demo.LIBRARY.stations().get("camera-bench");

  /** Each label of each program, with a letter before it. */
  private static final Library LIBRARY = library();

  private static final Station ABROAD = abroad();

  private static Library library() {
    List<Edit> edits =
        StandIns.all().entrySet().stream()
            .<Edit>map(
                e ->
                    new Edit.Describe(
                        Demo.LIBRARY
                            .description(e.getKey())
                            .withLabels(List.of(labels(e.getValue().facts())))))
            .toList();
    return new Edit.Together(edits).on(Demo.LIBRARY);
  }

  private static Labels labels(Facts facts) {
    Map<String, String> words = new LinkedHashMap<>();
    facts.commands().forEach(c -> c.menu().forEach(l -> words.put(l, "X " + l)));
    for (Facts.Dialog d : facts.dialogs()) {
      words.put(d.title(), "X " + d.title());
      d.fields().forEach(f -> words.put(f.label(), "X " + f.label()));
      d.buttons().forEach(b -> words.put(b.label(), "X " + b.label()));
    }
    return new Labels(THERE, words);
  }

  private static Station abroad() {
    Station s = BENCH;
    for (StandIn<?> p : StandIns.on(BENCH, Demo.LIBRARY).values()) {
      s =
          s.with(
              new Station.Installed(
                  p.application(), p.facts().version(), List.copyOf(p.facts().addOns()), THERE));
    }
    return s;
  }

  private static Known known(Station station) {
    return StandIns.around(station, LIBRARY);
  }

  static Stream<Routine.Macro> macros() {
    return Demo.LIBRARY.routines().values().stream()
        .filter(Routine.Macro.class::isInstance)
        .map(Routine.Macro.class::cast);
  }

  private static Routine.Macro translated(Routine.Macro macro) {
    Labels labels = LIBRARY.description(macro.application()).labels(THERE);
    return macro.withSteps(lines(macro.steps(), labels));
  }

  private static List<Line> lines(List<Line> lines, Labels labels) {
    return lines.stream()
        .map(
            l -> {
              Step inside =
                  l.step()
                      .withBodies(l.step().bodies().stream().map(b -> lines(b, labels)).toList());
              return l.with(step(inside, labels));
            })
        .toList();
  }

  private static Step step(Step step, Labels labels) {
    return switch (step) {
      case Step.Choose(List<Template> path) -> new Step.Choose(path(path, labels));
      case Step.Fill(String field, var value) -> new Step.Fill(labels.of(field), value);
      case Step.PressButton(String label) -> new Step.PressButton(labels.of(label));
      case Step.Read(foldtwice.routine.Readout.Field(String label), String variable) ->
          new Step.Read(new foldtwice.routine.Readout.Field(labels.of(label)), variable);
      case Step.If(Condition c, var then, var otherwise) ->
          new Step.If(condition(c, labels), then, otherwise);
      case Step.WaitUntil(Condition c, var limit) ->
          new Step.WaitUntil(condition(c, labels), limit);
      default -> step;
    };
  }

  /** A label with an insertion is one of several: each has the same letter before it. */
  private static List<Template> path(List<Template> path, Labels labels) {
    return path.stream()
        .map(
            t ->
                t.names().isEmpty()
                    ? new Template(labels.of(t.source()))
                    : new Template("X " + t.source()))
        .toList();
  }

  private static Condition condition(Condition c, Labels labels) {
    return switch (c) {
      case Condition.Ticked(List<Template> path) -> new Condition.Ticked(path(path, labels));
      case Condition.DialogOpen(String title) -> new Condition.DialogOpen(labels.of(title));
      case Condition.Not(Condition of) -> new Condition.Not(condition(of, labels));
      default -> c;
    };
  }

  private static SimulatedComputer computer(Station station) {
    return SimulatedComputer.of(
        LIBRARY, station, new Alone.Ticking(Instant.parse("2031-05-08T09:00:00Z")));
  }

  /** All macros with their labels as they are there: some run others. */
  private static final Library TRANSLATED =
      new Edit.Together(macros().<Edit>map(m -> new Edit.PutRoutine(translated(m))).toList())
          .on(LIBRARY);

  private static Trace run(String routine, Library of, SimulatedComputer on) {
    Routine r = of.routines().get(routine);
    on.bringToFront(r.application());
    return Run.of(r, Map.of(), new Trial(of, Keymap.of(of, BENCH), on, Ecmascript.ENGINE).around())
        .toEnd();
  }

  private static Map<String, String> state(StandIn<?> program) {
    Map<String, String> state = new TreeMap<>(program.state());
    state.remove("view dialog");
    return state;
  }

  /** With its labels as they are there, a macro does there what it does here. */
  @ParameterizedTest
  @MethodSource("macros")
  void aTranslatedMacroDoesTheSame(Routine.Macro macro) {
    SimulatedComputer here = computer(BENCH);
    SimulatedComputer there = computer(ABROAD);
    Trace was = run(macro.id(), LIBRARY, here);
    Trace is = run(macro.id(), TRANSLATED, there);
    assertThat(is.endedBadly())
        .as(is.ending() + " beside " + was.ending())
        .isEqualTo(was.endedBadly());
    here.programs()
        .forEach((id, p) -> assertThat(state(there.programs().get(id))).as(id).isEqualTo(state(p)));
  }

  private static boolean namesLabels(Routine.Macro macro) {
    return Outline.rows(macro.steps()).stream()
        .map(r -> r.line().step())
        .flatMap(s -> StepKinds.of(s).parts().stream())
        .anyMatch(p -> p.form() instanceof Form.Menu);
  }

  /** Without, it is flagged there, with what each path is there, and refused. */
  @ParameterizedTest
  @MethodSource("macros")
  void aMacroOfAnotherLanguageIsMarkedWithWhatItsLabelsAreThere(Routine.Macro macro) {
    List<Mark> before = Checker.check(macro, known(BENCH));
    List<Mark> marks = Checker.check(macro, known(ABROAD));
    if (!namesLabels(macro) || !before.isEmpty()) {
      return; // nothing in it is a label, or it is wrong at home already
    }
    Labels labels = LIBRARY.description(macro.application()).labels(THERE);
    List<Mark> language =
        marks.stream().filter(m -> m.fault() == Mark.Fault.OTHER_LANGUAGE).toList();
    assertThat(language).isNotEmpty();
    for (Mark m : language) {
      Step at = Outline.at(macro.steps(), m.number()).orElseThrow().step();
      if (at instanceof Step.Choose(var path) && path.stream().allMatch(t -> t.names().isEmpty())) {
        assertThat(m.mended()).contains(step(at, labels));
      }
    }
    Trace trace = run(macro.id(), LIBRARY, computer(ABROAD));
    if (trace.ending() instanceof Trace.Failed(var n, Step.Choose c, String expected, var found)) {
      assertThat(expected).startsWith("a menu path, in xx X ");
    }
  }

  @Test
  void theAuditFlagsWhatIsOfAnotherLanguage() {
    assertThat(language(BENCH)).isZero();
    assertThat(language(ABROAD)).isGreaterThan(20);
  }

  private static long language(Station station) {
    Keymap keymap = Keymap.of(LIBRARY, station);
    return Auditor.audit(new Subject(LIBRARY, keymap, known(station), new Setup(Map.of()))).stream()
        .filter(c -> c.kind() == ConflictKind.MISSING)
        .filter(c -> c.detail().toString().contains("OTHER_LANGUAGE"))
        .count();
  }

  /** A language nobody described is one in which nothing is known to be called otherwise. */
  @Test
  void ofALanguageNobodyDescribedNothingIsKnown() {
    Station unknown =
        BENCH.with(
            new Station.Installed(
                "tagpress",
                "3.2",
                List.copyOf(StandIns.on(BENCH, LIBRARY).get("tagpress").facts().addOns()),
                "pl"));
    StandIn<?> tagpress = StandIns.on(unknown, LIBRARY).get("tagpress");
    assertThat(tagpress.facts().labels()).isEqualTo(new Labels("pl", Map.of()));
    assertThat(tagpress.facts().menu())
        .isEqualTo(StandIns.on(BENCH, LIBRARY).get("tagpress").facts().menu());
  }
}
