package foldtwice.run;

import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Runs a macro on a program.
 *
 * <p>Whatever happens, the run is one step of the program's undo history, no dialog stays open, and
 * every setting changed for the run is put back. Nothing is thrown at the caller: how it ended is
 * in the trace.
 */
public final class Interpreter {

  /** A run is stopped after this many steps, so that a mistake cannot go on for ever. */
  public static final int MOST_STEPS = 100_000;

  /** A run is stopped after this time, in milliseconds; a person waits for it. */
  public static final long MOST_MILLIS = 5_000;

  private final Program program;
  private final Map<String, Value> names;
  private final Evaluator evaluator;
  private final Map<String, Value> toPutBack = new LinkedHashMap<>();
  private final List<Trace.Entry> entries = new ArrayList<>();
  private int steps;
  private long runBegan;
  private String number = "";
  private Step current;

  private Interpreter(Program program, Map<String, Value> names) {
    this.program = program;
    this.names = names;
    this.evaluator = new Evaluator(names);
  }

  /**
   * Runs a routine.
   *
   * @param arguments by parameter name; defaults are taken for those missing
   */
  public static Trace run(Routine routine, Map<String, Value> arguments, Program program) {
    return switch (routine) {
      case Routine.Macro macro -> {
        Map<String, Value> names = new LinkedHashMap<>();
        for (Parameter p : macro.parameters()) {
          names.put(p.name(), arguments.getOrDefault(p.name(), p.otherwise()));
        }
        yield new Interpreter(program, names).run(macro);
      }
    };
  }

  /** A macro left a repeat or if on the way to its end. */
  private static final class Stop extends Exception {
    private static final long serialVersionUID = 1L;

    Stop(String reason) {
      super(reason, null, false, false);
    }
  }

  private Trace run(Routine.Macro macro) {
    runBegan = System.nanoTime();
    Trace.Ending ending;
    program.beginRun();
    try {
      checkArguments(macro);
      lines(macro.steps(), "");
      ending = new Trace.Finished();
    } catch (Stop stop) {
      ending = new Trace.Stopped(number, stop.getMessage());
    } catch (StepFailure failure) {
      ending = new Trace.Failed(number, current, failure.expected(), failure.found());
    } finally {
      program.cancel();
      putBack();
      program.endRun();
    }
    return new Trace(entries, ending, System.nanoTime() - runBegan);
  }

  private void checkArguments(Routine.Macro macro) throws StepFailure {
    for (Parameter p : macro.parameters()) {
      try {
        p.kind().check(names.get(p.name()));
      } catch (ValueException e) {
        throw new StepFailure(p.name() + ": " + e.allowed(), names.get(p.name()).shown());
      }
    }
  }

  private void lines(List<Line> lines, String prefix) throws StepFailure, Stop {
    for (int i = 0; i < lines.size(); i++) {
      take(lines.get(i).step(), prefix + (i + 1));
    }
  }

  private void take(Step step, String at) throws StepFailure, Stop {
    number = at;
    current = step;
    if (++steps > MOST_STEPS) {
      throw new StepFailure("an end within " + MOST_STEPS + " steps", "more");
    }
    long began = System.nanoTime();
    if (began - runBegan > MOST_MILLIS * 1_000_000) {
      throw new StepFailure("an end within " + MOST_MILLIS + " ms", "more");
    }
    switch (step) {
      case Step.Choose(List<Template> menu) -> {
        List<String> path = new ArrayList<>(menu.size());
        for (Template t : menu) {
          path.add(evaluator.text(t));
        }
        note(step, String.join(" \u203a ", path), program.choose(path), began);
      }
      case Step.Fill(String field, Expr value) -> {
        String text = typed(field, evaluator.value(value));
        note(step, text, program.fill(field, text), began);
      }
      case Step.PressButton(String label) -> note(step, label, program.press(label), began);
      case Step.ReadSetting(String setting, String variable) -> {
        Value value = setting(setting);
        names.put(variable, value);
        note(step, value.shown(), Reply.QUIET, began);
      }
      case Step.ChangeSetting(String setting, Expr to, Step.Lasting lasting) ->
          change(step, setting, evaluator.value(to), lasting, began);
      case Step.SelectOffset(Expr rows, Expr columns, Step.Edge edge) ->
          select(step, evaluator.whole(rows), evaluator.whole(columns), edge, began);
      case Step.SetVariable(String name, Expr to) -> {
        Value value = evaluator.value(to);
        names.put(name, value);
        note(step, value.shown(), Reply.QUIET, began);
      }
      case Step.If(Condition condition, List<Line> then, List<Line> otherwise) -> {
        boolean holds = holds(condition);
        note(step, holds ? "yes" : "no", Reply.QUIET, began);
        lines(holds ? then : otherwise, at + (holds ? "." : ".e"));
      }
      case Step.Repeat(Expr times, List<Line> body) -> {
        int turns = evaluator.whole(times);
        note(step, Integer.toString(turns), Reply.QUIET, began);
        for (int turn = 1; turn <= turns; turn++) {
          names.put("turn", Value.Amount.of(turn));
          lines(body, at + ".");
        }
      }
    }
  }

