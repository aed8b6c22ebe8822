package foldtwice.outline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import foldtwice.library.Hostile;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Lists as a person writes them are read as they were meant, whatever stands in them. */
class ListTextTest {

  private static String hostile(Random random) {
    String text = Hostile.TEXTS.get(random.nextInt(Hostile.TEXTS.size()));
    return text.substring(0, Math.min(text.length(), 20));
  }

  private static Expr value(Random random) {
    return switch (random.nextInt(4)) {
      case 0 -> ExprNotation.read(random.nextInt(99) + " mm");
      case 1 -> ExprNotation.read("\u2039n\u203a * 2");
      case 2 -> new Expr.Literal(Value.Amount.of(random.nextInt(99)));
      default -> new Expr.Literal(new Value.Text("it's, " + random.nextInt(9)));
    };
  }

  @Property(tries = 300)
  void valuesComeBack(@ForAll long seed) {
    Random random = new Random(seed);
    List<Expr> values = new ArrayList<>();
    for (int i = random.nextInt(5); i > 0; i--) {
      values.add(value(random));
    }
    assertThat(ListText.values(ListText.values(values))).isEqualTo(values);
    Step.Items given = new Step.Items.Given(values);
    assertThat(ListText.items(ListText.items(given))).isEqualTo(given);
  }

  @Property(tries = 300)
  void textsComeBack(@ForAll long seed) {
    Random random = new Random(seed);
    List<Template> texts = new ArrayList<>();
    for (int i = random.nextInt(4); i > 0; i--) {
      texts.add(new Template(hostile(random)));
    }
    assertThat(ListText.texts(ListText.texts(texts))).isEqualTo(texts);
  }

  @Property(tries = 200)
  void argumentsComeBack(@ForAll long seed) {
    Random random = new Random(seed);
    Map<String, Expr> arguments = new LinkedHashMap<>();
    for (int i = random.nextInt(4); i > 0; i--) {
      arguments.put(
          List.of("dx", "long side", "a = b", "it's", "x, y").get(random.nextInt(5)),
          value(random));
    }
    assertThat(ListText.arguments(ListText.arguments(arguments))).isEqualTo(arguments);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "what is selected|Selected",
        "lines of ‹text›|LinesOf",
        "lines of file list.txt|LinesOfFile",
        "1, 2, 3|Given",
        "''|Given",
      })
  void whatALoopGoesThrough(String text, String kind) {
    assertThat(ListText.items(text).getClass().getSimpleName()).isEqualTo(kind);
  }

  @ParameterizedTest
  @ValueSource(strings = {"1 2", "1,,2", "(1", "what is selected twice"})
  void whatIsNoListSaysWhatIsAllowed(String text) {
    assertThatThrownBy(() -> ListText.items(text))
        .isInstanceOf(ValueException.class)
        .satisfies(e -> assertThat(((ValueException) e).allowed()).isNotBlank());
  }

  @ParameterizedTest
  @ValueSource(strings = {"dx", "dx 1", "dx = ", "dx = 1 dy = 2", "dx = 1, dx = 2"})
  void whatIsNoArgumentSaysWhatIsAllowed(String text) {
    assertThatThrownBy(() -> ListText.arguments(text))
        .isInstanceOf(ValueException.class)
        .satisfies(e -> assertThat(((ValueException) e).allowed()).isNotBlank());
  }
}
