package foldtwice.writing;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.extras.Extras;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Scale;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class OppositesTest {

  private static Parameter parameter(String name, Kind kind, Value otherwise) {
    return new Parameter(name, kind, otherwise, Extras.NONE);
  }

  private static Routine routine(Parameter... parameters) {
    return Routine.Macro.of("r", "R", "app", List.of(parameters), List.of());
  }

  private static final Parameter ROWS =
      parameter("rows", new Kind.Count(-9, 9), Value.Amount.of(0));
  private static final Parameter UP_ONLY =
      parameter("times", new Kind.Count(1, 9), Value.Amount.of(1));

  /** Turned round twice it is what it was. */
  @Property
  void theOppositeOfTheOppositeIsWhatItWas(@ForAll @IntRange(min = -9, max = 9) int rows) {
    Map<String, Value> arguments = rows == 0 ? Map.of() : Map.of("rows", Value.Amount.of(rows));
    var once = Opposites.of(routine(ROWS), arguments);
    assertThat(once.isPresent()).isEqualTo(rows != 0);
    once.ifPresent(o -> assertThat(Opposites.of(routine(ROWS), o)).contains(arguments));
  }

  @Test
  void whatIsOutOfRangeHasNoOtherHalf() {
    assertThat(Opposites.of(routine(UP_ONLY), Map.of("times", Value.Amount.of(3)))).isEmpty();
    assertThat(Opposites.of(routine(), Map.of())).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"Left, Right", "Right, Left", "Rust, Clear", "Up, Clear"})
  void choicesGoBackOrClear(String set, String other) {
    Parameter way =
        parameter(
            "way",
            new Kind.Choice(List.of("Left", "Right", "Up", "Rust", "Clear")),
            new Value.Text("Up"));
    assertThat(Opposites.of(routine(way), Map.of("way", new Value.Text(set))).orElseThrow())
        .isEqualTo(Map.of("way", new Value.Text(other)));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"1.5 EV", "5200 K", "0.5\u00b0", "12%", "2048 px", "30 s", "\u2039by\u203a * 2"})
  void amountsOnScalesAreReadAndWritten(String text) {
    assertThat(ExprNotation.write(ExprNotation.read(text))).isEqualTo(text);
  }

  @Test
  void amountsOfOneScaleAreNeverTakenForAnother() {
    Kind exposure =
        new Kind.Measure(
            Value.Quantity.of("-4", Scale.EV),
            Value.Quantity.of("4", Scale.EV),
            Value.Quantity.of("0.1", Scale.EV));
    assertThat(exposure.read("0.5")).isEqualTo(Value.Quantity.of("0.5", Scale.EV));
    assertThat(exposure.read("-1,5 EV")).isEqualTo(Value.Quantity.of("-1.5", Scale.EV));
    for (String wrong : List.of("5 EV", "1 K", "much", "", "1 mm")) {
      Assertions.assertThatThrownBy(() -> exposure.read(wrong)).isInstanceOf(ValueException.class);
    }
    Assertions.assertThatThrownBy(() -> new Kind.KeyPress().read("Hyper+Q"))
        .isInstanceOf(ValueException.class);
    assertThat(new Kind.KeyPress().read("ctrl+m")).isEqualTo(new Value.Text("Ctrl+M"));
    Assertions.assertThatThrownBy(() -> new Kind.Colour().read("green"))
        .isInstanceOf(ValueException.class);
    assertThat(new Kind.Colour().read("#1E6B5E")).isEqualTo(new Value.Text("#1e6b5e"));
    assertThat(new Value.Quantity(new BigDecimal("1.50"), Scale.EV))
        .isEqualTo(Value.Quantity.of("1.5", Scale.EV));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Flags for \u2039colour\u203a|Flags for moss",
        "\u2039colour\u203a\u2039colour\u203a|mossmoss",
        "a \u2039 b|a \u2039 b",
        "\u2039\u203a|\u2039\u203a",
        "\u2039\u2039colour\u203a|\u2039moss",
        "nothing|nothing"
      })
  void insertionsArePutInOnce(String source, String text) {
    Template template = new Template(source);
    assertThat(template.with(name -> "moss")).isEqualTo(text);
    assertThat(template.with(name -> "\u2039colour\u203a"))
        .as("a value that looks like an insertion is a value")
        .isEqualTo(text.replace("moss", "\u2039colour\u203a"));
  }
}
