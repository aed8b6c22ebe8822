package foldtwice.routine;

import java.util.List;

/** One step of a macro. The program it acts on is the macro's application. */
public sealed interface Step {

  /** Choose a command by its menu path; each label may contain insertions. */
  record Choose(List<Template> menuPath) implements Step {
    public Choose {
      menuPath = List.copyOf(menuPath);
    }
  }

  /** Write a value into a field of the open dialog, found by its label. */
  record Fill(String field, Expr value) implements Step {}

  /** Press a button of the open dialog, found by its label. */
  record PressButton(String label) implements Step {}

  /** Keep a setting's present value in a variable. */
  record ReadSetting(String setting, String variable) implements Step {}

  /** Change a setting of the program. */
  record ChangeSetting(String setting, Expr value, Lasting lasting) implements Step {}

  /** Move the selection by rows and columns. */
  record SelectOffset(Expr rows, Expr columns, Edge edge) implements Step {}

  /** Give a variable a value. */
  record SetVariable(String name, Expr value) implements Step {}

  /** Do one thing or another. */
  record If(Condition condition, List<Line> then, List<Line> otherwise) implements Step {
    public If {
      then = List.copyOf(then);
      otherwise = List.copyOf(otherwise);
    }
  }

  /** Do the same a number of times; the turn, counted from 1, is the variable {@code turn}. */
  record Repeat(Expr times, List<Line> body) implements Step {
    public Repeat {
      body = List.copyOf(body);
    }
  }

  /** How long a changed setting stays changed. */
  enum Lasting {
    /** Put back at the end of the run, also when it fails or is given up. */
    THIS_RUN,
    /** Stays: changing it is what the routine is for. */
    FOR_GOOD
  }

  /** What happens when an offset goes past the first or last row or column. */
  enum Edge {
    /** Nothing moves and the run ends there, without complaint. */
    STOP_QUIETLY,
    /** It moves as far as it can. */
    CLAMP,
    /** Nothing moves and the run fails there. */
    REPORT
  }
}
