package foldtwice.run;

import foldtwice.place.Versions;
import foldtwice.routine.Condition;
import foldtwice.routine.Readout;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.text.Refusals;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;

/** Reads a program and decides conditions. */
final class Conditions {

  private final Scope scope;
  private final Computer computer;

  Conditions(Scope scope, Computer computer) {
    this.scope = scope;
    this.computer = computer;
  }

  boolean holds(Condition condition) throws StepFailure {
    return switch (condition) {
      case Condition.SomethingSelected() -> scope.program.somethingSelected();
      case Condition.Reads(Readout what, Condition.Relation relation, var value) ->
          compare(read(what), relation, scope.value(value));
      case Condition.Compare(var left, Condition.Relation relation, var right) ->
          compare(scope.value(left), relation, scope.value(right));
      case Condition.Ticked(List<Template> menu) -> scope.program.ticked(path(menu));
      case Condition.VersionAtLeast(String version) ->
          Versions.atLeast(scope.program.facts().version(), version);
      case Condition.DialogOpen(String title) ->
          scope.program.dialog().filter(d -> d.title().equals(title)).isPresent();
      case Condition.InFront(String application) -> computer.frontWindow().equals(application);
      case Condition.Not(Condition of) -> !holds(of);
      case Condition.All(List<Condition> of) -> any(of, false);
      case Condition.Any(List<Condition> of) -> any(of, true);
    };
  }

  /** Looks until one is so; that all hold is that none does not. */
  private boolean any(List<Condition> of, boolean so) throws StepFailure {
    for (Condition c : of) {
      if (holds(c) == so) {
        return so;
      }
    }
    return !so;
  }

  List<String> path(List<Template> menu) throws StepFailure {
    List<String> path = new ArrayList<>(menu.size());
    for (Template t : menu) {
      path.add(scope.evaluator.text(t));
    }
    return path;
  }

  Value read(Readout what) throws StepFailure {
    Program program = scope.program;
    return switch (what) {
      case Readout.Setting(String name) -> scope.setting(name);
      case Readout.Adjustable(String name) -> adjustable(program, name);
      case Readout.Indicator(String name) -> {
        Value value = program.indicators().get(name);
        if (value == null) {
          throw new StepFailure(
              Refusals.says(
                  "run.something-shown-one", String.join(", ", program.indicators().keySet())),
              Refusals.says("run.no-such", name));
        }
        yield value;
      }
      case Readout.Field(String label) ->
          new Value.Text(
              program
                  .dialog()
                  .flatMap(d -> d.field(label))
                  .map(Dialog.Field::text)
                  .orElseThrow(
                      () ->
                          new StepFailure(
                              Refusals.says("run.open-dialog-with-field", label),
                              program.dialog().map(Dialog::title).orElse("no dialog"))));
      case Readout.Of.SELECTED_COUNT -> Value.Amount.of(program.selected().size());
      case Readout.Of.SELECTED_TEXT -> new Value.Text(program.selectedText());
      case Readout.Of.CLIPBOARD -> new Value.Text(computer.clipboard());
    };
  }

  static Value.Quantity adjustable(Program program, String name) throws StepFailure {
    Value.Quantity value = program.values().get(name);
    if (value == null) {
      throw new StepFailure(
          program.values().isEmpty()
              ? Refusals.says("run.adjustable-selected", name)
              : Refusals.says("run.adjustable", String.join(", ", program.values().keySet())),
          program.values().isEmpty()
              ? Refusals.says("run.nothing-to-adjust")
              : Refusals.says("run.no-such", name));
    }
    return value;
  }

  private static boolean compare(Value left, Condition.Relation relation, Value right)
      throws StepFailure {
    int order =
        switch (left) {
          case Value.Length a when right instanceof Value.Length b -> a.compareTo(b);
          case Value.Quantity a when right instanceof Value.Quantity b && a.scale() == b.scale() ->
              a.compareTo(b);
          case Value.Amount(BigDecimal a) when right instanceof Value.Amount(BigDecimal b) ->
              a.compareTo(b);
          case Value.Text(String a) when right instanceof Value.Text(String b) -> a.compareTo(b);
          case Value.Flag(boolean a) when right instanceof Value.Flag(boolean b) ->
              Boolean.compare(a, b);
          default ->
              throw new StepFailure(
                  Refusals.says("run.two-values-one-kind"),
                  left.shown() + " " + relation.words() + " " + right.shown());
        };
    return switch (relation) {
      case IS -> order == 0;
      case IS_NOT -> order != 0;
      case LESS -> order < 0;
      case MORE -> order > 0;
    };
  }
}
