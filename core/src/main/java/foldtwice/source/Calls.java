package foldtwice.source;

import foldtwice.outline.ConditionText;
import foldtwice.outline.ParameterText;
import foldtwice.outline.ParameterText.FieldException;
import foldtwice.outline.ParameterText.Sort;
import foldtwice.outline.QuestionText;
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
import foldtwice.text.Refusals;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Trigger;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** What calls of the interface mean, at run time and in a source text alike. */
public final class Calls {

  /** The name under which {@code askFor} is answered. */
  public static final String ANSWER = "script answer";

  /** What is given for one question of {@code ask}: its name, and what stands in its fields. */
  public static final List<String> QUESTION =
      List.of("kind", "default", "least", "most", "step", "options", "offered", "kept");

  private static final String UNDER = " \u203a ";
  private static final Expr NO_DEFAULT = new Expr.Literal(new Value.Text(""));

  /** The kinds of steps, and what a call of theirs settles, by the call. */
  private static final Map<String, Called> CALLS = new HashMap<>();

  private record Called(StepKind<?> kind, StepKind.Call call) {}

  static {
    for (StepKind<?> kind : StepKinds.ALL) {
      kind.calls().forEach(c -> CALLS.put(c.name(), new Called(kind, c)));
    }
  }

  private final List<Given> given;
  private final Map<String, Value> names = new LinkedHashMap<>();

  private Calls(List<Given> given) {
    this.given = given;
  }

  /**
   * What a call wants.
   *
   * @param host the word for it, as {@link Interface.Member#host}
   * @throws ValueException when what is given fits nothing
   */
  public static Wanted of(String host, List<Given> given) {
    return new Calls(given).wanted(host);
  }

  private Wanted wanted(String host) {
    return switch (host) {
      case "ticked" -> test(new Condition.Ticked(path()));
      case "field" -> new Wanted.Read(new Readout.Field(text(0)));
      case "dialog" -> test(new Condition.DialogOpen(text(0)));
      case "setting" -> new Wanted.Read(new Readout.Setting(text(0)));
      case "value" -> new Wanted.Read(new Readout.Adjustable(text(0)));
      case "shown" -> new Wanted.Read(new Readout.Indicator(text(0)));
      case "some" -> test(new Condition.SomethingSelected());
      case "count" -> new Wanted.Read(Readout.Of.SELECTED_COUNT);
      case "text" -> new Wanted.Read(Readout.Of.SELECTED_TEXT);
      case "version" -> test(new Condition.VersionAtLeast(text(0)));
      case "clipboard" -> new Wanted.Read(Readout.Of.CLIPBOARD);
      case "inFront" -> test(new Condition.InFront(text(0)));
      case "await" -> step(new Step.WaitUntil(new Condition.InFront(text(0)), seconds(1)));
      case "holds" -> test(ConditionText.read(text(0)));
      case "until" -> step(new Step.WaitUntil(ConditionText.read(text(0)), seconds(1)));
      case "computed" -> new Wanted.Compute(ExprNotation.read(text(0)));
      case "selected" -> new Wanted.Through(new Step.Items.Selected());
      case "file" -> new Wanted.Through(new Step.Items.LinesOfFile(template(0)));
      case "use" -> new Wanted.Use(text(0));
      case "ask" -> new Wanted.Answer(ask());
      case "asks" -> step(new Step.Ask(template(0), questions()));
      case "pause" -> step(new Step.Pause(template(0), questions()));
      case "selectNamed" ->
          step(new Step.Select(new Whom.Named(template(0)), flag(1), Step.Edge.REPORT));
      default -> {
        Called called = CALLS.get(host);
        if (called == null) {
          throw new ValueException(host, Refusals.says("source.call-interface"));
        }
        yield step(step(called.kind(), called.call()));
      }
    };
  }

  private Wanted.Take step(Step step) {
    return new Wanted.Take(step, names);
  }

  private static Wanted.Test test(Condition condition) {
    return new Wanted.Test(condition);
  }

  /** A step of a kind: what the call does not settle is given in order. */
  private Step step(StepKind<?> kind, StepKind.Call call) {
    List<Object> values = new ArrayList<>();
    int at = 0;
    for (StepKind.Part<?, ?> part : kind.parts()) {
      Object fixed = call.fixed().get(part.name());
      Object usual = call.usual().get(part.name());
      if (fixed != null) {
        values.add(fixed);
      } else {
        values.add(usual != null && at >= given.size() ? usual : given(part.form(), at));
        at++;
      }
    }
    return kind.step(values);
  }

