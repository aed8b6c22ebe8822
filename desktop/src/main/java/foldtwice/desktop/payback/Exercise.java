package foldtwice.desktop.payback;

import foldtwice.desktop.parts.KeepsKeys;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.effort.Measured;
import foldtwice.effort.Measuring;
import java.util.Random;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;

/**
 * Two minutes in which a person's hand is measured: keys that are shown are pressed, targets that
 * are shown are clicked, and then both in turn.
 */
final class Exercise extends BorderPane implements KeepsKeys {

  private static final String LETTERS = "ASDFJKLEIRUTGHNM";

  /** What is asked for. */
  private enum Phase {
    OFF(0),
    KEYS(24),
    TARGETS(16),
    TURNS(10);

    /** How many are asked for. */
    private final int many;

    Phase(int many) {
      this.many = many;
    }
  }

  private final Consumer<Measured> onMeasured;
  private final Runnable onChange;
  private final Random random = new Random();
  private final Label says = Parts.label("", "title");
  private final Label progress = Parts.label("", "soft");
  private final Label cap = Parts.label("", "exercise-cap");
  private final Pane field = new Pane();
  private final Circle target = new Circle();
  private Measuring measuring = new Measuring();
  private Phase phase = Phase.OFF;
  private int done;
  private long last;
  private double x;
  private double y;
  private boolean clickNext;

  Exercise(Consumer<Measured> onMeasured, Runnable onChange) {
    this.onMeasured = onMeasured;
    this.onChange = onChange;
    setId("exercise");
    getStyleClass().add("exercise");
    says.setId("exercise-says");
    cap.setId("exercise-cap");
    target.setId("exercise-target");
    target.getStyleClass().add("exercise-target");
    Button stop = Parts.button("exercise-stop", Ui.text("payback.exercise.stop"), this::stop);
    stop.setFocusTraversable(false);
    HBox top = new HBox(14, says, progress, Parts.gap(), stop);
    top.setAlignment(Pos.CENTER_LEFT);
    setTop(top);
    field.setId("exercise-field");
    field.getChildren().addAll(cap, target);
    setCenter(field);
    setFocusTraversable(true);
    setAccessibleText(Ui.text("act.payback-measure"));
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
    target.addEventHandler(MouseEvent.MOUSE_PRESSED, this::hit);
    managedProperty().bind(visibleProperty());
    setVisible(false);
  }

  boolean isOn() {
    return phase != Phase.OFF;
  }

  void takeKeys() {
    requestFocus();
  }

  void start() {
    measuring = new Measuring();
    setVisible(true);
    begin(Phase.KEYS);
    onChange.run();
  }

  void stop() {
    if (isOn()) {
      phase = Phase.OFF;
      setVisible(false);
      onChange.run();
    }
  }

  private void begin(Phase next) {
    phase = next;
    done = 0;
    last = 0;
    clickNext = next != Phase.KEYS;
    says.setText(Ui.text("payback.exercise." + next));
    requestFocus();
    layout();
    ask();
  }

  /** Shows what is wanted next. */
  private void ask() {
    progress.setText(Ui.text("payback.exercise.progress", done, phase.many));
    boolean click = phase == Phase.TARGETS || (phase == Phase.TURNS && clickNext);
    cap.setVisible(!click);
    target.setVisible(click);
    if (click) {
      double w = Math.max(200, field.getWidth());
      double h = Math.max(150, field.getHeight());
      target.setRadius(8 + random.nextInt(22));
      target.setCenterX(40 + random.nextDouble() * (w - 80));
      target.setCenterY(40 + random.nextDouble() * (h - 80));
    } else {
      String before = cap.getText();
      do {
        cap.setText(String.valueOf(LETTERS.charAt(random.nextInt(LETTERS.length()))));
      } while (cap.getText().equals(before));
      cap.relocate(Math.max(0, field.getWidth() / 2 - 30), Math.max(0, field.getHeight() / 2 - 30));
    }
  }

  private static double since(long then) {
    return (System.nanoTime() - then) / 1e9;
  }

  private void key(KeyEvent e) {
    if (e.getCode() == KeyCode.ESCAPE) {
      e.consume();
      stop();
      return;
    }
    boolean wanted = phase == Phase.KEYS || (phase == Phase.TURNS && !clickNext);
    if (!wanted || !e.getCode().getName().equals(cap.getText())) {
      return; // a wrong key is not counted, and the time to the right one is not either
    }
    e.consume();
    if (phase == Phase.KEYS) {
      if (last != 0) {
        measuring.key(since(last));
      }
    } else {
      measuring.over(since(last));
      clickNext = true;
    }
    next();
  }

  private void hit(MouseEvent e) {
    e.consume();
    if (phase == Phase.TARGETS) {
      if (last != 0) {
        double distance = Math.hypot(target.getCenterX() - x, target.getCenterY() - y);
        measuring.point(distance, target.getRadius() * 2, since(last));
      }
      x = e.getX();
      y = e.getY();
      next();
    } else if (phase == Phase.TURNS && clickNext) {
      clickNext = false;
      last = System.nanoTime();
      ask();
    }
    requestFocus();
  }

  private void next() {
    last = System.nanoTime();
    done++;
    if (done < phase.many) {
      ask();
      return;
    }
    switch (phase) {
      case KEYS -> begin(Phase.TARGETS);
      case TARGETS -> begin(Phase.TURNS);
      case TURNS, OFF -> {
        stop();
        measuring.result().ifPresent(onMeasured);
      }
    }
  }
}
