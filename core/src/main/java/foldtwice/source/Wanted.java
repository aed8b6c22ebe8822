package foldtwice.source;

import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.Readout;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import java.util.Map;

/** What a call of the interface wants. */
public sealed interface Wanted {

  /**
   * A step to be taken.
   *
   * @param names values the step knows by name, besides the routine's own
   */
  record Take(Step step, Map<String, Value> names) implements Wanted {}

  /** Something read off the program. */
  record Read(Readout what) implements Wanted {}

  /** To know whether something holds. */
  record Test(Condition condition) implements Wanted {}

  /** What an expression comes to. */
  record Compute(Expr value) implements Wanted {}

  /** All there is of something, as a list. */
  record Through(Step.Items items) implements Wanted {}

  /** What another script gives to those that use it. */
  record Use(String routine) implements Wanted {}

  /** An answer of a person. */
  record Answer(Step.Ask step) implements Wanted {}
}
