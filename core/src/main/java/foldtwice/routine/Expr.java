package foldtwice.routine;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * What a step computes with. Written in files and shown to people in one notation: {@code 0.5 mm},
 * {@code -‹dx›}, {@code ‹rows› * 2}, {@code unit of ‹dx›}, {@code 'moss'}; {@link ExprNotation}
 * reads and writes it.
 */
public sealed interface Expr {

  /** A value as it is. */
  record Literal(Value value) implements Expr {}

  /** The value of a parameter or variable at run time. */
  record Name(String name) implements Expr {}

  /** A text with insertions. */
  record Written(Template text) implements Expr {}

  /** The opposite of a number or a length. */
  record Opposite(Expr of) implements Expr {}

  /** The unit a length was written in, as a text. */
  record UnitOf(Expr length) implements Expr {}

  /**
   * Two values joined by an operator. Hundreds may be joined one after the other: they are compared
   * without going as deep.
   */
  record Joined(Expr left, Operator operator, Expr right) implements Expr {
    @Override
    public boolean equals(Object other) {
      Object mine = this;
      Object theirs = other;
      while (mine instanceof Joined(Expr l, Operator o, Expr r)
          && theirs instanceof Joined(Expr l2, Operator o2, Expr r2)) {
        if (o != o2 || !r.equals(r2)) {
          return false;
        }
        mine = l;
        theirs = l2;
      }
      return !(mine instanceof Joined) && mine.equals(theirs);
    }

    @Override
    public int hashCode() {
      int hash = 0;
      Expr at = this;
      while (at instanceof Joined(Expr l, Operator o, Expr r)) {
        hash = 31 * (31 * hash + o.hashCode()) + r.hashCode();
        at = l;
      }
      return 31 * hash + at.hashCode();
    }
  }

  /** The value it is, when it is one: a literal, or the opposite of a number that is one. */
  default Optional<Value> constant() {
    return switch (this) {
      case Literal(Value value) -> Optional.of(value);
      case Opposite(Literal(Value.Length l)) -> Optional.of(l.negated());
      case Opposite(Literal(Value.Amount(BigDecimal n))) ->
          Optional.of(new Value.Amount(n.negate()));
      case Opposite(Literal(Value.Quantity(BigDecimal n, Scale scale))) ->
          Optional.of(new Value.Quantity(n.negate(), scale));
      default -> Optional.empty();
    };
  }

  /** What joins two values. */
  enum Operator {
    PLUS("+"),
    MINUS("-"),
    TIMES("*");

    private final String sign;

    Operator(String sign) {
      this.sign = sign;
    }

    public String sign() {
      return sign;
    }
  }
}
