package foldtwice.trigger;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Reads what a pointer drew as strokes in eight directions.
 *
 * <p>Points nearer than {@value #STEP} px to the last one that counted are trembling and are left
 * out. A run in one direction is a stroke when it is at least {@value #LEAST} px long; a shorter
 * one, and a run between two others that is not a third as long as either, is the rounding of a
 * corner. A stroke may lie up to {@value #TOLERANCE} degrees off its direction; beyond that it
 * could be either of two and is not guessed. Costs one pass over the points.
 */
public final class Drawing {

  /** In px. */
  public static final double STEP = 8;

  /** The shortest stroke, in px. */
  public static final double LEAST = 24;

  /** How far a stroke may lie off its direction, in degrees; half way to the next is 22.5. */
  public static final double TOLERANCE = 19;

  /** Where the pointer was, y growing downwards. */
  public record Point(double x, double y) {}

  /** What was drawn. */
  public sealed interface Result {

    /** A gesture. */
    record Drawn(List<Direction> strokes) implements Result {
      public Drawn {
        strokes = List.copyOf(strokes);
      }
    }

    /** No stroke is long enough. */
    record TooShort(double longest) implements Result {}

    /** A stroke lies between two directions. */
    record Unclear(Direction nearest, double off) implements Result {}

    /** More strokes than a gesture has. */
    record TooMany(int strokes) implements Result {}
  }

  /** A run in one direction: the way it goes and how long it is. */
  private record Leg(Direction direction, double dx, double dy) {
    double length() {
      return Math.hypot(dx, dy);
    }

    Leg and(Leg next) {
      return new Leg(direction, dx + next.dx, dy + next.dy);
    }

    /** How far its way as a whole lies off its direction, in degrees. */
    double off() {
      double degrees = Math.toDegrees(Math.atan2(dx, -dy)) - direction.degrees();
      return Math.abs(Math.IEEEremainder(degrees, 360));
    }
  }

  private Drawing() {}

  /** Reads the points of one drag, in order. */
  public static Result read(List<Point> points) {
    List<Leg> legs = merged(legs(points));
    List<Leg> strokes = merged(legs.stream().filter(l -> l.length() >= LEAST).toList());
    strokes = merged(withoutCorners(strokes));
    if (strokes.isEmpty()) {
      return new Result.TooShort(legs.stream().mapToDouble(Leg::length).max().orElse(0));
    }
    if (strokes.size() > Trigger.Gesture.MOST_STROKES) {
      return new Result.TooMany(strokes.size());
    }
    Optional<Leg> unclear = strokes.stream().filter(l -> l.off() > TOLERANCE).findFirst();
    return unclear
        .<Result>map(l -> new Result.Unclear(l.direction(), l.off()))
        .orElse(new Result.Drawn(strokes.stream().map(Leg::direction).toList()));
  }

  private static List<Leg> legs(List<Point> points) {
    List<Leg> legs = new ArrayList<>();
    if (points.isEmpty()) {
      return legs;
    }
    Point from = points.getFirst();
    for (Point to : points) {
      double dx = to.x - from.x;
      double dy = to.y - from.y;
      if (Math.hypot(dx, dy) >= STEP) {
        legs.add(new Leg(Direction.of(dx, dy).orElseThrow(), dx, dy));
        from = to;
      }
    }
    return legs;
  }

  /** Neighbours of one direction as one. */
  private static List<Leg> merged(List<Leg> legs) {
    List<Leg> merged = new ArrayList<>();
    for (Leg leg : legs) {
      if (!merged.isEmpty() && merged.getLast().direction == leg.direction) {
        merged.add(merged.removeLast().and(leg));
      } else {
        merged.add(leg);
      }
    }
    return merged;
  }

  private static List<Leg> withoutCorners(List<Leg> strokes) {
    List<Leg> kept = new ArrayList<>();
    for (int i = 0; i < strokes.size(); i++) {
      boolean inside = i > 0 && i < strokes.size() - 1;
      double third = strokes.get(i).length() * 3;
      boolean corner =
          inside && third < strokes.get(i - 1).length() && third < strokes.get(i + 1).length();
      if (!corner) {
        kept.add(strokes.get(i));
      }
    }
    return kept;
  }
}
