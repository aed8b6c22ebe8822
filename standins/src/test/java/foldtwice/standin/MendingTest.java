package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.outline.Outline;
import foldtwice.outline.StepParts;
import foldtwice.place.Station;
import foldtwice.reading.Checker;
import foldtwice.reading.Mark;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Readout;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.StepKinds;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.run.Run;
import foldtwice.run.Trace;
import foldtwice.standin.base.StandIn;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Taking the nearest right thing mends what is wrong with a step and leaves all else of it. */
class MendingTest {

  private static final Known HERE = Demo.known("camera-bench");
  private static final Station STATION = Demo.LIBRARY.stations().get("camera-bench");
  private static final Expr ONE = new Expr.Literal(Value.Amount.of(1));

  /** A name somebody has to get right, and the steps it can stand in. */
  private record Spot(String right, Function<String, Step> in) {}

  private static Line note(String text) {
    return new Line(new Step.Note(new Template(text)));
  }

  private static Function<String, Step> inCondition(
      Function<String, Condition> leaf, Random random) {
    int wrap = random.nextInt(5);
    boolean waits = random.nextInt(3) == 0;
    Condition other = new Condition.SomethingSelected();
    Function<String, Condition> whole =
        name -> {
          Condition c = leaf.apply(name);
          return switch (wrap) {
            case 0 -> c;
            case 1 -> new Condition.Not(c);
            case 2 -> new Condition.All(List.of(other, c));
            case 3 -> new Condition.Any(List.of(new Condition.Not(c), other));
            default -> new Condition.All(List.of(new Condition.Any(List.of(other, c)), other));
          };
        };
    return name ->
        waits
            ? new Step.WaitUntil(whole.apply(name), ONE)
            : new Step.If(
                whole.apply(name), List.of(note("then"), note("more")), List.of(note("else")));
  }

  /** Every name a program, the library and the other programs give, in each step that asks it. */
  private static List<Spot> spots(Facts facts, Random random) {
    List<Spot> all = new ArrayList<>();
    for (String s : facts.settings().keySet()) {
      all.add(new Spot(s, n -> new Step.Read(new Readout.Setting(n), "x")));
      all.add(read(s, Readout.Setting::new, random));
    }
    for (String s : facts.values().keySet()) {
      all.add(new Spot(s, n -> new Step.Adjust(n, Step.Adjusting.BY, ONE, Step.Edge.CLAMP)));
      all.add(new Spot(s, n -> new Step.Read(new Readout.Adjustable(n), "x")));
      all.add(read(s, Readout.Adjustable::new, random));
    }
    for (String s : facts.indicators()) {
      all.add(new Spot(s, n -> new Step.Read(new Readout.Indicator(n), "x")));
      all.add(read(s, Readout.Indicator::new, random));
    }
    for (Facts.Dialog d : facts.dialogs()) {
      all.add(new Spot(d.title(), inCondition(Condition.DialogOpen::new, random)));
    }
    for (Facts.Command c : facts.commands()) {
      if (!c.menu().isEmpty()) {
        String path = String.join(StepParts.UNDER, c.menu());
        all.add(new Spot(path, n -> new Step.Choose(StepParts.menu(n))));
        all.add(new Spot(path, inCondition(n -> new Condition.Ticked(StepParts.menu(n)), random)));
      }
    }
    for (String s : HERE.windows()) {
      all.add(new Spot(s, Step.BringToFront::new));
      all.add(new Spot(s, n -> new Step.StartProgram(n, List.of(new Template("-v")))));
      all.add(new Spot(s, inCondition(Condition.InFront::new, random)));
    }
    for (String s : HERE.routines()) {
      all.add(new Spot(s, n -> new Step.RunRoutine(n, Map.of())));
      for (Parameter p : HERE.routine(s).orElseThrow().parameters()) {
        all.add(new Spot(p.name(), n -> new Step.RunRoutine(s, arguments(p, n))));
      }
    }
    return all;
  }

  private static Map<String, Expr> arguments(Parameter of, String name) {
    Map<String, Expr> given = new LinkedHashMap<>();
    given.put(name, new Expr.Literal(of.otherwise()));
    return given;
  }

  private static Spot read(String name, Function<String, Readout> what, Random random) {
    return new Spot(
        name,
        inCondition(n -> new Condition.Reads(what.apply(n), Condition.Relation.IS, ONE), random));
  }

