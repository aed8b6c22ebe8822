package foldtwice.run;

import foldtwice.routine.Expr;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Scale;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.text.Refusals;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Takes the steps that do one thing and are done: all but those that lead elsewhere or wait. */
final class Doing {

  /** What a step worked with and what the program answered. */
  record Did(String detail, Reply reply) {}

  private final Scope scope;
  private final Computer computer;
  private final Conditions conditions;
  private final boolean heldIgnored;

  Doing(Scope scope, Computer computer, boolean heldIgnored) {
    this.scope = scope;
    this.computer = computer;
    this.conditions = new Conditions(scope, computer);
    this.heldIgnored = heldIgnored;
  }

  /** Takes a step. */
  Did take(Step.Plain step) throws StepFailure, Stop {
    Program program = scope.program;
    return switch (step) {
      case Step.Choose(List<Template> menu) -> {
        List<String> path = conditions.path(menu);
        yield new Did(String.join(" \u203a ", path), program.choose(path));
      }
      case Step.Fill(String field, Expr value) -> {
        String text = typed(field, scope.value(value));
        yield new Did(text, program.fill(field, text));
      }
      case Step.PressButton(String label) -> new Did(label, program.press(label));
      case Step.Read(var what, String variable) -> {
        Value value = conditions.read(what);
        scope.names.put(variable, value);
        yield new Did(value.shown(), Reply.QUIET);
      }
      case Step.ChangeSetting(String setting, Expr to, Step.Lasting lasting) ->
          change(setting, scope.value(to), lasting);
      case Step.Cycle(String setting, List<Expr> values, Step.Lasting lasting) ->
          change(setting, next(setting, values), lasting);
      case Step.Adjust(String value, Step.Adjusting way, Expr to, Step.Edge edge) ->
          adjust(value, way, scope.value(to), edge);
      case Step.Select(Whom whom, boolean adding, Step.Edge edge) -> {
        yield selecting(select(whom, adding, edge));
      }
      case Step.SelectOffset(Expr rows, Expr columns, Step.Edge edge) -> {
        yield selecting(offset(scope.evaluator.whole(rows), scope.evaluator.whole(columns), edge));
      }
      case Step.TypeText(Template text) -> type(scope.evaluator.text(text));
      case Step.SetVariable(String name, Expr to) -> {
        Value value = scope.value(to);
        scope.names.put(name, value);
        yield new Did(value.shown(), Reply.QUIET);
      }
      case Step.Leave(Step.Leaving leaving) ->
          new Did("", leaving == Step.Leaving.FINISH ? program.finish() : program.cancel());
      case Step.Again() -> new Did("", program.again());
      case Step.Capture(Step.Area area, Template file) -> {
        String name = scope.evaluator.text(file);
        yield new Did(name, computer.capture(area, name));
      }
      case Step.StartProgram(String application, List<Template> arguments) -> {
        List<String> given = new ArrayList<>();
        for (Template t : arguments) {
          given.add(scope.evaluator.text(t));
        }
        yield new Did(String.join(" ", given), computer.start(application, given));
      }
      case Step.BringToFront(String application) ->
          new Did(application, computer.bringToFront(application));
      case Step.Note(Template text) -> new Did(scope.evaluator.text(text), Reply.QUIET);
    };
  }

  private Did change(String setting, Value to, Step.Lasting lasting) throws StepFailure {
    Value before = scope.setting(setting);
    Reply reply = scope.program.change(setting, to);
    if (reply instanceof Reply.Done) {
      if (lasting == Step.Lasting.THIS_RUN) {
        scope.putBackLater(setting, before);
      } else {
        scope.keep(setting);
      }
    }
    return new Did(to.shown(), reply);
  }

  private Value next(String setting, List<Expr> values) throws StepFailure {
    Value now = scope.setting(setting);
    List<Value> all = new ArrayList<>();
    for (Expr e : values) {
      all.add(scope.value(e));
    }
    if (all.isEmpty()) {
      throw new StepFailure(Refusals.says("run.values-go-round"), Refusals.says("run.none"));
    }
    return all.get((all.indexOf(now) + 1) % all.size());
  }

