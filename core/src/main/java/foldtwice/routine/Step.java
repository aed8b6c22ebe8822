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

  /** A step that is done when it is taken: it does not wait, ask or lead elsewhere. */
  sealed interface Plain extends Step {}

  /** A step that is the run's own to take: it holds others, waits, asks, or leads elsewhere. */
  sealed interface Leading extends Step {}

  /** Choose a command by its menu path; each label may contain insertions. */
  record Choose(List<Template> menuPath) implements Plain {
    public Choose {
      menuPath = List.copyOf(menuPath);
    }
  }

  /** Write a value into a field of the open dialog, found by its label. */
  record Fill(String field, Expr value) implements Plain {}

  /** Press a button of the open dialog, found by its label. */
  record PressButton(String label) implements Plain {}

  /** Keep what can be read off the program in a variable. */
  record Read(Readout what, String variable) implements Plain {}

  /** Change a setting of the program. */
  record ChangeSetting(String setting, Expr value, Lasting lasting) implements Plain {}

  /** Give a setting the value after its present one in a list, round from the last to the first. */
  record Cycle(String setting, List<Expr> values, Lasting lasting) implements Plain {
    public Cycle {
      values = List.copyOf(values);
    }
  }

  /** Set an adjustable value, or move it by a step. */
  record Adjust(String value, Adjusting way, Expr to, Edge edge) implements Plain {}

  /**
   * Select something, in place of what is selected or besides it.
   *
   * @param edge what happens where there is no next or previous one
   */
  record Select(Whom whom, boolean adding, Edge edge) implements Plain {
    public Select(Whom whom, boolean adding) {
      this(whom, adding, Edge.REPORT);
    }
  }

  /** Move the selection by rows and columns. */
  record SelectOffset(Expr rows, Expr columns, Edge edge) implements Plain {}

  /** Type text into the program in front. */
  record TypeText(Template text) implements Plain {}

  /** Press keys, which the program in front gets, or whoever takes them before. */
  record PressKeys(Trigger.Keys keys) implements Leading {}

  /** Give a variable a value. */
  record SetVariable(String name, Expr value) implements Plain {}

  /** End whatever the program is in the middle of: a dialog, a text being typed. */
  record Leave(Leaving leaving) implements Plain {}

  /** What the modifiers of the trigger, still held down, do to what is typed from here on. */
  record Modifiers(Holding holding) implements Leading {}

  /** Do once more what the program was told to do last. */
  record Again() implements Plain {}

  /**
   * Take a picture of the screen.
   *
   * @param file where it goes; empty for the clipboard
   */
  record Capture(Area area, Template file) implements Plain {}

  /** Run another routine. Parameters without an argument take their defaults. */
  record RunRoutine(String routine, Map<String, Expr> arguments) implements Leading {
    public RunRoutine {
      arguments = Collections.unmodifiableMap(new LinkedHashMap<>(arguments));
    }
  }

  /** Start a program. It takes its time to come to the front. */
  record StartProgram(String application, List<Template> arguments) implements Plain {
    public StartProgram {
      arguments = List.copyOf(arguments);
    }
  }

  /** Bring the window of a running program to the front. */
  record BringToFront(String application) implements Plain {}

  /** Go on when something holds; fail when it does not within the limit, in seconds. */
  record WaitUntil(Condition condition, Expr limit) implements Leading {}

  /** Ask the person for values. */
  record Ask(Template text, List<Question> questions) implements Leading {
    public Ask {
      questions = List.copyOf(questions);
    }
  }

  /** Let the person work the program, and change values if any are offered, before it goes on. */
  record Pause(Template note, List<Question> offers) implements Leading {
    public Pause {
      offers = List.copyOf(offers);
    }
  }

  /** Do one thing or another. */
  record If(Condition condition, List<Line> then, List<Line> otherwise) implements Leading {
    public If {
      then = List.copyOf(then);
      otherwise = List.copyOf(otherwise);
    }
  }

  /** Do the same a number of times; the turn, counted from 1, is the variable {@code turn}. */
  record Repeat(Expr times, List<Line> body) implements Leading {
    public Repeat {
      body = List.copyOf(body);
    }
  }

  /** Do the same for each item of a list; the item is the variable. */
  record ForEach(String variable, Items items, List<Line> body) implements Leading {
    public ForEach {
      body = List.copyOf(body);
    }
  }

  /** End the run here, as foreseen. */
  record Stop(Template reason) implements Leading {}

  /** Something to remember; kept in the trace, does nothing. */
  record Note(Template text) implements Plain {}

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
  enum Adjusting {
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

  /**
   * What a person is asked: the answer becomes a variable.
   *
   * @param offered answers to choose from, besides any other that the kind allows
   * @param kept true when the answer is offered first the next time
   */
  record Question(String variable, Kind kind, Expr otherwise, List<Value> offered, boolean kept) {
    public Question {
      offered = List.copyOf(offered);
    }

    public Question(String variable, Kind kind, Expr otherwise) {
      this(variable, kind, otherwise, List.of(), false);
    }

    /** The same under another name. */
    public Question named(String other) {
      return new Question(other, kind, otherwise, offered, kept);
    }
  }

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

    /** Each line of a text file that lies beside the library. */
    record LinesOfFile(Template file) implements Items {}

    /**
     * Each selected object by its name; in its turn it is the only one selected, and at the end all
     * are selected again.
     */
    record Selected() implements Items {}
  }

  /** What a person is asked by this step; nothing by most. */
  default List<Question> questions() {
    return switch (this) {
      case Ask(Template text, List<Question> asked) -> asked;
      case Pause(Template note, List<Question> offers) -> offers;
      default -> List.of();
    };
  }

  /**
   * The same step with other questions; itself where it asks nothing.
   *
   * @param others in place of those {@link #questions} gives
   */
  default Step withQuestions(List<Question> others) {
    return switch (this) {
      case Ask(Template text, List<Question> asked) -> new Ask(text, others);
      case Pause(Template note, List<Question> offers) -> new Pause(note, others);
      default -> this;
    };
  }

  /** The lines inside this step, in order; empty for most. */
  default List<List<Line>> bodies() {
    return switch (this) {
      case If(Condition c, List<Line> then, List<Line> otherwise) -> List.of(then, otherwise);
      case Repeat(Expr times, List<Line> body) -> List.of(body);
      case ForEach(String variable, Items items, List<Line> body) -> List.of(body);
      case Modifiers m -> List.of();
      case PressKeys k -> List.of();
      case RunRoutine r -> List.of();
      case WaitUntil w -> List.of();
      case Ask a -> List.of();
      case Pause p -> List.of();
      case Stop s -> List.of();
      case Plain p -> List.of();
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
      case Modifiers m -> m;
      case PressKeys k -> k;
      case RunRoutine r -> r;
      case WaitUntil w -> w;
      case Ask a -> a;
      case Pause p -> p;
      case Stop s -> s;
      case Plain p -> p;
    };
  }
}