  /** What is given for a part; the last part may take all that is left. */
  private Object given(Form<?> form, int at) {
    return switch (form) {
      case Form.Value v -> literal(at);
      case Form.Values v -> IntStream.range(at, given.size()).mapToObj(this::literal).toList();
      case Form.Text t -> t.mayBeEmpty() && at >= given.size() ? Template.EMPTY : template(at);
      case Form.Texts t -> templates(at);
      case Form.Menu m -> path();
      case Form.Name n -> text(at);
      case Form.Variable v -> text(at);
      case Form.Word<?> w -> at < given.size() ? StepParts.word(w.type(), text(at)) : w.otherwise();
      case Form.Flag f -> flag(at);
      case Form.Keys k -> keys(text(at));
      case Form.Selected s -> whom(at);
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

  private Step.Ask ask() {
    Expr otherwise = given.size() > 1 ? literal(1) : NO_DEFAULT;
    Kind kind =
        otherwise
            .constant()
            .map(
                value ->
                    switch (value) {
                      case Value.Flag f -> new Kind.YesNo();
                      case Value.Amount a -> new Kind.Count(-1_000_000, 1_000_000);
                      case Value.Length l -> around(l.unit());
                      case Value.Quantity q -> around(q.scale());
                      case Value.Text t -> new Kind.Words();
                    })
            .orElseThrow(() -> new ValueException(shown(1), Refusals.says("source.value")));
    return new Step.Ask(template(0), List.of(new Step.Question(ANSWER, kind, otherwise)));
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

  /** The questions behind the text: the name of each, and its fields. */
  private List<Step.Question> questions() {
    List<Step.Question> questions = new ArrayList<>();
    for (int at = 1; at < given.size(); at += QUESTION.size() + 1) {
      Step.Question next = question(at);
      if (questions.stream().anyMatch(q -> q.variable().equals(next.variable()))) {
        throw new ValueException(
            next.variable(), Refusals.says("source.questions-different-names"));
      }
      questions.add(next);
    }
    return questions;
  }

  private Step.Question question(int at) {
    String otherwise = written(at + 2);
    Sort sort = text(at + 1).isEmpty() ? sort(at + 2) : StepParts.word(Sort.class, text(at + 1));
    ParameterText parameter =
        new ParameterText(
            text(at),
            sort,
            otherwise,
            written(at + 3),
            written(at + 4),
            written(at + 5),
            text(at + 6));
    try {
      return new QuestionText(parameter, text(at + 7), flag(at + 8)).read();
    } catch (FieldException e) {
      throw new ValueException(
          text(at), Refusals.says("source.question-fits", e.field(), e.getMessage()));
    }
  }

  /** What a default is of, where nothing is said. */
  private Sort sort(int at) {
    return switch (literal(at).constant().orElse(new Value.Text(""))) {
      case Value.Flag f -> Sort.YES_NO;
      case Value.Amount(BigDecimal n) -> n.scale() > 0 ? Sort.DECIMAL : Sort.COUNT;
      case Value.Length l -> Sort.DISTANCE;
      case Value.Quantity q -> Sort.MEASURE;
      case Value.Text t -> Sort.TEXT;
    };
  }

  /** A value as a person writes it into a field. */
  private String written(int at) {
    return switch (literal(at)) {
      case Expr.Literal(Value value) -> value.shown();
      case Expr.Written(Template text) -> text.source();
      case Expr e -> ExprNotation.write(e);
    };
  }

  private Map<String, Expr> arguments(int from) {
    Map<String, Expr> arguments = new LinkedHashMap<>();
    for (int i = from; i + 1 < given.size(); i += 2) {
      arguments.put(text(i), literal(i + 1));
    }
    return arguments;
  }

  private Whom whom(int at) {
    if (given(at) instanceof Given.Plain(Value.Text(String text))) {
      for (Whom.Group group : Whom.Group.values()) {
        if (StepParts.written(group).equals(text)) {
          return group;
        }
      }
    }
    return new Whom.Named(template(at));
  }

  private static Trigger.Keys keys(String text) {
    try {
      return Notation.read(text);
    } catch (NotationException e) {
      throw new ValueException(text, Refusals.says("source.keys-such-as-ctrl"));
    }
  }

  private Expr seconds(int index) {
    return switch (literal(index)) {
      case Expr.Literal(Value.Amount(BigDecimal n)) ->
          new Expr.Literal(new Value.Quantity(n, Scale.SECOND));
      case Expr e -> e;
    };
  }

  private Given given(int index) {
    return index < given.size() ? given.get(index) : new Given.Other("nothing");
  }

  private String shown(int index) {
    return given(index).shown();
  }

  private String text(int index) {
    if (given(index) instanceof Given.Plain(Value.Text(String text))) {
      return text;
    }
    throw new ValueException(shown(index), Refusals.says("source.text"));
  }

  /** A text that is typed, chosen or told: what looks like an insertion in it is none. */
  private Template template(int index) {
    return template(given(index));
  }

  private Template template(Given one) {
    return switch (one) {
      case Given.Plain(Value.Text(String text)) when new Template(text).names().isEmpty() ->
          new Template(text);
      case Given.Plain(Value.Text text) -> {
        String name = "given " + (names.size() + 1);
        names.put(name, text);
        yield inserted(name);
      }
      case Given.Plain(Value value) -> new Template(value.shown());
      case Given.WithUnit(BigDecimal number, String unit) ->
          new Template(amount(number, unit).shown());
      case Given.Written(Template text) -> text;
      case Given.Computed(Expr.Name(String name)) -> inserted(name);
      case Given.Computed(Expr.Written(Template text)) -> text;
      case Given other -> throw new ValueException(other.shown(), Refusals.says("source.text"));
    };
  }

  private static Template inserted(String name) {
    return new Template("\u2039" + name + "\u203a");
  }

  private List<Template> templates(int from) {
    return IntStream.range(from, given.size()).mapToObj(this::template).toList();
  }

  private boolean flag(int index) {
    return index < given.size()
        && given.get(index) instanceof Given.Plain(Value.Flag(boolean yes))
        && yes;
  }

  /** A menu path, label by label or as one text. */
  private List<Template> path() {
    if (given.size() == 1
        && given.getFirst() instanceof Given.Plain(Value.Text(String text))
        && text.contains(UNDER)) {
      return List.of(text.split(UNDER)).stream()
          .map(label -> template(new Given.Plain(new Value.Text(label))))
          .toList();
    }
    List<Template> labels = templates(0);
    if (labels.isEmpty()) {
      throw new ValueException(Refusals.says("source.nothing"), Refusals.says("source.menu-path"));
    }
    return labels;
  }

  private Expr literal(int index) {
    return switch (given(index)) {
      case Given.Plain(Value value) -> new Expr.Literal(value);
      case Given.WithUnit(BigDecimal number, String unit) -> new Expr.Literal(amount(number, unit));
      case Given.Computed(Expr value) -> value;
      case Given.Written(Template text) -> new Expr.Written(text);
      case Given.Other(String shown) ->
          throw new ValueException(shown, Refusals.says("source.text-number-amount-true"));
    };
  }

  /**
   * The value of something given.
   *
   * @throws ValueException when it is none
   */
  public static Value value(Given one) {
    return new Calls(List.of(one))
        .literal(0)
        .constant()
        .orElseThrow(() -> new ValueException(one.shown(), Refusals.says("source.value")));
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
                        unit, Refusals.says("source.unit", LengthUnit.symbols(), Scale.symbols())));
    return new Value.Quantity(n, scale);
  }

  /**
   * Answers what needs no program: an amount read, a length in another unit.
   *
   * @return empty when the program is needed
   * @throws ValueException when what is given does not fit
   */
  public static Optional<Value> atOnce(String host, List<Given> given) {
    Calls calls = new Calls(given);
    return switch (host) {
      case "amount" -> Optional.of(amount(calls.text(0)));
      case "convert" -> Optional.of(calls.converted());
      default -> Optional.empty();
    };
  }

  /**
   * An amount as it is written: {@code 0.5 mm}.
   *
   * @throws ValueException when it is none
   */
  static Value amount(String text) {
    boolean negative = text.strip().startsWith("-") || text.strip().startsWith("\u2212");
    Expr e = ExprNotation.read(negative ? text.strip().substring(1) : text);
    if (e instanceof Expr.Literal(Value.Length l)) {
      return negative ? l.negated() : l;
    }
    if (e instanceof Expr.Literal(Value.Quantity q)) {
      return negative ? q.negated() : q;
    }
    throw new ValueException(text, Refusals.says("source.number-with-unit-such"));
  }

  private Value converted() {
    String to = text(2);
    Value amount = value(new Given.WithUnit(number(0), text(1)));
    if (amount instanceof Value.Length l) {
      return l.in(
          LengthUnit.of(to)
              .orElseThrow(
                  () ->
                      new ValueException(
                          to, Refusals.says("source.unit-length-one", LengthUnit.symbols()))));
    }
    if (amount instanceof Value.Quantity q && q.scale().symbol().equals(to)) {
      return q;
    }
    throw new ValueException(amount.shown(), Refusals.says("source.amount-can-told", to));
  }

  private BigDecimal number(int index) {
    if (given(index) instanceof Given.Plain(Value.Amount(BigDecimal n))) {
      return n;
    }
    throw new ValueException(shown(index), Refusals.says("source.number"));
  }
}
