package foldtwice.run;

import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.text.Refusals;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;

/** Computes expressions from the values of names at run time. */
final class Evaluator {

  private static final DateTimeFormatter STAMP =
      DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH-mm-ss");

  private final Map<String, Value> names;
  private final Clock clock;
  private final Budget budget;

  Evaluator(Map<String, Value> names, Clock clock, Budget budget) {
    this.names = names;
    this.clock = clock;
    this.budget = budget;
  }

  Value value(Expr e) throws StepFailure {
    return switch (e) {
      case Expr.Literal(Value value) -> value;
      case Expr.Name(String name) -> named(name);
      case Expr.Written(Template text) -> new Value.Text(text(text));
      case Expr.Opposite(Expr of) -> opposite(value(of), e);
      case Expr.UnitOf(Expr length) -> {
        if (value(length) instanceof Value.Length l) {
          yield new Value.Text(l.unit().symbol());
        }
        throw mismatch("a length", length);
      }
      case Expr.Joined(Expr left, Expr.Operator operator, Expr right) ->
          Budget.checked(joined(value(left), operator, value(right), e));
    };
  }

  private Value named(String name) throws StepFailure {
    Value value = names.get(name);
    if (value != null) {
      return value;
    }
    LocalDateTime now = LocalDateTime.ofInstant(clock.instant(), clock.getZone());
    return switch (name) {
      case "today" -> new Value.Text(now.toLocalDate().toString());
      case "stamp" -> new Value.Text(STAMP.format(now));
      default -> {
        TreeSet<String> all = new TreeSet<>(names.keySet());
        all.addAll(foldtwice.reading.Builtin.ALWAYS);
        throw new StepFailure(
            Refusals.says("run.parameter-or-variable-one", String.join(", ", all)),
            Refusals.says("run.no-insertion", name));
      }
    };
  }

  private Value opposite(Value of, Expr e) throws StepFailure {
    return switch (of) {
      case Value.Amount(BigDecimal amount) -> new Value.Amount(amount.negate());
      case Value.Length l -> l.negated();
      case Value.Quantity(BigDecimal amount, var scale) ->
          new Value.Quantity(amount.negate(), scale);
      default -> throw mismatch("a number or a length", e);
    };
  }

  private Value joined(Value left, Expr.Operator operator, Value right, Expr e) throws StepFailure {
    return switch (left) {
      case Value.Amount(BigDecimal a) when right instanceof Value.Amount(BigDecimal b) ->
          new Value.Amount(
              switch (operator) {
                case PLUS -> a.add(b);
                case MINUS -> a.subtract(b);
                case TIMES -> a.multiply(b);
              });
      case Value.Length a when right instanceof Value.Length b && operator != Expr.Operator.TIMES ->
          a.plus(operator == Expr.Operator.PLUS ? b : b.negated());
      case Value.Quantity a
          when right instanceof Value.Quantity b
              && a.scale() == b.scale()
              && operator != Expr.Operator.TIMES ->
          new Value.Quantity(
              operator == Expr.Operator.PLUS
                  ? a.amount().add(b.amount())
                  : a.amount().subtract(b.amount()),
              a.scale());
      case Value any when operator == Expr.Operator.TIMES -> times(left, right, e);
      default -> throw mismatch("two numbers, two lengths, or one of those times a number", e);
    };
  }

  private Value times(Value left, Value right, Expr e) throws StepFailure {
    Value size = left instanceof Value.Amount ? right : left;
    Value factor = left instanceof Value.Amount ? left : right;
    if (!(factor instanceof Value.Amount by)) {
      throw mismatch("two numbers, two lengths, or one of those times a number", e);
    }
    return switch (size) {
      case Value.Length l -> l.times(by.amount());
      case Value.Quantity q -> new Value.Quantity(q.amount().multiply(by.amount()), q.scale());
      default -> throw mismatch("two numbers, two lengths, or one of those times a number", e);
    };
  }

  /** A whole number small enough to count with. */
  int whole(Expr e) throws StepFailure {
    if (value(e) instanceof Value.Amount n && n.counts()) {
      return n.amount().intValueExact();
    }
    throw mismatch(Value.Amount.COUNTING, e);
  }

  String text(Template template) throws StepFailure {
    List<String> names = template.names();
    if (names.isEmpty()) {
      return template.source();
    }
    long length = template.source().length();
    for (String name : names) {
      length += named(name).shown().length(); // a name nobody knows ends the step here
    }
    budget.text(length);
    return template.with(this::shownName);
  }

  private String shownName(String name) {
    try {
      return named(name).shown();
    } catch (StepFailure e) {
      throw new IllegalStateException("was there a moment ago: " + name, e);
    }
  }

  private StepFailure mismatch(String expected, Expr e) throws StepFailure {
    return new StepFailure(
        expected, Refusals.says("run.it-reads", ExprNotation.write(e), shown(e)));
  }

  private String shown(Expr e) throws StepFailure {
    return switch (e) {
      case Expr.Literal(Value value) -> value.shown();
      case Expr.Name(String name) -> named(name).shown();
      case Expr.Written(Template text) -> text(text);
      case Expr.Joined(Expr left, Expr.Operator operator, Expr right) ->
          shown(left) + " " + operator.sign() + " " + shown(right);
      case Expr.Opposite(Expr of) -> "-" + shown(of);
      case Expr.UnitOf(Expr length) -> "unit of " + shown(length);
    };
  }
}
