package foldtwice.desktop.conflicts;

import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.desktop.session.Ui;
import foldtwice.place.Place;
import foldtwice.resolve.Owner;
import foldtwice.routine.Whom;
import foldtwice.run.Trial;
import foldtwice.run.Trial.Effect;
import foldtwice.script.Ecmascript;
import foldtwice.standin.SimulatedComputer;
import foldtwice.surface.Device;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import foldtwice.words.StepWords;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The evidence of a conflict, played on a copy of the computer: nothing in view is touched. */
final class Playing {

  /** A line of what came of it. */
  record Line(String says, boolean good) {}

  private final Subject subject;
  private final SimulatedComputer computer;
  private final Words words;

  /** On a copy of the computer, which is changed. */
  Playing(Subject subject, SimulatedComputer copy) {
    this.subject = subject;
    this.computer = copy;
    this.words = new Words(subject.library());
  }

  /** Goes to the place, presses, and tells what happened. */
  List<Line> of(Conflict conflict) {
    Place state = conflict.evidence().state();
    Optional<String> application = state.applicationId().filter(computer.programs()::containsKey);
    if (application.isEmpty() && !(conflict.about().owner() instanceof Owner.Key)) {
      return List.of(new Line(Ui.text("happens.nostandin"), false));
    }
    application.ifPresent(
        id -> {
          computer.bringToFront(id);
          computer.front().enter(state);
          if (!computer.front().somethingSelected()) {
            computer.front().select(Whom.Group.ALL, false);
            computer.front().enter(state);
          }
        });
    Map<String, String> pages = new HashMap<>();
    if (conflict.about().owner() instanceof Owner.Key(String device, String page, var key)) {
      pages.put(device, page);
    }
    Trial trial =
        new Trial(
            subject.library(),
            subject.keymap(),
            computer,
            Ecmascript.ENGINE,
            pages,
            run -> run.toEnd());
    List<Effect> effects = new ArrayList<>();
    if (conflict.about().owner() instanceof Owner.Key(String id, var page, String key)) {
      Device device = subject.library().device(id).orElseThrow();
      effects.addAll(trial.key(device, key, Trigger.Way.TAP, 0).effects());
    } else {
      for (Signal s : conflict.evidence().presses()) {
        effects.addAll(trial.signal(s, 0).effects());
      }
    }
    effects.addAll(trial.tick(foldtwice.resolve.Resolver.TIME_LIMIT_MILLIS + 1).effects());
    return effects.stream().flatMap(e -> line(e).stream()).toList();
  }

  private Optional<Line> line(Effect effect) {
    return switch (effect) {
      case Effect.Ran ran ->
          Optional.of(
              new Line(
                  Ui.text(
                      "playing.ran",
                      words.binding(ran.binding()),
                      StepWords.ending(ran.trace().ending())),
                  !ran.trace().endedBadly()));
      case Effect.Native(var owner, var reply) ->
          Optional.of(new Line(Ui.text("playing.native", words.owner(owner)), true));
      case Effect.Undecided u -> Optional.of(new Line(Ui.text("try.undecided"), false));
      case Effect.Kept(String what) ->
          Optional.of(new Line(Ui.text("try.kept") + ": " + what, false));
      case Effect.Lacking(var of, String what) ->
          Optional.of(new Line(Ui.text("try.lacking", what), false));
      case Effect.Typed(String text, var reply) ->
          Optional.of(new Line(Ui.text("try.typed", text), true));
      case Effect.Nothing n -> Optional.of(new Line(Ui.text("try.nothing"), false));
      case Effect.Opened(var menu) ->
          Optional.of(new Line(Ui.text("try.opened", menu.name()), true));
      case Effect.Sent(var device, var keys) ->
          Optional.of(new Line(Ui.text("playing.sent", device.name(), words.trigger(keys)), true));
      case Effect.Turned(var device, var page) ->
          Optional.of(new Line(Ui.text("playing.turned", device.name(), page.name()), true));
      case Effect.Waits w -> Optional.empty();
    };
  }
}
