package foldtwice.routine;

import foldtwice.routine.Value.Length;
import foldtwice.routine.Value.Quantity;
import foldtwice.text.Refusals;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import java.math.BigDecimal;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a parameter takes. */
public sealed interface Kind {

  /** A length between two others, both included; {@code step} is what one press up or down adds. */
  record Distance(Length least, Length most, Length step) implements Kind {}

  /**
   * A whole number between two others, both included; {@code step} is what one press up or down
   * adds.
   */
  record Count(long least, long most, long step) implements Kind {
    public Count(long least, long most) {
      this(least, most, 1);
    }
  }

  /** A number without a unit between two others, both included. */
  record Decimal(BigDecimal least, BigDecimal most, BigDecimal step) implements Kind {

    /** As far as numbers are read. */
    public static final Decimal WIDEST =
        new Decimal(
            new BigDecimal("-999999999999.999999999999"),
            new BigDecimal("999999999999.999999999999"),
            BigDecimal.ONE);

    public Decimal {
      least = least.stripTrailingZeros();
      most = most.stripTrailingZeros();
      step = step.stripTrailingZeros();
    }
  }

  /** An amount on a scale, between two others, both included. */
  record Measure(Quantity least, Quantity most, Quantity step) implements Kind {}

  /** A key press, in the notation for people: {@code Ctrl+M}. */
  record KeyPress() implements Kind {}

  /** A colour as six hexadecimal digits: {@code #1e6b5e}. */
  record Colour() implements Kind {}

  /** Any text. */
  record Words() implements Kind {}

  /** One of a list. */
  record Choice(List<String> options) implements Kind {
    public Choice {
      options = List.copyOf(options);
    }
  }

  /** Yes or no. */
  record YesNo() implements Kind {}

  /** A longer text is no number. */
  int LONGEST_NUMBER = 100;

  /** A number and what follows it. The hyphen, the minus sign and a plus sign are all read. */
  Pattern AMOUNT =
      Pattern.compile(
          "\\s*([-+\u2212]?)\\s*(\\d{1,12}(?:[.,]\\d{1,12})?|[.,]\\d{1,12})\\s*(\\S*)\\s*");

  /**
   * Reads what a person typed.
   *
   * @throws ValueException saying what is allowed
   */
  default Value read(String typed) {
    return check(understand(typed));
  }

  /**
   * What a text means to this kind, in its range or not; the text itself when it means nothing to
   * it. What was kept when the kind was another can be read so, and checked after.
   */
  default Value lenient(String kept) {
    try {
      return understand(kept);
    } catch (ValueException meansNothing) {
      return new Value.Text(kept);
    }
  }

  private Value understand(String typed) {
    return switch (this) {
      case Distance d -> length(typed);
      case Count c -> new Value.Amount(amount(typed, "a whole number"));
      case Decimal d -> new Value.Amount(amount(typed, "a number"));
      case Measure m -> quantity(typed, m.least().scale());
      case KeyPress k -> keys(typed);
      case Colour c -> new Value.Text(typed.strip().toLowerCase(java.util.Locale.ROOT));
      case Words w -> new Value.Text(typed);
      case Choice c -> new Value.Text(typed.strip());
      case YesNo y ->
          switch (typed.strip()) {
            case "yes" -> new Value.Flag(true);
            case "no" -> new Value.Flag(false);
            default -> throw new ValueException(typed, Refusals.says("routine.yes-or-no"));
          };
    };
  }

  /**
   * The value itself when it fits this kind and its range.
   *
   * @throws ValueException saying what is allowed
   */
  default Value check(Value value) {
    boolean fits =
        switch (this) {
          case Distance(Length least, Length most, Length step) ->
              value instanceof Length l && l.compareTo(least) >= 0 && l.compareTo(most) <= 0;
          case Count(long least, long most, long step) ->
              value instanceof Value.Amount(BigDecimal n)
                  && n.scale() <= 0
                  && n.compareTo(BigDecimal.valueOf(least)) >= 0
                  && n.compareTo(BigDecimal.valueOf(most)) <= 0;
          case Decimal(BigDecimal least, BigDecimal most, BigDecimal step) ->
              value instanceof Value.Amount(BigDecimal n)
                  && n.compareTo(least) >= 0
                  && n.compareTo(most) <= 0;
          case Measure(Quantity least, Quantity most, Quantity step) ->
              value instanceof Quantity q
                  && q.scale() == least.scale()
                  && q.compareTo(least) >= 0
                  && q.compareTo(most) <= 0;
          case KeyPress k -> value instanceof Value.Text(String text) && isKeys(text);
          case Colour c -> value instanceof Value.Text(String text) && text.matches("#[0-9a-f]{6}");
          case Words w -> value instanceof Value.Text;
          case Choice(List<String> options) ->
              value instanceof Value.Text(String text) && options.contains(text);
          case YesNo y -> value instanceof Value.Flag;
        };
    if (!fits) {
      throw new ValueException(value.shown(), allowed());
    }
    return value;
  }

