package foldtwice.routine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import foldtwice.routine.Value.Length;
import java.math.BigDecimal;
import java.util.List;
import javax.measure.MetricPrefix;
import javax.measure.Unit;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.BigRange;
import net.jqwik.api.constraints.Scale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tech.units.indriya.quantity.Quantities;
import tech.units.indriya.unit.Units;

class ValueTest {

  private static final Kind MM =
      new Kind.Distance(Kind.length("-100 mm"), Kind.length("100 mm"), Kind.length("0.1 mm"));

  /** Sources: 1 in = 25.4 mm (1959); W3C CSS Values: 1 in = 72 pt = 6 pica. */
  @ParameterizedTest
  @CsvSource({
    "1 in,MM,25.4",
    "1 in,PT,72",
    "1 in,PICA,6",
    "2 cm,MM,20",
    "1.27 mm,IN,0.05",
    "6 pt,PICA,0.5"
  })
  void conversionsThatEndAreExact(String from, LengthUnit to, String amount) {
    assertThat(Kind.length(from).exactly(to)).contains(new BigDecimal(amount));
  }

  @Test
  void aConversionThatDoesNotEndSaysSo() {
    assertThat(Kind.length("0.5 mm").exactly(LengthUnit.IN)).isEmpty();
    assertThat(Kind.length("0.5 mm").exactly(LengthUnit.PT)).isEmpty();
  }

  /** Reference: Indriya, the JSR 385 implementation. */
  @Property(tries = 500)
  void agreesWithTheReferenceLibraryOfUnits(
      @ForAll @BigRange(min = "-10000", max = "10000") @Scale(4) BigDecimal amount,
      @ForAll LengthUnit from,
      @ForAll LengthUnit to) {
    double ours = new Length(amount, from).in(to).amount().doubleValue();
    double theirs =
        Quantities.getQuantity(amount, unit(from)).to(unit(to)).getValue().doubleValue();
    assertThat(ours).isCloseTo(theirs, within(Math.max(1e-12, Math.abs(theirs) * 1e-12)));
  }

  private static Unit<javax.measure.quantity.Length> unit(LengthUnit u) {
    Unit<javax.measure.quantity.Length> inch =
        MetricPrefix.MILLI(Units.METRE).multiply(254).divide(10);
    return switch (u) {
      case MM -> MetricPrefix.MILLI(Units.METRE);
      case CM -> MetricPrefix.CENTI(Units.METRE);
      case IN -> inch;
      case PT -> inch.divide(72);
      case PICA -> inch.divide(6);
    };
  }

  @Property
  void thereAndBackOnTheGridIsExact(
      @ForAll @BigRange(min = "-1000", max = "1000") @Scale(6) BigDecimal amount,
      @ForAll LengthUnit unit) {
    Length length = new Length(amount, unit);
    assertThat(Length.ofGrid(unit.toGrid(amount), unit)).isEqualTo(length);
    assertThat(length.plus(length.negated()).amount().signum()).isZero();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "0.5 mm|0.5 mm",
        "+0.5mm|0.5 mm",
        "\u22120,5 mm|-0.5 mm",
        "- 2 PT|-2 pt",
        "12pica|12 pica",
        ".5 in|0.5 in"
      })
  void distancesAreReadAsPeopleTypeThem(String typed, String shown) {
    assertThat(MM.read(typed).shown()).isEqualTo(shown);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "0.5|needs its unit", "0.5 furlong|is no unit here", "101 mm|from -100 mm to 100 mm",
            "4 in|from -100 mm",
        "mm|a number with a unit", "1e5 mm|a number with a unit", "0.5 mm mm|a number with a unit",
            "''|a number with a unit",
      })
  void distancesThatDoNotFitAreRefused(String typed, String says) {
    assertThatThrownBy(() -> MM.read(typed))
        .isInstanceOf(ValueException.class)
        .hasMessageContaining(says);
  }

  @Test
  void otherKindsRefuseToo() {
    assertThatThrownBy(() -> new Kind.Count(1, 20).read("0.5"))
        .hasMessageContaining("whole number from 1 to 20");
    assertThatThrownBy(() -> new Kind.Count(1, 20).read("3 mm"))
        .hasMessageContaining("whole number");
    assertThatThrownBy(() -> new Kind.Choice(List.of("Rust", "Moss")).read("Blue"))
        .hasMessageContaining("Rust, Moss");
    assertThatThrownBy(() -> new Kind.YesNo().read("maybe")).hasMessageContaining("yes or no");
  }

  @Property
  void expressionsAreReadBackAsWritten(@ForAll("expressions") Expr e) {
    assertThat(ExprNotation.read(ExprNotation.write(e))).isEqualTo(e);
  }

  @Provide
  Arbitrary<Expr> expressions() {
    Arbitrary<Expr> leaves =
        Arbitraries.of(
            new Expr.Name("dx"),
            new Expr.Name("long side"),
            new Expr.Literal(Value.Amount.of(3)),
            new Expr.Literal(Kind.length("0.5 mm")),
            new Expr.Literal(new Value.Text("it's")),
            new Expr.Literal(new Value.Flag(true)));
    return Arbitraries.lazyOf(
        () -> leaves,
        () -> expressions().map(Expr.Opposite::new),
        () -> expressions().map(Expr.UnitOf::new),
        () ->
            net.jqwik.api.Combinators.combine(
                    expressions(), Arbitraries.of(Expr.Operator.class), leaves)
                .as(Expr.Joined::new));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '"',
      value = {
        "1 +|a number",
        "\u2039dx|a name",
        "(1|)",
        "'a|ends the text",
        "1 2|the end",
        "3 furlong|no unit here"
      })
  void expressionsThatCannotBeReadSayWhere(String text, String says) {
    assertThatThrownBy(() -> ExprNotation.read(text))
        .isInstanceOf(ValueException.class)
        .hasMessageContaining(says);
  }

  @Test
  void depthIsLimited() {
    assertThatThrownBy(() -> ExprNotation.read("(".repeat(5000)))
        .hasMessageContaining("nested at most");
    assertThatThrownBy(() -> ExprNotation.read("-".repeat(5000) + "1"))
        .hasMessageContaining("nested at most");
  }
}
