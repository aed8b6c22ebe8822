package foldtwice.live.survey;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Numbers as programs tell them. */
final class Numbers {

  private Numbers() {}

  /** Within a billion, to six places; nothing for what is none. */
  static BigDecimal of(double n) {
    double finite = Double.isFinite(n) ? Math.clamp(n, -1e9, 1e9) : 0;
    return BigDecimal.valueOf(finite)
        .setScale(6, RoundingMode.HALF_UP)
        .stripTrailingZeros()
        .add(BigDecimal.ZERO);
  }
}
