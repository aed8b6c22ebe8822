package foldtwice.desktop.trying;

import foldtwice.binding.Binding;
import foldtwice.desktop.session.HeldKeys;
import foldtwice.desktop.session.Session;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.run.Act;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.run.Run;
import foldtwice.run.Trial;
import foldtwice.run.Trial.Effect;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Lift;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.scene.control.Button;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyEvent;
import javafx.util.Duration;

/**
 * What hands do, over the programs of the station in view: keys that go down and come up, strokes
 * within their time, keys that repeat, keys of devices. Tells what comes of it.
 */
final class Pressing {

  /** What came of something that was done. */
  interface Listener {
    /**
     * Something was done, and this came of it.
     *
     * @param notation what was done, in words
     * @param trigger the same as a trigger; empty for what was chosen otherwise
     * @param before the state it was begun in
     */
    void came(Trial.Result result, String notation, Optional<Trigger> trigger, Place before);

    /** A run that was set off waits, asks, or is over. */
    void stood();

    /** These modifiers are down. */
    void held(Modifiers held);

    /** This key went down. */
    void flash(Press press);
  }

  private final Session session;
  private final Listener listener;
  private final Map<KeyCode, Press> down = new EnumMap<>(KeyCode.class);

  /** The key of a device that is down and fires again and again. */
  private Optional<Trigger> padDown = Optional.empty();

  private final HeldKeys held = new HeldKeys();
  private final Timeline limit =
      new Timeline(
          new KeyFrame(
              Duration.millis(Resolver.TIME_LIMIT_MILLIS + 30.0),
              e -> strokes(trial().tick(millis()))));
  private final Timeline repeating = new Timeline(new KeyFrame(Duration.millis(10), e -> repeat()));
  private final List<Press> strokes = new ArrayList<>();
  private Trial trial;
  private Keymap trialOf;
  private String application = "";
  private Runnable last = () -> {};
  private Optional<Run> driven = Optional.empty();
  private List<Map<String, Value>> replay = List.of();

  /** The state in which what is shown was begun. */
  private Place began;

  Pressing(Session session, Listener listener) {
    this.session = session;
    this.listener = listener;
    repeating.setCycleCount(Timeline.INDEFINITE);
  }

  /** From now on in front of this program; what was begun elsewhere is forgotten. */
  void in(String program) {
    application = program;
    trial = null;
  }

  private Program program() {
    return session.programs().get(application);
  }

  Trial trial() {
    Keymap heard = session.now().heard().keymap();
    if (trial == null || trialOf != heard) {
      trial = session.trial(this::drive);
      trialOf = heard;
    }
    return trial;
  }

  /** Takes a run's steps; one that has to wait or asks is shown again each time it stands still. */
  private void drive(Run run) {
    run.replay(replay);
    replay = List.of();
    driven = Optional.of(run);
    session.runs().drive(run, r -> listener.stood());
  }

  private static long millis() {
    return System.nanoTime() / 1_000_000;
  }

  /** Does once more what was done last; what it asks is answered as it was. */
  void again() {
    replay = driven.map(Run::inputs).orElse(List.of());
    last.run();
    replay = List.of();
  }

  /** Something is done: where it was done is remembered, because it may lead elsewhere. */
  private Trial begin() {
    began = program().place();
    return trial();
  }

  // keys

  /**
   * Real keys go to the stand-in; those that lead out of it were taken before. In a dialog's field
   * they go to the field, unless somebody claims them there.
   */
  void key(KeyEvent e) {
    held.follow(e);
    if (e.getTarget() instanceof Button) {
      return;
    }
    Optional<Press> press = held.press(e, session.now().keymap().layout());
    if (e.getTarget() instanceof TextInputControl && press.filter(this::isClaimed).isEmpty()) {
      return;
    }
    listener.held(held.during(e));
    press.filter(p -> !isHeldDown(p)).ifPresent(this::press);
    press.ifPresent(p -> down.put(p.code(), p));
    e.consume();
  }

  /** What is typed comes of the press itself. */
  static void typed(KeyEvent e) {
    if (!(e.getTarget() instanceof TextInputControl)) {
      e.consume();
    }
  }

  void released(KeyEvent e) {
    held.follow(e);
    session.computer().hold(held.during(e));
    listener.held(held.during(e));
    held.press(e, session.now().keymap().layout())
        .map(p -> down.remove(p.code()))
        .ifPresent(this::lift);
  }

  private List<Outcome> outcomes(Signal signal) {
    return Resolver.outcomes(session.now().heard().keymap(), program().place(), List.of(signal));
  }

  private boolean isClaimed(Press press) {
    return !trial().pending().isEmpty()
        || outcomes(press).stream()
            .anyMatch(o -> o instanceof Outcome.Fired || o instanceof Outcome.Undecided);
  }

  /** A key that repeats while it is down goes down only once for what is active while held. */
  private boolean isHeldDown(Press press) {
    return down.containsKey(press.code())
        && outcomes(press).stream()
            .anyMatch(
                o ->
                    o instanceof Outcome.Fired(Claim claim)
                        && (claim.trigger() instanceof Trigger.Held || repeats(claim)));
  }

  /** True when it fires at a rate of its own while its key is down. */
  private boolean repeats(Claim claim) {
    return claim.owner() instanceof Owner.Yours(String id)
        && session.now().heard().library().bindings().get(id).fitting().repeats() > 0;
  }

