package foldtwice.source;

import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import java.math.BigDecimal;

/** What a script hands to the interface. */
public sealed interface Given {

  /** A text, a number, true or false. */
  record Plain(Value value) implements Given {}

  /** A number with what it takes for a unit. */
  record WithUnit(BigDecimal number, String unit) implements Given {}

  /** What is no value, as a person would read it. */
  record Other(String shown) implements Given {}

  /** In a source text: what is known only when it runs. */
  record Computed(Expr value) implements Given {}

  /** In a source text: a text with values in it. */
  record Written(Template text) implements Given {}

  /** As a person reads it in a complaint. */
  default String shown() {
    return switch (this) {
      case Plain(Value value) -> value.shown();
      case WithUnit(BigDecimal number, String unit) -> number.toPlainString() + " " + unit;
      case Other(String shown) -> shown;
      case Computed(Expr value) -> ExprNotation.write(value);
      case Written(Template text) -> text.source();
    };
  }
}
