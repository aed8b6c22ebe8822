package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.known.NothingElse;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.recording.Recording;
import foldtwice.recording.Retracing;
import foldtwice.recording.Route;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Scale;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.routine.Yardstick;
import foldtwice.routine.Yardstick.Meant;
import foldtwice.routine.Yardstick.Move;
import foldtwice.run.Act;
import foldtwice.run.Program;
import foldtwice.run.Run;
import foldtwice.run.Trace;
import foldtwice.standin.base.StandIn;
import foldtwice.trigger.Notation;
import foldtwice.words.ShorterWay;
import foldtwice.words.StepWords;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class RecordingTest {

  private static Recording record(Program program, Act... acts) {
    Recording recording = new Recording(program.application());
    for (Act act : acts) {
      recording.hear(act, act.on(program), program);
    }
    return recording;
  }

  private static String read(Recording recording) {
    return recording.steps().stream()
        .map(l -> StepWords.verb(l.step()) + " " + StepWords.rest(l.step()))
        .collect(Collectors.joining("; "));
  }

  private static Act choose(String... menu) {
    return new Act.Choose(List.of(menu));
  }

  private static Act click(String name) {
    return new Act.Click(name, false);
  }

  private static StandIn<?> fresh(String id) {
    return StandIns.all().get(id);
  }

  @Test
  void whatWasDoneIsNamedStepsWithUnits() {
    Recording recording =
        record(
            fresh("tagpress"),
            click("box 2"),
            choose("Box", "Shift \u2026"),
            new Act.Fill("Right by", "1"),
            new Act.Fill("Right by", "1.5"),
            new Act.PressButton("Shift"),
            new Act.PressButton("Close"));
    assertThat(read(recording))
        .isEqualTo(
            "Select box 2; Choose Box \u203a Shift \u2026; Fill Right by with 1.5 mm; Press Shift;"
                + " Press Close");
  }

  @Test
  void detoursAreLeftOut() {
    Recording recording =
        record(
            fresh("tagpress"),
            click("box 2"),
            click("box 5"),
            click("box 3"),
            choose("Box", "Size \u2026"),
            new Act.Fill("Width", "9"),
            new Act.PressButton("Close"),
            choose("Edit", "Duplicate"),
            choose("Edit", "Undo"),
            choose("Box", "Lock"));
    assertThat(read(recording)).isEqualTo("Select box 3; Choose Box \u203a Lock");
  }

  @Test
  void keysOfCommandsAreNamedByTheirMenuAndTypedTextIsOneText() {
    Recording recording =
        record(
            fresh("vasculum"),
            click("Note 2"),
            new Act.Fire("edit-cell", Optional.of(Notation.read("F2"))),
            new Act.Type("w"),
            new Act.Type("ed"),
            new Act.Fire("erase", Optional.of(Notation.read("Backspace"))),
            new Act.Type("t"),
            new Act.Fire("accept", Optional.of(Notation.read("Enter"))));
    assertThat(read(recording))
        .isEqualTo("Select Note 2; Choose Edit \u203a Edit cell; Type wet; Keys Enter");
  }

  @Test
  void severalAreSelectedAsTheyCameTo() {
    Recording recording =
        record(
            fresh("trackway"),
            click("Gate"),
            new Act.Click("Cairn", true),
            new Act.Click("Footbridge", true),
            new Act.Click("Cairn", true),
            choose("Leg", "Join selected"));
    assertThat(read(recording))
        .isEqualTo("Select Gate; Select Footbridge besides; Choose Leg \u203a Join selected");
  }

  /** Found by the property below. */
  @Test
  void aClickThatEndsALegIsNoDetour() {
    Recording recording =
        record(
            fresh("trackway"),
            click("Gate"),
            choose("Leg", "Draw from here"),
            click("Cairn"),
            click("Footbridge"));
    assertThat(read(recording))
        .isEqualTo(
            "Select Gate; Choose Leg \u203a Draw from here; Select Cairn; Select Footbridge");
  }

  /** Found by the property below. */
  @Test
  void theOnlyOneSelectedCanBeLetGo() {
    Recording recording =
        record(fresh("tagpress"), choose("Box", "Lock"), new Act.Click("box 1", true));
    assertThat(read(recording)).isEqualTo("Choose Box \u203a Lock; Select nothing");
  }

  @Test
  void aValueThatIsDraggedToAndFroIsSetOnce() {
    Recording recording =
        record(
            fresh("copystand"),
            new Act.Adjust("exposure", Value.Quantity.of("1", Scale.EV)),
            new Act.Adjust("exposure", Value.Quantity.of("0.4", Scale.EV)));
    assertThat(read(recording)).isEqualTo("Adjust exposure to 0.4 EV; at the edge report it");
  }

  @Test
  void whatWasRefusedOrDoneWhilePausedIsNotThere() {
    Program program = fresh("tagpress");
    Recording recording = record(program, click("box 99"), click("box 1"));
    recording.pause(true);
    Act lock = choose("Box", "Lock");
    recording.hear(lock, lock.on(program), program);
    recording.pause(false);
    assertThat(read(recording)).isEqualTo("Select box 1");
  }

  /**
   * Found by the property below: taking a leg out of the selection would have ended the drawing.
   */
  @Test
  void whileALegIsDrawnOnlyStopsAreChosen() {
    StandIn<?> program = fresh("trackway");
    StandIn<?> start = program.copy();
    Recording recording =
        record(
            program,
            choose("Select", "All"),
            choose("Leg", "Draw from here"),
            new Act.Click("leg Gate to Lower weir", true),
            click("B1"));
    Trace trace =
        Run.whole(
            Routine.Macro.of("m", "M", "trackway", List.of(), recording.steps()), Map.of(), start);
    assertThat(trace.ending()).isEqualTo(new Trace.Finished());
    assertThat(start.document()).isEqualTo(((StandIn<?>) program).document());
  }

  /** Nothing is lost in a burst of a thousand acts. */
  @Test
  void aBurstIsHeardWhole() {
    Program program = fresh("tagpress");
    Recording recording = new Recording("tagpress");
    Act lock = choose("Box", "Lock");
    for (int i = 0; i < 1000; i++) {
      recording.hear(lock, lock.on(program), program);
    }
    assertThat(recording.size()).isEqualTo(1000);
    assertThat(recording.steps()).hasSize(1000);
  }

  /** A recording, run on a program as it was, leads to where the person's own work led. */
  @Property(tries = 400)
  void runningARecordingDoesWhatWasDone(@ForAll long seed) {
    Random random = new Random(seed);
    String id = List.of("tagpress", "copystand", "trackway").get(random.nextInt(3));
    StandIn<?> program = (StandIn<?>) fresh(id);
    StandIn<?> start = program.copy();
    Recording recording = new Recording(id);
    for (int i = random.nextInt(1, 12); i > 0; i--) {
      Act act = act(program, random);
      recording.hear(act, act.on(program), program);
    }
    program.dialog().ifPresent(d -> program.cancel());
    List<Line> steps = recording.steps();
    Trace trace = Run.whole(Routine.Macro.of("m", "M", id, List.of(), steps), Map.of(), start);
    assertThat(trace.ending()).as(steps.toString()).isEqualTo(new Trace.Finished());
    assertThat(start.document()).as(read(recording)).isEqualTo(program.document());
  }

  private static Act act(StandIn<?> program, Random random) {
    if (program.dialog().isPresent()) {
      var dialog = program.dialog().get();
      if (!dialog.fields().isEmpty() && random.nextBoolean()) {
        var field = dialog.fields().get(random.nextInt(dialog.fields().size()));
        return new Act.Fill(
            field.label(),
            field.options().isEmpty()
                ? Integer.toString(random.nextInt(64, 90))
                : field.options().getLast());
      }
      return new Act.PressButton(dialog.buttons().get(random.nextInt(dialog.buttons().size())));
    }
    List<String> names = names(program);
    if (!names.isEmpty() && random.nextInt(3) == 0) {
      return new Act.Click(names.get(random.nextInt(names.size())), random.nextInt(3) == 0);
    }
    List<List<String>> menus =
        program.menuPaths().stream()
            .filter(m -> !m.getLast().equals("Undo") && !m.getLast().equals("Redo"))
            .toList();
    return new Act.Choose(menus.get(random.nextInt(menus.size())));
  }

  private static List<String> names(StandIn<?> program) {
    StandIn<?> copy = program.copy();
    copy.select(foldtwice.routine.Whom.Group.ALL, false);
    return copy.selected();
  }

  @Test
  void whatIsThereAlreadyIsFound() {
    var keymap = Demo.keymap("camera-bench");
    assertThat(ShorterWay.toCommand(Demo.LIBRARY, keymap, "vasculum", List.of("Register", "Save")))
        .as("a native key")
        .contains("Ctrl+S");
    assertThat(ShorterWay.toCommand(Demo.LIBRARY, keymap, "vasculum", List.of("Flags", "Moss")))
        .as("a binding whose routine chooses it, with its argument")
        .contains("Ctrl+[Digit3]");
    assertThat(
            ShorterWay.toCommand(Demo.LIBRARY, keymap, "vasculum", List.of("Register", "Compact")))
        .as("only a routine that does more than that")
        .isEmpty();
    Recording recording =
        record(fresh("copystand"), choose("Edit", "Select all"), choose("Adjust", "Straighten"));
    assertThat(Retracing.among(Demo.LIBRARY, "copystand", taken(recording)))
        .map(f -> f.routine().name())
        .contains("Straighten all shots");
  }

  private static List<Step> taken(Recording recording) {
    return recording.steps().stream().map(Line::step).toList();
  }

  /** What was recorded is a routine with parameters, given the constants; also in its branches. */
  @Test
  void aRecordingIsMatchedUpToConstants() {
    Recording shift =
        record(
            fresh("tagpress"),
            choose("Edit", "Select all"),
            choose("Box", "Shift \u2026"),
            new Act.Fill("Right by", "0.5"),
            new Act.PressButton("Shift"),
            new Act.PressButton("Close"));
    List<Step> steps = taken(shift);
    Retracing.Found found =
        Retracing.among(Demo.LIBRARY, "tagpress", steps.subList(1, steps.size())).orElseThrow();
    assertThat(found.routine().id()).isEqualTo("shift-boxes");
    assertThat(found.arguments()).containsOnlyKeys("dx");
    assertThat(found.arguments().get("dx").shown()).isEqualTo("0.5 mm");

    Recording look = record(fresh("copystand"), choose("Looks", "Archive"));
    assertThat(Retracing.among(Demo.LIBRARY, "copystand", taken(look)))
        .hasValueSatisfying(
            f -> {
              assertThat(f.routine().id()).isEqualTo("apply-look");
              assertThat(f.arguments().get("look").shown()).isEqualTo("Archive");
            });

    var keymap = Demo.keymap("camera-bench");
    Place state = fresh("tagpress").place();
    assertThat(ShorterWay.lately(Demo.LIBRARY, keymap, state, steps))
        .hasValueSatisfying(
            l -> {
              assertThat(l.keys()).isEqualTo("Alt+.");
              assertThat(l.steps()).isEqualTo(4);
            });
    assertThat(ShorterWay.lately(Demo.LIBRARY, keymap, state, steps.subList(0, 3))).isEmpty();

    Binding slanted =
        Demo.LIBRARY.bindings().values().stream()
            .filter(b -> b.triggers().contains(Notation.read("Alt+.")))
            .filter(b -> b.routine().equals("shift-boxes"))
            .findFirst()
            .orElseThrow()
            .withArgument("dy", found.arguments().get("dx"));
    Library other = new Edit.PutBinding(slanted).on(Demo.LIBRARY);
    assertThat(
            ShorterWay.lately(
                other, Keymap.of(other, other.stations().get("camera-bench")), state, steps))
        .map(l -> l.binding().id())
        .as("it shifts down too, which nobody did: another binding is told")
        .isPresent()
        .isNotEqualTo(Optional.of(slanted.id()));
  }

  /** Every macro of the demo retraces its own steps where it has no branches. */
  @Test
  void aMacroRetracesItself() {
    int plain = 0;
    for (Routine r : Demo.LIBRARY.routines().values()) {
      if (r instanceof Routine.Macro m
          && m.parameters().isEmpty()
          && m.steps().stream()
              .allMatch(
                  l ->
                      l.on()
                          && l.step().bodies().isEmpty()
                          && !(l.step() instanceof Step.Note)
                          && !(l.step() instanceof Step.Modifiers)
                          && !(l.step() instanceof Step.ChangeSetting))) {
        plain++;
        List<Step> steps = m.steps().stream().map(Line::step).toList();
        assertThat(Retracing.of(m, steps)).as(m.name()).contains(Map.of());
        assertThat(Retracing.of(m, steps.subList(1, steps.size()))).isEmpty();
      }
    }
    assertThat(plain).isGreaterThan(10);
  }

  @Test
  void theManualRouteIsKeptAsOperators() {
    Route route = new Route();
    route.click(100, 100, 60, Meant.COMMAND);
    route.menu(2);
    route.click(100, 400, 120, Meant.COMMAND);
    route.key("6", Meant.ARGUMENT);
    route.key("2", Meant.ARGUMENT);
    route.key("Tab", Meant.END);
    route.modifier();
    route.key("S", Meant.COMMAND);
    route.key("Down", Meant.COMMAND);
    route.key("Down", Meant.COMMAND);
    route.waited(700);
    route.click(100, 400, 40, Meant.ARGUMENT);
    Yardstick yardstick = route.yardstick();
    assertThat(yardstick.moves())
        .containsExactly(
            new Move.Clicks(1),
            new Move.Menu(2),
            new Move.Point(300, 120, Meant.COMMAND),
            new Move.Clicks(1),
            new Move.Hand(),
            new Move.Keys(2, Meant.ARGUMENT),
            new Move.Keys(1, Meant.END),
            new Move.Keys(2, Meant.COMMAND),
            new Move.Keys(2, Meant.COMMAND),
            new Move.Wait(700),
            new Move.Hand(),
            new Move.Clicks(1));
    assertThat(yardstick.keys()).isEqualTo(7);
    assertThat(yardstick.handMoves()).isEqualTo(2);
    assertThat(yardstick.waits()).isEqualTo(700);
  }

  @Test
  void aStepOfARecordingCanBecomeAParameter() {
    Program program = fresh("tagpress");
    Recording recording =
        record(
            program,
            choose("Box", "Shift \u2026"),
            new Act.Fill("Right by", "0.5"),
            new Act.PressButton("Shift"),
            new Act.PressButton("Close"));
    Routine.Macro macro = Routine.Macro.of("m", "M", "tagpress", List.of(), recording.steps());
    var known = new NothingElse(List.of(program.facts()));
    var constant = foldtwice.writing.Making.constants(macro, "2", known).getFirst();
    Routine.Macro made = foldtwice.writing.Making.parameter(macro, constant, "dx");
    assertThat(made.parameters())
        .singleElement()
        .satisfies(p -> assertThat(p.otherwise().shown()).isEqualTo("0.5 mm"));
    assertThat(((Step.Fill) made.steps().get(1).step()).value())
        .isEqualTo(new foldtwice.routine.Expr.Name("dx"));
    Program one = fresh("tagpress");
    Program other = fresh("tagpress");
    Run.whole(macro, Map.of(), one);
    Run.whole(made, Map.of(), other);
    assertThat(other.state()).as("runs as before with its default").isEqualTo(one.state());
  }
}
