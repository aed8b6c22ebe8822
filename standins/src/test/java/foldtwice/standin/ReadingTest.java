package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.known.Touch;
import foldtwice.outline.Outline;
import foldtwice.reading.Checker;
import foldtwice.reading.Mark;
import foldtwice.reading.Reading;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Readout;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.run.Around;
import foldtwice.run.Program;
import foldtwice.run.Run;
import foldtwice.run.Status;
import foldtwice.standin.base.StandIn;
import foldtwice.words.StepWords;
import foldtwice.writing.StepFinder;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a reading says beforehand agrees with what running does. */
class ReadingTest {

  private static final Known HERE = Demo.known("camera-bench");
  private static final String WORDS = "shift select choose fill press change exposure move leave";

  private static String words(Step step) {
    return StepWords.verb(step) + " " + StepWords.rest(step);
  }

  /** A macro of steps the finder offers for the program, some in a loop, some switched off. */
  private static Routine.Macro macro(String application, Random random) {
    StepFinder finder = new StepFinder(application, HERE, ReadingTest::words);
    List<Step> offered = new ArrayList<>();
    for (String word : WORDS.split(" ")) {
      offered.addAll(finder.find(word));
    }
    List<List<String>> menus =
        HERE.program(application).orElseThrow().commands().stream()
            .map(Facts.Command::menu)
            .filter(m -> !m.isEmpty())
            .toList();
    List<Line> lines = new ArrayList<>();
    for (int i = random.nextInt(1, 9); i > 0; i--) {
      Step step =
          random.nextInt(3) == 0
              ? offered.get(random.nextInt(offered.size()))
              : new Step.Choose(Template.all(menus.get(random.nextInt(menus.size()))));
      if (step instanceof Step.RunRoutine || step instanceof Step.Capture) {
        continue;
      }
      Line line = new Line(step).switchedOn(random.nextInt(8) > 0);
      lines.add(
          random.nextInt(5) == 0
              ? new Line(
                  new Step.Repeat(
                      foldtwice.routine.ExprNotation.read(Integer.toString(random.nextInt(3))),
                      List.of(line)))
              : line);
    }
    return Routine.Macro.of("m", "M", application, List.of(), lines);
  }

  private static Touch touch(String what) {
    if (what.startsWith("selection")) {
      return Touch.SELECTION;
    }
    if (what.startsWith("view") || what.startsWith("field")) {
      return Touch.VIEW;
    }
    if (what.startsWith("file")) {
      return Touch.FILES;
    }
    if (what.startsWith("window")) {
      return Touch.WINDOWS;
    }
    return what.startsWith("clipboard") ? Touch.CLIPBOARD : Touch.OBJECTS;
  }

  /** Changed for the run and taken up by a new window, it is put back for the next one only. */
  @Test
  void whatANewWindowTookUpIsLeft() {
    runningChangesNoMoreThanTheReadingSays(1680193L);
  }

  /** An answer without rows has no keys: they go back to where one writes. */
  @Test
  void whatEmptiesTheAnswerTakesTheKeysFromIt() {
    runningChangesNoMoreThanTheReadingSays(-17623062616684L);
  }

  /** Running changes no kind of thing and leaves no setting that the reading did not say. */
  @Property(tries = 400)
  void runningChangesNoMoreThanTheReadingSays(@ForAll long seed) {
    Random random = new Random(seed);
    List<String> ids = StandIns.ids();
    String id = ids.get(random.nextInt(ids.size()));
    Program program = StandIns.of(id).orElseThrow();
    for (int i = random.nextInt(3); i > 0; i--) {
      List<String> commands = ((StandIn<?>) program).commandIds();
      program.fire(commands.get(random.nextInt(commands.size())));
    }
    program.cancel();
    Routine.Macro macro = macro(id, random);
    Reading reading = Reading.of(macro, HERE);
    Map<String, String> before = program.state();
    int depth = program.undoDepth();
    Run run = Run.of(macro, Map.of(), Around.alone(program));
    run.toEnd();
    assertThat(run.status()).isInstanceOf(Status.Over.class);
    Map<String, String> after = program.state();
    Set<String> keys = new TreeSet<>(before.keySet());
    keys.addAll(after.keySet());
    Set<Touch> touched = EnumSet.noneOf(Touch.class);
    Set<String> left = new TreeSet<>();
    for (String key : keys) {
      if (java.util.Objects.equals(before.get(key), after.get(key)) || key.equals("view place")) {
        continue;
      }
      if (key.startsWith("setting ")) {
        left.add(key.substring("setting ".length()).replaceAll(" later$", ""));
      } else {
        touched.add(touch(key));
      }
    }
    if (program.undoDepth() < depth) {
      touched.add(Touch.UNDO_HISTORY);
    }
    if (reading.beyond().isEmpty()) {
      assertThat(reading.touches()).as(Outline.rows(macro.steps()).toString()).containsAll(touched);
      Set<String> told = new TreeSet<>(reading.leaves());
      if (run.trace().endedBadly()) {
        told.addAll(reading.putBack()); // by steps it did not come to
      }
      assertThat(told).as(Outline.rows(macro.steps()).toString()).containsAll(left);
    }
  }

