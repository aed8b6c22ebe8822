package foldtwice.source;

import foldtwice.outline.ConditionText;
import foldtwice.outline.Mentioned;
import foldtwice.outline.ParameterText;
import foldtwice.outline.QuestionText;
import foldtwice.outline.StepParts;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Readout;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What the values, texts and conditions of a macro are in a script. */
final class ToPhrase {

  static final String TURN = "turn";
  static final Set<String> BUILT_IN = Set.of("today", "stamp");
  static final Expr NOTHING = new Expr.Literal(new Value.Text(""));

  private static final Set<String> GROUPS =
      Stream.of(Whom.Group.values()).map(StepParts::written).collect(Collectors.toSet());

  private final Identifiers identifiers;
  private final Set<String> given;
  private final BooleanSupplier inLoop;
  private final Consumer<String> lost;

  /**
   * Asks for what changes while the steps are gone through.
   *
   * @param given the names that have values
   * @param inLoop whether a turn is known
   * @param lost hears what a script has no place for
   */
  ToPhrase(
      Identifiers identifiers, Set<String> given, BooleanSupplier inLoop, Consumer<String> lost) {
    this.identifiers = identifiers;
    this.given = given;
    this.inLoop = inLoop;
    this.lost = lost;
  }

  /** What a loop goes through. */
  String items(Step.Items items) {
    return switch (items) {
      case Step.Items.Given(List<Expr> values) ->
          values.stream().map(this::expr).collect(Collectors.joining(", ", "[", "]"));
      case Step.Items.LinesOf(Expr text) -> "lines(" + expr(text) + ")";
      case Step.Items.LinesOfFile(Template file) -> "computer.lines(" + text(file) + ")";
      case Step.Items.Selected() -> throw new IllegalStateException("has a call of its own");
    };
  }

  /** True when it comes back as it was from what stands in its fields. */
  private static boolean isReadAgain(QuestionText written, Step.Question q) {
    try {
      return written.read().equals(q);
    } catch (ParameterText.FieldException e) {
      return false;
    }
  }

  /** How a question is asked. */
  String question(Step.Question q) {
    QuestionText written = QuestionText.of(q);
    if (!isReadAgain(written, q)) {
      lost.accept(
          "the question for \u2039" + q.variable() + "\u203a, whose fields do not fit one another");
    }
    List<String> fields = new ArrayList<>();
    fields.add("kind: " + quoted(StepParts.written(written.parameter().sort())));
    fields.add("default: " + expr(q.otherwise()));
    if (written.parameter().sort().hasRange()) {
      fields.add("least: " + quoted(written.parameter().least()));
      fields.add("most: " + quoted(written.parameter().most()));
      fields.add("step: " + quoted(written.parameter().step()));
    }
    if (!written.parameter().options().isEmpty()) {
      fields.add("options: [" + quotedEach(written.parameter().options()) + "]");
    }
    if (!q.offered().isEmpty()) {
      fields.add("offered: [" + quotedEach(written.offered()) + "]");
    }
    if (q.kept()) {
      fields.add("kept: true");
    }
    return "{" + String.join(", ", fields) + "}";
  }

  private static String quotedEach(String parted) {
    return List.of(parted.split(", ")).stream()
        .map(ToPhrase::quoted)
        .collect(Collectors.joining(", "));
  }

  /** Values by their names. */
  String fields(Map<String, Expr> values) {
    return values.entrySet().stream()
        .map(e -> field(e.getKey(), expr(e.getValue())))
        .collect(Collectors.joining(", ", "{", "}"));
  }

  /** A value by its name; the name alone where that says both. */
  static String field(String name, String value) {
    return name.equals(value) ? name : key(name) + ": " + value;
  }

  /** A name as a field of an object. */
  static String key(String name) {
    return Identifiers.isOne(name) ? name : quoted(name);
  }

  /** What is selected. */
  String whom(Whom whom) {
    return switch (whom) {
      case Whom.Group group -> quoted(StepParts.written(group));
      case Whom.Named(Template name) -> {
        if (GROUPS.contains(name.source())) {
          lost.accept(
              "an object that is called " + name.source() + ", which a script takes for a group");
        }
        yield text(name);
      }
    };
  }

  /** What is read. */
  String readout(Readout what) {
    return switch (what) {
      case Readout.Setting(String name) -> "program.setting(" + quoted(name) + ")";
      case Readout.Adjustable(String name) -> "program.value(" + quoted(name) + ")";
      case Readout.Indicator(String name) -> "program.shown(" + quoted(name) + ")";
      case Readout.Field(String label) -> "program.field(" + quoted(label) + ")";
      case Readout.Of.SELECTED_COUNT -> "program.selectedCount()";
      case Readout.Of.SELECTED_TEXT -> "program.selectedText()";
      case Readout.Of.CLIPBOARD -> "computer.clipboard()";
    };
  }

