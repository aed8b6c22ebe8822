package foldtwice.effort;

import foldtwice.library.Library;
import foldtwice.routine.Expr;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Yardstick;
import foldtwice.routine.Yardstick.Meant;
import foldtwice.routine.Yardstick.Move;
import foldtwice.trigger.Stroke;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A manual route worked out from the steps of a macro, for routines nobody has recorded: menus are
 * gone down by pointer, fields are clicked and typed into, buttons and things are pointed at.
 * Distances are typical, not measured.
 *
 * <p>Where a step does one thing or another, the first is taken; where a loop's turns cannot be
 * told, one is. A script, an add-on's action and a stored command have no steps: nothing can be
 * worked out of them.
 */
public final class WorkedOut {

  /** Letters of a text nobody knows before it is there. */
  static final int TYPICAL = 5;

  private static final int FIELD = 90;
  private static final int ITEM = 140;
  private static final int NEAR = 160;

  /** Routines that run others go no deeper. */
  private static final int DEEPEST = 6;

  private final Library library;
  private final List<Move> moves = new ArrayList<>();
  private Outset hand = Outset.POINTER;
  private int depth;

  /** Steps that may still be looked at; there are libraries that would never come to an end. */
  private int left = 100_000;

  private WorkedOut(Library library) {
    this.library = library;
  }

  /**
   * Works a route out.
   *
   * @param arguments by parameter; defaults are taken for others
   * @return empty where nothing can be told of it
   */
  public static Optional<List<Move>> of(
      Library library, Routine routine, Map<String, Value> arguments) {
    if (!(routine instanceof Routine.Macro macro)) {
      return Optional.empty();
    }
    WorkedOut w = new WorkedOut(library);
    w.lines(macro.steps(), w.known(macro, arguments));
    return w.moves.isEmpty() ? Optional.empty() : Optional.of(List.copyOf(w.moves));
  }

  /** What choosing something from a menu of so many levels takes, by pointer. */
  public static Span byMenu(int levels, Values values) {
    return Timing.of(menuRoute(levels), values).total();
  }

  static List<Move> menuRoute(int levels) {
    WorkedOut w = new WorkedOut(Library.empty(""));
    w.menu(levels);
    return List.copyOf(w.moves);
  }

  private Map<String, Value> known(Routine routine, Map<String, Value> arguments) {
    Map<String, Value> all = new HashMap<>();
    for (Parameter p : routine.parameters()) {
      all.put(p.name(), arguments.getOrDefault(p.name(), p.otherwise()));
    }
    return all;
  }

  private void lines(List<Line> lines, Map<String, Value> known) {
    for (Line line : lines) {
      if (line.on() && moves.size() < Yardstick.MOST && left-- > 0) {
        step(line.step(), known);
      }
    }
  }

  private void step(Step step, Map<String, Value> known) {
    switch (step) {
      case Step.Choose(List<Template> menu) -> menu(menu.size());
      case Step.Fill(String field, Expr value) -> {
        point(NEAR, FIELD, Meant.ARGUMENT);
        text(length(value, known));
      }
      case Step.PressButton b -> point(NEAR, ITEM / 2, Meant.COMMAND);
      case Step.ChangeSetting s -> menu(2);
      case Step.Cycle c -> menu(2);
      case Step.Adjust(String name, var way, Expr to, var edge) -> {
        point(BoundRoute.FAR, FIELD, Meant.ARGUMENT);
        text(length(to, known));
        end();
      }
      case Step.Select s -> point(BoundRoute.FAR, ITEM, Meant.ARGUMENT);
      case Step.SelectOffset s -> point(NEAR, ITEM, Meant.ARGUMENT);
      case Step.TypeText(Template text) -> text(length(text, known));
      case Step.PressKeys(var keys) -> keys(keys.strokes());
      case Step.Leave l -> {
        to(Outset.KEYS);
        end();
      }
      case Step.Again a -> menu(2);
      case Step.Capture c -> menu(2);
      case Step.Read r -> {} // looked at, on the way to what it is for
      case Step.SetVariable v -> {}
      case Step.Modifiers m -> {}
      case Step.Note n -> {}
      case Step.Stop s -> {}
      case Step.WaitUntil w -> {}
      case Step.StartProgram s -> {
        point(BoundRoute.FAR, ITEM / 2, Meant.COMMAND);
        moves.add(new Move.Clicks(1));
      }
      case Step.BringToFront b -> point(BoundRoute.FAR, ITEM, Meant.COMMAND);
      case Step.Ask a -> {} // the answer is typed where it is used
      case Step.Pause p -> {}
      case Step.RunRoutine(String id, Map<String, Expr> arguments) -> run(id, arguments, known);
      case Step.If(var condition, List<Line> then, List<Line> otherwise) -> lines(then, known);
      case Step.Repeat(Expr times, List<Line> body) -> {
        long turns = Math.max(0, turns(times, known));
        turns(turns, body, known);
      }
      case Step.ForEach(String variable, Step.Items items, List<Line> body) -> {
        int turns = items instanceof Step.Items.Given(List<Expr> given) ? given.size() : 1;
        turns(turns, body, known);
      }
    }
  }

