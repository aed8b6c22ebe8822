package foldtwice.script;

import foldtwice.outline.StepParts;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Form;
import foldtwice.routine.Kind;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Readout;
import foldtwice.routine.Scale;
import foldtwice.routine.Step;
import foldtwice.routine.StepKind;
import foldtwice.routine.StepKinds;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.routine.Whom;
import foldtwice.run.Scripts;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** What a call of the interface asks for: a step to take, or something to find out. */
final class Wishes {

  /** The name under which a script's questions are answered. */
  static final String ANSWER = "script answer";

  private static final Expr NO_DEFAULT = new Expr.Literal(new Value.Text(""));

  private final int line;
  private final List<Given> given;

  private Wishes(int line, List<Given> given) {
    this.line = line;
    this.given = given;
  }

  /**
   * A wish.
   *
   * @throws ValueException when what is given fits nothing
   */
  static Scripts.Wish of(Talk.Asked asked) {
    return new Wishes(asked.line(), asked.given()).wish(asked.what());
  }

  /** The kinds of steps, and what a call of theirs settles, by the call. */
  private static final Map<String, Called> CALLS = new HashMap<>();

  private record Called(StepKind<?> kind, StepKind.Call call) {}

  static {
    for (StepKind<?> kind : StepKinds.ALL) {
      kind.calls().forEach(c -> CALLS.put(c.name(), new Called(kind, c)));
    }
  }

  private Scripts.Wish wish(String what) {
    Called called = CALLS.get(what);
    if (called != null) {
      return take(step(called.kind(), called.call()));
    }
    return switch (what) {
      case "ticked" -> test(new Condition.Ticked(path()));
      case "field" -> read(new Readout.Field(text(0)));
      case "dialog" -> test(new Condition.DialogOpen(text(0)));
      case "setting" -> read(new Readout.Setting(text(0)));
      case "value" -> read(new Readout.Adjustable(text(0)));
      case "shown" -> read(new Readout.Indicator(text(0)));
      case "some" -> test(new Condition.SomethingSelected());
      case "count" -> read(Readout.Of.SELECTED_COUNT);
      case "text" -> read(Readout.Of.SELECTED_TEXT);
      case "version" -> test(new Condition.VersionAtLeast(text(0)));
      case "clipboard" -> read(Readout.Of.CLIPBOARD);
      case "await" -> take(new Step.WaitUntil(new Condition.InFront(text(0)), seconds(1)));
      case "ask" -> ask();
      default -> throw new ValueException(what, "a call of the interface");
    };
  }

  /** A step of a kind: what the call does not settle is given in order. */
  private Step step(StepKind<?> kind, StepKind.Call call) {
    List<Object> values = new ArrayList<>();
    int at = 0;
    for (StepKind.Part<?, ?> part : kind.parts()) {
      Object fixed = call.fixed().get(part.name());
      values.add(fixed != null ? fixed : given(part.form(), at++));
    }
    return kind.step(values);
  }

  /** What is given for a part; the last part may take all that is left. */
  private Object given(Form<?> form, int at) {
    return switch (form) {
      case Form.Value v -> literal(at);
      case Form.Values v -> IntStream.range(at, given.size()).mapToObj(this::literal).toList();
      case Form.Text t -> new Template(t.mayBeEmpty() && at >= given.size() ? "" : text(at));
      case Form.Texts t -> Template.all(texts(at));
      case Form.Menu m -> path();
      case Form.Name n -> text(at);
      case Form.Variable v -> text(at);
      case Form.Word<?> w -> at < given.size() ? StepParts.word(w.type(), text(at)) : w.otherwise();
      case Form.Flag f -> flag(at);
      case Form.Keys k -> keys(text(at));
      case Form.Selected s -> whom(text(at));
      case Form.Arguments a -> arguments(at);
      case Form.ToRead r -> throw unasked(form);
      case Form.Holds h -> throw unasked(form);
      case Form.Questions q -> throw unasked(form);
      case Form.Through t -> throw unasked(form);
      case Form.Lines l -> throw unasked(form);
    };
  }

  private static IllegalStateException unasked(Form<?> form) {
    return new IllegalStateException("a script's own language has " + form);
  }

  private Scripts.Wish take(Step step) {
    return new Scripts.Wish.Take(line, step, List.of());
  }

  private Scripts.Wish read(Readout what) {
    return new Scripts.Wish.Take(line, new Step.Read(what, ANSWER), List.of(ANSWER));
  }

  private Scripts.Wish test(Condition condition) {
    return new Scripts.Wish.Test(line, condition);
  }

  private Scripts.Wish ask() {
    Expr otherwise = given.size() > 1 ? literal(1) : NO_DEFAULT;
    Kind kind =
        switch (((Expr.Literal) otherwise).value()) {
          case Value.Flag f -> new Kind.YesNo();
          case Value.Amount a -> new Kind.Count(-1_000_000, 1_000_000);
          case Value.Length l -> around(l.unit());
          case Value.Quantity q -> around(q.scale());
          case Value.Text t -> new Kind.Words();
        };
    return new Scripts.Wish.Take(
        line,
        new Step.Ask(new Template(text(0)), List.of(new Step.Question(ANSWER, kind, otherwise))),
        List.of(ANSWER));
  }

