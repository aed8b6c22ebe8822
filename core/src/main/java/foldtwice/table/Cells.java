package foldtwice.table;

import foldtwice.describe.Span;
import foldtwice.routine.Kind;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Scale;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.text.Refusals;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What stands in the cells of tables. Lists are parted by commas; a piece that would be read
 * otherwise stands between quotation marks. A kind is written as a person says it:
 *
 * <pre>
 *   text        key        colour        yes or no
 *   choice left, right                   number 1 to 9
 *   0 mm to 20 mm by 0.5 mm              0 % to 100 % by 5 %
 * </pre>
 *
 * Law: what is written is read as it was.
 */
final class Cells {

  private static final Pattern SPAN =
      Pattern.compile("(?:from (?<since>\\S+))?\\s*(?:until (?<until>\\S+))?");
  private static final Pattern RANGE =
      Pattern.compile("(?<least>.+?) to (?<most>.+?)(?: by (?<step>.+))?");
  private static final String TEXT = "text";
  private static final String KEY = "key";
  private static final String COLOUR = "colour";
  private static final String YES_NO = "yes or no";
  private static final String CHOICE = "choice ";
  private static final String NUMBER = "number ";
  private static final String DECIMAL = "decimal ";

  private Cells() {}

  // lists

  static String list(List<String> all) {
    return all.stream().map(Cells::piece).collect(Collectors.joining(", "));
  }

  private static String piece(String text) {
    boolean plain =
        !text.isEmpty()
            && text.equals(text.strip())
            && text.chars().noneMatch(c -> c == ',' || c == '"');
    return plain ? text : "\"" + text.replace("\"", "\"\"") + "\"";
  }

