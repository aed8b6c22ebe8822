package foldtwice.run;

import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import java.math.BigDecimal;
import java.util.Map;

/** Computes expressions from the values of names at run time. */
final class Evaluator {

  private final Map<String, Value> names;

  Evaluator(Map<String, Value> names) {
    this.names = names;
  }

  Value value(Expr e) throws StepFailure {
    return switch (e) {
      case Expr.Literal(Value value) -> value;
      case Expr.Name(String name) -> named(name);
      case Expr.Opposite(Expr of) -> opposite(value(of), e);
      case Expr.UnitOf(Expr length) -> {
        if (value(length) instanceof Value.Length l) {
          yield new Value.Text(l.unit().symbol());
        }
        throw mismatch("a length", length);
      }
      case Expr.Joined(Expr left, Expr.Operator operator, Expr right) ->
          joined(value(left), operator, value(right), e);
    };
  }

  private Value named(String name) throws StepFailure {
    Value value = names.get(name);
    if (value == null) {
      throw new StepFailure(
          "a parameter or variable, one of " + String.join(", ", names.keySet()),
          "no \u2039" + name + "\u203a");
    }
    return value;
  }

  private Value opposite(Value of, Expr e) throws StepFailure {
    return switch (of) {
      case Value.Amount(BigDecimal amount) -> new Value.Amount(amount.negate());
      case Value.Length l -> l.negated();
      default -> throw mismatch("a number or a length", e);
    };
  }

  private Value joined(Value left, Expr.Operator operator, Value right, Expr e) throws StepFailure {
    if (left instanceof Value.Amount(BigDecimal a) && right instanceof Value.Amount(BigDecimal b)) {
      return new Value.Amount(
          switch (operator) {
            case PLUS -> a.add(b);
            case MINUS -> a.subtract(b);
            case TIMES -> a.multiply(b);
          });
    }
    if (left instanceof Value.Length a
        && right instanceof Value.Length b
        && operator != Expr.Operator.TIMES) {
      return a.plus(operator == Expr.Operator.PLUS ? b : b.negated());
    }
    if (operator == Expr.Operator.TIMES) {
      if (left instanceof Value.Length l && right instanceof Value.Amount(BigDecimal n)) {
        return l.times(n);
      }
      if (left instanceof Value.Amount(BigDecimal n) && right instanceof Value.Length l) {
        return l.times(n);
      }
    }
    throw mismatch("two numbers, two lengths, or a length times a number", e);
  }

  /** A whole number small enough to count with. */
  int whole(Expr e) throws StepFailure {
    if (value(e) instanceof Value.Amount(BigDecimal n)
        && n.scale() <= 0
        && n.abs().compareTo(BigDecimal.valueOf(1_000_000)) <= 0) {
      return n.intValueExact();
    }
    throw mismatch("a whole number of at most a million", e);
  }

  String text(Template template) throws StepFailure {
    String text = template.source();
    for (String name : template.names()) {
      text = text.replace("\u2039" + name + "\u203a", named(name).shown());
    }
    return text;
  }

  private StepFailure mismatch(String expected, Expr e) throws StepFailure {
    return new StepFailure(expected, ExprNotation.write(e) + " is " + shown(e));
  }

  private String shown(Expr e) throws StepFailure {
    return switch (e) {
      case Expr.Literal(Value value) -> value.shown();
      case Expr.Name(String name) -> named(name).shown();
      case Expr.Joined(Expr left, Expr.Operator operator, Expr right) ->
          shown(left) + " " + operator.sign() + " " + shown(right);
      case Expr.Opposite(Expr of) -> "-" + shown(of);
      case Expr.UnitOf(Expr length) -> "unit of " + shown(length);
    };
  }
}
