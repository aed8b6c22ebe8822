package foldtwice.routine;

import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Map;

/**
 * What a part of a step holds, and so how it is written, read, shown and edited. What is done with
 * a form stands once for each of them, not for each step.
 *
 * @param <T> the type of the part
 */
public sealed interface Form<T> {

  /** An expression. */
  record Value() implements Form<Expr> {}

  /** Expressions, one after the other. */
  record Values() implements Form<List<Expr>> {}

  /**
   * A text with insertions.
   *
   * @param mayBeEmpty an empty one is not written
   */
  record Text(boolean mayBeEmpty) implements Form<Template> {}

  /** Texts with insertions, one after the other; none are not written. */
  record Texts() implements Form<List<Template>> {}

  /** A menu path, label by label. */
  record Menu() implements Form<List<Template>> {}

  /** A name as the program or the library has it. */
  record Name() implements Form<String> {}

  /** The name of a variable of the macro. */
  record Variable() implements Form<String> {}

  /**
   * One word of some; {@code otherwise} where none is written.
   *
   * @param always false when {@code otherwise} is not written
   */
  record Word<E extends Enum<E>>(Class<E> type, E otherwise, boolean always) implements Form<E> {
    public Word(Class<E> type, E otherwise) {
      this(type, otherwise, true);
    }
  }

  /** Yes or no; no is not written. */
  record Flag() implements Form<Boolean> {}

  /** Keys. */
  record Keys() implements Form<Trigger.Keys> {}

  /** What can be read off a program. */
  record ToRead() implements Form<Readout> {}

  /** What is selected. */
  record Selected() implements Form<Whom> {}

  /** What has to hold. */
  record Holds() implements Form<Condition> {}

  /** What a person is asked; nothing is not written. */
  record Questions() implements Form<List<Step.Question>> {}

  /** What another routine is given, by parameter; nothing is not written. */
  record Arguments() implements Form<Map<String, Expr>> {}

  /** What a loop goes through. */
  record Through() implements Form<Step.Items> {}

  /**
   * Lines inside the step.
   *
   * @param mayBeMissing none are not written
   */
  record Lines(boolean mayBeMissing) implements Form<List<Line>> {}
}
