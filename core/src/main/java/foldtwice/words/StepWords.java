package foldtwice.words;

import foldtwice.outline.ConditionText;
import foldtwice.outline.ReadoutText;
import foldtwice.outline.StepParts;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Readout;
import foldtwice.routine.Step;
import foldtwice.routine.Target;
import foldtwice.routine.Template;
import foldtwice.routine.Whom;
import foldtwice.run.Trace;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** Steps and traces in words. A step reads as a verb and what it is about. */
public final class StepWords {

  private static final String UNDER = " \u203a ";

  private StepWords() {}

  /** The first word of a step: {@code Choose}. */
  public static String verb(Step step) {
    return Words.TEXTS.get("verb." + step.getClass().getSimpleName());
  }

  /** The rest of a step, with its expressions as written and routines by their ids. */
  public static String rest(Step step) {
    return rest(step, id -> id);
  }

  /**
   * The rest of a step, with its expressions as written.
   *
   * @param routines the name of a routine by its id
   */
  public static String rest(Step step, UnaryOperator<String> routines) {
    return switch (step) {
      case Step.Choose(List<Template> menu) -> path(menu);
      case Step.Fill(String field, Expr value) -> text("step.fill", field, expr(value));
      case Step.PressButton(String label) -> label;
      case Step.Read(Readout what, String variable) ->
          text("step.read", ReadoutText.write(what), variable);
      case Step.ChangeSetting(String setting, Expr value, Step.Lasting lasting) ->
          text("step.change." + lasting, setting, expr(value));
      case Step.Cycle(String setting, List<Expr> values, Step.Lasting lasting) ->
          text("step.cycle." + lasting, setting, exprs(values));
      case Step.Adjust(String value, Step.Adjusting way, Expr to, Step.Edge edge) ->
          text("step.adjust." + way, value, expr(to), text("edge." + edge));
      case Step.Select(Whom whom, boolean adding, Step.Edge edge) -> selected(whom, adding, edge);
      case Step.SelectOffset(Expr rows, Expr columns, Step.Edge edge) ->
          text(
              "step.offset",
              expr(rows),
              expr(columns),
              text("edge." + edge),
              many(expr(rows)),
              many(expr(columns)));
      case Step.TypeText(Template text) -> text.source();
      case Step.PressKeys(Trigger.Keys keys) -> Notation.write(keys);
      case Step.SetVariable(String name, Expr value) -> text("step.set", name, expr(value));
      case Step.Leave(Step.Leaving leaving) -> text("leaving." + leaving);
      case Step.Modifiers(Step.Holding holding) -> text("holding." + holding);
      case Step.Again() -> text("step.again");
      case Step.Capture(Step.Area area, Template file) ->
          text(
              "step.capture",
              text("area." + area),
              file.source().isEmpty() ? text("step.clipboard") : file.source());
      case Step.RunRoutine(String routine, Map<String, Expr> arguments) ->
          arguments.isEmpty()
              ? routines.apply(routine)
              : text("step.run", routines.apply(routine), arguments(arguments));
      case Step.StartProgram(String application, List<Template> arguments) ->
          arguments.isEmpty()
              ? application
              : text(
                  "step.start",
                  application,
                  arguments.stream().map(Template::source).collect(Collectors.joining(" ")));
      case Step.BringToFront(String application) -> application;
      case Step.WaitUntil(Condition condition, Expr limit) ->
          text("step.wait", ConditionText.write(condition), expr(limit));
      case Step.Ask(Template ask, List<Step.Question> questions) ->
          text("step.ask", ask.source(), names(questions));
      case Step.Pause(Template note, List<Step.Question> offers) ->
          offers.isEmpty() ? note.source() : text("step.pause", note.source(), names(offers));
      case Step.If(Condition condition, var then, var otherwise) -> ConditionText.write(condition);
      case Step.Repeat(Expr times, var body) -> text("step.repeat", expr(times), many(expr(times)));
      case Step.ForEach(String variable, Step.Items items, var body) ->
          text("step.each", variable, StepParts.items(items));
      case Step.Stop(Template reason) -> reason.source();
      case Step.Note(Template note) -> note.source();
    };
  }

  private static String text(String key, Object... values) {
    return Words.TEXTS.get(key, values);
  }

