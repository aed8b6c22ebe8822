package foldtwice.run;

import foldtwice.routine.Kind;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import java.util.List;

/** Where a run stands. */
public sealed interface Status {

  /** It can take its next step. */
  record Ready(String number, Step next) implements Status {}

  /** A script of it computes and has not come to its next step. */
  record Computing(String number) implements Status {}

  /** It waits for something; look again at this time, in milliseconds since the epoch. */
  record Waiting(String number, Step step, long lookAgain) implements Status {}

  /**
   * It wants an answer, or a word to go on.
   *
   * @param number empty when the arguments are asked for before the first step
   * @param byHand true when the person may work the program meanwhile
   */
  record Asking(String number, String text, List<Asked> questions, boolean byHand)
      implements Status {
    public Asking {
      questions = List.copyOf(questions);
    }
  }

  /** It has ended; the program is as it left it. */
  record Over(Trace trace) implements Status {}

  /**
   * A value that is asked for, and what it is if nothing is answered.
   *
   * @param offered answers to choose from, besides any other that fits
   */
  record Asked(String name, Kind kind, Value otherwise, List<Value> offered) {
    public Asked {
      offered = List.copyOf(offered);
    }
  }
}
