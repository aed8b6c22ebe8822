package foldtwice.trigger;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Reads what a pointer drew as strokes in eight directions.
 *
 * <p>The way is first made of straight lines, each split where it lies farthest off until nothing
 * is farther than {@value #BEND} px (Douglas and Peucker, <i>Algorithms for the reduction of the
 * number of points required to represent a digitized line or its caricature</i>, The Canadian
 * Cartographer 10(2), 1973); a point is compared with the one as far along, so that going back on
 * the same line is seen too. A line is a stroke when it is at least {@value #LEAST} px long. One
 * that turns from its neighbour before to the one after and is less than half as long as either is
 * the rounding of a corner. A stroke may lie up to {@value #TOLERANCE} degrees off its direction;
 * beyond that it could be either of two and is not guessed. Costs n log n for n points in the mean,
 * n squared at worst; of more than {@value #MOST_POINTS} points every other one is left out until
 * there are fewer.
 */
public final class Drawing {

  /** How far a hand may tremble off a straight line, in px. */
  public static final double BEND = 9;

  /** More points are thinned out. */
  public static final int MOST_POINTS = 2_000;

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
    List<Point> all = points;
    while (all.size() > MOST_POINTS) {
      List<Point> half = new ArrayList<>();
      for (int i = 0; i < all.size(); i += 2) {
        half.add(all.get(i));
      }
      half.add(all.getLast());
      all = half;
    }
    List<Leg> legs = new ArrayList<>();
    if (all.size() > 1) {
      double[] lengths = new double[all.size()];
      for (int i = 1; i < lengths.length; i++) {
        Point a = all.get(i - 1);
        Point b = all.get(i);
        lengths[i] = lengths[i - 1] + Math.hypot(b.x - a.x, b.y - a.y);
      }
      lines(all, lengths, 0, lengths.length - 1, legs);
    }
    return legs;
  }

  /** Straight lines from one point to another, by way of the farthest off between them. */
  private static void lines(
      List<Point> points, double[] lengths, int from, int to, List<Leg> into) {
    Point a = points.get(from);
    double dx = points.get(to).x - a.x;
    double dy = points.get(to).y - a.y;
    double all = lengths[to] - lengths[from];
    int farthest = -1;
    double off = BEND;
    for (int i = from + 1; i < to; i++) {
      double part = all == 0 ? 0 : (lengths[i] - lengths[from]) / all;
      Point p = points.get(i);
      double distance = Math.hypot(p.x - a.x - part * dx, p.y - a.y - part * dy);
      if (distance > off) {
        off = distance;
        farthest = i;
      }
    }
    if (farthest < 0) {
      Direction.of(dx, dy).ifPresent(d -> into.add(new Leg(d, dx, dy)));
    } else {
      lines(points, lengths, from, farthest, into);
      lines(points, lengths, farthest, to, into);
    }
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
      if (!inside || !isCorner(strokes.get(i - 1), strokes.get(i), strokes.get(i + 1))) {
        kept.add(strokes.get(i));
      }
    }
    return kept;
  }

  private static boolean isCorner(Leg before, Leg leg, Leg after) {
    int turn = before.direction.apart(after.direction);
    boolean between =
        before.direction.apart(leg.direction) + leg.direction.apart(after.direction) == turn;
    return between && leg.length() * 2 < before.length() && leg.length() * 2 < after.length();
  }
}