  /** One letter wrong: another, none, or one too many. */
  private static String wrong(String right, Random random) {
    int at = random.nextInt(right.length());
    return switch (random.nextInt(3)) {
      case 0 -> right.substring(0, at) + "q" + right.substring(at + 1);
      case 1 -> right.substring(0, at) + right.substring(at + 1);
      default -> right.substring(0, at) + "q" + right.substring(at);
    };
  }

  private static Routine.Macro macro(String application, Step step) {
    return Routine.Macro.of(
        "written", "Written", application, List.of(), List.of(note("before"), new Line(step)));
  }

  private static boolean isLike(Mark a, Mark b) {
    return a.number().equals(b.number()) && a.fault() == b.fault() && a.found().equals(b.found());
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void theNearestRightNameMendsAStepAndNothingElse(long seed) {
    Random random = new Random(seed);
    int taken = 0;
    Set<String> faults = new HashSet<>();
    for (String application : Demo.LIBRARY.applications().keySet()) {
      Optional<Facts> facts = HERE.program(application);
      if (facts.isEmpty()) {
        continue;
      }
      for (Spot spot : spots(facts.get(), random)) {
        String wrong = wrong(spot.right(), random);
        if (wrong.isBlank() || wrong.equals(spot.right())) {
          continue;
        }
        Step step = spot.in().apply(wrong);
        Routine.Macro macro = macro(application, step);
        for (Mark mark : Checker.check(macro, HERE)) {
          if (mark.mended().isEmpty()) {
            continue;
          }
          faults.add(mark.fault().name());
          Step mended = mark.mended().get();
          String what = application + ": " + step;
          assertThat(StepKinds.of(mended)).as(what).isEqualTo(StepKinds.of(step));
          assertThat(mended.bodies()).as(what).isEqualTo(step.bodies());
          assertThat(mended).as("it is another: %s", what).isNotEqualTo(step);
          assertThat(apart(mended, step)).as(what).isEqualTo(1);
          Routine.Macro after =
              macro.withSteps(Outline.change(macro.steps(), "2", l -> l.with(mended)));
          assertThat(Checker.check(after, HERE)).as(what).noneMatch(m -> isLike(m, mark));
          taken++;
        }
      }
    }
    assertThat(taken).isGreaterThan(300);
    assertThat(faults)
        .contains(
            "NO_SUCH_SETTING",
            "NO_SUCH_VALUE",
            "NO_SUCH_DIALOG",
            "NO_SUCH_MENU",
            "NO_SUCH_PROGRAM",
            "NO_SUCH_ROUTINE",
            "NO_SUCH_PARAMETER");
  }

  /** How many of its parts are other than they were. */
  private static long apart(Step a, Step b) {
    List<StepParts.Part> one = StepParts.of(a);
    List<StepParts.Part> other = StepParts.of(b);
    assertThat(one).hasSameSizeAs(other);
    return IntStream.range(0, one.size())
        .filter(i -> !one.get(i).text().equals(other.get(i).text()))
        .count();
  }

  /** What is written with one letter wrong is told with the right name, wherever it stands. */
  @Test
  void aConditionOnWhatIsGoneKeepsWhatIsInside() {
    Facts facts = HERE.program("copystand").orElseThrow();
    List<String> path =
        facts.commands().stream()
            .map(Facts.Command::menu)
            .filter(m -> m.size() > 1)
            .findFirst()
            .orElseThrow();
    List<String> wrong = new ArrayList<>(path);
    wrong.set(path.size() - 1, path.getLast() + "q");
    Step step =
        new Step.If(
            new Condition.Ticked(Template.all(wrong)), List.of(note("kept")), List.of(note("too")));
    Mark mark = Checker.check(macro("copystand", step), HERE).getFirst();
    assertThat(mark.mended())
        .contains(
            new Step.If(
                new Condition.Ticked(Template.all(path)),
                List.of(note("kept")),
                List.of(note("too"))));
  }

  /** A name may be written with blanks around it: they do not matter. */
  @Test
  void anInsertionWithBlanksIsMendedToo() {
    Template wrong = new Template("\u2039 today \u203a and \u2039 tody \u203a");
    for (Step step :
        List.of(
            new Step.Note(wrong),
            new Step.TypeText(wrong),
            new Step.Stop(wrong),
            new Step.Choose(List.of(new Template("Image"), wrong)))) {
      Mark mark =
          Checker.check(macro("copystand", step), HERE).stream()
              .filter(m -> m.fault() == Mark.Fault.UNKNOWN_NAME)
              .findFirst()
              .orElseThrow();
      Step mended = mark.mended().orElseThrow();
      assertThat(Checker.check(macro("copystand", mended), HERE))
          .as(step.toString())
          .noneMatch(m -> m.fault() == Mark.Fault.UNKNOWN_NAME);
      assertThat(mended.toString()).contains("\u2039today\u203a and \u2039today\u203a");
    }
  }

  @Test
  void twoQuestionsOfOneNameAreToldAndParted() {
    Kind text = new Kind.Words();
    Expr otherwise = new Expr.Literal(new Value.Text("x"));
    for (boolean asks : new boolean[] {true, false}) {
      List<Step.Question> questions =
          Stream.of("width", "width 2", "width")
              .map(n -> new Step.Question(n, text, otherwise))
              .toList();
      Template says = new Template("How?");
      Step step = asks ? new Step.Ask(says, questions) : new Step.Pause(says, questions);
      List<Mark> marks = Checker.check(macro("copystand", step), HERE);
      assertThat(marks).extracting(Mark::fault).containsExactly(Mark.Fault.ASKED_TWICE);
      assertThat(marks.getFirst().mended().orElseThrow().questions())
          .extracting(Step.Question::variable)
          .containsExactly("width", "width 2", "width 3");
    }
  }

  /** A run goes round a million times at most: more is told while it is written. */
  @Test
  void aLoopThatGoesRoundMoreOftenThanARunDoesIsTold() {
    for (String times : List.of("1000001", "2.5", "-1000001")) {
      assertThat(marksOfRepeating(times)).as(times).containsExactly(Mark.Fault.OUT_OF_RANGE);
    }
    for (String times : List.of("0", "1", "1000000")) {
      assertThat(marksOfRepeating(times)).as(times).isEmpty();
    }
  }

  private static List<Mark.Fault> marksOfRepeating(String times) {
    Expr often = new Expr.Literal(new Value.Amount(new java.math.BigDecimal(times)));
    return Checker.check(macro("copystand", new Step.Repeat(often, List.of(note("again")))), HERE)
        .stream()
        .map(Mark::fault)
        .toList();
  }

  /**
   * A routine in a program that lacks half of what it needs: what a run refuses because there is no
   * such thing was marked beforehand, in that step or in one before it.
   */
  @Test
  void whatAnotherProgramLacksIsMarkedBeforeItIsRun() {
    int refused = 0;
    for (Routine routine : Demo.LIBRARY.routines().values()) {
      if (!(routine instanceof Routine.Macro macro)) {
        continue;
      }
      for (StandIn<?> program : StandIns.on(STATION, Demo.LIBRARY).values()) {
        Routine.Macro moved = macro.with(macro.head().inApplication(program.application()));
        List<Mark> marks = Checker.check(moved, HERE);
        Trace trace = Run.whole(moved, Map.of(), program);
        if (trace.ending() instanceof Trace.Failed failed && isNamed(failed.step())) {
          boolean told = marks.stream().anyMatch(m -> !isAfter(m.number(), failed.number(), moved));
          assertThat(told || isThere(failed.step(), program.facts()))
              .as("%s in %s: %s", moved.name(), program.application(), failed)
              .isTrue();
          refused++;
        }
      }
    }
    assertThat(refused).isGreaterThan(50);
  }

  /** True for what there is, and cannot be done now: nothing is selected, or switched on. */
  private static boolean isThere(Step step, Facts facts) {
    return step instanceof Step.Choose(List<Template> path)
        && facts.commands().stream().anyMatch(c -> isOf(path, c.menu()));
  }

  private static boolean isOf(List<Template> path, List<String> menu) {
    return path.size() == menu.size()
        && IntStream.range(0, menu.size())
            .allMatch(
                i -> !path.get(i).names().isEmpty() || path.get(i).source().equals(menu.get(i)));
  }

  private static boolean isNamed(Step step) {
    return step instanceof Step.Choose
        || step instanceof Step.Fill
        || step instanceof Step.PressButton
        || step instanceof Step.ChangeSetting
        || step instanceof Step.Cycle
        || step instanceof Step.Adjust
        || step instanceof Step.Read;
  }

  private static boolean isAfter(String number, String than, Routine.Macro macro) {
    List<String> all = Outline.rows(macro.steps()).stream().map(Outline.Row::number).toList();
    return all.indexOf(number) > all.indexOf(than);
  }
}
