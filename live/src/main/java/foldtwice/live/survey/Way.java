package foldtwice.live.survey;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * A number that goes from one end to the other, told in percent: from 0 to 100 as it is, else how
 * far it is on its way.
 */
public record Way(double least, double most) {

  private static final int DECIMALS = 4;

  /** True when it is told as it is. */
  public boolean isPercent() {
    return least == 0 && most == 100;
  }

  public BigDecimal percent(double at) {
    double part = most > least ? (at - least) / (most - least) * 100 : 0;
    double told = isPercent() ? at : part;
    return BigDecimal.valueOf(Double.isFinite(told) ? told : 0)
        .setScale(DECIMALS, RoundingMode.HALF_UP)
        .stripTrailingZeros();
  }

  public double at(BigDecimal percent) {
    return isPercent()
        ? percent.doubleValue()
        : least + percent.doubleValue() / 100 * (most - least);
  }
}
