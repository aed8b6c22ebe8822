package foldtwice.outline;

import foldtwice.extras.Extras;
import foldtwice.routine.Kind;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Parameter;
import foldtwice.routine.Scale;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.text.Refusals;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;

/**
 * A parameter as a person writes it, field by field.
 *
 * @param least empty where the kind has none, or for the usual one
 * @param step what one press up or down adds; empty for the usual one
 * @param options of a choice, parted by commas
 */
public record ParameterText(
    String name,
    Sort sort,
    String otherwise,
    String least,
    String most,
    String step,
    String options) {

  /** What a parameter can be. */
  public enum Sort {
    DISTANCE,
    COUNT,
    DECIMAL,
    MEASURE,
    TEXT,
    CHOICE,
    YES_NO,
    KEYS,
    COLOUR;

    /** True when it lies between a least and a most, and goes up and down by a step. */
    public boolean hasRange() {
      return this == DISTANCE || this == COUNT || this == DECIMAL || this == MEASURE;
    }
  }

  /** A field that does not hold what it should. */
  public static final class FieldException extends Exception {
    private static final long serialVersionUID = 1L;
    private final String field;

    FieldException(String field, ValueException why) {
      super("expected " + why.allowed() + ", found \"" + why.found() + "\"");
      this.field = field;
    }

    /** Which: name, default, least, most, step or options. */
    public String field() {
      return field;
    }
  }

  private static final long FAR = 1000;
  private static final BigDecimal TENTH = new BigDecimal("0.1");

  /** A parameter as it would be written. */
  public static ParameterText of(Parameter p) {
    String otherwise = p.otherwise().shown();
    return switch (p.kind()) {
      case Kind.Distance(var least, var most, var step) ->
          new ParameterText(
              p.name(), Sort.DISTANCE, otherwise, least.shown(), most.shown(), step.shown(), "");
      case Kind.Count(long least, long most, long step) ->
          new ParameterText(p.name(), Sort.COUNT, otherwise, "" + least, "" + most, "" + step, "");
      case Kind.Decimal(var least, var most, var step) ->
          new ParameterText(
              p.name(),
              Sort.DECIMAL,
              otherwise,
              least.toPlainString(),
              most.toPlainString(),
              step.toPlainString(),
              "");
      case Kind.Measure(var least, var most, var step) ->
          new ParameterText(
              p.name(), Sort.MEASURE, otherwise, least.shown(), most.shown(), step.shown(), "");
      case Kind.Choice(List<String> options) ->
          plain(p, Sort.CHOICE, otherwise, String.join(", ", options));
      case Kind.Words w -> plain(p, Sort.TEXT, otherwise, "");
      case Kind.YesNo y -> plain(p, Sort.YES_NO, otherwise, "");
      case Kind.KeyPress k -> plain(p, Sort.KEYS, otherwise, "");
      case Kind.Colour c -> plain(p, Sort.COLOUR, otherwise, "");
    };
  }

  private static ParameterText plain(Parameter p, Sort sort, String otherwise, String options) {
    return new ParameterText(p.name(), sort, otherwise, "", "", "", options);
  }

  /** What a parameter of this sort begins with. */
  public static ParameterText fresh(String name, Sort sort) {
    String otherwise =
        switch (sort) {
          case DISTANCE -> "1 mm";
          case COUNT, DECIMAL -> "1";
          case MEASURE -> "1 %";
          case TEXT -> "";
          case CHOICE -> "one";
          case YES_NO -> "no";
          case KEYS -> "Ctrl+M";
          case COLOUR -> "#1e6b5e";
        };
    String options = sort == Sort.CHOICE ? "one, other" : "";
    return new ParameterText(name, sort, otherwise, "", "", "", options);
  }

  /**
   * The parameter that is written here.
   *
   * @throws FieldException naming the first field that does not fit, and what it should hold
   */
  public Parameter read() throws FieldException {
    Kind kind = kind();
    return named(kind, field("default", () -> kind.read(otherwise)));
  }

  private Parameter named(Kind kind, Value value) throws FieldException {
    String plain = name.strip();
    if (plain.isEmpty() || plain.matches(".*[\u2039\u203a\\p{Cntrl}].*")) {
      throw new FieldException(
          "name", new ValueException(name, Refusals.says("outline.name-without-and")));
    }
    return new Parameter(plain, kind, value, Extras.NONE);
  }

  /** Of the scale its least amount is written in, as there is no default to tell it. */
  private Kind measureOf(String amount) throws FieldException {
    return withDefault(amount.isBlank() ? otherwise : amount).kind();
  }

  /** The same with another text for the default. */
  ParameterText withDefault(String other) {
    return new ParameterText(name, sort, other, least, most, step, options);
  }

  /** The parameter that is written here, with what its kind has first as the default. */
  Parameter readWithAnyDefault() throws FieldException {
    ParameterText any = withDefault(fresh(name, sort).otherwise());
    Kind kind = sort == Sort.MEASURE ? any.measureOf(least) : any.kind();
    return any.named(kind, kind.usual());
  }

  private Kind kind() throws FieldException {
    return switch (sort) {
      case DISTANCE -> distance();
      case COUNT -> {
        Kind any = new Kind.Count(-1_000_000_000, 1_000_000_000);
        Kind.Count range =
            new Kind.Count(
                number("least", least, any, -FAR).longValueExact(),
                number("most", most, any, FAR).longValueExact(),
                number("step", step, new Kind.Count(1, 1_000_000_000), 1).longValueExact());
        yield ordered(range.least() <= range.most(), range);
      }
      case DECIMAL -> {
        Kind any = Kind.Decimal.WIDEST;
        Kind.Decimal range =
            new Kind.Decimal(
                number("least", least, any, -FAR),
                number("most", most, any, FAR),
                step.isBlank() ? TENTH : number("step", step, any, 1));
        yield ordered(range.least().compareTo(range.most()) <= 0, range);
      }
      case MEASURE -> measure();
      case TEXT -> new Kind.Words();
      case YES_NO -> new Kind.YesNo();
      case KEYS -> new Kind.KeyPress();
      case COLOUR -> new Kind.Colour();
      case CHOICE -> {
        List<String> all =
            Arrays.stream(options.split(","))
                .map(String::strip)
                .filter(o -> !o.isEmpty())
                .distinct()
                .toList();
        if (all.isEmpty()) {
          throw new FieldException(
              "options",
              new ValueException(options, Refusals.says("outline.what-can-chosen-parted")));
        }
        yield new Kind.Choice(all);
      }
    };
  }

  private static BigDecimal number(String field, String text, Kind any, long usual)
      throws FieldException {
    return text.isBlank()
        ? BigDecimal.valueOf(usual)
        : ((Value.Amount) field(field, () -> any.read(text))).amount();
  }

  private Kind distance() throws FieldException {
    Value.Length far = new Value.Length(BigDecimal.valueOf(FAR), LengthUnit.MM);
    Kind any = new Kind.Distance(mm(-FAR * FAR), mm(FAR * FAR), mm(1));
    Kind.Distance range =
        new Kind.Distance(
            least.isBlank() ? mm(-FAR) : (Value.Length) field("least", () -> any.read(least)),
            most.isBlank() ? far : (Value.Length) field("most", () -> any.read(most)),
            step.isBlank()
                ? new Value.Length(new BigDecimal("0.5"), LengthUnit.MM)
                : (Value.Length) field("step", () -> any.read(step)));
    return ordered(range.least().compareTo(range.most()) <= 0, range);
  }

  private static Value.Length mm(long amount) {
    return new Value.Length(BigDecimal.valueOf(amount), LengthUnit.MM);
  }

  /** Its scale is the one the default is written in. */
  private Kind measure() throws FieldException {
    Matcher written = Kind.AMOUNT.matcher(otherwise);
    Scale scale = written.matches() ? Scale.of(written.group(3)).orElse(null) : null;
    if (scale == null) {
      throw new FieldException(
          "default",
          new ValueException(
              otherwise, Refusals.says("outline.number-with-its-unit", Scale.symbols())));
    }
    Kind any = new Kind.Measure(on(scale, -FAR * FAR), on(scale, FAR * FAR), on(scale, 1));
    Kind.Measure range =
        new Kind.Measure(
            least.isBlank()
                ? on(scale, -FAR)
                : (Value.Quantity) field("least", () -> any.read(least)),
            most.isBlank() ? on(scale, FAR) : (Value.Quantity) field("most", () -> any.read(most)),
            step.isBlank() ? on(scale, 1) : (Value.Quantity) field("step", () -> any.read(step)));
    return ordered(range.least().compareTo(range.most()) <= 0, range);
  }

  private static Value.Quantity on(Scale scale, long amount) {
    return new Value.Quantity(BigDecimal.valueOf(amount), scale);
  }

  private Kind ordered(boolean fits, Kind kind) throws FieldException {
    if (!fits) {
      throw new FieldException(
          "most", new ValueException(most, Refusals.says("outline.not-less-than", least)));
    }
    return kind;
  }

  private interface Reading {
    Value read();
  }

  private static Value field(String field, Reading reading) throws FieldException {
    try {
      return reading.read();
    } catch (ValueException e) {
      throw new FieldException(field, e);
    }
  }
}
