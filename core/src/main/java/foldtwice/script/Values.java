package foldtwice.script;

import foldtwice.routine.LengthUnit;
import foldtwice.routine.Scale;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import java.math.BigDecimal;
import java.util.Optional;
import org.graalvm.polyglot.proxy.ProxyArray;

/** Values as a script sees them, and back. */
final class Values {

  private static final String AMOUNT = "amount";
  private static final String UNIT = "unit";

  private Values() {}

  /** A text, a number, true or false as they are; an amount as its number and its unit. */
  static Object toScript(Value value) {
    return switch (value) {
      case Value.Text(String text) -> text;
      case Value.Flag(boolean yes) -> yes;
      case Value.Amount(BigDecimal n) -> n.doubleValue();
      case Value.Length(BigDecimal n, LengthUnit unit) ->
          ProxyArray.fromArray(AMOUNT, n.doubleValue(), unit.symbol());
      case Value.Quantity(BigDecimal n, Scale scale) ->
          ProxyArray.fromArray(AMOUNT, n.doubleValue(), scale.symbol());
    };
  }

  /**
   * Back again.
   *
   * @throws ValueException for what is no value
   */
  static Value fromScript(org.graalvm.polyglot.Value given) {
    if (given.isBoolean()) {
      return new Value.Flag(given.asBoolean());
    }
    if (given.isNumber()) {
      return new Value.Amount(number(given));
    }
    if (given.isString()) {
      return new Value.Text(given.asString());
    }
    if (given.hasMember(UNIT) && given.hasMember(AMOUNT) && given.getMember(UNIT).isString()) {
      return amount(number(given.getMember(AMOUNT)), given.getMember(UNIT).asString());
    }
    throw new ValueException(given.toString(), "a text, a number, an amount, true or false");
  }

  /**
   * An amount of a unit of length or of a scale.
   *
   * @throws ValueException for an unknown unit
   */
  static Value amount(BigDecimal n, String unit) {
    Optional<LengthUnit> length = LengthUnit.of(unit);
    if (length.isPresent()) {
      return new Value.Length(n, length.get());
    }
    Scale scale =
        Scale.of(unit)
            .orElseThrow(
                () ->
                    new ValueException(
                        unit, "a unit, one of " + LengthUnit.symbols() + ", " + Scale.symbols()));
    return new Value.Quantity(n, scale);
  }

  /** The shortest decimal that is this number: 0.1 is 0.1. */
  static BigDecimal number(org.graalvm.polyglot.Value given) {
    if (!given.isNumber()) {
      throw new ValueException(given.toString(), "a number");
    }
    double n = given.asDouble();
    if (!Double.isFinite(n)) {
      throw new ValueException(Double.toString(n), "a number");
    }
    return new BigDecimal(Double.toString(n));
  }
}
