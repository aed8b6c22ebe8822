package foldtwice.effort;

/** What it takes to bring the pointer to something. */
public interface Pointing {

  /** What the paper gives where nothing is known of the way: 1.10 s, within 0.8 and 1.5 s. */
  Pointing PAPER = new Same(new Span(0.8, 1.10, 1.5));

  /**
   * What the paper gives by distance and size: 0.8 + 0.1 log2(D/S + 0.5) s, within 0.8 and 1.5 s.
   */
  Pointing BY_DISTANCE =
      (distance, width) -> {
        double mid =
            Math.clamp(
                0.8 + 0.1 * log2(Math.max(0, distance) / Math.max(1, width) + 0.5), 0.8, 1.5);
        return new Span(mid * 0.9, mid, mid * 1.1);
      };

  private static double log2(double x) {
    return Math.log(x) / Math.log(2);
  }

  /**
   * Seconds to a target.
   *
   * @param distance to it
   * @param width of it, in the same unit; more than 0
   */
  Span to(double distance, double width);

  /** The same wherever it goes. */
  record Same(Span seconds) implements Pointing {
    @Override
    public Span to(double distance, double width) {
      return seconds;
    }
  }

  /**
   * Fitts's law: a + b log2(D/W + c) s.
   *
   * @param intercept a
   * @param slope b
   * @param added c: 1 in Shannon's form (MacKenzie 1992; ISO 9241-411), 0.5 in the paper of 1980
   */
  record Fitts(Span intercept, Span slope, double added) implements Pointing {
    @Override
    public Span to(double distance, double width) {
      double difficulty = Math.max(0, log2(Math.max(0, distance) / Math.max(1, width) + added));
      return intercept.plus(slope.times(difficulty));
    }
  }
}
