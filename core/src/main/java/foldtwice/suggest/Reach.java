package foldtwice.suggest;

import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Shape;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How far a finger goes to a key, from the nearest key of the home row; keys are 19.05 mm apart
 * (ISO 9995 leaves it open; the pitch is common practice, no source).
 */
public final class Reach {

  /** From the middle of one key to that of the next, in millimetres. */
  public static final double PITCH = 19.05;

  private static final double MIDDLE = 7.5;

  private Reach() {}

  /** By shape, worked out once. */
  private static final Map<Shape, Map<KeyCode, Double>> FAR = new EnumMap<>(Shape.class);

  static {
    for (Shape shape : Shape.values()) {
      Map<KeyCode, Double> far = new EnumMap<>(KeyCode.class);
      shape.allCaps().forEach(cap -> far.put(cap.code(), fromHome(shape, cap)));
      FAR.put(shape, far);
    }
  }

  /** In millimetres; negative when a keyboard of the shape has no such key. */
  public static double millimetres(Shape shape, KeyCode code) {
    return FAR.get(shape).getOrDefault(code, -1.0);
  }

  private static double fromHome(Shape shape, Shape.Cap cap) {
    return Effort.HOME.stream()
        .flatMap(home -> cap(shape, home).stream())
        .mapToDouble(home -> distance(home, cap) * PITCH)
        .min()
        .orElse(-1);
  }

  /** True when it lies on the right half. */
  public static boolean isRight(Shape shape, KeyCode code) {
    return cap(shape, code).filter(c -> c.x() + c.width() / 2 > MIDDLE).isPresent();
  }

  /** The other keys that type something, the nearest first. */
  public static List<KeyCode> nearest(Shape shape, KeyCode code) {
    Optional<Shape.Cap> from = cap(shape, code);
    return from.isEmpty()
        ? List.of()
        : shape.caps().stream()
            .filter(c -> c.code() != code && c.code().fixedKeysym().isEmpty())
            .filter(c -> !c.code().isModifier())
            .sorted(Comparator.comparingDouble(c -> distance(c, from.get())))
            .map(Shape.Cap::code)
            .toList();
  }

  private static Optional<Shape.Cap> cap(Shape shape, KeyCode code) {
    return shape.allCaps().stream().filter(c -> c.code() == code).findFirst();
  }

  /** In key widths, middle to middle. */
  private static double distance(Shape.Cap a, Shape.Cap b) {
    return Math.hypot(a.x() + a.width() / 2 - b.x() - b.width() / 2, a.y() - b.y());
  }
}
