package foldtwice.source;

import java.math.BigDecimal;
import java.util.List;

/** Something with a value, as it stands in a source text. */
sealed interface Phrase {

  Span at();

  /** A text without anything computed in it. */
  record Words(String text, Span at) implements Phrase {}

  record Digits(BigDecimal number, Span at) implements Phrase {}

  record YesNo(boolean yes, Span at) implements Phrase {}

  record Name(String name, Span at) implements Phrase {}

  /** A property, by name. */
  record Member(Phrase of, String name, Span at) implements Phrase {}

  /**
   * A call.
   *
   * @param visible the variables that can be seen where it stands, the innermost first
   */
  record Call(Phrase what, List<Phrase> given, List<String> visible, Span at) implements Phrase {}

  /** A text with values in it, text and value by turns. */
  record Mixed(List<Phrase> parts, Span at) implements Phrase {}

  record Listed(List<Phrase> items, Span at) implements Phrase {}

  record Fields(List<Field> fields, Span at) implements Phrase {}

  record Field(String name, Phrase value) {}

  record Prefix(String sign, Phrase of, Span at) implements Phrase {}

  record Infix(Phrase left, String sign, Phrase right, Span at) implements Phrase {}

  record Function(List<String> names, List<Clause> body, Span at) implements Phrase {}

  /** Anything else of the language. */
  record Other(List<Phrase> inside, List<Clause> clauses, Span at) implements Phrase {}
}
