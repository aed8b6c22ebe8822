package foldtwice.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What expressions come to, against the JDK's decimal numbers; what comes to nothing says why. */
class EvaluatorTest {

  private static final Clock CLOCK =
      Clock.fixed(Instant.parse("2026-03-01T09:05:07Z"), ZoneOffset.UTC);

  private static Evaluator with(Map<String, Value> names) {
    return new Evaluator(names, CLOCK, new Budget());
  }

  private static String comesTo(String text, Map<String, Value> names) throws StepFailure {
    return with(names).value(ExprNotation.read(text)).shown();
  }

  /** An expression of numbers, and what it is. */
  private record Sum(Expr expr, BigDecimal is) {
    static Sum of(Random random, int depth, Map<String, Value> names) {
      if (depth == 0) {
        BigDecimal n = BigDecimal.valueOf(random.nextInt(-999, 1000), random.nextInt(3));
        Value value = new Value.Amount(n);
        if (random.nextBoolean()) {
          return new Sum(new Expr.Literal(value), n);
        }
        String name = "n" + names.size();
        names.put(name, value);
        return new Sum(new Expr.Name(name), n);
      }
      Sum a = of(random, depth - 1, names);
      if (random.nextInt(5) == 0) {
        return new Sum(new Expr.Opposite(a.expr), a.is.negate());
      }
      Sum b = of(random, depth - 1, names);
      Expr.Operator operator = Expr.Operator.values()[random.nextInt(3)];
      BigDecimal is =
          switch (operator) {
            case PLUS -> a.is.add(b.is);
            case MINUS -> a.is.subtract(b.is);
            case TIMES -> a.is.multiply(b.is);
          };
      return new Sum(new Expr.Joined(a.expr, operator, b.expr), is);
    }
  }

  @Property(tries = 300)
  void numbersAreExact(@ForAll long seed) throws StepFailure {
    Map<String, Value> names = new LinkedHashMap<>();
    Sum sum = Sum.of(new Random(seed), 1 + (int) Math.floorMod(seed, 4L), names);
    Value is = with(names).value(sum.expr());
    assertThat(((Value.Amount) is).amount()).isEqualByComparingTo(sum.is());
  }

  /** Lengths of different units are added as lengths: 25.4 mm to the inch, 12 pt to the pica. */
  @ParameterizedTest
  @CsvSource({
    "1 in + 25.4 mm, 2 in",
    "1 cm + 1 mm, 1.1 cm",
    "10 mm - 1 cm, 0 mm",
    "0.5 mm * 3, 1.5 mm",
    "3 * 0.5 mm, 1.5 mm",
    "-(2 mm), -2 mm",
    "1 in - 72 pt, 0 in",
    "2 * 3 + 4, 10",
    "2 * (3 + 4), 14",
    "1 - 2 - 3, -4",
    "0.1 + 0.2, 0.3",
    "1.5 EV - 0.5 EV, 1 EV",
  })
  void lengthsAndQuantitiesAddUp(String text, String is) throws StepFailure {
    assertThat(comesTo(text, Map.of())).isEqualTo(is);
  }

  @Property(tries = 200)
  void lengthsAddUpInAnyOrder(@ForAll long seed) throws StepFailure {
    Random random = new Random(seed);
    Value.Length a = length(random);
    Value.Length b = length(random);
    Map<String, Value> names = Map.of("a", a, "b", b);
    Value.Length one =
        (Value.Length) with(names).value(ExprNotation.read("\u2039a\u203a + \u2039b\u203a"));
    Value.Length other =
        (Value.Length) with(names).value(ExprNotation.read("\u2039b\u203a + \u2039a\u203a"));
    assertThat(one.compareTo(other)).isZero();
    assertThat(one.unit()).as("in the unit it began with").isEqualTo(a.unit());
    Value.Length none =
        (Value.Length) with(names).value(ExprNotation.read("\u2039a\u203a - \u2039a\u203a"));
    assertThat(none.amount()).isEqualByComparingTo(BigDecimal.ZERO);
  }

