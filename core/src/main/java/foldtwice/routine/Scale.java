package foldtwice.routine;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;

/** Units that are not lengths: each measures a thing of its own and is never converted. */
public enum Scale {
  EV("EV"),
  KELVIN("K"),
  DEGREE("\u00b0"),
  PERCENT("%"),
  PIXEL("px"),
  SECOND("s");

  private final String symbol;

  Scale(String symbol) {
    this.symbol = symbol;
  }

  public String symbol() {
    return symbol;
  }

  public static Optional<Scale> of(String symbol) {
    return Arrays.stream(values()).filter(s -> s.symbol.equals(symbol)).findFirst();
  }

  /** All symbols, for messages. */
  public static String symbols() {
    return Arrays.stream(values()).map(Scale::symbol).collect(Collectors.joining(", "));
  }
}
