package foldtwice.suggest;

import foldtwice.surface.Device;
import foldtwice.trigger.Key;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What it costs a hand to make a stroke, by the formula of the package. */
final class Effort {

  private static final double FURTHER_STROKE = 2;
  private static final double DIGIT_ROW = 2;
  private static final double NO_LETTER = 3;
  private static final double LEFT_HAND_ONLY = 1;
  private static final double TO_A_DEVICE = 5;
  private static final double ANOTHER_PAGE = 3;

  private static final Map<Modifier, Double> MODIFIERS =
      new EnumMap<>(
          Map.of(
              Modifier.CTRL, 1.5,
              Modifier.SHIFT, 1.2,
              Modifier.ALT, 1.8,
              Modifier.ALTGR, 2.5,
              Modifier.NUM, 3.0,
              Modifier.LOGO, 3.0));

  /** Where the fingers lie: the middles of these keys of the home row. */
  static final List<KeyCode> HOME =
      List.of(
          KeyCode.KEY_A,
          KeyCode.KEY_S,
          KeyCode.KEY_D,
          KeyCode.KEY_F,
          KeyCode.KEY_J,
          KeyCode.KEY_K,
          KeyCode.KEY_L,
          KeyCode.SEMICOLON);

  private final Layout layout;
  private final Map<KeyCode, Shape.Cap> caps = new EnumMap<>(KeyCode.class);

  Effort(Layout layout, Shape shape) {
    this.layout = layout;
    shape.caps().forEach(c -> caps.put(c.code(), c));
  }

  /** Of a key of a device: the hand goes there, and turns the page when it is not the first. */
  static double of(Trigger.PadKey key, Device device) {
    return TO_A_DEVICE + (key.page().equals(device.firstPage().id()) ? 0 : ANOTHER_PAGE);
  }

  /** Of all strokes one after the other. */
  double of(List<Stroke> strokes) {
    double cost = (strokes.size() - 1) * FURTHER_STROKE;
    for (Stroke s : strokes) {
      cost += of(s);
    }
    return cost;
  }

  private double of(Stroke stroke) {
    List<Press> presses = layout.presses(stroke);
    if (presses.isEmpty()) {
      return Double.POSITIVE_INFINITY;
    }
    Press press = presses.getFirst();
    return reach(press.code(), stroke) + modifiers(press.held(), press.code());
  }

  private double reach(KeyCode code, Stroke stroke) {
    Shape.Cap cap = caps.get(code);
    double away = cap == null ? 8 : fingerWay(cap);
    boolean letter =
        stroke.key() instanceof Key.Making(var keysym)
            && keysym.types()
            && Character.isLetter(keysym.codePoint());
    boolean digit = code.code().startsWith("Digit");
    return 1 + away + (digit ? DIGIT_ROW : letter ? 0 : NO_LETTER);
  }

  /** From the nearest home key, in key widths. */
  private double fingerWay(Shape.Cap cap) {
    double least = Double.MAX_VALUE;
    for (KeyCode home : HOME) {
      Shape.Cap from = caps.get(home);
      least =
          Math.min(
              least,
              Math.hypot(
                  from.x() + from.width() / 2 - cap.x() - cap.width() / 2, from.y() - cap.y()));
    }
    return least;
  }

  private double modifiers(Modifiers held, KeyCode code) {
    double cost = 0;
    for (Modifier m : held.list()) {
      cost += MODIFIERS.get(m);
    }
    boolean right = Optional.ofNullable(caps.get(code)).filter(c -> c.x() > 7.5).isPresent();
    boolean leftModifiers = held.has(Modifier.CTRL) && held.has(Modifier.ALT);
    return cost + (leftModifiers && !right ? LEFT_HAND_ONLY : 0);
  }
}
