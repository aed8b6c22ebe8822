package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.check.Checked;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Expected;
import foldtwice.library.Library;
import foldtwice.library.PressCheck;
import foldtwice.place.Station;
import foldtwice.ready.Setup;
import foldtwice.resolve.Explanation;
import foldtwice.resolve.Keymap;
import foldtwice.run.Computer;
import foldtwice.run.Trial;
import foldtwice.run.Trial.Effect;
import foldtwice.script.Ecmascript;
import foldtwice.surface.Device;
import foldtwice.trigger.Direction;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Lift;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Press;
import foldtwice.trigger.Trigger;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Everything beside keys really sets routines off. */
class TriggersTest {

  private final SimulatedComputer computer = SimulatedComputer.fresh();
  private final Trial trial =
      new Trial(Demo.LIBRARY, Demo.keymap("camera-bench"), computer, Ecmascript.ENGINE);
  private final Device rowan = Demo.LIBRARY.device("rowan").orElseThrow();

  private String state(String program, String what) {
    return computer.programs().get(program).state().get(what);
  }

  private static Effect.Ran ran(Trial.Result result) {
    assertThat(result.effects()).last().isInstanceOf(Effect.Ran.class);
    Effect.Ran ran = (Effect.Ran) result.effects().getLast();
    assertThat(ran.trace().endedBadly()).as(ran.trace().ending().toString()).isFalse();
    return ran;
  }

  private Trial.Result motion(Trigger trigger) {
    return trial.signal(new Motion(trigger), 0);
  }

  @Test
  void aPadKeyMeansSomethingElseOnEachPage() {
    computer.bringToFront("tagpress");
    computer.front().select(foldtwice.routine.Whom.Group.ALL, false);
    assertThat(ran(trial.key(rowan, "r1k2", Trigger.Duration.TAP, 0)).routine().id())
        .isEqualTo("align-boxes");
    assertThat(trial.key(rowan, "r4k4", Trigger.Duration.TAP, 1).effects())
        .singleElement()
        .isInstanceOfSatisfying(
            Effect.Turned.class, t -> assertThat(t.page().name()).isEqualTo("Photographs"));
    assertThat(trial.page(rowan).id()).isEqualTo("photographs");
    computer.bringToFront("copystand");
    Effect.Ran look = ran(trial.key(rowan, "r1k2", Trigger.Duration.TAP, 2));
    assertThat(look.binding().arguments().get("look").shown()).isEqualTo("Archive");
  }

  @Test
  void aKeyThatIsHeldDoesAnotherThingThanOneThatIsTapped() {
    computer.bringToFront("tagpress");
    assertThat(ran(trial.key(rowan, "r1k1", Trigger.Duration.TAP, 0)).routine().id())
        .isEqualTo("fit-and-lock");
    assertThat(ran(trial.key(rowan, "r1k1", Trigger.Duration.HOLD, 1)).routine().id())
        .isEqualTo("lock-every-box");
  }

  /** One press passes the pad, the keyboard layers and the program before anything happens. */
  @Test
  void aChordThatAPadSendsIsCaughtLikeOneThatIsTyped() {
    computer.bringToFront("tagpress");
    Trial.Result result = trial.key(rowan, "r2k3", Trigger.Duration.TAP, 0);
    assertThat(result.effects().getFirst())
        .isEqualTo(new Effect.Sent(rowan, Notation.read("Ctrl+Alt+F13")));
    assertThat(ran(result).routine().id()).isEqualTo("lay-label-block");
    assertThat(result.explanation().orElseThrow().layers())
        .anyMatch(l -> l.verdict() == Explanation.Verdict.TAKES);
    computer.bringToFront("vasculum");
    assertThat(trial.key(rowan, "r2k3", Trigger.Duration.TAP, 9).effects())
        .as("nobody catches it here")
        .last()
        .isInstanceOf(Effect.Nothing.class);
  }

  @Test
  void aDialStepsAValueBothWaysAndIsPushed() {
    computer.bringToFront("copystand");
    trial.key(rowan, "r4k4", Trigger.Duration.TAP, 0);
    String before = computer.front().values().get("exposure").shown();
    ran(trial.dial(rowan, "upper", Trigger.Turn.RIGHT, 1));
    assertThat(computer.front().values().get("exposure").shown()).isNotEqualTo(before);
    ran(trial.dial(rowan, "upper", Trigger.Turn.LEFT, 2));
    assertThat(computer.front().values().get("exposure").shown()).isEqualTo(before);
    assertThat(ran(trial.dial(rowan, "upper", Trigger.Turn.PUSH, 3)).routine().id())
        .isEqualTo("exposure-to");
  }

  /** Up is bound to a step of 0.1 EV, ten times a second while it is down. */
  @Test
  void aStepIsRepeatedAtItsRateWhileItsKeyIsDownAndKeptInRange() {
    computer.bringToFront("copystand");
    Press up = Press.of(KeyCode.ARROW_UP);
    java.math.BigDecimal before = exposure();
    ran(trial.press(up, 1000));
    assertThat(exposure().subtract(before)).isEqualByComparingTo("0.1");
    long first = 1000 + Trial.REPEAT_DELAY_MILLIS;
    assertThat(trial.tick(first - 1).effects()).isEmpty();
    assertThat(trial.tick(first).effects()).hasSize(1);
    assertThat(trial.tick(first + 350).effects()).as("at 100, 200 and 300 ms").hasSize(3);
    assertThat(exposure().subtract(before)).isEqualByComparingTo("0.5");
    trial.signal(new Lift(up), first + 360);
    assertThat(trial.repeatsNext()).isEmpty();
    assertThat(trial.tick(first + 5000).effects()).as("the key is up").isEmpty();

    trial.press(up, 20_000);
    trial.tick(20_000 + Trial.REPEAT_DELAY_MILLIS + 20_000);
    assertThat(computer.front().values().get("exposure"))
        .as("not beyond the end of its range")
        .isEqualTo(computer.front().facts().values().get("exposure").most());
  }

