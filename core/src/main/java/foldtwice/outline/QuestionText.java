package foldtwice.outline;

import foldtwice.extras.Extras;
import foldtwice.outline.ParameterText.FieldException;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A question of a step as a person writes it, field by field: a parameter whose default may be
 * computed, with answers to choose from.
 *
 * @param parameter the name, the kind and the default; an insertion in the default makes it an
 *     expression
 * @param offered answers, parted by commas
 */
public record QuestionText(ParameterText parameter, String offered, boolean kept) {

  /** A question as it would be written. */
  public static QuestionText of(Step.Question q) {
    Value sample =
        q.otherwise().constant().filter(v -> fits(q.kind(), v)).orElseGet(() -> q.kind().usual());
    ParameterText plain =
        ParameterText.of(new Parameter(q.variable(), q.kind(), sample, Extras.NONE));
    return new QuestionText(
        plain.withDefault(written(q)),
        q.offered().stream().map(Value::shown).collect(Collectors.joining(", ")),
        q.kept());
  }

  /** What stands in the field of the default. */
  private static String written(Step.Question q) {
    return switch (q.otherwise()) {
      case Expr.Written(Template text) -> text.source();
      case Expr.Literal(Value.Text(String text)) -> text;
      case Expr e -> ExprNotation.write(e);
    };
  }

  private static boolean fits(Kind kind, Value value) {
    try {
      kind.check(value);
      return true;
    } catch (ValueException e) {
      return false;
    }
  }

  /**
   * The question that is written here.
   *
   * @throws FieldException naming the first field that does not fit, and what it should hold
   */
  public Step.Question read() throws FieldException {
    boolean computed = !new Template(parameter.otherwise()).names().isEmpty();
    Parameter plain = computed ? parameter.readWithAnyDefault() : parameter.read();
    Kind kind = plain.kind();
    return new Step.Question(
        plain.name(),
        kind,
        computed ? computed(kind) : new Expr.Literal(plain.otherwise()),
        offered(kind),
        kept);
  }

  private Expr computed(Kind kind) throws FieldException {
    boolean text =
        kind instanceof Kind.Words || kind instanceof Kind.Choice || kind instanceof Kind.Colour;
    String typed = parameter.otherwise().strip();
    boolean alone = typed.equals("\u2039" + new Template(typed).names().getFirst() + "\u203a");
    if (text && !alone) {
      return new Expr.Written(new Template(typed));
    }
    try {
      return ExprNotation.read(typed);
    } catch (ValueException e) {
      throw new FieldException("default", e);
    }
  }

  private List<Value> offered(Kind kind) throws FieldException {
    List<Value> all = new ArrayList<>();
    for (String one : Arrays.stream(offered.split(",")).map(String::strip).toList()) {
      if (!one.isEmpty()) {
        try {
          all.add(kind.read(one));
        } catch (ValueException e) {
          throw new FieldException("offered", e);
        }
      }
    }
    return all;
  }
}