  private static Kind around(LengthUnit unit) {
    Value.Length most = new Value.Length(BigDecimal.valueOf(10_000), unit);
    return new Kind.Distance(most.negated(), most, new Value.Length(BigDecimal.ONE, unit));
  }

  private static Kind around(Scale scale) {
    return new Kind.Measure(
        Value.Quantity.of("-100000", scale),
        Value.Quantity.of("100000", scale),
        Value.Quantity.of("1", scale));
  }

  private Map<String, Expr> arguments(int from) {
    Map<String, Expr> arguments = new LinkedHashMap<>();
    for (int i = from; i + 1 < given.size(); i += 2) {
      arguments.put(text(i), literal(i + 1));
    }
    return arguments;
  }

  private static Whom whom(String text) {
    for (Whom.Group group : Whom.Group.values()) {
      if (StepParts.written(group).equals(text)) {
        return group;
      }
    }
    return new Whom.Named(new Template(text));
  }

  private static foldtwice.trigger.Trigger.Keys keys(String text) {
    try {
      return Notation.read(text);
    } catch (NotationException e) {
      throw new ValueException(text, "keys, such as Ctrl+S");
    }
  }

  private Expr seconds(int index) {
    return new Expr.Literal(new Value.Quantity(number(index), Scale.SECOND));
  }

  private String shown(int index) {
    return index < given.size() ? given.get(index).shown() : "nothing";
  }

  private String text(int index) {
    if (index < given.size() && given.get(index) instanceof Given.Plain(Value.Text(String text))) {
      return text;
    }
    throw new ValueException(shown(index), "a text");
  }

  private BigDecimal number(int index) {
    if (index < given.size()
        && given.get(index) instanceof Given.Plain(Value.Amount(BigDecimal n))) {
      return n;
    }
    throw new ValueException(shown(index), "a number");
  }

  private boolean flag(int index) {
    return index < given.size()
        && given.get(index) instanceof Given.Plain(Value.Flag(boolean yes))
        && yes;
  }

  private List<String> texts(int from) {
    return IntStream.range(from, given.size()).mapToObj(this::text).toList();
  }

  /** A menu path, label by label or as one text. */
  private List<Template> path() {
    List<String> labels = given.size() == 1 ? List.of(text(0).split(" \u203a ")) : texts(0);
    if (labels.isEmpty()) {
      throw new ValueException("nothing", "a menu path");
    }
    return Template.all(labels);
  }

  private Expr literal(int index) {
    if (index >= given.size()) {
      throw new ValueException("nothing", "a value");
    }
    return new Expr.Literal(
        switch (given.get(index)) {
          case Given.Plain(Value value) -> value;
          case Given.WithUnit(BigDecimal number, String unit) -> amount(number, unit);
          case Given.Other(String shown) ->
              throw new ValueException(shown, "a text, a number, an amount, true or false");
        });
  }

  /**
   * An amount of a unit of length or of a scale.
   *
   * @throws ValueException for an unknown unit
   */
  private static Value amount(BigDecimal n, String unit) {
    Optional<LengthUnit> length = LengthUnit.of(unit);
    if (length.isPresent()) {
      return new Value.Length(n, length.get());
    }
    Scale scale =
        Scale.of(unit)
            .orElseThrow(
                () ->
                    new ValueException(
                        unit, "a unit, one of " + LengthUnit.symbols() + ", " + Scale.symbols()));
    return new Value.Quantity(n, scale);
  }

  /**
   * Answers what needs no program: an amount read, a length in another unit.
   *
   * @return empty when the program is needed
   */
  static Optional<Value> atOnce(Talk.Asked asked) {
    Wishes wishes = new Wishes(asked.line(), asked.given());
    return switch (asked.what()) {
      case "amount" -> Optional.of(read(wishes.text(0)));
      case "convert" -> Optional.of(wishes.converted());
      default -> Optional.empty();
    };
  }

  private static Value read(String text) {
    boolean negative = text.strip().startsWith("-") || text.strip().startsWith("\u2212");
    Expr e = ExprNotation.read(negative ? text.strip().substring(1) : text);
    if (e instanceof Expr.Literal(Value.Length l)) {
      return negative ? l.negated() : l;
    }
    if (e instanceof Expr.Literal(Value.Quantity(var n, Scale scale))) {
      return new Value.Quantity(negative ? n.negate() : n, scale);
    }
    throw new ValueException(text, "a number with a unit, such as 0.5 mm");
  }

  private Value converted() {
    String to = text(2);
    Value amount = amount(number(0), text(1));
    if (amount instanceof Value.Length l) {
      return l.in(
          LengthUnit.of(to)
              .orElseThrow(
                  () ->
                      new ValueException(to, "a unit of length, one of " + LengthUnit.symbols())));
    }
    if (amount instanceof Value.Quantity q && q.scale().symbol().equals(to)) {
      return q;
    }
    throw new ValueException(amount.shown(), "an amount that can be told in " + to);
  }
}