  /** Fires again what repeats, when its time has come. */
  private void repeat() {
    Optional<Long> next = trial().repeatsNext();
    if (next.isEmpty() || (down.isEmpty() && padDown.isEmpty())) {
      repeating.stop();
    } else if (millis() >= next.get()) {
      Trial.Result result = trial().tick(millis());
      padDown.ifPresentOrElse(pad -> came(result, pad), () -> strokes(result));
    }
  }

  /** The keys go elsewhere: what is down will be told to come up to nobody here. */
  void letGo() {
    held.reset();
    List<Press> still = List.copyOf(down.values());
    down.clear();
    still.forEach(this::lift);
  }

  /** A key comes up: only what is bound to that hears of it. */
  private void lift(Press press) {
    Trial.Result result = begin().signal(new Lift(press), millis());
    if (result.effects().stream().noneMatch(e -> e instanceof Effect.Nothing)) {
      Stroke stroke = session.now().keymap().layout().stroke(press);
      came(result, new Trigger.Held(stroke, Trigger.Edge.UP));
    }
  }

  /** A key goes down. */
  void press(Press press) {
    last = () -> press(press);
    if (trial().pending().isEmpty()) {
      strokes.clear();
      began = program().place();
    }
    strokes.add(press);
    String in = application;
    Trial.Result result = trial().press(press, millis());
    record(result, in);
    listener.flash(press);
    strokes(result);
    if (trial != null && trial.repeatsNext().isPresent()) {
      repeating.playFromStart();
    }
    if (trial != null && !trial.pending().isEmpty()) {
      limit.playFromStart();
    } else {
      limit.stop();
    }
  }

  private Trigger.Keys strokes() {
    return new Trigger.Keys(
        strokes.stream().map(p -> session.now().keymap().layout().stroke(p)).toList());
  }

  /** What came of the strokes so far. */
  private void strokes(Trial.Result result) {
    if (!result.effects().isEmpty()) {
      Trigger.Keys keys = strokes();
      listener.came(result, Notation.write(keys), Optional.of(keys), began);
    }
  }

  // other things than keys

  /** Something is done with another thing than a key. */
  void motion(Trigger trigger) {
    last = () -> motion(trigger);
    hand(begin().signal(new Motion(trigger), millis()), trigger);
  }

  /**
   * A key of a device goes down.
   *
   * @return true when it fires at once, because what is bound to it repeats
   */
  boolean down(Device device, String key) {
    Page page = trial().page(device);
    Trigger tap = new Trigger.PadKey(device.id(), page.id(), key, Trigger.Duration.TAP);
    if (page.sends(key).isPresent()
        || outcomes(new Motion(tap)).stream()
            .noneMatch(o -> o instanceof Outcome.Fired(Claim claim) && repeats(claim))) {
      return false;
    }
    padDown = Optional.of(tap);
    key(device, key, Trigger.Duration.TAP);
    repeating.playFromStart();
    return true;
  }

  /** A key of a device that repeated comes up. */
  void up() {
    padDown = Optional.empty();
    trial().letGo();
  }

  /** A key of a device is pressed. */
  void key(Device device, String key, Trigger.Duration way) {
    last = () -> key(device, key, way);
    String page = trial().page(device).id();
    Trial.Result result = begin().key(device, key, way, millis());
    if (padDown.isEmpty()) {
      trial.letGo(); // it is up again by now
    }
    hand(result, new Trigger.PadKey(device.id(), page, key, way));
  }

  void dial(Device device, String dial, Trigger.Turn turn) {
    last = () -> dial(device, dial, turn);
    hand(
        begin().dial(device, dial, turn, millis()),
        new Trigger.Dial(device.id(), trial().page(device).id(), dial, turn));
  }

  private void hand(Trial.Result result, Trigger trigger) {
    record(result, application);
    came(result, trigger);
  }

  private void came(Trial.Result result, Trigger trigger) {
    listener.came(result, session.now().words().trigger(trigger), Optional.of(trigger), began);
  }

  /** Runs what was chosen from the list of what fits, as if a key had set it off. */
  void choose(Routine routine, Map<String, Value> arguments) {
    last = () -> choose(routine, arguments);
    Run run = Run.of(routine, arguments, begin().around());
    drive(run);
    Binding as = Binding.fresh("", routine.id(), program().place(), List.of(), arguments);
    Trial.Result result =
        new Trial.Result(Optional.empty(), List.of(new Effect.Ran(as, routine, run)));
    record(result, application);
    listener.came(result, routine.name(), Optional.empty(), began);
  }

  /** A program was started anew: what is bound to that runs. */
  void started(String program) {
    Trial.Result result = begin().started(program, millis());
    if (!result.effects().isEmpty()) {
      came(result, new Trigger.AtStart());
    }
  }

  /** Tells the recorder what keys came to, whether it is on or not. */
  private void record(Trial.Result result, String in) {
    Program program = session.programs().get(in);
    for (Effect effect : result.effects()) {
      switch (effect) {
        case Effect.Native(var command, var reply) ->
            session
                .recorder()
                .hear(new Act.Fire(command.command(), Optional.of(strokes())), reply, program);
        case Effect.Typed(String text, var reply) ->
            session.recorder().hear(new Act.Type(text), reply, program);
        case Effect.Ran ran ->
            session
                .recorder()
                .hear(
                    new Act.Ran(ran.routine().id(), ran.binding().arguments()),
                    Reply.QUIET,
                    program);
        default -> {} // what does nothing to the program is no step
      }
    }
  }
}