  private static Value.Length length(Random random) {
    // where one is a whole part of the other; others are rounded beyond the thirtieth digit
    LengthUnit[] units = {LengthUnit.MM, LengthUnit.CM};
    return new Value.Length(
        BigDecimal.valueOf(random.nextInt(-500, 500), 1), units[random.nextInt(units.length)]);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "1 mm + 1",
        "1 mm * 1 mm",
        "'a' + 'b'",
        "yes * 2",
        "1 EV + 1 K",
        "-'text'",
        "1 EV * 1 EV"
      })
  void whatDoesNotGoTogetherIsRefused(String text) {
    assertThatThrownBy(() -> comesTo(text, Map.of()))
        .isInstanceOf(StepFailure.class)
        .hasMessageContaining("expected")
        .hasMessageContaining("found");
  }

  @Test
  void aNameNobodyGaveIsToldWithThoseThereAre() {
    assertThatThrownBy(() -> comesTo("\u2039wdth\u203a * 2", Map.of("width", new Value.Text("x"))))
        .isInstanceOf(StepFailure.class)
        .hasMessageContaining("stamp, today, width")
        .hasMessageContaining("wdth");
  }

  /** ISO 8601; without a colon where it is to be part of the name of a file. */
  @Test
  void theClockIsTheOneOfTheRun() throws StepFailure {
    assertThat(comesTo("\u2039today\u203a", Map.of())).isEqualTo("2026-03-01");
    assertThat(comesTo("\u2039stamp\u203a", Map.of())).isEqualTo("2026-03-01T09-05-07");
    assertThat(comesTo("\u2039today\u203a", Map.of("today", new Value.Text("a name of one's own"))))
        .isEqualTo("a name of one's own");
  }

  /** What is inserted is text, whatever stands in it. */
  @Test
  void nothingIsPutInTwice() throws StepFailure {
    Map<String, Value> names =
        Map.of("a", new Value.Text("\u2039b\u203a"), "b", new Value.Text("never"));
    Evaluator evaluator = with(names);
    assertThat(evaluator.text(new Template("x \u2039a\u203a y \u2039 b \u203a")))
        .isEqualTo("x \u2039b\u203a y never");
    assertThat(evaluator.text(new Template("no end \u2039a"))).isEqualTo("no end \u2039a");
    assertThat(evaluator.text(new Template("\u2039\u203a"))).isEqualTo("\u2039\u203a");
  }

  /** A doubling text or number ends the run before it ends the memory. */
  @Test
  void thereIsAnEndToWhatOneRunMakes() {
    Map<String, Value> names =
        Map.of(
            "long", new Value.Text("x".repeat(150_000)),
            "many", new Value.Amount(BigDecimal.TEN.pow(150).add(BigDecimal.ONE)));
    Evaluator evaluator = with(names);
    assertThatThrownBy(() -> evaluator.text(new Template("\u2039long\u203a\u2039long\u203a")))
        .isInstanceOf(StepFailure.class);
    assertThatThrownBy(
            () -> evaluator.value(ExprNotation.read("\u2039many\u203a * \u2039many\u203a")))
        .isInstanceOf(StepFailure.class);
    assertThatThrownBy(
            () -> {
              for (int i = 0; i < 100; i++) {
                assertThat(evaluator.text(new Template("\u2039long\u203a"))).hasSize(150_000);
              }
            })
        .isInstanceOf(StepFailure.class);
  }

  @ParameterizedTest
  @CsvSource({"3, 3", "-2, -2", "1000000, 1000000", "2 * 3, 6"})
  void wholeNumbersCount(String text, int is) throws StepFailure {
    assertThat(with(Map.of()).whole(ExprNotation.read(text))).isEqualTo(is);
  }

  @ParameterizedTest
  @ValueSource(strings = {"2.5", "1000001", "1 mm", "'3'", "yes"})
  void nothingElseCounts(String text) {
    assertThatThrownBy(() -> with(Map.of()).whole(ExprNotation.read(text)))
        .isInstanceOf(StepFailure.class)
        .hasMessageContaining("a whole number of at most a million");
  }
}
