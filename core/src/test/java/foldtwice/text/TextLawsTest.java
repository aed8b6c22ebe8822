package foldtwice.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.MappingIterator;
import foldtwice.library.Hostile;
import java.io.StringReader;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is done to texts everywhere, held to its laws and to slower ways of doing it. */
class TextLawsTest {

  /** Letters of few kinds, so that texts are alike; and what nobody would type. */
  private static String text(Random random) {
    if (random.nextInt(5) == 0) {
      String hostile = Hostile.TEXTS.get(random.nextInt(Hostile.TEXTS.size()));
      return hostile.substring(0, Math.min(hostile.length(), 9));
    }
    StringBuilder out = new StringBuilder();
    for (int i = random.nextInt(9); i > 0; i--) {
      out.append("abc \t\u00e4\u2039=,;\"\n'".charAt(random.nextInt(13)));
    }
    return out.toString();
  }

  /** Levenshtein's distance by its definition. */
  private static int slowly(String a, String b) {
    if (a.isEmpty() || b.isEmpty()) {
      return a.length() + b.length();
    }
    int change = slowly(a.substring(1), b.substring(1)) + (a.charAt(0) == b.charAt(0) ? 0 : 1);
    return Math.min(change, 1 + Math.min(slowly(a.substring(1), b), slowly(a, b.substring(1))));
  }

  @Property(tries = 200)
  void distancesAreThoseOfTheDefinition(@ForAll long seed) {
    Random random = new Random(seed);
    String a = cut(text(random));
    String b = cut(text(random));
    String c = cut(text(random));
    int ab = Nearness.distance(a, b);
    assertThat(ab).isEqualTo(slowly(a, b)).isEqualTo(Nearness.distance(b, a));
    assertThat(ab == 0).isEqualTo(a.equals(b));
    assertThat(Nearness.distance(a, c)).isLessThanOrEqualTo(ab + Nearness.distance(b, c));
  }

  private static String cut(String text) {
    return text.substring(0, Math.min(text.length(), 6));
  }

  /** The nearest is one of them, none is nearer, and it shares half its letters. */
  @Property(tries = 200)
  void nothingIsNearerThanTheNearest(@ForAll long seed) {
    Random random = new Random(seed);
    List<String> among =
        IntStream.range(0, random.nextInt(6)).mapToObj(i -> cut(text(random))).toList();
    String sought = cut(text(random));
    int least =
        among.stream()
            .mapToInt(t -> Nearness.distance(low(sought), low(t)))
            .min()
            .orElse(Integer.MAX_VALUE);
    var nearest = Nearness.nearest(sought, among);
    nearest.ifPresent(
        n -> {
          assertThat(among).contains(n);
          assertThat(Nearness.distance(low(sought), low(n))).isEqualTo(least);
          assertThat(2 * least).isLessThanOrEqualTo(Math.max(n.length(), sought.length()));
        });
    if (among.contains(sought)) {
      assertThat(low(nearest.orElseThrow())).isEqualTo(low(sought));
    }
  }

  private static String low(String text) {
    return text.toLowerCase(java.util.Locale.ROOT);
  }

  @Property(tries = 300)
  void blanksAreSingleAndNothingElseIsLost(@ForAll long seed) {
    String text = text(new Random(seed));
    String single = Blanks.single(text);
    assertThat(Blanks.single(single)).isEqualTo(single);
    assertThat(single).doesNotContain("  ").isEqualTo(single.strip());
    assertThat(without(single)).isEqualTo(without(text));
  }

  private static String without(String text) {
    StringBuilder out = new StringBuilder();
    text.chars().filter(c -> !Character.isWhitespace(c)).forEach(c -> out.append((char) c));
    return out.toString();
  }

  /** Whatever a name is, a terminal is shown one line of it, and all of it. */
  @Property(tries = 300)
  void aTerminalIsOnlyShownWhatIsSeen(@ForAll long seed) {
    String text = text(new Random(seed));
    String plain = Plain.of(text);
    assertThat(plain.chars()).noneMatch(Character::isISOControl);
    assertThat(plain.codePoints())
        .noneMatch(c -> Character.getType(c) == Character.SURROGATE)
        .noneMatch(c -> c >= 0x202A && c <= 0x202E);
    assertThat(Plain.of(plain)).isEqualTo(plain);
    if (text.codePoints().allMatch(c -> Character.isLetterOrDigit(c) || c == ' ')) {
      assertThat(plain).isEqualTo(text);
    }
  }