  /** A loop whose turns come to nothing is left after the first. */
  private void turns(long turns, List<Line> body, Map<String, Value> known) {
    int before = -1;
    for (long i = 0; i < turns && before < moves.size() && moves.size() < Yardstick.MOST; i++) {
      before = moves.size();
      lines(body, known);
    }
  }

  private void run(String id, Map<String, Expr> arguments, Map<String, Value> known) {
    Routine other = library.routines().get(id);
    if (!(other instanceof Routine.Macro macro) || depth >= DEEPEST) {
      return;
    }
    Map<String, Value> given = new HashMap<>(known(macro, Map.of()));
    arguments.forEach((name, e) -> value(e, known).ifPresent(v -> given.put(name, v)));
    depth++;
    lines(macro.steps(), given);
    depth--;
  }

  private static long turns(Expr times, Map<String, Value> known) {
    return value(times, known)
        .filter(v -> v instanceof Value.Amount)
        .map(v -> ((Value.Amount) v).amount().longValue())
        .orElse(1L);
  }

  private static Optional<Value> value(Expr e, Map<String, Value> known) {
    return e instanceof Expr.Name(String name)
        ? Optional.ofNullable(known.get(name))
        : e.constant();
  }

  private static int length(Expr e, Map<String, Value> known) {
    return e instanceof Expr.Written(Template t)
        ? length(t, known)
        : value(e, known).map(v -> letters(v.shown())).orElse(TYPICAL);
  }

  private static int length(Template text, Map<String, Value> known) {
    return letters(
        text.with(
            n -> Optional.ofNullable(known.get(n)).map(Value::shown).orElse("x".repeat(TYPICAL))));
  }

  private static int letters(String text) {
    return text.codePointCount(0, text.length());
  }

  private void menu(int levels) {
    for (int i = 0; i < levels; i++) {
      point(i == 0 ? BoundRoute.FAR : NEAR, i == 0 ? ITEM / 2 : ITEM, Meant.COMMAND);
    }
    if (levels > 0) {
      moves.add(new Move.Menu(levels));
    }
  }

  /** Points and clicks. */
  private void point(int distance, int width, Meant meant) {
    to(Outset.POINTER);
    moves.add(new Move.Point(distance, width, meant));
    moves.add(new Move.Clicks(1));
  }

  private void text(int letters) {
    to(Outset.KEYS);
    if (letters > 0) {
      moves.add(new Move.Keys(letters, Meant.ARGUMENT));
    }
  }

  private void end() {
    moves.add(new Move.Keys(1, Meant.END));
  }

  private void keys(List<Stroke> strokes) {
    to(Outset.KEYS);
    int count = strokes.stream().mapToInt(s -> 1 + s.modifiers().count()).sum();
    moves.add(new Move.Keys(count, Meant.COMMAND));
  }

  private void to(Outset there) {
    if (hand != there) {
      moves.add(new Move.Hand());
      hand = there;
    }
  }
}
