package foldtwice.writing;

import foldtwice.extras.Extras;
import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.outline.Outline;
import foldtwice.outline.StepFields;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
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
import java.util.List;
import java.util.Optional;

/** Makes a parameter out of a constant in a step. */
public final class Making {

  /**
   * A constant that could be a parameter.
   *
   * @param field which field of the step it stands in
   * @param name a name for it
   * @param known what could stand there, where that is known
   */
  public record Constant(
      String number, int field, String name, Value value, Optional<Kind> known) {}

  private static final BigDecimal ROOM = BigDecimal.valueOf(200);
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  private Making() {}

  /** The constants of a step, in the order of its fields. */
  public static List<Constant> constants(Routine.Macro macro, String number, Known known) {
    List<Constant> found = new ArrayList<>();
    Optional<Line> line = Outline.at(macro.steps(), number);
    if (line.isEmpty()) {
      return found;
    }
    Step step = line.get().step();
    if (step instanceof Step.Choose(List<Template> menu)
        && menu.getLast().names().isEmpty()
        && menu.size() > 1) {
      found.add(
          new Constant(
              number,
              0,
              free(macro, menu.get(menu.size() - 2).source().toLowerCase(java.util.Locale.ROOT)),
              new Value.Text(menu.getLast().source()),
              choice(siblings(macro, menu, known))));
    }
    List<StepFields.Field> fields = StepFields.of(step);
    for (int i = 0; i < fields.size(); i++) {
      StepFields.Field f = fields.get(i);
      int field = i;
      if (f.holds() == StepFields.Holds.VALUE) {
        ExprNotation.read(f.text())
            .constant()
            .ifPresent(
                value ->
                    found.add(
                        new Constant(
                            number,
                            field,
                            free(macro, name(step, f)),
                            value,
                            known(macro, step, known))));
      } else if (f.holds() == StepFields.Holds.TEXT
          && !f.text().isEmpty()
          && new Template(f.text()).names().isEmpty()) {
        found.add(
            new Constant(
                number, i, free(macro, f.label()), new Value.Text(f.text()), Optional.empty()));
      }
    }
    return found;
  }

  private static String name(Step step, StepFields.Field field) {
    return switch (step) {
      case Step.Fill(String label, Expr value) -> label.toLowerCase(java.util.Locale.ROOT);
      case Step.ChangeSetting(String setting, Expr value, var lasting) -> setting;
      case Step.Adjust(String value, var way, Expr to, var edge) ->
          way == Step.Adjusting.BY ? "by" : value;
      case Step.SetVariable(String name, Expr value) -> name;
      default -> field.label().isEmpty() ? "value" : field.label();
    };
  }

  private static String free(Routine.Macro macro, String wanted) {
    String name = wanted;
    for (int i = 2; macro.parameter(name).isPresent(); i++) {
      name = wanted + " " + i;
    }
    return name;
  }

  /** The last labels of all commands in the same menu. */
  private static List<String> siblings(Routine.Macro macro, List<Template> menu, Known known) {
    List<String> above = menu.subList(0, menu.size() - 1).stream().map(Template::source).toList();
    return known.program(macro.application()).stream()
        .flatMap(f -> f.commands().stream())
        .map(Facts.Command::menu)
        .filter(m -> m.size() == menu.size() && m.subList(0, m.size() - 1).equals(above))
        .map(List::getLast)
        .toList();
  }

  private static Optional<Kind> choice(List<String> options) {
    return options.size() > 1 ? Optional.of(new Kind.Choice(options)) : Optional.empty();
  }

  /** What its program says can stand in a step. */
  private static Optional<Kind> known(Routine.Macro macro, Step step, Known known) {
    Optional<Facts> facts = known.program(macro.application());
    return switch (step) {
      case Step.Fill(String label, Expr value) ->
          facts.stream()
              .flatMap(f -> f.dialogs().stream())
              .flatMap(d -> d.field(label).stream())
              .findFirst()
              .flatMap(f -> f.range().or(() -> choice(f.options())));
      case Step.ChangeSetting(String setting, Expr value, var lasting) ->
          facts.map(f -> f.settings().get(setting));
      case Step.Adjust(String value, var way, Expr to, var edge) ->
          facts
              .map(f -> f.values().get(value))
              .map(range -> way == Step.Adjusting.TO ? range : between(range));
      default -> Optional.empty();
    };
  }

  /** By how much a value in this range can change. */
  private static Kind.Measure between(Kind.Measure range) {
    Value.Quantity far = range.most().plus(range.least().negated());
    return new Kind.Measure(far.negated(), far, range.step());
  }

  /** The macro with the constant as a parameter of this name; runs as before with its default. */
  public static Routine.Macro parameter(Routine.Macro macro, Constant constant, String name) {
    Parameter parameter = new Parameter(name, kind(constant), constant.value(), Extras.NONE);
    List<Parameter> parameters = new ArrayList<>(macro.parameters());
    parameters.add(parameter);
    return macro
        .withParameters(parameters)
        .withSteps(
            Outline.change(
                macro.steps(), constant.number(), l -> l.with(put(l.step(), constant, name))));
  }

  private static Step put(Step step, Constant constant, String name) {
    String insertion = "\u2039" + name + "\u203a";
    if (step instanceof Step.Choose(List<Template> menu)) {
      List<Template> next = new ArrayList<>(menu);
      next.set(next.size() - 1, new Template(insertion));
      return new Step.Choose(next);
    }
    return StepFields.with(step, constant.field(), insertion);
  }

  /** What its program says, where that takes the constant; else room around the constant. */
  private static Kind kind(Constant constant) {
    return constant
        .known()
        .filter(k -> takes(k, constant.value()))
        .orElseGet(() -> around(constant));
  }

  private static boolean takes(Kind kind, Value value) {
    try {
      kind.check(value);
      return true;
    } catch (ValueException e) {
      return false;
    }
  }

  private static Kind around(Constant constant) {
    return switch (constant.value()) {
      case Value.Length(BigDecimal n, LengthUnit unit) -> {
        Value.Length most = new Value.Length(n.abs().max(ROOM), unit);
        yield new Kind.Distance(most.negated(), most, new Value.Length(step(n), unit));
      }
      case Value.Quantity(BigDecimal n, var scale) -> {
        BigDecimal most = n.abs().multiply(BigDecimal.TEN).max(BigDecimal.TEN);
        yield new Kind.Measure(
            new Value.Quantity(most.negate(), scale),
            new Value.Quantity(most, scale),
            new Value.Quantity(step(n), scale));
      }
      case Value.Amount(BigDecimal n) ->
          n.scale() <= 0
              ? new Kind.Count(
                  n.min(BigDecimal.ZERO).longValue() - 100,
                  n.max(BigDecimal.ZERO).longValue() + 100)
              : new Kind.Decimal(
                  n.min(BigDecimal.ZERO).subtract(HUNDRED),
                  n.max(BigDecimal.ZERO).add(HUNDRED),
                  step(n));
      case Value.Text t -> new Kind.Words();
      case Value.Flag f -> new Kind.YesNo();
    };
  }

  /** One in the last decimal that was written. */
  private static BigDecimal step(BigDecimal n) {
    return BigDecimal.ONE.movePointLeft(Math.max(0, n.scale()));
  }
}
