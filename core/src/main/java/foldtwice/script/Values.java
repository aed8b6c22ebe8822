package foldtwice.script;

import foldtwice.routine.LengthUnit;
import foldtwice.routine.Scale;
import foldtwice.routine.Value;
import foldtwice.source.Given;
import java.math.BigDecimal;
import org.graalvm.polyglot.proxy.ProxyArray;

/** Values as a script sees them, and back. */
final class Values {

  private static final String AMOUNT = "amount";
  private static final String UNIT = "unit";
  private static final int LONGEST_SHOWN = 200;

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

  /** Back again. */
  static Given fromScript(org.graalvm.polyglot.Value given) {
    if (given.isBoolean()) {
      return new Given.Plain(new Value.Flag(given.asBoolean()));
    }
    if (given.isString()) {
      return new Given.Plain(new Value.Text(given.asString()));
    }
    if (isNumber(given)) {
      return new Given.Plain(new Value.Amount(number(given)));
    }
    if (given.hasMember(UNIT)
        && given.hasMember(AMOUNT)
        && given.getMember(UNIT).isString()
        && isNumber(given.getMember(AMOUNT))) {
      return new Given.WithUnit(number(given.getMember(AMOUNT)), given.getMember(UNIT).asString());
    }
    String shown = given.toString();
    return new Given.Other(
        shown.length() > LONGEST_SHOWN ? shown.substring(0, LONGEST_SHOWN) + "\u2026" : shown);
  }

  private static boolean isNumber(org.graalvm.polyglot.Value given) {
    return given.isNumber() && given.fitsInDouble() && Double.isFinite(given.asDouble());
  }

  /** The shortest decimal that is this number: 0.1 is 0.1. */
  private static BigDecimal number(org.graalvm.polyglot.Value given) {
    return new BigDecimal(Double.toString(given.asDouble()));
  }
}
