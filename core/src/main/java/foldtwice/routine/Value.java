package foldtwice.routine;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Optional;

/** A value an argument, a variable or a setting can have. */
public sealed interface Value {

  /** Text as it is. */
  record Text(String text) implements Value {}

  /** Yes or no. */
  record Flag(boolean yes) implements Value {}

  /** A number without a unit. Equal numbers are equal values: 1.50 is 1.5. */
  record Amount(BigDecimal amount) implements Value {
    public Amount {
      amount = plain(amount);
    }

    /** What {@link #counts} allows. */
    public static final String COUNTING = "a whole number of at most a million";

    private static final BigDecimal MOST = BigDecimal.valueOf(1_000_000);

    public static Amount of(long amount) {
      return new Amount(BigDecimal.valueOf(amount));
    }

    /** True for a whole number small enough to count with. */
    public boolean counts() {
      return amount.scale() <= 0 && amount.abs().compareTo(MOST) <= 0;
    }
  }

  /** A number of something that is not a length: exposure, temperature, an angle, pixels. */
  record Quantity(BigDecimal amount, Scale scale) implements Value, Comparable<Quantity> {
    public Quantity {
      amount = plain(amount);
    }

    public static Quantity of(String amount, Scale scale) {
      return new Quantity(new BigDecimal(amount), scale);
    }

    public Quantity negated() {
      return new Quantity(amount.negate(), scale);
    }

    public Quantity plus(Quantity other) {
      return new Quantity(amount.add(other.amount), scale);
    }

    /** By amount; only quantities of one scale compare. */
    @Override
    public int compareTo(Quantity other) {
      return amount.compareTo(other.amount);
    }
  }

  /** A length in the unit it was written in. 10 mm and 1 cm are different values of one size. */
  record Length(BigDecimal amount, LengthUnit unit) implements Value, Comparable<Length> {

    /** Digits kept where a conversion does not end. */
    private static final MathContext CLOSE = MathContext.DECIMAL128;

    public Length {
      amount = plain(amount);
    }

    /** A length of so many steps of 1/360 mm; to 34 digits where the unit's digits do not end. */
    public static Length ofGrid(BigDecimal steps, LengthUnit unit) {
      return LengthUnit.ends(steps, unit.grid())
          ? new Length(steps.divide(unit.grid()), unit)
          : new Length(steps.divide(unit.grid(), CLOSE), unit);
    }

    /** The same size in another unit, when its decimal digits end. */
    public Optional<BigDecimal> exactly(LengthUnit other) {
      BigDecimal steps = unit.toGrid(amount);
      return LengthUnit.ends(steps, other.grid())
          ? Optional.of(plain(steps.divide(other.grid())))
          : Optional.empty();
    }

    /** The same size in another unit; to 34 digits where it does not end. */
    public Length in(LengthUnit other) {
      return other == unit ? this : ofGrid(unit.toGrid(amount), other);
    }

    public Length negated() {
      return new Length(amount.negate(), unit);
    }

    /** The sum, in this length's unit. */
    public Length plus(Length other) {
      return new Length(amount.add(other.in(unit).amount), unit);
    }

    public Length times(BigDecimal factor) {
      return new Length(amount.multiply(factor), unit);
    }

    /** By size: 1 cm and 10 mm compare as equal. */
    @Override
    public int compareTo(Length other) {
      return unit.toGrid(amount).compareTo(other.unit.toGrid(other.amount));
    }
  }

  /** As people read and write it: {@code 0.5 mm}, {@code −3}, {@code yes}, a text as it is. */
  default String shown() {
    return switch (this) {
      case Text(String text) -> text;
      case Flag(boolean yes) -> yes ? "yes" : "no";
      case Amount(BigDecimal amount) -> amount.toPlainString();
      case Length(BigDecimal amount, LengthUnit unit) ->
          amount.toPlainString() + " " + unit.symbol();
      case Quantity(BigDecimal amount, Scale scale) ->
          amount.toPlainString()
              + (scale == Scale.DEGREE || scale == Scale.PERCENT ? "" : " ")
              + scale.symbol();
    };
  }

  private static BigDecimal plain(BigDecimal amount) {
    BigDecimal stripped = amount.stripTrailingZeros();
    return stripped.scale() < 0 ? stripped.setScale(0) : stripped;
  }
}
