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

  /**
   * A line of what came of it.
   *
   * @param style how it is shown: {@code good} for what the library wants, {@code blocks} for what
   *     nobody does, {@code label} for what is neither
   */
  record Line(String says, String style) {}

  private static Line well(String says) {
    return new Line(says, "good");
  }

  private static Line badly(String says) {
    return new Line(says, "blocks");
  }

  private static Line plainly(String says) {
    return new Line(says, "label");
  }

  private final Subject subject;
  private final SimulatedComputer computer;
  private final Words words;

  /** On a copy of the computer, which is changed. */
  Playing(Subject subject, SimulatedComputer copy) {
    this.subject = subject;
    this.computer = copy;
    this.words = new Words(subject.library(), subject.keymap().layout());
  }

  /** Goes to the place, presses, and tells what happened. */
  List<Line> of(Conflict conflict) {
    Place state = conflict.evidence().state();
    Optional<String> application = state.applicationId().filter(computer.programs()::containsKey);
    if (application.isEmpty() && !(conflict.about().owner() instanceof Owner.Key)) {
      return List.of(badly(Ui.text("happens.nostandin")));
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
      effects.addAll(trial.key(device, key, Trigger.Duration.TAP, 0).effects());
    } else {
      for (Signal s : conflict.evidence().presses()) {
        effects.addAll(trial.signal(s, 0).effects());
      }
    }
    effects.addAll(trial.rest(foldtwice.resolve.Resolver.TIME_LIMIT_MILLIS + 1).effects());
    return effects.stream().flatMap(e -> line(e).stream()).toList();
  }

  private Optional<Line> line(Effect effect) {
    return switch (effect) {
      case Effect.Ran ran -> {
        String says =
            Ui.text(
                "playing.ran",
                words.binding(ran.binding()),
                StepWords.ending(ran.trace().ending()));
        yield Optional.of(ran.trace().endedBadly() ? badly(says) : well(says));
      }
      case Effect.Native(var owner, var reply) ->
          Optional.of(plainly(Ui.text("playing.native", words.owner(owner))));
      case Effect.Undecided u -> Optional.of(badly(Ui.text("try.undecided")));
      case Effect.Kept(String what) -> Optional.of(badly(Ui.text("try.kept") + ": " + what));
      case Effect.Lacking(var of, String what) -> Optional.of(badly(Ui.text("try.lacking", what)));
      case Effect.Typed(String text, var reply) -> Optional.of(plainly(Ui.text("try.typed", text)));
      case Effect.Nothing n -> Optional.of(badly(Ui.text("try.nothing")));
      case Effect.Opened(var menu) -> Optional.of(well(Ui.text("try.opened", menu.name())));
      case Effect.Sent(var device, var keys) ->
          Optional.of(plainly(Ui.text("playing.sent", device.name(), words.trigger(keys))));
      case Effect.Turned(var device, var page) ->
          Optional.of(plainly(Ui.text("playing.turned", device.name(), page.name())));
      case Effect.Waits w -> Optional.empty();
    };
  }
}
