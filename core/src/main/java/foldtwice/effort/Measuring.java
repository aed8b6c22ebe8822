package foldtwice.effort;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What is measured of one person's hand: the time of keys struck one after the other, of pointing
 * by distance and width, and of the hand going over.
 *
 * <p>Keys: the median of the times between two right keys in a row, its spread from the first to
 * the third quartile. Pointing: a line by least squares through time against log2(D/W + 1) (Fitts's
 * law, Shannon's form), its spread by the residuals. The hand: what a key right after a click takes
 * more than a key after a key, and a click after a key more than pointing.
 */
public final class Measuring {

  /** Fewer of each kind tell nothing. */
  public static final int LEAST = 6;

  private final List<Double> keys = new ArrayList<>();
  private final List<double[]> points = new ArrayList<>();
  private final List<Double> overs = new ArrayList<>();

  /** Seconds from one right key to the next. */
  public void key(double seconds) {
    keys.add(seconds);
  }

  /**
   * A target was clicked.
   *
   * @param distance to it, and its width, in the same unit
   * @param seconds from where the pointer was before
   */
  public void point(double distance, double width, double seconds) {
    points.add(new double[] {Math.log(distance / width + 1) / Math.log(2), seconds});
  }

  /** Seconds from a click to the first key after it. */
  public void over(double seconds) {
    overs.add(seconds);
  }

  /** True when there is enough of each to tell. */
  public boolean isEnough() {
    return keys.size() >= LEAST && points.size() >= LEAST && overs.size() >= LEAST;
  }

  /** What they come to; nothing while there is too little, or it makes no sense. */
  public Optional<Measured> result() {
    if (!isEnough()) {
      return Optional.empty();
    }
    Span key = quartiles(keys);
    Span over = quartiles(overs);
    Span hand =
        new Span(
            Math.max(0, over.low() - key.mid()),
            Math.max(0, over.mid() - key.mid()),
            Math.max(0, over.high() - key.mid()));
    double n = points.size();
    double sx = points.stream().mapToDouble(p -> p[0]).sum();
    double sy = points.stream().mapToDouble(p -> p[1]).sum();
    double sxx = points.stream().mapToDouble(p -> p[0] * p[0]).sum();
    double sxy = points.stream().mapToDouble(p -> p[0] * p[1]).sum();
    double below = n * sxx - sx * sx;
    double b = below <= 1e-9 ? 0 : Math.max(0, (n * sxy - sx * sy) / below);
    double a = Math.max(0, (sy - b * sx) / n);
    double residual =
        Math.sqrt(points.stream().mapToDouble(p -> Math.pow(p[1] - a - b * p[0], 2)).sum() / n);
    return Optional.of(
        new Measured(
            key, hand, new Span(Math.max(0, a - residual), a, a + residual), Span.exactly(b)));
  }

  private static Span quartiles(List<Double> of) {
    double[] sorted = of.stream().mapToDouble(Double::doubleValue).sorted().toArray();
    return new Span(at(sorted, 0.25), at(sorted, 0.5), at(sorted, 0.75));
  }

  /** A quantile, between two values where it lies between. */
  private static double at(double[] sorted, double share) {
    double place = share * (sorted.length - 1);
    int below = (int) Math.floor(place);
    int above = Math.min(below + 1, sorted.length - 1);
    return sorted[below] + (place - below) * (sorted[above] - sorted[below]);
  }
}
