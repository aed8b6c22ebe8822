package foldtwice.desktop.session;

import foldtwice.place.Place;
import foldtwice.recording.Recording;
import foldtwice.routine.Line;
import foldtwice.routine.Step;
import foldtwice.run.Act;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.words.ShorterWay;
import java.util.List;
import java.util.Optional;

/**
 * What is done by hand while nothing is recorded: looked back over after each act, to say quietly
 * when keys would have done the last steps.
 */
final class ByHand {

  /** After so many acts only the later ones are looked back over. */
  private static final int MOST_ACTS = 40;

  private final Session session;
  private Optional<Recording> lately = Optional.empty();
  private final Question<Optional<String>> question;

  ByHand(Session session) {
    this.session = session;
    question = session.background().question(Background.Lane.WORK, this::say);
  }

  /** What was done so far counts no more. */
  void forget() {
    lately = Optional.empty();
  }

  /** Takes note of an act; what a routine did is not done by hand. */
  void hear(Act act, Reply reply, Program program) {
    if (act instanceof Act.Ran) {
      forget();
      return;
    }
    boolean goesOn =
        lately
            .filter(r -> r.application().equals(program.application()))
            .filter(r -> r.size() < MOST_ACTS)
            .isPresent();
    if (!goesOn) {
      lately = Optional.of(new Recording(program.application()));
    }
    lately.orElseThrow().hear(act, reply, program);
    if (reply instanceof Reply.Done && !(act instanceof Act.Fill)) {
      look(program.place(), act instanceof Act.Choose(List<String> menu) ? menu : List.of());
    }
  }

  /**
   * Looks for keys that do the last steps, or the very last one.
   *
   * @param menu the command that was chosen last; empty for something else
   */
  private void look(Place state, List<String> menu) {
    Snapshot now = session.now();
    List<Step> steps = lately.orElseThrow().steps().stream().map(Line::step).toList();
    question.ask(
        List.of(steps, state, menu, new Question.Same(now.library())),
        () -> shorter(now, state, steps).or(() -> ofCommand(now, state, menu)));
  }

  private static Optional<String> shorter(Snapshot now, Place state, List<Step> steps) {
    return ShorterWay.lately(now.library(), now.keymap(), state, steps)
        .map(
            l ->
                Ui.text(
                    "try.shorter.steps", l.keys(), l.steps(), now.words().binding(l.binding())));
  }

  private static Optional<String> ofCommand(Snapshot now, Place state, List<String> menu) {
    String application = state.applicationId().orElse("");
    return menu.isEmpty()
        ? Optional.empty()
        : ShorterWay.toCommand(now.library(), now.keymap(), application, menu)
            .map(trigger -> Ui.text("try.shorter", trigger));
  }

  private void say(Optional<String> hint) {
    hint.ifPresent(session::say);
  }
}