  /** A value of this kind, in its range: what stands there until somebody says another. */
  default Value usual() {
    return switch (this) {
      case Distance(Length least, Length most, Length step) ->
          step.compareTo(least) >= 0 && step.compareTo(most) <= 0 ? step : least;
      case Measure(Quantity least, Quantity most, Quantity step) -> least;
      case Count(long least, long most, long step) -> Value.Amount.of(Math.clamp(1, least, most));
      case Decimal(BigDecimal least, BigDecimal most, BigDecimal step) ->
          new Value.Amount(BigDecimal.ONE.max(least).min(most));
      case Choice(List<String> options) -> new Value.Text(options.getFirst());
      case Words w -> new Value.Text("");
      case YesNo y -> new Value.Flag(false);
      case KeyPress k -> new Value.Text("Esc");
      case Colour c -> new Value.Text("#000000");
    };
  }

  /** What this kind takes, in words. */
  default String allowed() {
    return switch (this) {
      case Distance(Length least, Length most, Length step) ->
          "a distance from " + least.shown() + " to " + most.shown();
      case Count(long least, long most, long step) ->
          "a whole number from " + least + " to " + most;
      case Decimal(BigDecimal least, BigDecimal most, BigDecimal step) ->
          "a number from " + least.toPlainString() + " to " + most.toPlainString();
      case Measure(Quantity least, Quantity most, Quantity step) ->
          "from " + least.shown() + " to " + most.shown();
      case KeyPress k -> "keys, such as Ctrl+M";
      case Colour c -> "a colour, such as #1e6b5e";
      case Words w -> "a text";
      case Choice(List<String> options) -> "one of " + String.join(", ", options);
      case YesNo y -> "yes or no";
    };
  }

  /** Keys in their one way of writing. */
  private static Value keys(String typed) {
    try {
      return new Value.Text(Notation.write(Notation.read(typed)));
    } catch (NotationException e) {
      throw new ValueException(typed, e.getMessage());
    }
  }

  private static boolean isKeys(String text) {
    try {
      return Notation.write(Notation.read(text)).equals(text);
    } catch (NotationException e) {
      return false; // what cannot be read is no key press
    }
  }

  /**
   * Reads an amount on a scale; the scale's symbol may be left out.
   *
   * @throws ValueException when it is no number, or of another scale
   */
  static Quantity quantity(String typed, Scale scale) {
    Matcher m = matched(typed, "a number in " + scale.symbol());
    if (!m.group(3).isEmpty() && !m.group(3).equals(scale.symbol())) {
      throw new ValueException(typed, Refusals.says("routine.number", scale.symbol()));
    }
    return new Quantity(amount(m), scale);
  }

  /** A number with nothing after it. */
  private static BigDecimal amount(String typed, String wanted) {
    Matcher m = matched(typed, wanted);
    if (!m.group(3).isEmpty()) {
      throw new ValueException(typed, wanted);
    }
    return amount(m);
  }

  private static Matcher matched(String typed, String wanted) {
    Matcher m = AMOUNT.matcher(typed.length() <= LONGEST_NUMBER ? typed : "");
    if (!m.matches()) {
      throw new ValueException(typed, wanted);
    }
    return m;
  }

  private static BigDecimal amount(Matcher m) {
    BigDecimal size = new BigDecimal(m.group(2).replace(',', '.'));
    return m.group(1).equals("-") || m.group(1).equals("\u2212") ? size.negate() : size;
  }

  /**
   * Reads a length with its unit.
   *
   * @throws ValueException when the number or the unit is missing or unknown
   */
  static Length length(String typed) {
    Matcher m = matched(typed, "a number with a unit, such as 0.5 mm");
    String unit = m.group(3);
    if (unit.isEmpty()) {
      throw new ValueException(
          typed, Refusals.says("routine.distance-needs-its-unit", LengthUnit.symbols()));
    }
    return new Length(
        amount(m),
        LengthUnit.of(unit)
            .orElseThrow(
                () ->
                    new ValueException(
                        typed,
                        Refusals.says("routine.no-unit-here-known", unit, LengthUnit.symbols()))));
  }
}