  /** The pieces, as RFC 4180 quotes them. */
  static List<String> list(String text) {
    List<String> all = new ArrayList<>();
    StringBuilder piece = new StringBuilder();
    boolean quoted = false;
    boolean wasQuoted = false;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (quoted && c == '"' && i + 1 < text.length() && text.charAt(i + 1) == '"') {
        piece.append('"');
        i++;
      } else if (c == '"' && (quoted || piece.toString().isBlank())) {
        piece.setLength(quoted ? piece.length() : 0);
        quoted = !quoted;
        wasQuoted = true;
      } else if (c == ',' && !quoted) {
        add(piece, wasQuoted, all);
        wasQuoted = false;
      } else if (!(wasQuoted && !quoted && Character.isWhitespace(c))) {
        piece.append(c);
      }
    }
    add(piece, wasQuoted, all);
    return all;
  }

  private static void add(StringBuilder piece, boolean quoted, List<String> all) {
    String text = quoted ? piece.toString() : piece.toString().strip();
    if (quoted || !text.isEmpty()) {
      all.add(text);
    }
    piece.setLength(0);
  }

  // versions

  static String span(Span span) {
    String since = span.since().isEmpty() ? "" : "from " + span.since();
    String until = span.until().isEmpty() ? "" : "until " + span.until();
    return (since + " " + until).strip();
  }

  static Span span(String text) {
    Matcher m = SPAN.matcher(text.strip());
    if (!m.matches()) {
      throw new ValueException(text, Refusals.says("table.versions-such-as-from"));
    }
    return new Span(
        Optional.ofNullable(m.group("since")).orElse(""),
        Optional.ofNullable(m.group("until")).orElse(""));
  }

  // kinds

  static String kind(Kind kind) {
    return switch (kind) {
      case Kind.Distance(var least, var most, var step) ->
          range(least.shown(), most.shown(), step.shown());
      case Kind.Measure m -> measure(m);
      case Kind.Count(long least, long most, long step) ->
          NUMBER + least + " to " + most + (step == 1 ? "" : " by " + step);
      case Kind.Decimal(var least, var most, var step) ->
          DECIMAL + range(least.toPlainString(), most.toPlainString(), step.toPlainString());
      case Kind.Choice(List<String> options) -> CHOICE + list(options);
      case Kind.Words w -> TEXT;
      case Kind.KeyPress k -> KEY;
      case Kind.Colour c -> COLOUR;
      case Kind.YesNo y -> YES_NO;
    };
  }

  static String measure(Kind.Measure m) {
    return range(m.least().shown(), m.most().shown(), m.step().shown());
  }

  private static String range(String least, String most, String step) {
    return least + " to " + most + " by " + step;
  }

  static Kind kind(String text) {
    String plain = text.strip();
    return switch (plain) {
      case TEXT -> new Kind.Words();
      case KEY -> new Kind.KeyPress();
      case COLOUR -> new Kind.Colour();
      case YES_NO -> new Kind.YesNo();
      default -> more(plain);
    };
  }

  private static Kind more(String text) {
    List<String> options =
        text.startsWith(CHOICE) ? list(text.substring(CHOICE.length())) : List.of();
    if (!options.isEmpty()) {
      return new Kind.Choice(options);
    }
    boolean number = text.startsWith(NUMBER);
    boolean decimal = text.startsWith(DECIMAL);
    Matcher m =
        RANGE.matcher(
            number
                ? text.substring(NUMBER.length())
                : decimal ? text.substring(DECIMAL.length()) : text);
    if (!m.matches()) {
      throw new ValueException(text, Refusals.says("table.text-key-colour-yes"));
    }
    if (number) {
      return new Kind.Count(
          whole(m.group("least")),
          whole(m.group("most")),
          m.group("step") == null ? 1 : whole(m.group("step")));
    }
    if (decimal) {
      return new Kind.Decimal(
          number(m.group("least")),
          number(m.group("most")),
          m.group("step") == null ? BigDecimal.ONE : number(m.group("step")));
    }
    return unit(m.group("most")).flatMap(LengthUnit::of).isPresent() ? distance(m) : measure(m);
  }

  private static long whole(String text) {
    if (text.strip().matches("-?\\d{1,9}")) {
      return Long.parseLong(text.strip());
    }
    throw new ValueException(text, Refusals.says("table.whole-number"));
  }

  private static BigDecimal number(String text) {
    return ((Value.Amount) Kind.Decimal.WIDEST.read(text)).amount();
  }

  private static Optional<String> unit(String amount) {
    Matcher m = Kind.AMOUNT.matcher(amount);
    return m.matches() && !m.group(3).isEmpty() ? Optional.of(m.group(3)) : Optional.empty();
  }

  private static Kind.Distance distance(Matcher m) {
    Value.Length most = Kind.length(m.group("most"));
    Value.Length least =
        unit(m.group("least")).isPresent()
            ? Kind.length(m.group("least"))
            : Kind.length(m.group("least") + " " + most.unit().symbol());
    Value.Length step =
        m.group("step") == null
            ? new Value.Length(BigDecimal.ONE, most.unit())
            : Kind.length(m.group("step"));
    return new Kind.Distance(least, most, step);
  }

  /** A range on a scale. */
  static Kind.Measure measure(String text) {
    Matcher m = RANGE.matcher(text.strip());
    if (!m.matches()) {
      throw new ValueException(text, Refusals.says("table.range-such-as-by"));
    }
    return measure(m);
  }

  private static Kind.Measure measure(Matcher m) {
    Scale scale =
        unit(m.group("most"))
            .flatMap(Scale::of)
            .orElseThrow(
                () ->
                    new ValueException(
                        m.group("most"),
                        Refusals.says("table.amount-with-its-unit", Scale.symbols())));
    return new Kind.Measure(
        Kind.quantity(m.group("least"), scale),
        Kind.quantity(m.group("most"), scale),
        m.group("step") == null
            ? new Value.Quantity(BigDecimal.ONE, scale)
            : Kind.quantity(m.group("step"), scale));
  }
}
