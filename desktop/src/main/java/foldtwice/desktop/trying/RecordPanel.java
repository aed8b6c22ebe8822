package foldtwice.desktop.trying;

import foldtwice.desktop.parts.AdviceLines;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Advised;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Recorder;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.routine.Line;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Trigger;
import foldtwice.words.StepWords;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** A recording that is on: its name and trigger, given before or after, and the steps so far. */
final class RecordPanel extends VBox {

  private static final int LAST_STEPS = 9;

  private final Recorder recorder;
  private final Question<Advised> advising;
  private final VBox advice = new VBox(4);
  private final TextField name = Skins.on(new TextField());
  private final TextField trigger = Skins.on(new TextField());
  private final Label wrong = Parts.wrapped("", "blocks");
  private final Label state = Parts.label("", "strong");
  private final Button pause;
  private final VBox steps = new VBox(3);
  private final Consumer<Optional<String>> onKept;

  /**
   * A panel that shows itself while something is recorded.
   *
   * @param onKept gets the id of the macro that was kept, or nothing
   */
  RecordPanel(Session session, Consumer<Optional<String>> onKept) {
    this.recorder = session.recorder();
    advising = session.background().question(Lane.WORK, this::showAdvice);
    this.onKept = onKept;
    setId("recording");
    setSpacing(6);
    getStyleClass().addAll("said", "recording");
    name.setId("record-name");
    Parts.prompt(name, Ui.text("record.name"));
    trigger.setId("record-trigger");
    Parts.prompt(trigger, Ui.text("record.trigger"));
    trigger.getStyleClass().add("value");
    trigger.setPrefColumnCount(11);
    state.setId("record-state");
    wrong.setId("record-wrong");
    Parts.there(wrong, false);
    pause = Parts.button("record-pause", Ui.text("record.pause"), this::pause);
    steps.setId("record-steps");
    HBox fields = new HBox(6, name, trigger);
    HBox.setHgrow(name, javafx.scene.layout.Priority.ALWAYS);
    FlowPane buttons =
        new FlowPane(
            6,
            4,
            Parts.button("record-keep", Ui.text("record.keep"), this::keep, "main"),
            pause,
            Parts.button("record-dismiss", Ui.text("record.dismiss"), this::dismiss));
    buttons.setAlignment(Pos.CENTER_LEFT);
    advice.setId("record-advice");
    advice.managedProperty().bind(Bindings.isNotEmpty(advice.getChildren()));
    trigger.textProperty().addListener((o, a, b) -> advise());
    getChildren().addAll(state, fields, wrong, advice, buttons, steps);
    recorder.heardProperty().addListener((o, a, b) -> show());
    show();
  }

  void begin() {
    name.clear();
    trigger.clear();
    say("");
    show();
  }

  private void show() {
    Parts.there(this, recorder.isOn());
    if (!recorder.isOn()) {
      return;
    }
    List<Line> lines = recorder.steps();
    state.setText(
        Ui.text(
            recorder.isPaused() ? "record.statepaused" : "record.state",
            recorder.program(),
            lines.size()));
    pause.setText(Ui.text(recorder.isPaused() ? "record.goon" : "record.pause"));
    steps.getChildren().clear();
    int from = Math.max(0, lines.size() - LAST_STEPS);
    for (int i = from; i < lines.size(); i++) {
      steps
          .getChildren()
          .add(
              Parts.wrapped(
                  (i + 1)
                      + "  "
                      + StepWords.verb(lines.get(i).step())
                      + " "
                      + StepWords.rest(lines.get(i).step())));
    }
  }

  /** Says what would follow from the keys as they are typed; none are wanted while it is empty. */
  private void advise() {
    say("");
    advising.drop();
    advice.getChildren().clear();
    try {
      if (recorder.isOn() && !trigger.getText().isBlank()) {
        advising.anew(recorder.advice(name.getText(), Notation.read(trigger.getText())));
      }
    } catch (NotationException e) {
      advice.getChildren().setAll(Parts.wrapped(e.getMessage(), "soft"));
    }
  }

  private void showAdvice(Advised about) {
    advice.getChildren().setAll(AdviceLines.of(about.advice(), about.words()));
  }

  private void pause() {
    recorder.pause();
    show();
  }

  private void dismiss() {
    recorder.dismiss();
    onKept.accept(Optional.empty());
  }

  void keep() {
    Optional<Trigger> wished = Optional.empty();
    if (!trigger.getText().isBlank()) {
      try {
        wished = Optional.of(Notation.read(trigger.getText()));
      } catch (NotationException e) {
        say(e.getMessage());
        trigger.requestFocus();
        return;
      }
    }
    onKept.accept(recorder.keep(name.getText(), wished));
  }

  private void say(String what) {
    wrong.setText(what);
    Parts.there(wrong, !what.isEmpty());
  }
}
