package foldtwice.standin.tagpress;

import foldtwice.routine.LengthUnit;
import foldtwice.routine.Value.Length;
import java.math.BigDecimal;

/**
 * A box on a sheet. Positions and sizes are kept in steps of 1/360 mm, of which every unit is a
 * whole number, so that no shift is ever rounded.
 */
public record Box(
    int number,
    String text,
    BigDecimal x,
    BigDecimal y,
    BigDecimal width,
    BigDecimal height,
    boolean locked) {

  public Box {
    x = x.stripTrailingZeros();
    y = y.stripTrailingZeros();
    width = width.stripTrailingZeros();
    height = height.stripTrailingZeros();
  }

  static Box mm(int number, String text, double x, double y, double width, double height) {
    return new Box(number, text, grid(x), grid(y), grid(width), grid(height), false);
  }

  private static BigDecimal grid(double mm) {
    return LengthUnit.MM.toGrid(BigDecimal.valueOf(mm));
  }

  Box shifted(BigDecimal right, BigDecimal down) {
    return new Box(number, text, x.add(right), y.add(down), width, height, locked);
  }

  Box at(BigDecimal left, BigDecimal top) {
    return new Box(number, text, left, top, width, height, locked);
  }

  Box sized(BigDecimal wide, BigDecimal high) {
    return new Box(number, text, x, y, wide, high, locked);
  }

  Box numbered(int other) {
    return new Box(other, text, x, y, width, height, locked);
  }

  Box saying(String other) {
    return new Box(number, other, x, y, width, height, locked);
  }

  Box locked(boolean yes) {
    return new Box(number, text, x, y, width, height, yes);
  }

  /** Where it begins from the left, in a unit. */
  public Length left(LengthUnit unit) {
    return Length.ofGrid(x, unit);
  }

  /** Where it begins from the top, in a unit. */
  public Length top(LengthUnit unit) {
    return Length.ofGrid(y, unit);
  }

  /** How wide it is, in a unit. */
  public Length wide(LengthUnit unit) {
    return Length.ofGrid(width, unit);
  }

  /** How high it is, in a unit. */
  public Length high(LengthUnit unit) {
    return Length.ofGrid(height, unit);
  }
}
