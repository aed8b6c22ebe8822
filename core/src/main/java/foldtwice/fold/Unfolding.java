package foldtwice.fold;

import foldtwice.outline.StepFields;
import foldtwice.reading.Builtin;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Line;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Writes loops out again, turn by turn.
 *
 * <p>Law: {@code unfold(fold(lines)).equals(lines)} for lines without loops.
 */
public final class Unfolding {

  /** More lines than this are not written. */
  public static final int MOST_LINES = 20_000;

  private Unfolding() {}

  /** True when there is a loop that can be written out: its turns are known beforehand. */
  public static boolean canUnfold(List<Line> lines) {
    return lines.stream()
        .anyMatch(
            l ->
                turns(l.step()).isPresent()
                    || l.step().bodies().stream().anyMatch(Unfolding::canUnfold));
  }

  /**
   * The lines with every loop written out whose turns are known beforehand.
   *
   * @throws TooLongToFoldException when that is more than {@value #MOST_LINES} lines
   */
  public static List<Line> unfold(List<Line> lines) {
    List<Line> out = new ArrayList<>();
    unfold(lines, Map.of(), out);
    return List.copyOf(out);
  }

  private static void unfold(List<Line> lines, Map<String, Value> names, List<Line> out) {
    for (Line line : lines) {
      Optional<List<Map<String, Value>>> turns = line.on() ? turns(line.step()) : Optional.empty();
      if (turns.isEmpty()) {
        out.add(put(line, names));
      } else {
        for (Map<String, Value> turn : turns.get()) {
          Map<String, Value> inside = new HashMap<>(names);
          inside.putAll(turn);
          unfold(line.step().bodies().getFirst(), inside, out);
        }
      }
      if (out.size() > MOST_LINES) {
        throw new TooLongToFoldException(out.size(), MOST_LINES);
      }
    }
  }

  /** The names each turn gives values to; empty when they are only known at run time. */
  private static Optional<List<Map<String, Value>>> turns(Step step) {
    List<Map<String, Value>> turns = new ArrayList<>();
    switch (step) {
      case Step.Repeat(Expr.Literal(Value.Amount(BigDecimal n)), var body)
          when n.scale() <= 0 && n.signum() >= 0 && n.intValue() <= MOST_LINES -> {
        for (int i = 1; i <= n.intValue(); i++) {
          turns.add(Map.of(Builtin.TURN, Value.Amount.of(i)));
        }
      }
      case Step.ForEach(String name, Step.Items.Given(List<Expr> values), var body)
          when values.stream().allMatch(v -> v.constant().isPresent()) -> {
        for (int i = 0; i < values.size(); i++) {
          turns.add(
              Map.of(
                  Builtin.TURN,
                  Value.Amount.of(i + 1L),
                  name,
                  values.get(i).constant().orElseThrow()));
        }
      }
      default -> {
        return Optional.empty();
      }
    }
    return Optional.of(turns);
  }

  /** The line with values instead of names. */
  private static Line put(Line line, Map<String, Value> names) {
    Step step = line.step();
    List<StepFields.Field> fields = StepFields.of(step);
    for (int i = 0; i < fields.size() && !names.isEmpty(); i++) {
      StepFields.Field f = fields.get(i);
      if (f.text().indexOf('\u2039') < 0) {
        continue;
      }
      String text =
          f.holds() == StepFields.Holds.VALUE
              ? ExprNotation.write(value(ExprNotation.read(f.text()), names))
              : new Template(f.text())
                  .with(n -> names.containsKey(n) ? names.get(n).shown() : Constant.named(n));
      step = StepFields.with(step, i, text);
    }
    Map<String, Value> inside = inside(step, names);
    return line.with(
        step.withBodies(
            step.bodies().stream()
                .map(b -> b.stream().map(l -> put(l, inside)).toList())
                .toList()));
  }

  /** The names that still mean the same inside a step: a loop gives its own turn and value. */
  private static Map<String, Value> inside(Step step, Map<String, Value> names) {
    Map<String, Value> inside = new HashMap<>(names);
    if (step instanceof Step.Repeat || step instanceof Step.ForEach) {
      inside.remove(Builtin.TURN);
    }
    if (step instanceof Step.ForEach(String variable, var items, var body)) {
      inside.remove(variable);
    }
    return inside;
  }

  /** The expression with what is known computed. */
  private static Expr value(Expr e, Map<String, Value> names) {
    return switch (e) {
      case Expr.Name(String name) when names.containsKey(name) -> Numbers.literal(names.get(name));
      case Expr.Joined(Expr left, Expr.Operator operator, Expr right) -> {
        Expr a = value(left, names);
        Expr b = value(right, names);
        yield joined(a, operator, b).orElse(new Expr.Joined(a, operator, b));
      }
      case Expr.Opposite(Expr of) -> {
        Expr inside = value(of, names);
        yield new Expr.Opposite(inside)
            .constant()
            .map(Numbers::literal)
            .orElse(new Expr.Opposite(inside));
      }
      default -> e;
    };
  }

  private static Optional<Expr> joined(Expr left, Expr.Operator operator, Expr right) {
    Optional<Value> a = left.constant();
    Optional<Value> b = right.constant();
    if (a.isEmpty() || b.isEmpty()) {
      return Optional.empty();
    }
    return (switch (operator) {
          case PLUS ->
              Numbers.times(a.get(), -1).flatMap(minus -> Numbers.difference(minus, b.get()));
          case MINUS -> Numbers.difference(b.get(), a.get());
          case TIMES ->
              a.get() instanceof Value.Amount(BigDecimal n)
                      && n.scale() <= 0
                      && n.abs().intValue() <= MOST_LINES
                  ? Numbers.times(b.get(), n.intValue())
                  : Optional.<Value>empty();
        })
        .map(Numbers::literal);
  }
}
