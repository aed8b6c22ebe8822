package foldtwice.run;

import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Runs source texts. A script does nothing by itself: it says which step it wants taken, and the
 * run takes it like a macro's, so that everything that holds for macros holds for scripts.
 */
public interface Scripts {

  /** Where nothing can run scripts. */
  Scripts NONE =
      (script, arguments, setting) -> {
        throw new IllegalStateException("nothing here runs scripts: " + script.name());
      };

  /** Begins a script; it computes until it wants something. */
  Going start(Routine.Script script, Map<String, Value> arguments, Setting setting);

  /**
   * What a script is begun in.
   *
   * @param now the only moment it knows of
   * @param routines the routines of the library, by id, for scripts that use another
   * @param watched true when it shall tell the values of its variables, which takes time
   */
  record Setting(Instant now, Function<String, Optional<Routine>> routines, boolean watched) {}

  /** A script that is going on. */
  interface Going {

    /**
     * Lets it go on until it wants something the helper cannot do.
     *
     * @param nanos how long at most
     * @param helper does what the script wants, on whatever thread the script has, while the caller
     *     waits here and touches nothing
     * @return {@link Wish.Computing} when the time is up
     */
    Wish next(long nanos, Helper helper);

    /** What came of what it wanted last. */
    void answer(Answer answer);

    /** Stops it, wherever it is; nothing when it is over. */
    void stop();
  }

  /** Does at once what a script wants. */
  interface Helper {

    /** What came of it; empty for what the run has to see to itself, and nothing has been done. */
    Optional<Answer> help(Wish wish);
  }

  /**
   * Where a script is when it wants something.
   *
   * @param line of the source, counted from 1
   * @param names values that what it wants knows by name, besides the script's parameters
   * @param seen the values of its variables, if it is watched
   */
  record Place(int line, Map<String, Value> names, Map<String, Value> seen) {
    public Place {
      names = Map.copyOf(names);
    }
  }

  /** What a script wants. */
  sealed interface Wish {

    /** Nothing yet. */
    record Computing() implements Wish {}

    /**
     * A step to be taken.
     *
     * @param gives the names the step gives values to, which it wants to know
     */
    record Take(Place at, Step step, List<String> gives) implements Wish {
      public Take {
        gives = List.copyOf(gives);
      }
    }

    /** To know whether something holds. */
    record Test(Place at, Condition condition) implements Wish {}

    /** To know what something comes to. */
    record Compute(Place at, Expr value) implements Wish {}

    /** To know all there is of something. */
    record Through(Place at, Step.Items items) implements Wish {}

    /** Nothing more: it is at its end. */
    record Over() implements Wish {}

    /**
     * Nothing more: an error nobody caught, or a limit.
     *
     * @param column counted from 1; 0 where it cannot be told
     */
    record Broken(int line, int column, String message) implements Wish {}
  }

  /** What came of a wish. */
  sealed interface Answer {

    /** It was done; the values of the names it gives, in their order. */
    record Done(Map<String, Value> values) implements Answer {}

    /** Whether it holds. */
    record Holds(boolean yes) implements Answer {}

    /** What it comes to. */
    record Comes(Value value) implements Answer {}

    /** All there is. */
    record Listed(List<Value> values) implements Answer {
      public Listed {
        values = List.copyOf(values);
      }
    }

    /** It could not be done. */
    record Refused(String expected, String found) implements Answer {}
  }
}
