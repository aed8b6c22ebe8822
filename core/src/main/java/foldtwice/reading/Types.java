package foldtwice.reading;

import foldtwice.routine.Expr;
import foldtwice.routine.Kind;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Scale;
import foldtwice.routine.Value;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Map;

/** What kinds of value names and expressions have, as far as it can be told without running. */
final class Types {

  /** A kind of value; {@code scale} only for amounts on a scale. */
  record ValueType(Class<? extends Value> of, Scale scale) {

    /** What cannot be told. */
    static final ValueType ANY = new ValueType(Value.class, null);

    static final ValueType TEXT = new ValueType(Value.Text.class, null);
    static final ValueType NUMBER = new ValueType(Value.Amount.class, null);
    static final ValueType LENGTH = new ValueType(Value.Length.class, null);
    static final ValueType FLAG = new ValueType(Value.Flag.class, null);

    static ValueType amount(Scale scale) {
      return new ValueType(Value.Quantity.class, scale);
    }

    boolean fits(ValueType wanted) {
      return equals(ANY) || wanted.equals(ANY) || equals(wanted);
    }

    String words() {
      if (equals(TEXT)) {
        return "a text";
      }
      if (equals(NUMBER)) {
        return "a number";
      }
      if (equals(LENGTH)) {
        return "a length with its unit";
      }
      return equals(FLAG)
          ? "yes or no"
          : scale == null ? "a value" : "an amount in " + scale.symbol();
    }
  }

  private static final BigDecimal FAR = BigDecimal.valueOf(1_000_000);

  private final Map<String, ValueType> names = new HashMap<>();

  Types() {
    Builtin.ALWAYS.forEach(name -> names.put(name, ValueType.TEXT));
  }

  /** What a parameter would be that takes what a name holds. */
  Kind kind(String name) {
    ValueType type = names.getOrDefault(name, ValueType.ANY);
    if (type.equals(ValueType.NUMBER)) {
      return new Kind.Decimal(FAR.negate(), FAR, BigDecimal.ONE);
    }
    if (type.equals(ValueType.LENGTH)) {
      Value.Length far = new Value.Length(FAR, LengthUnit.MM);
      return new Kind.Distance(far.negated(), far, new Value.Length(BigDecimal.ONE, LengthUnit.MM));
    }
    if (type.equals(ValueType.FLAG)) {
      return new Kind.YesNo();
    }
    return type.scale() == null
        ? new Kind.Words()
        : new Kind.Measure(
            new Value.Quantity(FAR.negate(), type.scale()),
            new Value.Quantity(FAR, type.scale()),
            new Value.Quantity(BigDecimal.ONE, type.scale()));
  }

  boolean knows(String name) {
    return names.containsKey(name);
  }

  java.util.Set<String> names() {
    return names.keySet();
  }

  /** A name has a kind from here on; two kinds in two branches are none that can be told. */
  void put(String name, ValueType type) {
    names.merge(name, type, (a, b) -> a.equals(b) ? a : ValueType.ANY);
  }

  static ValueType of(Kind kind) {
    return switch (kind) {
      case Kind.Distance d -> ValueType.LENGTH;
      case Kind.Count c -> ValueType.NUMBER;
      case Kind.Decimal d -> ValueType.NUMBER;
      case Kind.Measure m -> ValueType.amount(m.least().scale());
      case Kind.Words w -> ValueType.TEXT;
      case Kind.Choice c -> ValueType.TEXT;
      case Kind.KeyPress k -> ValueType.TEXT;
      case Kind.Colour c -> ValueType.TEXT;
      case Kind.YesNo y -> ValueType.FLAG;
    };
  }

  static ValueType of(Value value) {
    return switch (value) {
      case Value.Text t -> ValueType.TEXT;
      case Value.Flag f -> ValueType.FLAG;
      case Value.Amount a -> ValueType.NUMBER;
      case Value.Length l -> ValueType.LENGTH;
      case Value.Quantity q -> ValueType.amount(q.scale());
    };
  }

  /** The kind of an expression; what is wrong inside it is for the checker to say. */
  ValueType of(Expr e) {
    return switch (e) {
      case Expr.Literal(Value value) -> of(value);
      case Expr.Name(String name) -> names.getOrDefault(name, ValueType.ANY);
      case Expr.Written w -> ValueType.TEXT;
      case Expr.Opposite(Expr of) -> of(of);
      case Expr.UnitOf u -> ValueType.TEXT;
      case Expr.Joined(Expr left, Expr.Operator operator, Expr right) ->
          operator == Expr.Operator.TIMES && of(left).equals(ValueType.NUMBER)
              ? of(right)
              : of(left);
    };
  }
}
