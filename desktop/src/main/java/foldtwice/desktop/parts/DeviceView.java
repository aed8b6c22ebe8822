package foldtwice.desktop.parts;

import foldtwice.conflict.Weight;
import foldtwice.desktop.session.Ui;
import foldtwice.surface.Device;
import foldtwice.surface.Face;
import foldtwice.surface.Page;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;

/**
 * A device to press, drawn from its description. A key that is kept down longer than {@link
 * Trigger#HOLD_MILLIS} is held, with the mouse or with the space bar.
 */
public final class DeviceView extends Pane {

  /** What a hand did. */
  public interface Listener {
    void key(String key, Trigger.Duration way);

    /** A key goes down; true when it acts at once, and shall not be told when it comes up. */
    default boolean down(String key) {
      return false;
    }

    /** A key that acted as it went down comes up. */
    default void up() {}

    void dial(String dial, Trigger.Turn turn);
  }

  /**
   * What a key or a dial shows.
   *
   * @param text on it
   * @param says in full, for the tooltip
   * @param face with its icon and its colour
   */
  public record Shown(String text, String says, Part part, Face face) {}

  /** What a key is for, in the place in view. */
  public enum Part {
    FREE,
    YOURS,
    /** It types keys of itself. */
    SENDS,
    /** It turns the page. */
    TURNS
  }

  private static final double GAP = 4;
  private static final double EAR = 9;

  private final double unit;
  private final double row;
  private final Listener listener;
  private long down;

  /** The key that acted as it went down, while it is; empty for none. */
  private String acting = "";

  /** What is drawn, so that a key that is down is not drawn anew for nothing. */
  private List<Object> drawn = List.of();