  /** Tells a step that was taken, or ends the run when the program refused. */
  private void note(Step step, String detail, Reply reply, long began) throws StepFailure {
    switch (reply) {
      case Reply.Done(List<Change> changes) ->
          entries.add(new Trace.Taken(number, step, detail, changes, System.nanoTime() - began));
      case Reply.Refused(String expected, String found) -> throw new StepFailure(expected, found);
    }
  }

  private Value setting(String name) throws StepFailure {
    Value value = program.settings().get(name);
    if (value == null) {
      throw new StepFailure(
          "a setting, one of " + String.join(", ", program.settings().keySet()),
          "no \"" + name + "\"");
    }
    return value;
  }

  private void change(Step step, String setting, Value to, Step.Lasting lasting, long began)
      throws StepFailure {
    Value before = setting(setting);
    note(step, to.shown(), program.change(setting, to), began);
    if (lasting == Step.Lasting.THIS_RUN) {
      toPutBack.putIfAbsent(setting, before);
    } else {
      toPutBack.remove(setting);
    }
  }

  private void select(Step step, int rows, int columns, Step.Edge edge, long began)
      throws StepFailure, Stop {
    Reply reply = program.select(rows, columns, edge);
    String detail = rows + ", " + columns;
    if (reply instanceof Reply.Refused(String expected, String found)
        && edge == Step.Edge.STOP_QUIETLY
        && program.somethingSelected()) {
      throw new Stop(found + " (" + expected + ")");
    }
    note(step, detail, reply, began);
  }

  /**
   * A value as it must be typed into a field. A length is written in the field's unit, and only
   * when that is exact: a distance never lands nearly right.
   */
  private String typed(String field, Value value) throws StepFailure {
    Optional<Dialog.Field> target = program.dialog().flatMap(d -> d.field(field));
    if (value instanceof Value.Length length
        && target.isPresent()
        && target.get().unit().isPresent()) {
      LengthUnit unit = target.get().unit().get();
      int decimals = target.get().decimals();
      Optional<BigDecimal> exact = length.exactly(unit).filter(n -> n.scale() <= decimals);
      return exact
          .orElseThrow(
              () ->
                  new StepFailure(
                      "a distance that is exact in "
                          + unit.symbol()
                          + " with "
                          + decimals
                          + " decimals",
                      length.shown() + "; change the unit for the run first"))
          .toPlainString();
    }
    return value.shown();
  }

  private boolean holds(Condition condition) throws StepFailure {
    return switch (condition) {
      case Condition.SomethingSelected() -> program.somethingSelected();
      case Condition.SettingIs(String setting, Expr value) ->
          compare(setting(setting), Condition.Relation.IS, evaluator.value(value));
      case Condition.Compare(Expr left, Condition.Relation relation, Expr right) ->
          compare(evaluator.value(left), relation, evaluator.value(right));
    };
  }

  private static boolean compare(Value left, Condition.Relation relation, Value right)
      throws StepFailure {
    int order;
    if (left instanceof Value.Length a && right instanceof Value.Length b) {
      order = a.compareTo(b);
    } else if (left instanceof Value.Amount(BigDecimal a)
        && right instanceof Value.Amount(BigDecimal b)) {
      order = a.compareTo(b);
    } else if (left.getClass() == right.getClass()) {
      order = left.shown().compareTo(right.shown());
    } else {
      throw new StepFailure(
          "two values of one kind", left.shown() + " " + relation.words() + " " + right.shown());
    }
    return switch (relation) {
      case IS -> order == 0;
      case IS_NOT -> order != 0;
      case LESS -> order < 0;
      case MORE -> order > 0;
    };
  }

  private void putBack() {
    toPutBack.forEach(
        (setting, value) -> {
          long began = System.nanoTime();
          Reply reply = program.change(setting, value);
          long took = System.nanoTime() - began;
          entries.add(
              switch (reply) {
                case Reply.Done(List<Change> changes) -> new Trace.PutBack(setting, changes, took);
                case Reply.Refused(String expected, String found) ->
                    new Trace.NotPutBack(setting, expected, found, took);
              });
        });
  }
}
