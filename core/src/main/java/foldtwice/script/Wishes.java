package foldtwice.script;

import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Readout;
import foldtwice.routine.Scale;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.routine.Whom;
import foldtwice.run.Scripts;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
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

  private Scripts.Wish wish(String what) {
    return switch (what) {
      case "choose" -> take(new Step.Choose(path()));
      case "ticked" -> test(new Condition.Ticked(path()));
      case "fill" -> take(new Step.Fill(text(0), literal(1)));
      case "press" -> take(new Step.PressButton(text(0)));
      case "field" -> read(new Readout.Field(text(0)));
      case "dialog" -> test(new Condition.DialogOpen(text(0)));
      case "setting" -> read(new Readout.Setting(text(0)));
      case "change" -> take(new Step.ChangeSetting(text(0), literal(1), Step.Lasting.THIS_RUN));
      case "keep" -> take(new Step.ChangeSetting(text(0), literal(1), Step.Lasting.FOR_GOOD));
      case "value" -> read(new Readout.Adjustable(text(0)));
      case "to" -> take(adjust(Step.Way.TO));
      case "by" -> take(adjust(Step.Way.BY));
      case "shown" -> read(new Readout.Indicator(text(0)));
      case "select" -> take(new Step.Select(whom(text(0)), flag(1)));
      case "move" -> take(new Step.SelectOffset(literal(0), literal(1), Step.Edge.REPORT));
      case "some" -> test(new Condition.SomethingSelected());
      case "count" -> read(Readout.Of.SELECTED_COUNT);
      case "text" -> read(Readout.Of.SELECTED_TEXT);
      case "type" -> take(new Step.TypeText(new Template(text(0))));
      case "keys" -> take(new Step.PressKeys(keys(text(0))));
      case "finish" -> take(new Step.Leave(Step.Leaving.FINISH));
      case "giveUp" -> take(new Step.Leave(Step.Leaving.GIVE_UP));
      case "again" -> take(new Step.Again());
      case "version" -> test(new Condition.VersionAtLeast(text(0)));
      case "clipboard" -> read(Readout.Of.CLIPBOARD);
      case "start" -> take(new Step.StartProgram(text(0), Template.all(texts(1))));
      case "front" -> take(new Step.BringToFront(text(0)));
      case "await" -> take(new Step.WaitUntil(new Condition.InFront(text(0)), seconds(1)));
      case "ask" -> ask();
      case "pause" -> take(new Step.Pause(new Template(text(0)), List.of()));
      case "run" -> take(new Step.RunRoutine(text(0), arguments()));
      case "log" -> take(new Step.Note(new Template(text(0))));
      case "stop" -> take(new Step.Stop(new Template(text(0))));
      default -> throw new ValueException(what, "a call of the interface");
    };
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

  private Step adjust(Step.Way way) {
    return new Step.Adjust(text(0), way, literal(1), Step.Edge.CLAMP);
  }

  private Map<String, Expr> arguments() {
    Map<String, Expr> arguments = new LinkedHashMap<>();
    for (int i = 1; i + 1 < given.size(); i += 2) {
      arguments.put(text(i), literal(i + 1));
    }
    return arguments;
  }

  private static Whom whom(String text) {
    for (Whom.Group group : Whom.Group.values()) {
      if (group.name().toLowerCase(Locale.ROOT).replace('_', ' ').equals(text)) {
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
