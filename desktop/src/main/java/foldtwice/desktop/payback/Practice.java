package foldtwice.desktop.payback;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.KeepsKeys;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.HeldKeys;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.effort.Payback;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import foldtwice.words.EffortWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * A procedure is practised: the next press is shown, or hidden, and the person is timed against
 * what the model says. What is not keys is taken as done by its button.
 */
final class Practice extends BorderPane implements KeepsKeys {

  private final Runnable onChange;
  private final HeldKeys held = new HeldKeys();
  private final Label title = Parts.label("", "title");
  private final Label progress = Parts.label("", "soft");
  private final Label what = Parts.label("", "strong");
  private final HBox caps = new HBox(8);
  private final Label result = Parts.wrapped("", "soft");
  private final CheckBox hidden = Skins.on(new CheckBox(Ui.text("payback.practice.hidden")));
  private final Button done =
      Parts.button("practice-done", Ui.text("payback.practice.done"), this::next);
  private Snapshot now;
  private Payback.Chain chain;
  private List<Binding> steps = List.of();
  private final List<Press> pressed = new ArrayList<>();
  private int at;
  private int slips;
  private long began;

  Practice(Runnable onChange) {
    this.onChange = onChange;
    setId("practice");
    getStyleClass().add("exercise");
    title.setId("practice-title");
    progress.setId("practice-progress");
    result.setId("practice-result");
    caps.setId("practice-caps");
    hidden.setId("practice-hidden");
    hidden.setFocusTraversable(false);
    hidden.setOnAction(e -> ask());
    done.setFocusTraversable(false);
    Button stop = Parts.button("practice-stop", Ui.text("payback.exercise.stop"), this::stop);
    stop.setFocusTraversable(false);
    HBox top = new HBox(14, title, progress, Parts.gap(), hidden, stop);
    top.setAlignment(Pos.CENTER_LEFT);
    setTop(top);
    caps.setAlignment(Pos.CENTER);
    VBox middle = new VBox(14, what, caps, done, result);
    middle.setAlignment(Pos.CENTER);
    setCenter(middle);
    setFocusTraversable(true);
    setAccessibleText(Ui.text("act.procedure-practise"));
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    addEventFilter(KeyEvent.KEY_RELEASED, held::follow);
    managedProperty().bind(visibleProperty());
    setVisible(false);
  }

  boolean isOn() {
    return isVisible();
  }

  void takeKeys() {
    requestFocus();
  }

  /** Begins with the first part; those that are not there are left out. */
  void start(Payback.Chain of, Snapshot in) {
    chain = of;
    now = in;
    steps =
        of.procedure().bindings().stream()
            .map(in.library().bindings()::get)
            .filter(b -> b != null && !b.triggers().isEmpty())
            .toList();
    title.setText(of.procedure().name());
    result.setText(Ui.text("payback.practice.begin"));
    setVisible(true);
    again();
    onChange.run();
  }

  /** From the first part on. */
  private void again() {
    at = 0;
    slips = 0;
    began = 0;
    ask();
    requestFocus();
  }

  void stop() {
    if (isOn()) {
      setVisible(false);
      onChange.run();
    }
  }

  private void ask() {
    pressed.clear();
    caps.getChildren().clear();
    progress.setText(Ui.text("payback.exercise.progress", at, steps.size()));
    if (at >= steps.size()) {
      what.setText("");
      done.setVisible(false);
      return;
    }
    Binding b = steps.get(at);
    what.setText(now.words().binding(b));
    Trigger t = b.triggers().getFirst();
    if (!hidden.isSelected()) {
      caps.getChildren().add(KeyCaps.of(t, now.words()).large());
    }
    done.setVisible(paths(t).isEmpty());
  }

  private List<List<Signal>> paths(Trigger t) {
    return t instanceof Trigger.Keys ? now.keymap().paths(t) : List.of();
  }

  private void key(KeyEvent e) {
    held.follow(e);
    if (e.getCode() == KeyCode.ESCAPE) {
      e.consume();
      stop();
      return;
    }
    Optional<Press> press = held.press(e, now.keymap().layout());
    e.consume();
    if (press.isEmpty() || at >= steps.size()) {
      return;
    }
    if (began == 0) {
      began = System.nanoTime();
    }
    pressed.add(press.get());
    List<List<Signal>> paths = paths(steps.get(at).triggers().getFirst());
    if (paths.stream().anyMatch(p -> p.equals(pressed))) {
      next();
    } else if (paths.stream()
        .noneMatch(
            p -> p.size() > pressed.size() && p.subList(0, pressed.size()).equals(pressed))) {
      slips++;
      pressed.clear();
      result.setText(Ui.text("payback.practice.wrong", slips));
    }
  }

  private void next() {
    if (began == 0) {
      began = System.nanoTime();
    }
    at++;
    if (at < steps.size()) {
      ask();
      return;
    }
    double seconds = (System.nanoTime() - began) / 1e9;
    result.setText(
        Ui.text(
            "payback.practice.result",
            EffortWords.time(seconds),
            slips,
            chain.bound().map(EffortWords::span).orElse("?"),
            chain.byHand().map(EffortWords::span).orElse("?")));
    again();
  }
}
