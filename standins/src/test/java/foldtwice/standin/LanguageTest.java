package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.AddOn;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Manner;
import foldtwice.routine.Readout;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Run;
import foldtwice.run.Status;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.copystand.Copystand;
import foldtwice.standin.desk.Desk;
import foldtwice.standin.muniment.Muniment;
import foldtwice.standin.tagpress.Tagpress;
import foldtwice.standin.vasculum.Vasculum;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Notation;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The steps of the macro language, on the programs of one simulated computer. */
class LanguageTest {

  private final SimulatedComputer computer = SimulatedComputer.fresh();
  private Library library = Demo.LIBRARY;

  private static Routine.Macro macro(String application, Step... steps) {
    return Routine.Macro.of(
        "m", "M", application, List.of(), Stream.of(steps).map(Line::new).toList());
  }

  private Run begin(Routine routine, Map<String, Value> arguments) {
    computer.bringToFront(routine.application());
    Keymap keymap = Keymap.of(library, library.stations().get("camera-bench"));
    return Run.of(
        routine, arguments, new Trial(library, keymap, computer, Ecmascript.ENGINE).around());
  }

  private Trace run(String application, Step... steps) {
    return begin(macro(application, steps), Map.of()).toEnd();
  }

  private Trace demo(String routine, String... arguments) {
    Routine r = library.routines().get(routine);
    Map<String, Value> values = new HashMap<>();
    for (String a : arguments) {
      String[] f = a.split("=", 2);
      values.put(f[0], r.parameter(f[0]).orElseThrow().kind().read(f[1]));
    }
    return begin(r, values).toEnd();
  }

  private static Expr e(String text) {
    return ExprNotation.read(text);
  }

  private static Step.Choose choose(String... menu) {
    return new Step.Choose(Template.all(List.of(menu)));
  }

  private static void failed(Trace trace, String number, String expected, String found) {
    assertThat(trace.ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class,
            f -> {
              assertThat(f.number()).isEqualTo(number);
              assertThat(f.expected()).contains(expected);
              assertThat(f.found()).contains(found);
            });
  }

  @Test
  void aValueStepsSetsAndKeepsToItsRange() {
    Copystand shots = (Copystand) computer.programs().get("copystand");
    demo("exposure-step", "by=0.5 EV");
    assertThat(shots.values().get("exposure").shown()).isEqualTo("0.5 EV");
    demo("exposure-to", "to=4 EV");
    demo("exposure-step", "by=2 EV");
    assertThat(shots.values().get("exposure").shown()).as("clamped").isEqualTo("4 EV");
    Step beyond = new Step.Adjust("exposure", Step.Adjusting.TO, e("9 EV"), Step.Edge.REPORT);
    failed(run("copystand", beyond), "1", "from -4 EV to 4 EV", "9 EV");
    Step other = new Step.Adjust("exposure", Step.Adjusting.TO, e("9 K"), Step.Edge.REPORT);
    failed(run("copystand", other), "1", "an amount in EV", "9 K");
  }

  @Test
  void aLoopOverWhatIsSelectedGivesTheSelectionBack() {
    Copystand shots = (Copystand) computer.programs().get("copystand");
    shots.fire("select-all");
    List<String> selected = shots.selected();
    Trace trace = demo("straighten-tilted", "limit=0.5\u00b0");
    assertThat(trace.wentWell()).isTrue();
    assertThat(shots.document().shots().stream().map(s -> s.amount("tilt")).toList())
        .as("tilted by more than half a degree before: 0.8, 1.4, -2.1, -0.9")
        .containsExactly(0.0, -0.3, 0.0, 0.0, 0.0, 0.4, 0.2, 0.0);
    assertThat(shots.selected()).isEqualTo(selected);
    shots.undo();
    assertThat(shots.document().shots().getFirst().amount("tilt")).as("one undo").isEqualTo(0.8);
  }

  @Test
  void aPauseOffersValuesAndGoesOnOrGivesUpCleanly() {
    Copystand shots = (Copystand) computer.programs().get("copystand");
    shots.change("ruler", new Value.Text("cm"));
    Map<String, String> before = shots.state();
    Run given = begin(library.routines().get("send-reading-copies"), Map.of());
    while (given.status() instanceof Status.Ready) {
      given.step();
    }
    assertThat(given.status())
        .isInstanceOfSatisfying(
            Status.Asking.class,
            a -> {
              assertThat(a.byHand()).isTrue();
              assertThat(a.questions())
                  .singleElement()
                  .extracting(Status.Asked::name)
                  .isEqualTo("limit");
            });
    assertThat(given.answer(Map.of("limit", Value.Amount.of(3))))
        .as("the wrong kind is not taken")
        .containsKey("limit");
    given.giveUp();
    assertThat(given.trace().ending()).isEqualTo(new Trace.GivenUp("8"));
    assertThat(given.trace().wentWell()).isFalse();
    assertThat(shots.settings().get("ruler").shown()).as("put back").isEqualTo("cm");
    shots.undo();
    assertThat(shots.state()).isEqualTo(before);
    Trace whole = demo("send-reading-copies", "long side=1024 px");
    assertThat(whole.ending()).isEqualTo(new Trace.Finished());
    assertThat(shots.sent()).containsExactly("reading 2031-05-08.jpeg");
    assertThat(shots.queue()).as("it waited for the queue").isZero();
    assertThat(shots.document().last().orElseThrow().longSide()).isEqualTo(1024);
  }