  /** What has to hold. */
  String condition(Condition condition) {
    return switch (condition) {
      case Condition.SomethingSelected() -> "program.somethingSelected()";
      case Condition.Ticked(List<Template> path) ->
          "program.ticked(" + String.join(", ", texts(path)) + ")";
      case Condition.VersionAtLeast(String version) ->
          "program.versionAtLeast(" + quoted(version) + ")";
      case Condition.DialogOpen(String title) -> "program.dialogOpen(" + quoted(title) + ")";
      case Condition.InFront(String application) -> "computer.inFront(" + quoted(application) + ")";
      case Condition.Not(Condition of) -> "!" + tight(of);
      case Condition.All(List<Condition> of) -> joined(of, " && ");
      case Condition.Any(List<Condition> of) -> joined(of, " || ");
      case Condition.Compare c -> holds(c);
      case Condition.Reads r -> holds(r);
    };
  }

  private String joined(List<Condition> of, String sign) {
    return of.stream().map(this::tight).collect(Collectors.joining(sign));
  }

  private String tight(Condition c) {
    return c instanceof Condition.All || c instanceof Condition.Any
        ? "(" + condition(c) + ")"
        : condition(c);
  }

  private String holds(Condition c) {
    return "holds("
        + quoted(ConditionText.write(c))
        + names(Mentioned.names(new Step.WaitUntil(c, NOTHING)))
        + ")";
  }

  /** What a text with insertions is computed with, as the last thing given. */
  private String names(Collection<String> names) {
    return known(names).isEmpty() ? "" : ", " + shorthand(names);
  }

  /** Those of the names that are given, not built in. */
  static List<String> known(Collection<String> names) {
    return names.stream().filter(n -> !BUILT_IN.contains(n)).toList();
  }

  /** What names stand for, by the names. */
  String shorthand(Collection<String> names) {
    return known(names).stream()
        .map(n -> field(n, identifier(n)))
        .collect(Collectors.joining(", ", "{", "}"));
  }

  /** Texts with what is put into them. */
  List<String> texts(List<Template> texts) {
    return texts.stream().map(this::text).toList();
  }

  /** A text with what is put into it. */
  String text(Template text) {
    if (text.names().isEmpty()) {
      return quoted(text.source());
    }
    String only = "\u2039" + text.names().getFirst() + "\u203a";
    return text.source().equals(only) && !BUILT_IN.contains(text.names().getFirst())
        ? identifier(text.names().getFirst())
        : computed(new Expr.Written(text));
  }

  private String identifier(String name) {
    if (name.equals(TURN)) {
      if (!inLoop.getAsBoolean()) {
        lost.accept("the turn of a loop, after it");
      }
      return TURN;
    }
    if (!given.contains(name)) {
      lost.accept("a value for \u2039" + name + "\u203a, which nobody gives");
    }
    return identifiers.of(name);
  }

  /** What is computed. */
  String expr(Expr e) {
    return switch (e) {
      case Expr.Literal(Value.Text(String text)) -> quoted(text);
      case Expr.Literal(Value.Flag(boolean yes)) -> Boolean.toString(yes);
      case Expr.Literal(Value.Amount(BigDecimal n)) when isExact(n) -> n.toPlainString();
      case Expr.Literal(Value value) when isExact(number(value)) ->
          "amount(" + quoted(value.shown()) + ")";
      case Expr.Name(String name) when !BUILT_IN.contains(name) -> identifier(name);
      case Expr.Opposite(Expr.Literal(Value.Amount(BigDecimal n)))
          when n.signum() > 0 && isExact(n) ->
          "-" + n.toPlainString();
      default -> computed(e);
    };
  }

  private static BigDecimal number(Value value) {
    return switch (value) {
      case Value.Amount(BigDecimal n) -> n;
      case Value.Length(BigDecimal n, var unit) -> n;
      case Value.Quantity(BigDecimal n, var scale) -> n;
      case Value.Text t -> BigDecimal.ZERO;
      case Value.Flag f -> BigDecimal.ZERO;
    };
  }

  /** True when a script's numbers can be this one. */
  private static boolean isExact(BigDecimal n) {
    return new BigDecimal(Double.toString(n.doubleValue())).compareTo(n) == 0;
  }

  private String computed(Expr e) {
    return "computed("
        + quoted(ExprNotation.write(e))
        + names(Mentioned.names(new Step.SetVariable("", e)))
        + ")";
  }

  /** A text as a script writes it. */
  static String quoted(String text) {
    StringBuilder out = new StringBuilder("'");
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      switch (c) {
        case '\'' -> out.append("\\'");
        case '\\' -> out.append("\\\\");
        case '\n' -> out.append("\\n");
        case '\r' -> out.append("\\r");
        case '\t' -> out.append("\\t");
        default -> {
          if (Character.isISOControl(c)
              || Character.isSurrogate(c)
              || c == '\u2028'
              || c == '\u2029') {
            out.append(String.format("\\u%04x", (int) c));
          } else {
            out.append(c);
          }
        }
      }
    }
    return out.append('\'').toString();
  }
}
