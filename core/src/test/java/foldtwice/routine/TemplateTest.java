package foldtwice.routine;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Hostile;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Texts with insertions: read in one way, and nothing that is put in is read again. */
class TemplateTest {

  private static final char OPEN = '\u2039';
  private static final char CLOSE = '\u203a';

  /** A text without a sign of an insertion in it. */
  private static String plain(Random random) {
    return Hostile.TEXTS
        .get(random.nextInt(Hostile.TEXTS.size()))
        .replace(String.valueOf(OPEN), "")
        .replace(String.valueOf(CLOSE), "")
        .transform(t -> t.substring(0, Math.min(t.length(), 12)));
  }

  /** Parts that are texts and names in turns, as a template and as what it has to come to. */
  private record Written(String source, List<String> names, String filled) {
    static Written of(Random random, Map<String, String> values) {
      StringBuilder source = new StringBuilder();
      StringBuilder filled = new StringBuilder();
      List<String> names = new ArrayList<>();
      List<String> all = List.copyOf(values.keySet());
      for (int i = random.nextInt(5); i >= 0; i--) {
        String text = plain(random);
        source.append(text);
        filled.append(text);
        String name = all.get(random.nextInt(all.size()));
        String blank = " ".repeat(random.nextInt(3));
        source.append(OPEN).append(blank).append(name).append(blank).append(CLOSE);
        filled.append(values.get(name));
        names.add(name);
      }
      return new Written(source.toString(), names, filled.toString());
    }
  }

  private static Map<String, String> values() {
    Map<String, String> values = new LinkedHashMap<>();
    values.put("long side", "2048");
    values.put("way", OPEN + "way" + CLOSE); // what is put in looks like an insertion
    values.put("today", "");
    return values;
  }

  @Property(tries = 300)
  void namesAreReadAndFilledInTheirOrder(@ForAll long seed) {
    Map<String, String> values = values();
    Written written = Written.of(new Random(seed), values);
    Template template = new Template(written.source());
    assertThat(template.names()).isEqualTo(written.names());
    assertThat(template.with(values::get)).isEqualTo(written.filled());
  }

  /** Another name comes where the one stood; every other insertion and all text stay. */
  @Property(tries = 300)
  void aNameIsRenamedEverywhereAndNothingElse(@ForAll long seed) {
    Map<String, String> values = values();
    Random random = new Random(seed);
    Written written = Written.of(random, values);
    Template template = new Template(written.source());
    String from = written.names().get(random.nextInt(written.names().size()));
    Template renamed = template.renamed(from, "width");
    assertThat(renamed.names())
        .isEqualTo(written.names().stream().map(n -> n.equals(from) ? "width" : n).toList());
    values.put("width", values.get(from));
    assertThat(renamed.with(values::get)).isEqualTo(written.filled());
    assertThat(template.renamed("nowhere", "width").with(values::get)).isEqualTo(written.filled());
    assertThat(renamed.renamed("width", from).with(values::get)).isEqualTo(written.filled());
  }

  /** What is no insertion is text, and stays. Source: by hand, from the notation's description. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\u2039a\u203a|a",
        "\u2039 a \u203a|a",
        "\u2039a b\u203a|a b",
        "x\u2039a\u203ay\u2039b\u203a|a,b",
        "\u2039\u203a|''",
        "\u2039 \u203a|''",
        "\u2039a|''",
        "a\u203a|''",
        "\u2039a\u2039b\u203a|b",
        "\u203a\u2039a\u203a\u2039|a",
        "\u2039a\u203a\u203a|a",
      })
  void whatIsAnInsertion(String source, String names) {
    Template template = new Template(source);
    assertThat(String.join(",", template.names())).isEqualTo(names);
    if (names.isEmpty()) {
      assertThat(template.with(n -> "never")).isEqualTo(source);
      assertThat(template.renamed("a", "b")).isEqualTo(template);
    }
  }

  @Property(tries = 100)
  void aTextIsATemplateOfItself(@ForAll long seed) {
    String text = plain(new Random(seed));
    assertThat(new Template(text).names()).isEmpty();
    assertThat(new Template(text).with(n -> "never")).isEqualTo(text);
    assertThat(Template.all(List.of(text, text)))
        .containsExactly(new Template(text), new Template(text));
  }
}
