package foldtwice.desktop.standin;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Rectangle2D;

/**
 * Finds room for the names on a map. Greedy: each name takes, of the places offered to it, the one
 * that hides least; the first of those that are equal. Cost: names × places × what is on the map.
 */
final class Lettering {

  private static final double OUTSIDE = 40;
  private static final double OVER_NAME = 10;
  private static final double OVER_LINE = 3;

  private record Segment(double x1, double y1, double x2, double y2) {}

  private final Rectangle2D sheet;
  private final List<Rectangle2D> taken = new ArrayList<>();
  private final List<Segment> lines = new ArrayList<>();

  Lettering(double width, double height) {
    sheet = new Rectangle2D(0, 0, width, height);
  }

  /** Something names should not lie on. */
  void keepOff(double x, double y, double radius) {
    taken.add(new Rectangle2D(x - radius, y - radius, 2 * radius, 2 * radius));
  }

  /** A line names should not lie on, if there is room elsewhere. */
  void line(double x1, double y1, double x2, double y2) {
    lines.add(new Segment(x1, y1, x2, y2));
  }

  /** The best of the places, which is taken from now on. */
  Rectangle2D best(List<Rectangle2D> places) {
    Rectangle2D best = places.getFirst();
    double least = Double.MAX_VALUE;
    for (Rectangle2D place : places) {
      double hides = hides(place);
      if (hides < least) {
        least = hides;
        best = place;
      }
    }
    taken.add(best);
    return best;
  }

  private double hides(Rectangle2D place) {
    double sum = sheet.contains(place) ? 0 : OUTSIDE;
    for (Rectangle2D t : taken) {
      sum += t.intersects(place) ? OVER_NAME : 0;
    }
    for (Segment s : lines) {
      sum += crosses(s, place) ? OVER_LINE : 0;
    }
    return sum;
  }

  /** True when a part of the segment is inside: clipped against the four sides (Liang–Barsky). */
  private static boolean crosses(Segment s, Rectangle2D r) {
    double dx = s.x2 - s.x1;
    double dy = s.y2 - s.y1;
    double[] p = {-dx, dx, -dy, dy};
    double[] q = {s.x1 - r.getMinX(), r.getMaxX() - s.x1, s.y1 - r.getMinY(), r.getMaxY() - s.y1};
    double from = 0;
    double to = 1;
    for (int i = 0; i < 4; i++) {
      if (p[i] == 0) {
        if (q[i] < 0) {
          return false;
        }
      } else if (p[i] < 0) {
        from = Math.max(from, q[i] / p[i]);
      } else {
        to = Math.min(to, q[i] / p[i]);
      }
    }
    return from <= to;
  }
}
