package foldtwice.effort;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Whether a series goes up or down: the test of Mann (1945) and Kendall (1975), with the variance
 * corrected for ties and the normal approximation continued; from memory.
 */
final class Trend {

  /** One side of the normal distribution is beyond this once in twenty. */
  private static final double ONE_IN_TWENTY = 1.645;

  /** In fewer nothing can be told. */
  static final int FEWEST = 6;

  private Trend() {}

  /** True when it falls, and chance alone makes that once in twenty at most. */
  static boolean falls(List<Long> series) {
    return series.size() >= FEWEST && z(series) < -ONE_IN_TWENTY;
  }

  /** How many standard deviations from no trend; below 0 where it falls. Cost: n squared. */
  static double z(List<Long> series) {
    int n = series.size();
    long s = 0;
    Map<Long, Integer> ties = new HashMap<>();
    for (int i = 0; i < n; i++) {
      ties.merge(series.get(i), 1, Integer::sum);
      for (int k = i + 1; k < n; k++) {
        s += Long.signum(series.get(k) - series.get(i));
      }
    }
    double variance = weight(n);
    for (int t : ties.values()) {
      variance -= weight(t);
    }
    return s == 0 || variance <= 0 ? 0 : (s - Long.signum(s)) / Math.sqrt(variance / 18);
  }

  private static double weight(long n) {
    return n * (n - 1.0) * (2 * n + 5);
  }
}
