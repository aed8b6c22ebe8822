package foldtwice.routine;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Units of length. Each is a whole number of a common grid of 1/360 mm, so that every conversion is
 * exact: 1 in = 25.4 mm (international yard and pound agreement, 1959); 1 in = 72 pt = 6 pica (W3C
 * CSS Values).
 */
public enum LengthUnit {
  MM("mm", 360),
  CM("cm", 3600),
  IN("in", 9144),
  PT("pt", 127),
  PICA("pica", 1524);

  private static final LengthUnit[] UNITS = values();

  private final String symbol;
  private final BigDecimal grid;

  LengthUnit(String symbol, int grid) {
    this.symbol = symbol;
    this.grid = BigDecimal.valueOf(grid);
  }

  public String symbol() {
    return symbol;
  }

  /** An amount of this unit in steps of 1/360 mm. */
  public BigDecimal toGrid(BigDecimal amount) {
    return amount.multiply(grid);
  }

  /** How many steps of 1/360 mm one of this unit is. */
  BigDecimal grid() {
    return grid;
  }

  /** True when a quotient by this unit's grid ends: only factors 2 and 5 are left below. */
  static boolean ends(BigDecimal numerator, BigDecimal denominator) {
    BigDecimal n = numerator.stripTrailingZeros();
    int scale = Math.max(n.scale(), 0);
    BigInteger top = n.movePointRight(scale).toBigIntegerExact();
    BigInteger below = denominator.toBigIntegerExact();
    below = below.divide(below.gcd(top));
    for (BigInteger prime : new BigInteger[] {BigInteger.TWO, BigInteger.valueOf(5)}) {
      while (below.mod(prime).signum() == 0) {
        below = below.divide(prime);
      }
    }
    return below.equals(BigInteger.ONE);
  }

  /** The unit of this symbol, whatever its letter case. */
  public static Optional<LengthUnit> of(String symbol) {
    for (LengthUnit u : UNITS) {
      if (u.symbol.equalsIgnoreCase(symbol)) {
        return Optional.of(u);
      }
    }
    return Optional.empty();
  }

  /** All symbols, for messages. */
  public static String symbols() {
    return Arrays.stream(values()).map(LengthUnit::symbol).collect(Collectors.joining(", "));
  }
}