  /** RFC 4180: rows come back as they were, whatever stands in their cells. */
  @Property(tries = 200)
  void aTableIsReadAsItWasWritten(@ForAll long seed) throws Exception {
    Random random = new Random(seed);
    int columns = 2 + random.nextInt(3);
    List<List<String>> rows = new ArrayList<>();
    rows.add(IntStream.range(0, columns).mapToObj(i -> "heading" + i).toList());
    for (int i = random.nextInt(5); i > 0; i--) {
      rows.add(IntStream.range(0, columns).mapToObj(c -> Csv.cell(cellText(random))).toList());
    }
    List<List<String>> back = new ArrayList<>();
    String written = (random.nextBoolean() ? "\uFEFF" : "") + Csv.write(rows);
    try (MappingIterator<String[]> all = Csv.read(new StringReader(written))) {
      while (all.hasNext()) {
        back.add(List.of(all.next()));
      }
    }
    assertThat(back).isEqualTo(rows);
  }

  /** A cell with something in it: a row of nothing is no row. */
  private static String cellText(Random random) {
    return "x" + text(random).replace("\u0000", "").replace("\ud800", "").replace("\udc00", "");
  }

  /** What a spreadsheet would take for a formula is a text, and comes back. */
  @Property(tries = 300)
  void noCellIsAFormula(@ForAll long seed) {
    Random random = new Random(seed);
    String text =
        List.of("", "=", "'=", "'", "''=", "+", "-1", "@x", "\t").get(random.nextInt(9))
            + text(random);
    String cell = Csv.cell(text);
    assertThat(Csv.text(cell)).isEqualTo(text);
    assertThat(cell.isEmpty() || "=+-@\t\r".indexOf(cell.charAt(0)) < 0).isTrue();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '!',
      value = {"a,b,c!,", "a;b;c,d!;", "a|b!|", "one!,", "a\tb\tc,d!\t"})
  void theSignBetweenCellsIsTheOneThatStandsMostOften(String headings, String sign) {
    assertThat(Csv.separator(headings)).isEqualTo(sign == null ? '\t' : sign.charAt(0));
  }

  /** UTF-8 with and without a mark, UTF-16 both ways round; what is no text is refused. */
  @Test
  void bytesAreReadAsTheyWereWritten() throws Exception {
    String text = "F\u00e4rber \u2039name\u203a \ud83c\udf3f";
    assertThat(Encoding.decoded(text.getBytes(StandardCharsets.UTF_8))).isEqualTo(text);
    for (var charset :
        List.of(StandardCharsets.UTF_8, StandardCharsets.UTF_16BE, StandardCharsets.UTF_16LE)) {
      assertThat(Encoding.decoded(("\uFEFF" + text).getBytes(charset)))
          .as(charset.name())
          .isEqualTo(text);
    }
    assertThat(Encoding.decoded(new byte[0])).isEmpty();
    for (byte[] none :
        List.of(
            new byte[] {(byte) 0xC3, 0x28},
            new byte[] {'a', 0, 'b'},
            new byte[] {(byte) 0xFF, (byte) 0xFE, 'a'},
            text.getBytes(StandardCharsets.UTF_16BE))) {
      assertThatThrownBy(() -> Encoding.decoded(none)).isInstanceOf(CharacterCodingException.class);
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {0, 1, 2, 21, 1_000_000, -1})
  void aNumberAgreesWithItsNoun(long many) {
    assertThat(Counted.of(many, "row")).isEqualTo(many + (many == 1 ? " row" : " rows"));
  }

  /** A refusal names what it is about; a key that nobody wrote is found at once. */
  @Test
  void refusalsAreWords() {
    assertThat(Refusals.says("library.expected-found", "a list", "a number"))
        .contains("a list", "a number")
        .doesNotContain("{");
    assertThatThrownBy(() -> Refusals.says("nowhere.at-all"))
        .isInstanceOf(RuntimeException.class)
        .hasMessageContaining("nowhere.at-all");
  }
}
