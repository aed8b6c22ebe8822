package foldtwice.routine;

import foldtwice.trigger.Trigger;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * One step of a macro. Unless it says otherwise it acts on the macro's application; what is typed
 * and pressed goes to whatever is in front.
 */
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

  /** Keep what can be read off the program in a variable. */
  record Read(Readout what, String variable) implements Step {}

  /** Change a setting of the program. */
  record ChangeSetting(String setting, Expr value, Lasting lasting) implements Step {}

  /** Give a setting the value after its present one in a list, round from the last to the first. */
  record Cycle(String setting, List<Expr> values, Lasting lasting) implements Step {
    public Cycle {
      values = List.copyOf(values);
    }
  }

  /** Set an adjustable value, or move it by a step. */
  record Adjust(String value, Way way, Expr to, Edge edge) implements Step {}

  /** Select something, in place of what is selected or besides it. */
  record Select(Whom whom, boolean adding) implements Step {}

  /** Move the selection by rows and columns. */
  record SelectOffset(Expr rows, Expr columns, Edge edge) implements Step {}

  /** Type text into the program in front. */
  record TypeText(Template text) implements Step {}

  /** Press keys, which the program in front gets, or whoever takes them before. */
  record PressKeys(Trigger.Keys keys) implements Step {}

  /** Give a variable a value. */
  record SetVariable(String name, Expr value) implements Step {}

  /** End whatever the program is in the middle of: a dialog, a text being typed. */
  record Leave(Leaving leaving) implements Step {}

  /** What the modifiers of the trigger, still held down, do to what is typed from here on. */
  record Modifiers(Holding holding) implements Step {}

  /** Do once more what the program was told to do last. */
  record Again() implements Step {}

  /**
   * Take a picture of the screen.
   *
   * @param file where it goes; empty for the clipboard
   */
  record Capture(Area area, Template file) implements Step {}

  /** Run another routine. Parameters without an argument take their defaults. */
  record RunRoutine(String routine, Map<String, Expr> arguments) implements Step {
    public RunRoutine {
      arguments = Collections.unmodifiableMap(new LinkedHashMap<>(arguments));
    }
  }

  /** Start a program. It takes its time to come to the front. */
  record StartProgram(String application, List<Template> arguments) implements Step {
    public StartProgram {
      arguments = List.copyOf(arguments);
    }
  }

  /** Bring the window of a running program to the front. */
  record BringToFront(String application) implements Step {}

  /** Go on when something holds; fail when it does not within the limit, in seconds. */
  record WaitUntil(Condition condition, Expr limit) implements Step {}

  /** Ask the person for values. */
  record Ask(Template text, List<Question> questions) implements Step {
    public Ask {
      questions = List.copyOf(questions);
    }
  }

  /** Let the person work the program, and change values if any are offered, before it goes on. */
  record Pause(Template note, List<Question> offers) implements Step {
    public Pause {
      offers = List.copyOf(offers);
    }
  }

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

  /** Do the same for each item of a list; the item is the variable. */
  record ForEach(String variable, Items items, List<Line> body) implements Step {
    public ForEach {
      body = List.copyOf(body);
    }
  }

  /** End the run here, as foreseen. */
  record Stop(Template reason) implements Step {}

  /** Something to remember; kept in the trace, does nothing. */
  record Note(Template text) implements Step {}

  /** How long a changed setting stays changed. */
  enum Lasting {
    /** Put back at the end of the run, also when it fails or is given up. */
    THIS_RUN,
    /** Stays: changing it is what the routine is for. */
    FOR_GOOD
  }

  /** What happens past the first or last row, column or value. */
  enum Edge {
    /** Nothing moves and the run ends there, without complaint. */
    STOP_QUIETLY,
    /** It moves as far as it can. */
    CLAMP,
    /** Nothing moves and the run fails there. */
    REPORT
  }

  /** How an adjustable value is changed. */
  enum Way {
    TO,
    BY
  }

  /** How something half done ends. */
  enum Leaving {
    /** What is typed is taken, a dialog's first button pressed. */
    FINISH,
    /** As if it had not begun. */
    GIVE_UP
  }

  /** What becomes of modifiers still held. */
  enum Holding {
    /** They count as let go, until pressed again. */
    RELEASE,
    /** They stay down and change nothing that is typed. */
    IGNORE
  }

  /** How much of the screen. */
  enum Area {
    WHOLE,
    WINDOW,
    SELECTION
  }

  /** What a person is asked: the answer becomes a variable. */
  record Question(String variable, Kind kind, Expr otherwise) {}

  /** What a loop goes through. */
  sealed interface Items {

    /** Values as they stand. */
    record Given(List<Expr> values) implements Items {
      public Given {
        values = List.copyOf(values);
      }
    }

    /** Each line of a text. */
    record LinesOf(Expr text) implements Items {}

    /**
     * Each selected object by its name; in its turn it is the only one selected, and at the end all
     * are selected again.
     */
    record Selected() implements Items {}
  }

  /** The lines inside this step, in order; empty for most. */
  default List<List<Line>> bodies() {
    return switch (this) {
      case If(Condition c, List<Line> then, List<Line> otherwise) -> List.of(then, otherwise);
      case Repeat(Expr times, List<Line> body) -> List.of(body);
      case ForEach(String variable, Items items, List<Line> body) -> List.of(body);
      default -> List.of();
    };
  }

  /**
   * The same step with other lines inside.
   *
   * @param bodies as many as {@link #bodies} gives
   */
  default Step withBodies(List<List<Line>> bodies) {
    return switch (this) {
      case If(Condition c, var then, var otherwise) -> new If(c, bodies.get(0), bodies.get(1));
      case Repeat(Expr times, var body) -> new Repeat(times, bodies.get(0));
      case ForEach(String variable, Items items, var body) ->
          new ForEach(variable, items, bodies.get(0));
      default -> this;
    };
  }
}