  /** A key of a pad that repeats does so until it is let go; one that is held does not. */
  @Test
  void aPadKeyRepeatsUntilItIsLetGo() {
    Binding step = Demo.LIBRARY.bindings().get("b106");
    assertThat(step.fitting().repeats()).isEqualTo(10);
    Trigger tap = new Trigger.PadKey("rowan", "labels", "r3k1", Trigger.Duration.TAP);
    Library with = new Edit.PutBinding(step.withTriggers(List.of(tap))).on(Demo.LIBRARY);
    Trial pads =
        new Trial(
            with,
            Keymap.of(with, with.stations().get("camera-bench")),
            computer,
            Ecmascript.ENGINE);
    computer.bringToFront("copystand");
    java.math.BigDecimal before = exposure();
    ran(pads.key(rowan, "r3k1", Trigger.Duration.TAP, 0));
    pads.tick(Trial.REPEAT_DELAY_MILLIS + 250);
    assertThat(exposure().subtract(before)).as("at once, 0, 100, 200").isEqualByComparingTo("0.4");
    pads.letGo();
    assertThat(pads.tick(60_000).effects()).isEmpty();
    pads.key(rowan, "r3k1", Trigger.Duration.HOLD, 60_000);
    assertThat(pads.repeatsNext()).isEmpty();
  }

  /** A check presses and lets go: what repeats fires once. */
  @Test
  void aCheckOfWhatRepeatsHolds() {
    PressCheck check =
        new PressCheck(
            "c",
            "",
            "",
            computer.programs().get("copystand").place(),
            List.of(Notation.read("Up")),
            new Expected.Fires("b106", true),
            Extras.NONE);
    Station station = Demo.LIBRARY.stations().get("camera-bench");
    assertThat(
            Checks.on(
                Demo.LIBRARY,
                station,
                Setup.of(Demo.LIBRARY, station.id()),
                name -> new Computer.File.Refused("a file", "none"),
                List.of(check)))
        .extracting(Checked::verdict)
        .containsExactly(new Checked.Verdict.Holds());
  }

  private java.math.BigDecimal exposure() {
    return computer.front().values().get("exposure").amount();
  }

  @Test
  void aHeldKeyIsActiveWhileItIsDown() {
    computer.bringToFront("copystand");
    Press q = Press.of(KeyCode.KEY_Q);
    assertThat(state("copystand", "setting shown")).isEqualTo("as adjusted");
    ran(trial.press(q, 0));
    assertThat(state("copystand", "setting shown")).isEqualTo("as taken");
    ran(trial.signal(new Lift(q), 1));
    assertThat(state("copystand", "setting shown")).isEqualTo("as adjusted");
  }

  @Test
  void gesturesAndPointerButtonsGoByTheContext() {
    computer.bringToFront("trackway");
    Trigger down = new Trigger.Gesture(Trigger.PointerButton.RIGHT, List.of(Direction.DOWN));
    computer.front().click("Lower weir", false);
    assertThat(motion(down).effects()).singleElement().isInstanceOf(Effect.Ran.class);
    computer.bringToFront("vasculum");
    assertThat(motion(down).effects()).singleElement().isInstanceOf(Effect.Nothing.class);
    computer.bringToFront("copystand");
    Trigger forward = new Trigger.Pointer(Trigger.PointerButton.FORWARD, Modifiers.NONE);
    assertThat(ran(motion(forward)).routine().id()).isEqualTo("values-to-next");
  }

  @Test
  void aRadialMenuOpensAndItsChoicesFire() {
    computer.bringToFront("vasculum");
    assertThat(motion(new Trigger.Pointer(Trigger.PointerButton.MIDDLE, Modifiers.NONE)).effects())
        .singleElement()
        .isInstanceOfSatisfying(
            Effect.Opened.class, o -> assertThat(o.menu().id()).isEqualTo("letters"));
    Effect.Ran choice = ran(motion(new Trigger.Radial("letters", Direction.UP)));
    assertThat(choice.binding().arguments().get("case").shown()).isEqualTo("Capitals");
  }

  @Test
  void aButtonOfAToolbarFiresWhereItsBindingIsHeard() {
    computer.bringToFront("tagpress");
    assertThat(ran(motion(new Trigger.Button("label-tools", 1))).routine().id())
        .isEqualTo("fit-and-lock");
    computer.bringToFront("desk");
    assertThat(motion(new Trigger.Button("label-tools", 1)).effects())
        .singleElement()
        .isInstanceOf(Effect.Nothing.class);
  }

  /** Numbered places must be switched on at each start: the binding on the start does it. */
  @Test
  void whatIsBoundToTheStartRunsAtTheStart() {
    computer.bringToFront("desk");
    assertThat(state("trackway", "view numbered places")).isEqualTo("off");
    ran(trial.started("trackway", 0));
    assertThat(state("trackway", "view numbered places")).isEqualTo("on");
    assertThat(trial.started("desk", 1).effects()).isEmpty();
    assertThat(trial.started("nowhere", 2).effects()).isEmpty();
  }
}