  private static String expr(Expr e) {
    return e instanceof Expr.Written(Template t) ? t.source() : ExprNotation.write(e);
  }

  /** What a noun after an expression agrees with: one, or more than one. */
  private static int many(String shown) {
    return shown.equals("1") ? 1 : 2;
  }

  private static String exprs(List<Expr> list) {
    return list.stream().map(StepWords::expr).collect(Collectors.joining(", "));
  }

  private static String path(List<Template> menu) {
    return menu.stream().map(Template::source).collect(Collectors.joining(UNDER));
  }

  private static String names(List<Step.Question> questions) {
    return questions.stream()
        .map(q -> "\u2039" + q.variable() + "\u203a")
        .collect(Collectors.joining(", "));
  }

  private static String arguments(Map<String, Expr> arguments) {
    return arguments.entrySet().stream()
        .map(e -> e.getKey() + " " + expr(e.getValue()))
        .collect(Collectors.joining(", "));
  }

  private static String selected(Whom whom, boolean adding, Step.Edge edge) {
    String what = text(adding ? "step.select.adding" : "step.select.only", whom(whom));
    return edge == Step.Edge.REPORT ? what : text("step.select.edge", what, text("edge." + edge));
  }

  private static String whom(Whom whom) {
    return switch (whom) {
      case Whom.Group group -> text("whom." + group);
      case Whom.Named(Template name) -> name.source();
    };
  }

  /** One line of a trace: what the step did with the values it had. */
  public static String line(Trace.Entry entry) {
    return switch (entry) {
      case Trace.Taken(String number, Step step, String detail, var changes, long nanos) ->
          taken(step, detail);
      case Trace.Aimed(Target target, String application, boolean front, var c, long nanos) ->
          front
              ? Words.target(target)
              : text("line.aimed.behind", Words.target(target), application);
      case Trace.PutBack(String setting, var changes, long nanos) -> setting;
      case Trace.NotPutBack(String setting, String expected, String found, long nanos) ->
          text("line.notputback", setting, expected, found);
    };
  }

  private static String taken(Step step, String detail) {
    return switch (step) {
      case Step.Fill(String field, var value) -> text("step.fill", field, detail);
      case Step.ChangeSetting(String setting, var value, var lasting) ->
          text("line.change", setting, detail);
      case Step.Cycle(String setting, var values, var lasting) ->
          text("line.change", setting, detail);
      case Step.Adjust(String value, Step.Adjusting way, var to, var edge) ->
          text(way == Step.Adjusting.TO ? "line.change" : "line.by", value, detail);
      case Step.Read(Readout what, String variable) ->
          text("line.read", ReadoutText.write(what), detail);
      case Step.SetVariable(String name, var value) -> text("line.change", name, detail);
      case Step.SelectOffset s -> text("line.offset", detail);
      case Step.If i -> rest(step) + ": " + detail;
      case Step.Repeat r -> text("step.repeat", detail, many(detail));
      case Step.ForEach(String variable, var items, var body) ->
          text("line.each", variable, detail);
      default -> detail.isEmpty() ? rest(step) : detail;
    };
  }

  /** The first word of a line of a trace. */
  public static String verb(Trace.Entry entry) {
    return switch (entry) {
      case Trace.Taken taken -> verb(taken.step());
      case Trace.Aimed a -> text("verb.Aimed");
      case Trace.PutBack p -> text("verb.PutBack");
      case Trace.NotPutBack n -> text("verb.NotPutBack");
    };
  }

  /** How a run ended, or where it is. */
  public static String ending(Trace.Ending ending) {
    return switch (ending) {
      case Trace.Finished() -> text("ending.finished");
      case Trace.Stopped(String number, String reason) -> text("ending.stopped", number, reason);
      case Trace.GivenUp(String number) ->
          number.isEmpty() ? text("ending.givenup.before") : text("ending.givenup", number);
      case Trace.Broke(String number, int column, String message) ->
          text("ending.broke", number, column, message);
      case Trace.Underway(String number) ->
          number.isEmpty() ? text("ending.underway.before") : text("ending.underway", number);
      case Trace.Failed(String number, Step step, String expected, String found) ->
          number.isEmpty()
              ? text("ending.refused", expected, found)
              : text("ending.failed", number, verb(step) + " " + rest(step), expected, found);
    };
  }
}
