package foldtwice.run;

import foldtwice.reading.Builtin;
import foldtwice.routine.Expr;
import foldtwice.routine.Scale;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.text.Refusals;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;

/** The turns of loops. */
final class Loops {

  private Loops() {}

  /** So many turns. */
  static Activation.Turns counted(Scope scope, int turns) {
    return turn -> {
      scope.names.put(Builtin.TURN, Value.Amount.of(turn));
      return turn <= turns;
    };
  }

  static Activation.Turns of(Scope scope, String variable, Step.Items items, Computer computer)
      throws StepFailure {
    return new Each(
        scope, variable, all(scope, items, computer), items instanceof Step.Items.Selected);
  }

  /** All that a loop would go through. */
  static List<Value> all(Scope scope, Step.Items items, Computer computer) throws StepFailure {
    return switch (items) {
      case Step.Items.Given(List<Expr> values) -> {
        List<Value> all = new ArrayList<>();
        for (Expr e : values) {
          all.add(scope.value(e));
        }
        yield all;
      }
      case Step.Items.LinesOf(Expr text) ->
          scope.value(text).shown().lines().<Value>map(Value.Text::new).toList();
      case Step.Items.LinesOfFile(Template file) -> lines(scope.evaluator.text(file), computer);
      case Step.Items.Selected() ->
          scope.program.selected().stream().<Value>map(Value.Text::new).toList();
    };
  }

  private static List<Value> lines(String file, Computer computer) throws StepFailure {
    return switch (computer.file(file)) {
      case Computer.File.Text(String text) -> text.lines().<Value>map(Value.Text::new).toList();
      case Computer.File.Refused(String expected, String found) ->
          throw new StepFailure(expected, found);
    };
  }

  static String size(Activation.Turns turns) {
    return turns instanceof Each each ? Integer.toString(each.items.size()) : "";
  }

  /** A time in seconds, as milliseconds; at most an hour. */
  static long millis(Value limit) throws StepFailure {
    BigDecimal seconds =
        switch (limit) {
          case Value.Quantity(BigDecimal n, Scale scale) when scale == Scale.SECOND -> n;
          case Value.Amount(BigDecimal n) -> n;
          default ->
              throw new StepFailure(Refusals.says("run.time-seconds-such-as"), limit.shown());
        };
    if (seconds.signum() < 0 || seconds.compareTo(BigDecimal.valueOf(3600)) > 0) {
      throw new StepFailure(Refusals.says("run.time-range"), limit.shown());
    }
    return seconds.movePointRight(3).longValue();
  }

  /** A turn for each item. */
  private record Each(Scope scope, String variable, List<Value> items, boolean selecting)
      implements Activation.Turns {

    @Override
    public boolean again(int turn) throws StepFailure {
      if (turn > items.size()) {
        return false;
      }
      scope.names.put(Builtin.TURN, Value.Amount.of(turn));
      scope.names.put(variable, items.get(turn - 1));
      if (selecting) {
        select(items.get(turn - 1), false);
      }
      return true;
    }

    @Override
    public void end() throws StepFailure {
      if (selecting) {
        for (int i = 0; i < items.size(); i++) {
          select(items.get(i), i > 0);
        }
      }
    }

    private void select(Value item, boolean adding) throws StepFailure {
      if (scope.program.selectNamed(item.shown(), adding)
          instanceof Reply.Refused(String expected, String found)) {
        throw new StepFailure(expected, found);
      }
    }
  }
}