  /**
   * Empty until a device is shown.
   *
   * @param unit how wide a key is, in px
   * @param row how high one is
   */
  public DeviceView(double unit, double row, Listener listener) {
    this.unit = unit;
    this.row = row;
    this.listener = listener;
    getStyleClass().add("device");
    addEventFilter(MouseEvent.MOUSE_PRESSED, e -> down = System.nanoTime());
    addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> down = down == 0 ? System.nanoTime() : down); // the key repeats while it is down
    addEventFilter(KeyEvent.KEY_RELEASED, e -> later(() -> down = 0));
  }

  private static void later(Runnable after) {
    javafx.application.Platform.runLater(after);
  }

  /** Shows a device with one of its pages. */
  public void show(Device device, Page page, Function<String, Shown> of) {
    List<Object> next = new ArrayList<>(List.of(device, page));
    device.keys().forEach(k -> next.add(of.apply(k.id())));
    device.dials().forEach(d -> next.add(of.apply(d.id())));
    if (next.equals(drawn)) {
      return;
    }
    drawn = next;
    up(); // the key that is down is gone
    getChildren().clear();
    double right = 0;
    double bottom = 0;
    for (Device.Cap cap : device.keys()) {
      Shown shown = of.apply(cap.id());
      Button key = key(cap, shown);
      getChildren().add(key);
      right = Math.max(right, (cap.x() + cap.width()) * unit);
      bottom = Math.max(bottom, (cap.y() + cap.height()) * row);
      if (shown.part() != Part.FREE) {
        Polygon ear = Corners.ear(EAR, shown.part() == Part.YOURS ? "yours" : "native");
        ear.relocate((cap.x() + cap.width()) * unit - GAP - 10, cap.y() * row + 1);
        getChildren().add(ear);
      }
    }
    for (Device.Knob knob : device.dials()) {
      VBox dial = dial(knob, of.apply(knob.id()));
      dial.relocate(knob.x() * unit, knob.y() * row);
      getChildren().add(dial);
      bottom = Math.max(bottom, (knob.y() + 1.9) * row);
    }
    setMinSize(right, bottom);
    setPrefSize(right, bottom);
    setMaxSize(right, bottom);
    setAccessibleText(Ui.text("device.shows", device.name(), page.name()));
  }

  /** Folds another corner of a key of what is shown: something is wrong with it. */
  public void fold(Device.Cap cap, Weight weight) {
    drawn = List.of(); // the fold goes with the next drawing
    Polygon fold = Corners.second(EAR, weight);
    fold.relocate(cap.x() * unit + 1, (cap.y() + cap.height()) * row - GAP - 10);
    getChildren().add(fold);
  }

  private Button key(Device.Cap cap, Shown shown) {
    Button key = Skins.on(new Button(shown.text()));
    key.setId("pad-" + cap.id());
    key.getStyleClass().setAll("key", "pad-key");
    Icons.dress(key, shown.face(), 13);
    key.setWrapText(true);
    key.setAccessibleText(shown.says());
    Tips.on(key, shown.says());
    double width = cap.width() * unit - GAP;
    double height = cap.height() * row - GAP;
    key.setMinSize(width, height);
    key.setMaxSize(width, height);
    key.relocate(cap.x() * unit, cap.y() * row);
    key.setOnAction(
        e -> {
          if (acting.isEmpty()) {
            listener.key(cap.id(), way());
          }
        });
    key.addEventFilter(
        MouseEvent.MOUSE_PRESSED,
        e -> {
          if (e.getButton() == MouseButton.PRIMARY) {
            down(cap.id());
          }
        });
    key.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.SPACE) {
            down(cap.id());
          }
        });
    key.addEventFilter(MouseEvent.MOUSE_RELEASED, e -> up());
    key.addEventFilter(KeyEvent.KEY_RELEASED, e -> up());
    key.focusedProperty()
        .addListener(
            (o, had, has) -> {
              if (had) {
                up();
              }
            });
    return key;
  }

  private void down(String key) {
    if (acting.isEmpty() && listener.down(key)) {
      acting = key;
    }
  }

  /** What acted as it went down is up; its button is told so after this, and then acts no more. */
  private void up() {
    if (!acting.isEmpty()) {
      listener.up();
      later(() -> acting = "");
    }
  }

  private Trigger.Duration way() {
    boolean held = down != 0 && System.nanoTime() - down >= Trigger.HOLD_MILLIS * 1_000_000;
    down = 0;
    return held ? Trigger.Duration.HOLD : Trigger.Duration.TAP;
  }

  private VBox dial(Device.Knob knob, Shown shown) {
    Circle rim = new Circle(row * 0.42);
    rim.getStyleClass().add("dial-rim");
    Line needle = new Line(0, 0, 0, -row * 0.3);
    needle.setTranslateY(-row * 0.15);
    needle.getStyleClass().add("dial-needle");
    StackPane face = new StackPane(rim, needle);
    Button push = Skins.on(new Button());
    push.setGraphic(face);
    push.setId("dial-" + knob.id() + "-push");
    push.getStyleClass().setAll("dial-face");
    push.setDisable(!knob.push());
    push.setAccessibleText(Ui.text("device.push", knob.label()));
    push.setOnAction(e -> listener.dial(knob.id(), Trigger.Turn.PUSH));
    HBox turns =
        new HBox(
            2,
            turn(knob, Trigger.Turn.LEFT, "\u2212", needle),
            turn(knob, Trigger.Turn.RIGHT, "+", needle));
    turns.setAlignment(Pos.CENTER);
    VBox dial = new VBox(2, push, turns);
    dial.setAlignment(Pos.CENTER);
    dial.setOnScroll(
        e -> {
          if (e.getDeltaY() != 0) {
            turned(knob, e.getDeltaY() > 0 ? Trigger.Turn.RIGHT : Trigger.Turn.LEFT, needle);
          }
        });
    Tips.on(dial, shown.says());
    return dial;
  }

  private Button turn(Device.Knob knob, Trigger.Turn way, String sign, Line needle) {
    Button button = Skins.on(new Button(sign));
    button.setId("dial-" + knob.id() + "-" + (way == Trigger.Turn.LEFT ? "left" : "right"));
    button.getStyleClass().setAll("key", "dial-turn");
    button.setAccessibleText(Ui.text("device." + way, knob.label()));
    button.setOnAction(e -> turned(knob, way, needle));
    return button;
  }

  private void turned(Device.Knob knob, Trigger.Turn way, Line needle) {
    needle
        .getParent()
        .setRotate(needle.getParent().getRotate() + (way == Trigger.Turn.RIGHT ? 20 : -20));
    listener.dial(knob.id(), way);
  }
}
