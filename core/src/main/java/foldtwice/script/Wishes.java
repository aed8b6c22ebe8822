package foldtwice.script;

import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.run.Scripts;
import foldtwice.run.Scripts.Place;
import foldtwice.source.Calls;
import foldtwice.source.Given;
import foldtwice.source.Wanted;
import foldtwice.text.Refusals;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What a call of the interface asks the run for. */
final class Wishes {

  private Wishes() {}

  /**
   * A wish.
   *
   * @throws ValueException when what is given fits nothing
   */
  static Scripts.Wish of(Talk.Asked asked) {
    Map<String, Value> names = new LinkedHashMap<>();
    asked.names().forEach((name, one) -> names.put(name, Calls.value(one)));
    Wanted wanted = Calls.of(asked.what(), asked.given());
    if (wanted instanceof Wanted.Take(Step step, var more)) {
      names.putAll(more);
    }
    Place at = new Place(asked.line(), names, seen(asked.seen()));
    return switch (wanted) {
      case Wanted.Take(Step step, var more) ->
          new Scripts.Wish.Take(
              at, step, step.questions().stream().map(Step.Question::variable).toList());
      case Wanted.Answer(Step.Ask step) -> new Scripts.Wish.Take(at, step, List.of(Calls.ANSWER));
      case Wanted.Read(var what) ->
          new Scripts.Wish.Take(at, new Step.Read(what, Calls.ANSWER), List.of(Calls.ANSWER));
      case Wanted.Test(var condition) -> new Scripts.Wish.Test(at, condition);
      case Wanted.Compute(var value) -> new Scripts.Wish.Compute(at, value);
      case Wanted.Through(var items) -> new Scripts.Wish.Through(at, items);
      case Wanted.Use(String id) ->
          throw new ValueException(id, Refusals.says("script.script-library-named-by"));
    };
  }

  /** What is no value is shown as it is told. */
  private static Map<String, Value> seen(Map<String, Given> seen) {
    Map<String, Value> values = new LinkedHashMap<>();
    seen.forEach((name, one) -> values.put(name, shown(one)));
    return values;
  }

  private static Value shown(Given one) {
    try {
      return Calls.value(one);
    } catch (ValueException noValue) {
      return new Value.Text(one.shown());
    }
  }
}
