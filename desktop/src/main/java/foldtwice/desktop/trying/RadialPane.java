package foldtwice.desktop.trying;

import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Ui;
import foldtwice.surface.RadialMenu;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Trigger;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;

/**
 * A radial menu around a point: click a choice, or press an arrow or the digit that lies in its
 * direction on a number pad; Escape leaves.
 */
final class RadialPane extends Pane {

  private static final double WIDTH = 128;
  private static final double HEIGHT = 40;

  /** How far choices lie from the middle: straight up and down, to the sides, and between. */
  private static final double UPRIGHT = 108;

  private static final double BESIDE = 166;
  private static final double SLANTED_X = 146;
  private static final double SLANTED_Y = 54;

  private static final Map<KeyCode, Direction> KEYS = keys();

  private final Map<Direction, Button> choices = new EnumMap<>(Direction.class);

  private static Map<KeyCode, Direction> keys() {
    Map<KeyCode, Direction> keys = new EnumMap<>(KeyCode.class);
    KeyCode[] digits = {
      KeyCode.DIGIT8, KeyCode.DIGIT9, KeyCode.DIGIT6, KeyCode.DIGIT3,
      KeyCode.DIGIT2, KeyCode.DIGIT1, KeyCode.DIGIT4, KeyCode.DIGIT7
    };
    KeyCode[] pad = {
      KeyCode.NUMPAD8, KeyCode.NUMPAD9, KeyCode.NUMPAD6, KeyCode.NUMPAD3,
      KeyCode.NUMPAD2, KeyCode.NUMPAD1, KeyCode.NUMPAD4, KeyCode.NUMPAD7
    };
    for (Direction d : Direction.values()) {
      keys.put(digits[d.ordinal()], d);
      keys.put(pad[d.ordinal()], d);
    }
    keys.put(KeyCode.UP, Direction.UP);
    keys.put(KeyCode.RIGHT, Direction.RIGHT);
    keys.put(KeyCode.DOWN, Direction.DOWN);
    keys.put(KeyCode.LEFT, Direction.LEFT);
    return keys;
  }

  /**
   * A menu with its middle at a point of the pane it is laid over.
   *
   * @param faces what the choices do here
   * @param onChosen gets the trigger of the choice
   */
  RadialPane(
      RadialMenu menu,
      double x,
      double y,
      Faces faces,
      Consumer<Trigger> onChosen,
      Runnable onLeft) {
    setId("radial");
    getStyleClass().add("radial");
    setFocusTraversable(true);
    setAccessibleText(menu.name());
    Circle middle = new Circle(x, y, 14);
    middle.getStyleClass().add("radial-middle");
    for (Direction d : Direction.values()) {
      Trigger choice = new Trigger.Radial(menu.id(), d);
      Optional<String> does = faces.does(choice);
      String label = menu.face(d).label();
      if (does.isEmpty() && label.isEmpty()) {
        continue;
      }
      boolean slanted = d.across() != 0 && d.down() != 0;
      double cx = x + d.across() * (slanted ? SLANTED_X : BESIDE);
      double cy = y + d.down() * (slanted ? SLANTED_Y : UPRIGHT);
      Line spoke = new Line(x, y, cx, cy);
      spoke.getStyleClass().add("radial-spoke");
      Button button = Skins.on(new Button(label.isEmpty() ? faces.brief(choice) : label));
      button.setId("radial-" + d.id());
      button.getStyleClass().add("radial-choice");
      button.setWrapText(true);
      button.setMinSize(WIDTH, HEIGHT);
      button.setMaxSize(WIDTH, HEIGHT);
      button.setDisable(does.isEmpty());
      button.setAccessibleText(does.orElse(Ui.text("device.free")));
      button.relocate(cx - WIDTH / 2, cy - HEIGHT / 2);
      button.setOnAction(e -> onChosen.accept(choice));
      choices.put(d, button);
      getChildren().add(0, spoke);
      getChildren().add(button);
    }
    getChildren().add(middle);
    addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          e.consume();
          Direction d = KEYS.get(e.getCode());
          if (e.getCode() == KeyCode.ESCAPE) {
            onLeft.run();
          } else if (d != null && choices.containsKey(d)) {
            choices.get(d).fire();
          }
        });
    setOnMousePressed(e -> onLeft.run());
  }
}
