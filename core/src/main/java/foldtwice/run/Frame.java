package foldtwice.run;

import foldtwice.routine.Line;
import java.util.List;

/** Lines being gone through: a macro's own, or those inside a step. */
final class Frame {

  final Scope scope;
  final List<Line> lines;
  final String prefix;
  final Turns turns;
  int next;

  Frame(Scope scope, List<Line> lines, String prefix, Turns turns) {
    this.scope = scope;
    this.lines = lines;
    this.prefix = prefix;
    this.turns = turns;
  }

  /** The number of the line that comes next. */
  String number() {
    return prefix + (next + 1);
  }

  /** What goes on when the last line is done. */
  interface Turns {

    /** Begins the next turn; false when there is none. */
    boolean again(int turn) throws StepFailure;

    /** After the last turn. */
    default void end() throws StepFailure {}
  }

  /** Once through, then out. */
  static final Turns ONCE = turn -> false;

  private int turn = 1;

  /** Back to the first line for another turn, if there is one. */
  boolean goRound() throws StepFailure {
    if (turns.again(++turn)) {
      next = 0;
      return true;
    }
    turns.end();
    return false;
  }
}