  @Test
  void startingAProgramTakesTimeAndWithoutTheWaitTextGoesElsewhere() {
    Desk desk = computer.desk();
    assertThat(demo("convert-length", "unit=mm").ending()).isEqualTo(new Trace.Finished());
    assertThat(desk.document().converted()).as("5 in = 127 mm exactly").isEqualTo("127 mm");
    SimulatedComputer other = SimulatedComputer.fresh();
    other.bringToFront("muniment");
    Keymap keymap = Keymap.of(library, library.stations().get("camera-bench"));
    Trace hasty =
        Run.of(
                macro(
                    "desk",
                    new Step.StartProgram("converter", List.of()),
                    new Step.TypeText(new Template("5 in"))),
                Map.of(),
                new Trial(library, keymap, other, Ecmascript.ENGINE).around())
            .toEnd();
    assertThat(hasty.ending()).isEqualTo(new Trace.Finished());
    assertThat(((Muniment) other.programs().get("muniment")).document().text())
        .as("the keys landed in the console, which was in front")
        .isEqualTo("5 in");
    assertThat(other.desk().document().typed()).isEmpty();
  }

  @Test
  void aWaitThatRunsOutSaysSo() {
    Step wait =
        new Step.WaitUntil(
            new Condition.Reads(
                new Readout.Indicator("export queue"), Condition.Relation.IS, e("7")),
            e("2 s"));
    long before = computer.clock().millis();
    failed(run("copystand", wait), "1", "to go on within 2 s", "still waiting");
    assertThat(computer.clock().millis() - before).isEqualTo(2000);
  }

  @Test
  void heldModifiersSpoilTypingUntilLetGo() {
    Vasculum register = (Vasculum) computer.programs().get("vasculum");
    register.fire("edit-cell");
    Step type = new Step.TypeText(new Template("x"));
    computer.hold(Modifiers.of(Modifier.CTRL, Modifier.ALT));
    failed(run("vasculum", choose("Edit", "Edit cell"), type), "2", "no modifier down", "Ctrl+Alt");
    computer.hold(Modifiers.of(Modifier.CTRL));
    assertThat(
            run(
                    "vasculum",
                    new Step.Modifiers(Step.Holding.RELEASE),
                    choose("Edit", "Edit cell"),
                    type)
                .ending())
        .isEqualTo(new Trace.Finished());
    computer.hold(Modifiers.of(Modifier.CTRL));
    assertThat(
            run(
                    "vasculum",
                    new Step.Modifiers(Step.Holding.IGNORE),
                    choose("Edit", "Edit cell"),
                    type)
                .ending())
        .isEqualTo(new Trace.Finished());
  }

  @Test
  void aRoutineThatRunsItselfInACircleIsStopped() {
    Routine.Macro circle =
        Routine.Macro.of(
            "circle",
            "Circle",
            "tagpress",
            List.of(),
            List.of(
                new Line(choose("Edit", "Duplicate")),
                new Line(new Step.RunRoutine("circle", Map.of()))));
    library = new Edit.PutRoutine(circle).on(library);
    Tagpress sheet = (Tagpress) computer.programs().get("tagpress");
    Map<String, String> before = sheet.state();
    Trace trace = begin(circle, Map.of()).toEnd();
    assertThat(trace.ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class,
            f -> {
              assertThat(f.expected()).contains("at most 16 deep");
              assertThat(f.number()).startsWith("2/2/2/");
            });
    sheet.undo();
    assertThat(sheet.state()).as("one undo away").isEqualTo(before);
  }

  @Test
  void routinesRunRoutinesAcrossPrograms() {
    assertThat(demo("overdue-to-notes", "days=30").ending()).isEqualTo(new Trace.Finished());
    assertThat(computer.desk().document().notes()).contains("FH-0");
    assertThat(computer.desk().front()).isEqualTo(Desk.NOTEPAD);
    Vasculum register = (Vasculum) computer.programs().get("vasculum");
    register.selectNamed("Taxon 5", false);
    assertThat(demo("name-to-label").ending()).isEqualTo(new Trace.Finished());
    assertThat(
            ((Tagpress) computer.programs().get("tagpress")).document().boxes().getFirst().text())
        .isEqualTo("Fernhollow Herbarium Drosera anglica");
  }