  private Did adjust(String name, Step.Adjusting way, Value to, Step.Edge edge)
      throws StepFailure, Stop {
    Scale scale = Conditions.adjustable(scope.program, name).scale();
    Value.Quantity amount =
        switch (to) {
          case Value.Quantity q when q.scale() == scale -> q;
          case Value.Amount(BigDecimal n) -> new Value.Quantity(n, scale);
          default -> throw new StepFailure(Refusals.says("run.amount", scale.symbol()), to.shown());
        };
    Reply reply = scope.program.adjust(name, way, amount, edge);
    if (edge == Step.Edge.STOP_QUIETLY && reply instanceof Reply.Refused(var expected, var found)) {
      throw new Stop(found + " (" + expected + ")");
    }
    return new Did(amount.shown(), reply);
  }

  /** What a step has selected stays selected when the routine is over. */
  private Did selecting(Did did) {
    if (did.reply() instanceof Reply.Done) {
      scope.selects();
    }
    return did;
  }

  private Did select(Whom whom, boolean adding, Step.Edge edge) throws StepFailure, Stop {
    return switch (whom) {
      case Whom.Group group -> {
        boolean more = group == Whom.Group.AT_POINTER && held().has(Modifier.SHIFT);
        Reply reply = scope.program.select(group, adding || more);
        boolean past =
            reply instanceof Reply.Refused
                && (group == Whom.Group.NEXT || group == Whom.Group.PREVIOUS)
                && scope.program.somethingSelected();
        yield new Did("", past ? past(edge, (Reply.Refused) reply) : reply);
      }
      case Whom.Named(Template name) -> {
        String text = scope.evaluator.text(name);
        yield new Did(text, scope.program.selectNamed(text, adding));
      }
    };
  }

  /** Past the last one, or before the first: what is selected stays so. */
  private static Reply past(Step.Edge edge, Reply.Refused refused) throws Stop {
    return switch (edge) {
      case REPORT -> refused;
      case CLAMP -> Reply.QUIET;
      case STOP_QUIETLY -> throw new Stop(refused.found() + " (" + refused.expected() + ")");
    };
  }

  private Did offset(int rows, int columns, Step.Edge edge) throws Stop {
    Reply reply = scope.program.select(rows, columns, edge);
    if (edge == Step.Edge.STOP_QUIETLY
        && reply instanceof Reply.Refused(String expected, String found)
        && scope.program.somethingSelected()) {
      throw new Stop(found + " (" + expected + ")");
    }
    return new Did(rows + ", " + columns, reply);
  }

  /** The modifiers that are down and count. */
  private Modifiers held() {
    return heldIgnored ? Modifiers.NONE : computer.held();
  }

  private Did type(String text) throws StepFailure {
    Modifiers harmful = held().without(Modifier.SHIFT);
    if (!harmful.list().isEmpty()) {
      throw new StepFailure(
          Refusals.says("run.no-modifier-down-while"),
          Refusals.says("run.still-down-from-trigger", harmful.words()));
    }
    return new Did(text, computer.front().type(text));
  }

  /**
   * A value as it must be typed into a field. A length is written in the field's unit, and only
   * when that is exact: a distance never lands nearly right.
   */
  private String typed(String field, Value value) throws StepFailure {
    Optional<Dialog.Field> target = scope.program.dialog().flatMap(d -> d.field(field));
    if (target.isEmpty()) {
      return value.shown();
    }
    return switch (value) {
      case Value.Length length when target.get().unit().isPresent() ->
          length(length, target.get().unit().get(), target.get().decimals());
      case Value.Quantity(BigDecimal amount, Scale scale) when target.get().scale().isPresent() -> {
        if (scale != target.get().scale().get()) {
          throw new StepFailure(
              Refusals.says("run.amount", target.get().scale().get().symbol()), value.shown());
        }
        yield amount.toPlainString();
      }
      default -> value.shown();
    };
  }

  private static String length(Value.Length length, LengthUnit unit, int decimals)
      throws StepFailure {
    Optional<BigDecimal> exact = length.exactly(unit).filter(n -> n.scale() <= decimals);
    if (exact.isEmpty()) {
      throw new StepFailure(
          Refusals.says("run.distance-exact-with-decimals", unit.symbol(), decimals),
          Refusals.says("run.change-unit-for-run", length.shown()));
    }
    return exact.get().toPlainString();
  }
}
