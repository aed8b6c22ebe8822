package foldtwice.words;

import foldtwice.routine.Condition;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.run.Trace;
import java.util.List;
import java.util.stream.Collectors;

/** Steps and traces in words. A step reads as a verb and what it is about. */
public final class StepWords {

  private StepWords() {}

  /** The first word of a step: {@code Choose}. */
  public static String verb(Step step) {
    return Words.TEXTS.get("verb." + step.getClass().getSimpleName());
  }

  /** The rest of a step, with its expressions as written. */
  public static String rest(Step step) {
    return switch (step) {
      case Step.Choose(List<Template> menu) ->
          menu.stream().map(Template::source).collect(Collectors.joining(" \u203a "));
      case Step.Fill(String field, var value) ->
          Words.TEXTS.get("step.fill", field, ExprNotation.write(value));
      case Step.PressButton(String label) -> label;
      case Step.ReadSetting(String setting, String variable) ->
          Words.TEXTS.get("step.read", setting, variable);
      case Step.ChangeSetting(String setting, var value, Step.Lasting lasting) ->
          Words.TEXTS.get("step.change." + lasting, setting, ExprNotation.write(value));
      case Step.SelectOffset(var rows, var columns, Step.Edge edge) ->
          Words.TEXTS.get(
              "step.select",
              ExprNotation.write(rows),
              ExprNotation.write(columns),
              Words.TEXTS.get("edge." + edge));
      case Step.SetVariable(String name, var value) ->
          Words.TEXTS.get("step.set", name, ExprNotation.write(value));
      case Step.If(Condition condition, var then, var otherwise) -> condition(condition);
      case Step.Repeat(var times, var body) ->
          Words.TEXTS.get("step.repeat", ExprNotation.write(times));
    };
  }

  private static String condition(Condition condition) {
    return switch (condition) {
      case Condition.Compare(var left, Condition.Relation relation, var right) ->
          ExprNotation.write(left) + " " + relation.words() + " " + ExprNotation.write(right);
      case Condition.SettingIs(String setting, var value) ->
          Words.TEXTS.get("condition.setting", setting, ExprNotation.write(value));
      case Condition.SomethingSelected() -> Words.TEXTS.get("condition.selected");
    };
  }

  /** One line of a trace: what the step did with the values it had. */
  public static String line(Trace.Entry entry) {
    return switch (entry) {
      case Trace.Taken(String number, Step step, String detail, var changes, long nanos) ->
          switch (step) {
            case Step.Fill(String field, var value) -> Words.TEXTS.get("step.fill", field, detail);
            case Step.ChangeSetting(String setting, var value, var lasting) ->
                Words.TEXTS.get("line.change", setting, detail);
            case Step.ReadSetting(String setting, String variable) ->
                Words.TEXTS.get("line.read", setting, detail);
            case Step.SetVariable(String name, var value) ->
                Words.TEXTS.get("line.change", name, detail);
            case Step.SelectOffset s -> Words.TEXTS.get("line.select", detail);
            case Step.If i -> rest(step) + ": " + detail;
            case Step.Repeat r -> Words.TEXTS.get("step.repeat", detail);
            case Step.Choose c -> detail;
            case Step.PressButton b -> detail;
          };
      case Trace.PutBack(String setting, var changes, long nanos) -> setting;
      case Trace.NotPutBack(String setting, String expected, String found, long nanos) ->
          Words.TEXTS.get("line.notputback", setting, expected, found);
    };
  }

  /** The first word of a line of a trace. */
  public static String verb(Trace.Entry entry) {
    return switch (entry) {
      case Trace.Taken taken -> verb(taken.step());
      case Trace.PutBack p -> Words.TEXTS.get("verb.PutBack");
      case Trace.NotPutBack n -> Words.TEXTS.get("verb.NotPutBack");
    };
  }

  /** How a run ended. */
  public static String ending(Trace.Ending ending) {
    return switch (ending) {
      case Trace.Finished() -> Words.TEXTS.get("ending.finished");
      case Trace.Stopped(String number, String reason) ->
          Words.TEXTS.get("ending.stopped", number, reason);
      case Trace.Failed(String number, Step step, String expected, String found) ->
          number.isEmpty()
              ? Words.TEXTS.get("ending.refused", expected, found)
              : Words.TEXTS.get(
                  "ending.failed", number, verb(step) + " " + rest(step), expected, found);
    };
  }
}
