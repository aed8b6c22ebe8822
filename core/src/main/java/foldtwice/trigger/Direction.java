package foldtwice.trigger;

import java.util.Locale;
import java.util.Optional;

/** The eight directions, clockwise from the top. */
public enum Direction {
  UP,
  UP_RIGHT,
  RIGHT,
  DOWN_RIGHT,
  DOWN,
  DOWN_LEFT,
  LEFT,
  UP_LEFT;

  /** How it is written: {@code up-right}. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** The direction that is written so. */
  public static Optional<Direction> of(String id) {
    for (Direction d : values()) {
      if (d.id().equals(id)) {
        return Optional.of(d);
      }
    }
    return Optional.empty();
  }

  /** Clockwise from the top, in degrees. */
  public double degrees() {
    return ordinal() * 45.0;
  }

  /** 1 to the right, -1 to the left, 0 for neither. */
  public int across() {
    return switch (this) {
      case UP_RIGHT, RIGHT, DOWN_RIGHT -> 1;
      case UP_LEFT, LEFT, DOWN_LEFT -> -1;
      case UP, DOWN -> 0;
    };
  }

  /** 1 downwards, -1 upwards, 0 for neither. */
  public int down() {
    return switch (this) {
      case DOWN_LEFT, DOWN, DOWN_RIGHT -> 1;
      case UP_LEFT, UP, UP_RIGHT -> -1;
      case LEFT, RIGHT -> 0;
    };
  }

  /** How far two directions are apart, in eighths of a turn: 0 to 4. */
  public int apart(Direction other) {
    int apart = Math.abs(ordinal() - other.ordinal());
    return Math.min(apart, values().length - apart);
  }

  /**
   * The direction of a way on a screen, where y grows downwards.
   *
   * @return empty for no way at all
   */
  public static Optional<Direction> of(double dx, double dy) {
    if (dx == 0 && dy == 0) {
      return Optional.empty();
    }
    double degrees = Math.toDegrees(Math.atan2(dx, -dy));
    return Optional.of(values()[Math.floorMod(Math.round(degrees / 45), 8)]);
  }
}
