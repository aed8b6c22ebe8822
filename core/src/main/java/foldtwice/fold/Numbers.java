package foldtwice.fold;

import foldtwice.routine.Expr;
import foldtwice.routine.Value;
import java.math.BigDecimal;
import java.util.Optional;

/** Counting with values: numbers, lengths of one unit, amounts on one scale. */
final class Numbers {

  private Numbers() {}

  /** The value so many times; empty for what cannot be counted. */
  static Optional<Value> times(Value value, int factor) {
    BigDecimal by = BigDecimal.valueOf(factor);
    return switch (value) {
      case Value.Amount(BigDecimal n) -> Optional.of(new Value.Amount(n.multiply(by)));
      case Value.Length l -> Optional.of(l.times(by));
      case Value.Quantity(BigDecimal n, var scale) ->
          Optional.of(new Value.Quantity(n.multiply(by), scale));
      case Value.Text t -> Optional.empty();
      case Value.Flag f -> Optional.empty();
    };
  }

  /**
   * What must be added to {@code from} to get {@code to}, of one unit; empty where that is none.
   */
  static Optional<Value> difference(Value from, Value to) {
    if (from instanceof Value.Amount(BigDecimal a) && to instanceof Value.Amount(BigDecimal b)) {
      return Optional.of(new Value.Amount(b.subtract(a)));
    }
    if (from instanceof Value.Length a && to instanceof Value.Length b && a.unit() == b.unit()) {
      return Optional.of(new Value.Length(b.amount().subtract(a.amount()), a.unit()));
    }
    if (from instanceof Value.Quantity a
        && to instanceof Value.Quantity b
        && a.scale() == b.scale()) {
      return Optional.of(new Value.Quantity(b.amount().subtract(a.amount()), a.scale()));
    }
    return Optional.empty();
  }

  private static int sign(Value value) {
    return switch (value) {
      case Value.Amount(BigDecimal n) -> n.signum();
      case Value.Length l -> l.amount().signum();
      case Value.Quantity q -> q.amount().signum();
      case Value.Text t -> 1;
      case Value.Flag f -> 1;
    };
  }

  /** {@code ‹turn› * step + (first - step)}, without what adds nothing. */
  static Expr counting(Expr turn, Value first, Value step) {
    Expr product =
        step.equals(Value.Amount.of(1))
            ? turn
            : new Expr.Joined(turn, Expr.Operator.TIMES, literal(step));
    Value rest = difference(step, first).orElseThrow();
    return switch (sign(rest)) {
      case 0 -> product;
      case 1 -> new Expr.Joined(product, Expr.Operator.PLUS, new Expr.Literal(rest));
      default ->
          new Expr.Joined(
              product, Expr.Operator.MINUS, new Expr.Literal(times(rest, -1).orElseThrow()));
    };
  }

  /** As an expression; what is negative is the opposite of what is positive. */
  static Expr literal(Value value) {
    return sign(value) < 0
        ? new Expr.Opposite(new Expr.Literal(times(value, -1).orElseThrow()))
        : new Expr.Literal(value);
  }
}
