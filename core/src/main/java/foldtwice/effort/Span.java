package foldtwice.effort;

/**
 * A time that is not known exactly, in seconds.
 *
 * @param low so little it may be; at most {@code mid}
 * @param high so much it may be; at least {@code mid}
 */
public record Span(double low, double mid, double high) {

  public static final Span NONE = new Span(0, 0, 0);

  public Span {
    if (!(low <= mid && mid <= high)) {
      throw new IllegalArgumentException("a span from " + low + " over " + mid + " to " + high);
    }
  }

  public static Span exactly(double seconds) {
    return new Span(seconds, seconds, seconds);
  }

  /** One after the other. Who is slow at one thing is slow at the next: the ends add up. */
  public Span plus(Span other) {
    return new Span(low + other.low, mid + other.mid, high + other.high);
  }

  /**
   * So many times.
   *
   * @param times 0 or more
   */
  public Span times(double times) {
    return new Span(low * times, mid * times, high * times);
  }

  /**
   * How much longer this takes than the other, which may be less than nothing. What makes one
   * longer makes the other longer: the least difference is that of the quick hand or the slow one.
   */
  public Span minus(Span other) {
    double a = low - other.low;
    double b = mid - other.mid;
    double c = high - other.high;
    return new Span(Math.min(Math.min(a, c), b), b, Math.max(Math.max(a, c), b));
  }

  /** Wider by a share of it on both sides, such as 0.21 for what a model is wrong by. */
  public Span give(double share) {
    double by = Math.abs(mid) * share;
    return new Span(mid - Math.hypot(mid - low, by), mid, mid + Math.hypot(high - mid, by));
  }
}
