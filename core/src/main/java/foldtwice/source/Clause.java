package foldtwice.source;

import java.util.List;
import java.util.Optional;

/** A statement, as it stands in a source text. */
sealed interface Clause {

  Span at();

  /** A variable begins. */
  record Declared(String name, Optional<Phrase> value, Span at) implements Clause {}

  /** Something is done for its own sake. */
  record Done(Phrase what, Span at) implements Clause {}

  record When(Phrase holds, List<Clause> then, List<Clause> otherwise, Span at) implements Clause {}

  /**
   * The same for each of a list.
   *
   * @param fresh true when the variable is the loop's own
   */
  record Each(String name, boolean fresh, Phrase of, List<Clause> body, Span at)
      implements Clause {}

  /** Counting from 1 up to a number. */
  record Counted(String name, Phrase most, List<Clause> body, Span at) implements Clause {}

  /** Anything else of the language. */
  record Other(List<Phrase> inside, List<Clause> clauses, Span at) implements Clause {}
}
