package foldtwice.routine;

import foldtwice.routine.Expr.Joined;
import foldtwice.routine.Expr.Literal;
import foldtwice.routine.Expr.Name;
import foldtwice.routine.Expr.Operator;
import foldtwice.routine.Expr.Opposite;
import foldtwice.routine.Expr.UnitOf;
import foldtwice.routine.Expr.Written;
import foldtwice.text.Refusals;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads and writes expressions.
 *
 * <pre>
 * sum     := product (('+' | '-') product)*
 * product := unary ('*' unary)*
 * unary   := '-' unary | 'unit of' unary | '(' sum ')' | '‹' name '›' | number [unit] | 'text' | yes | no
 * </pre>
 *
 * <p>Law: {@code read(write(e)).equals(e)} for every expression whose numbers are not negative (a
 * negative number is read back as the opposite of a positive one) and whose plain texts hold no
 * insertion. Depth is limited to {@value #DEEPEST}, terms to {@value #MOST_TERMS}.
 */
public final class ExprNotation {

  /** More terms than this are refused: they are nested, too. */
  public static final int MOST_TERMS = 500;

  /** Nesting beyond this is refused. */
  public static final int DEEPEST = 50;

  /** A number and its unit; what may follow an expression is no unit. */
  private static final Pattern NUMBER =
      Pattern.compile(
          "(\\d{1,12}(?:\\.\\d{1,12})?)(?:\\s*+(?!"
              + "(?:is|and|or|rows?|columns?|times|at|as|to|with|by|from)\\b"
              + ")([a-zA-Z]+|\u00b0|%))?");

  private final String text;
  private int at;
  private int depth;
  private int terms;

  private ExprNotation(String text) {
    this.text = text;
  }

  /**
   * Reads an expression.
   *
   * @throws ValueException saying where it cannot be read and what is allowed
   */
  public static Expr read(String text) {
    ExprNotation in = new ExprNotation(text);
    Expr e = in.sum();
    if (in.peek() != 0) {
      throw in.fault(Refusals.says("routine.end-or-or-and"));
    }
    return e;
  }

  /** An expression and the place behind it. */
  public record Begun(Expr expr, int end) {}

  /**
   * Reads the expression that begins at a place and goes as far as it makes one.
   *
   * @throws ValueException as {@link #read}
   */
  public static Begun begun(String text, int from) {
    ExprNotation in = new ExprNotation(text);
    in.at = from;
    Expr e = in.sum();
    return new Begun(e, in.at);
  }

  public static String write(Expr e) {
    return switch (e) {
      case Literal(Value.Text(String text)) -> quoted(text);
      case Written(Template text) -> quoted(text.source());
      case Literal(Value value) -> value.shown();
      case Name(String name) -> "\u2039" + name + "\u203a";
      case Opposite(Expr of) -> "-" + tight(of);
      case UnitOf(Expr length) -> "unit of " + tight(length);
      case Joined(Expr left, Operator op, Expr right) ->
          (op == Operator.TIMES ? tight(left) : write(left)) + " " + op.sign() + " " + tight(right);
    };
  }

  private static String quoted(String text) {
    return "'" + text.replace("'", "''") + "'";
  }

  private static String tight(Expr e) {
    return e instanceof Joined ? "(" + write(e) + ")" : write(e);
  }

  /** More terms than anybody writes. */
  private void term() {
    if (++terms > MOST_TERMS) {
      throw fault(Refusals.says("routine.expression-at-most-terms", MOST_TERMS));
    }
  }

  private Expr sum() {
    if (++depth > DEEPEST) {
      throw fault(Refusals.says("routine.expression-nested-at-most", DEEPEST));
    }
    Expr left = product();
    for (char sign = peek(); sign == '+' || sign == '-'; sign = peek()) {
      at++;
      term();
      left = new Joined(left, sign == '+' ? Operator.PLUS : Operator.MINUS, product());
    }
    depth--;
    return left;
  }

  private Expr product() {
    Expr left = unary();
    while (peek() == '*') {
      at++;
      term();
      left = new Joined(left, Operator.TIMES, unary());
    }
    return left;
  }

  private Expr unary() {
    if (++depth > DEEPEST) {
      throw fault(Refusals.says("routine.expression-nested-at-most", DEEPEST));
    }
    Expr e =
        switch (peek()) {
          case '-', '\u2212' -> {
            at++;
            yield new Opposite(unary());
          }
          case '(' -> {
            at++;
            Expr inner = sum();
            expect(')');
            yield inner;
          }
          case '\u2039' -> new Name(between('\u203a'));
          case '\'' -> text(quoted());
          default -> word();
        };
    depth--;
    return e;
  }

  private static Expr text(String quoted) {
    Template template = new Template(quoted);
    return template.names().isEmpty() ? new Literal(new Value.Text(quoted)) : new Written(template);
  }

  private Expr word() {
    if (text.startsWith("unit of", at)) {
      at += "unit of".length();
      return new UnitOf(unary());
    }
    for (String flag : new String[] {"yes", "no"}) {
      if (text.startsWith(flag, at)) {
        at += flag.length();
        return new Literal(new Value.Flag(flag.equals("yes")));
      }
    }
    Matcher m = NUMBER.matcher(text).region(at, text.length());
    if (!m.lookingAt()) {
      throw fault(Refusals.says("routine.number-name-text-yes"));
    }
    at = m.end();
    BigDecimal amount = new BigDecimal(m.group(1));
    if (m.group(2) == null) {
      return new Literal(new Value.Amount(amount));
    }
    Optional<Scale> scale = Scale.of(m.group(2));
    return new Literal(
        scale.isPresent() ? new Value.Quantity(amount, scale.get()) : Kind.length(m.group()));
  }

  private String quoted() {
    StringBuilder out = new StringBuilder();
    for (at++; at < text.length(); at++) {
      if (text.charAt(at) != '\'') {
        out.append(text.charAt(at));
      } else if (at + 1 < text.length() && text.charAt(at + 1) == '\'') {
        out.append('\'');
        at++;
      } else {
        at++;
        return out.toString();
      }
    }
    throw fault(Refusals.says("routine.ends-text"));
  }

  private String between(char end) {
    int stop = text.indexOf(end, at);
    if (stop < 0 || stop == at + 1) {
      throw fault(Refusals.says("routine.name-and-then", end));
    }
    String name = text.substring(at + 1, stop);
    at = stop + 1;
    return name;
  }

  private void expect(char c) {
    if (peek() != c) {
      throw fault(Character.toString(c));
    }
    at++;
  }

  private char peek() {
    while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
      at++;
    }
    return at < text.length() ? text.charAt(at) : 0;
  }

  private ValueException fault(String allowed) {
    return new ValueException(
        text, Refusals.says("routine.at-character-was-expected", at + 1, allowed));
  }
}
