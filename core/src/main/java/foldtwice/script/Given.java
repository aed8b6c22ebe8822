package foldtwice.script;

import foldtwice.routine.Value;
import java.math.BigDecimal;

/** What a script hands to the interface, as it comes out of its process. */
sealed interface Given {

  /** A text, a number, true or false. */
  record Plain(Value value) implements Given {}

  /** A number with what it takes for a unit. */
  record WithUnit(BigDecimal number, String unit) implements Given {}

  /** What is no value, as a person would read it. */
  record Other(String shown) implements Given {}

  /** As a person reads it in a complaint. */
  default String shown() {
    return switch (this) {
      case Plain(Value value) -> value.shown();
      case WithUnit(BigDecimal number, String unit) -> number.toPlainString() + " " + unit;
      case Other(String shown) -> shown;
    };
  }
}