  /** What a routine changes and changes back to what it read before, on every way out. */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        // steps: keep, change, back, and what changes the variable or leads elsewhere; left or not
        "keep change back; false",
        "change keep back; true",
        "keep change; true",
        "keep back; false",
        "keep change set back; true",
        "keep change keep back; true",
        "keep change if(back); true",
        "keep if(change) back; false",
        "keep change if(stop) back; true",
        "keep change if(back stop) back; false",
        "keep if(change back) change; true",
        "keep change repeat(back); true",
        "keep repeat(change) back; false",
        "repeat(keep change back); false",
        "keep repeat(keep change) back; true",
        "keep change ask back; true",
        "keep ask change back; false",
        "keep if(keep) change back; true",
      })
  void whatIsPutBackByHand(String written, boolean left) {
    Routine.Macro macro =
        Routine.Macro.of(
            "r", "R", "tagpress", List.of(), lines(List.of(written.split("(?<=[ (])|(?=[)])"))));
    Reading reading = Reading.of(macro, HERE);
    assertThat(reading.leaves().contains("unit")).isEqualTo(left);
    Program program = StandIns.of("tagpress").orElseThrow();
    Map<String, String> before = program.state();
    Run.of(macro, Map.of(), Around.alone(program)).toEnd();
    boolean changed = !before.get("setting unit").equals(program.state().get("setting unit"));
    assertThat(left || !changed).as("never less than happens").isTrue();
  }

  private static List<Line> lines(List<String> words) {
    Deque<List<Line>> open = new ArrayDeque<>(List.of(new ArrayList<>()));
    Deque<String> opened = new ArrayDeque<>();
    for (String word : words) {
      switch (word.strip()) {
        case "" -> {}
        case "keep" -> add(open, new Step.Read(new Readout.Setting("unit"), "v"));
        case "change" ->
            add(
                open,
                new Step.ChangeSetting("unit", ExprNotation.read("'pt'"), Step.Lasting.FOR_GOOD));
        case "back" ->
            add(open, new Step.ChangeSetting("unit", new Expr.Name("v"), Step.Lasting.FOR_GOOD));
        case "set" -> add(open, new Step.SetVariable("v", ExprNotation.read("'mm'")));
        case "stop" -> add(open, new Step.Stop(new Template("")));
        case "ask" ->
            add(
                open,
                new Step.Ask(
                    new Template("?"),
                    List.of(new Step.Question("w", new Kind.Words(), ExprNotation.read("'x'")))));
        case "if(", "repeat(" -> {
          opened.push(word.strip());
          open.push(new ArrayList<>());
        }
        case ")" -> {
          List<Line> body = open.pop();
          add(
              open,
              opened.pop().equals("if(")
                  ? new Step.If(new Condition.SomethingSelected(), body, List.of())
                  : new Step.Repeat(ExprNotation.read("2"), body));
        }
        default -> throw new IllegalArgumentException(word);
      }
    }
    return open.pop();
  }

  private static void add(Deque<List<Line>> open, Step step) {
    open.peek().add(new Line(step));
  }

  @Test
  void theDemoRoutinesReadAsTheyAre() {
    Reading shift = Reading.of(Demo.LIBRARY.routines().get("shift-boxes"), HERE);
    assertThat(shift.putBack()).containsExactly("unit");
    assertThat(shift.leaves()).isEmpty();
    assertThat(shift.needsSelection()).isTrue();
    Reading unit = Reading.of(Demo.LIBRARY.routines().get("next-unit"), HERE);
    assertThat(unit.leaves()).containsExactly("unit");
    assertThat(unit.onlySettings()).isTrue();
    assertThat(Reading.of(Demo.LIBRARY.routines().get("compact-and-save"), HERE).touches())
        .contains(Touch.UNDO_HISTORY, Touch.FILES);
    Reading send = Reading.of(Demo.LIBRARY.routines().get("send-reading-copies"), HERE);
    assertThat(send.beyond()).containsExactly(Reading.Beyond.PERSON);
    assertThat(Reading.of(Demo.LIBRARY.routines().get("fit-and-lock"), HERE).addOns())
        .containsExactly("Label fitter");
    assertThat(Reading.of(Demo.LIBRARY.routines().get("overdue-to-notes"), HERE).programs())
        .contains("muniment", "desk", "notepad");
  }

  private static List<Mark> marks(String routine, String station) {
    return Checker.check((Routine.Macro) Demo.LIBRARY.routines().get(routine), Demo.known(station));
  }

  @Test
  void onTheStationTheyWereMadeForNothingIsMarked() {
    for (Routine r : Demo.LIBRARY.routines().values()) {
      if (r instanceof Routine.Macro) {
        assertThat(marks(r.id(), "camera-bench")).as(r.id()).isEmpty();
      }
    }
  }

  @ParameterizedTest
  @CsvSource({
    "shift-boxes, mounting-table, OTHER_VERSION, Box \u203a Place \u203a Shift \u2026",
    "send-reading-copies, mounting-table, OTHER_VERSION, Strip \u203a Send out \u2026",
    "count-items, register-desk, OTHER_VERSION, Run \u203a Statement",
    "type-symbol, label-corner, NEEDS_ADD_ON, ",
    "copy-answer, register-desk, NEEDS_ADD_ON, ",
    "chain-to-last, label-corner, , "
  })
  void anotherVersionOrAMissingAddOnIsMarkedWithTheWayThere(
      String routine, String station, String fault, String nearest) {
    List<Mark> marks = marks(routine, station);
    if (fault == null) {
      assertThat(marks).as("selecting inside is no menu path").isEmpty();
      return;
    }
    assertThat(marks)
        .anySatisfy(
            m -> {
              assertThat(m.fault()).isEqualTo(Mark.Fault.valueOf(fault));
              assertThat(m.nearest()).isEqualTo(Optional.ofNullable(nearest));
            });
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '"',
      value = {
        "6|\u2039long side\u203a|\u2039long sid\u203a|UNKNOWN_NAME|long side",
        "6|Long side|Long syde|NO_SUCH_FIELD|Long side",
        "7|Apply|Aply|NO_SUCH_BUTTON|Apply",
        "2|ruler|rular|NO_SUCH_SETTING|ruler",
        "2|'px'|'ell'|OUT_OF_RANGE|",
        "12|'JPEG'|'JPG'|OUT_OF_RANGE|JPEG",
        "6|\u2039long side\u203a|5 mm|WRONG_KIND|",
        "3|Looks \u203a Reading|Looks \u203a Readign|NO_SUCH_MENU|Looks \u203a Reading",
        "9|straighten-tilted|straigten-tilted|NO_SUCH_ROUTINE|straighten-tilted",
        "14|30 s|30 EV|WRONG_KIND|",
      })
  void aSlipIsMarkedInItsStepWithTheNearestRightName(
      String number, String right, String wrong, String fault, String nearest) {
    Routine.Macro macro = (Routine.Macro) Demo.LIBRARY.routines().get("send-reading-copies");
    Step step = Outline.at(macro.steps(), number).orElseThrow().step();
    List<foldtwice.outline.StepFields.Field> fields = foldtwice.outline.StepFields.of(step);
    int field = -1;
    for (int i = 0; i < fields.size(); i++) {
      if (fields.get(i).text().equals(right)) {
        field = i;
      }
    }
    assertThat(field).as("the field that holds " + right).isNotNegative();
    Step slip = foldtwice.outline.StepFields.with(step, field, wrong);
    Routine.Macro broken =
        macro.withSteps(Outline.change(macro.steps(), number, l -> l.with(slip)));
    List<Mark> marks = Checker.check(broken, HERE);
    assertThat(marks).isNotEmpty();
    Mark first = marks.getFirst();
    assertThat(first.number()).isEqualTo(number);
    assertThat(first.fault()).isEqualTo(Mark.Fault.valueOf(fault));
    assertThat(first.nearest()).isEqualTo(Optional.ofNullable(nearest));
    if (nearest != null) {
      Step mended = first.mended().orElseThrow();
      assertThat(
              Checker.check(
                  broken.withSteps(Outline.change(broken.steps(), number, l -> l.with(mended))),
                  HERE))
          .as("taking the name mends it")
          .isEmpty();
    }
  }

  /** Whatever the finder offers for a few words can be added, and reads back as it was found. */
  @Test
  void typingWhatAStepShouldDoFindsIt() {
    StepFinder finder = new StepFinder("copystand", HERE, ReadingTest::words);
    assertThat(words(finder.find("reading").getFirst())).isEqualTo("Choose Looks \u203a Reading");
    assertThat(words(finder.find("exposure by 0.3").getFirst()))
        .isEqualTo("Adjust exposure by 0.3 EV; at the edge go as far as possible");
    assertThat(finder.find("repeat 3").getFirst()).isInstanceOf(Step.Repeat.class);
    assertThat(finder.find("keys Ctrl+M").getFirst()).isInstanceOf(Step.PressKeys.class);
    assertThat(words(finder.find("long side").getFirst())).isEqualTo("Fill Long side with 1 px");
    assertThat(finder.find("wait queue").getFirst()).isInstanceOf(Step.WaitUntil.class);
    assertThat(finder.find("zzz")).isEmpty();
  }
}