  @Test
  void pressedKeysAreResolvedLikeAPersons() {
    Vasculum register = (Vasculum) computer.programs().get("vasculum");
    assertThat(run("vasculum", new Step.PressKeys(Notation.read("Ctrl+[Digit3]"))).ending())
        .isEqualTo(new Trace.Finished());
    assertThat(register.document().flags()).containsValue("moss");
    failed(
        run("vasculum", new Step.PressKeys(Notation.read("Ctrl+F12"))),
        "1",
        "somebody to take Ctrl+F12",
        "nobody does");
  }

  @Test
  void whatAProgramLacksEndsTheRunBeforeItBegins() {
    Routine.Macro newer = macro("copystand", choose("Strip", "Next"));
    newer = newer.with(newer.head().with(Manner.PLAIN.fromVersion("9.0")));
    failed(begin(newer, Map.of()).trace(), "", "copystand 9.0 or later", "4.1");
    Routine off = newer.withCard(newer.card().off(true)).withManner(Manner.PLAIN);
    failed(begin(off, Map.of()).trace(), "", "a routine that is switched on", "switched off");
    Manner addOn = Manner.PLAIN.withAddOns(List.of(new AddOn("Ruler", "")));
    failed(begin(newer.withManner(addOn), Map.of()).trace(), "", "the add-on Ruler", "not there");
  }

  @Test
  void aLineThatIsSwitchedOffIsPassedOver() {
    Routine.Macro macro =
        Routine.Macro.of(
            "m",
            "M",
            "tagpress",
            List.of(),
            List.of(
                new Line(choose("no", "such")).switchedOn(false),
                new Line(choose("Edit", "Select all"))));
    Trace trace = begin(macro, Map.of()).toEnd();
    assertThat(trace.ending()).isEqualTo(new Trace.Finished());
    assertThat(trace.entries()).hasSize(1);
  }

  @Test
  void theLastCommandOnceMoreAndAListOfValues() {
    Tagpress sheet = (Tagpress) computer.programs().get("tagpress");
    assertThat(run("tagpress", choose("Edit", "Duplicate"), new Step.Again()).ending())
        .isEqualTo(new Trace.Finished());
    assertThat(sheet.document().boxes()).hasSize(18);
    for (String unit : List.of("in", "pt", "pica", "mm")) {
      demo("next-unit");
      assertThat(sheet.unit().symbol()).isEqualTo(unit);
    }
    run(
        "tagpress",
        new Step.ForEach(
            "name",
            new Step.Items.LinesOf(e("'box 2\nbox 3'")),
            List.of(
                new Line(
                    new Step.Select(new Whom.Named(new Template("\u2039name\u203a")), true)))));
    assertThat(sheet.selected()).endsWith("box 2", "box 3");
  }

  @Test
  void numberedPlacesWorkAfterTheyAreSwitchedOnAtThisStart() {
    failed(demo("set-place", "number=1"), "1", "switched on at this start", "they are off");
    demo("places-on");
    computer.programs().get("trackway").click("Cairn", false);
    demo("set-place", "number=1");
    computer.programs().get("trackway").click("", false);
    demo("go-to-place", "number=1");
    assertThat(computer.programs().get("trackway").selected()).containsExactly("Cairn");
    computer.programs().get("trackway").restart();
    failed(demo("go-to-place", "number=1"), "1", "switched on at this start", "they are off");
  }

  @Test
  void aSettingThatWaitsForARestartHoldsOnlyThen() {
    Tagpress sheet = (Tagpress) computer.programs().get("tagpress");
    sheet.change(Tagpress.MARKS, new Value.Text("frame"));
    assertThat(sheet.settings().get(Tagpress.MARKS).shown()).isEqualTo("corners");
    assertThat(sheet.pending()).containsExactly("cutting marks frame: after a restart");
    sheet.restart();
    assertThat(sheet.settings().get(Tagpress.MARKS).shown()).isEqualTo("frame");
    assertThat(sheet.pending()).isEmpty();
  }

  @Test
  void aRunAsksForItsArgumentsWhenItSaysSo() {
    Run run = begin(library.routines().get("send-archive-copy"), Map.of());
    assertThat(run.status())
        .isInstanceOfSatisfying(
            Status.Asking.class,
            a -> {
              assertThat(a.number()).isEmpty();
              assertThat(a.questions().getFirst().kind()).isInstanceOf(Kind.Words.class);
            });
    run.answer(Map.of("name", new Value.Text("FH 7")));
    assertThat(run.toEnd().ending()).isEqualTo(new Trace.Finished());
    assertThat(((Copystand) computer.programs().get("copystand")).sent())
        .containsExactly("archive FH 7.tiff");
  }
}
