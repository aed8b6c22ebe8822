package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The day sheet, the night sheet and the texts. */
class SheetTest {

  private static final Path RESOURCES =
      Hands.root().resolve("desktop/src/main/resources/foldtwice/desktop");

  private static Map<String, Color> tokens(String sheet) throws IOException {
    Matcher m =
        Pattern.compile("-([a-z-]+): (#[0-9A-F]{6,8});")
            .matcher(Files.readString(RESOURCES.resolve(sheet)));
    Map<String, Color> tokens = new HashMap<>();
    while (m.find()) {
      tokens.put(m.group(1), Color.web(m.group(2)));
    }
    return tokens;
  }

  /** Source: WCAG 2.2, relative luminance and contrast ratio. */
  private static double contrast(Color a, Color b) {
    double x = luminance(a);
    double y = luminance(b);
    return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05);
  }

  private static double luminance(Color c) {
    return 0.2126 * linear(c.getRed())
        + 0.7152 * linear(c.getGreen())
        + 0.0722 * linear(c.getBlue());
  }

  private static double linear(double channel) {
    return channel <= 0.04045 ? channel / 12.92 : Math.pow((channel + 0.055) / 1.055, 2.4);
  }

  @Test
  void theFormulaGivesThePublishedExtremes() {
    assertThat(contrast(Color.BLACK, Color.WHITE)).isEqualTo(21.0);
    assertThat(contrast(Color.web("#767676"), Color.WHITE)).isBetween(4.54, 4.55); // from memory
  }

  @ParameterizedTest
  @ValueSource(strings = {"day.css", "night.css"})
  void textCanBeRead(String sheet) throws IOException {
    Map<String, Color> t = tokens(sheet);
    for (String ground : List.of("leaf", "paper")) {
      for (String ink : List.of("ink", "soft", "yours", "blocks", "costs", "argument", "native")) {
        assertThat(contrast(t.get(ink), t.get(ground)))
            .as(ink + " on " + ground)
            .isGreaterThan(4.5);
      }
    }
    for (String kind : List.of("yours", "blocks", "costs", "argument", "native")) {
      assertThat(contrast(t.get("ink"), t.get(kind + "-wash"))).as(kind).isGreaterThan(4.5);
      assertThat(contrast(t.get(kind), t.get(kind + "-wash"))).as(kind).isGreaterThan(4.5);
    }
    assertThat(contrast(t.get("ink"), t.get("desk"))).isGreaterThan(4.5);
    assertThat(contrast(t.get("soft"), t.get("desk"))).isGreaterThan(4.5);
    assertThat(contrast(t.get("ink"), t.get("tab"))).as("tabs").isGreaterThan(4.5);
    assertThat(contrast(t.get("on-yours"), t.get("yours"))).isGreaterThan(4.5);
    for (String flag : List.of("rust", "straw", "moss", "sky")) {
      assertThat(contrast(t.get("ink"), t.get(flag))).as(flag).isGreaterThan(3.0);
    }
  }

  /**
   * Every pair of tokens the rules use: text on the ground of its own rule, or on leaf and paper
   * where it has none. Left out, as WCAG 2.2 does: what cannot be used at the moment. And what has
   * no text on it.
   */
  @ParameterizedTest
  @ValueSource(strings = {"day.css", "night.css"})
  void everyPairInTheRulesCanBeRead(String sheet) throws IOException {
    Map<String, Color> t = tokens(sheet);
    String rules =
        Files.readString(RESOURCES.resolve("sheet.css")).replaceAll("(?s)/\\*.*?\\*/", "");
    int pairs = 0;
    for (var m : Pattern.compile("([^{}]+)\\{([^}]*)\\}").matcher(rules).results().toList()) {
      String selector = m.group(1).strip();
      if (selector.matches("(?s).*(:disabled|\\.arrow|\\.thumb|\\.chain-line).*")) {
        continue;
      }
      Color ground = t.get(token(m.group(2), "-fx-background-color"));
      Color text = t.get(token(m.group(2), "-fx-text-fill"));
      if (ground != null && !onDark(selector)) {
        assertThat(contrast(text == null ? t.get("ink") : text, ground))
            .as(selector)
            .isGreaterThan(4.5);
        pairs++;
      } else if (text != null) {
        List<String> grounds = onDark(selector) ? List.of("ink") : List.of("leaf", "paper");
        for (String on : grounds) {
          assertThat(contrast(text, t.get(on))).as(selector + " on " + on).isGreaterThan(4.5);
          pairs++;
        }
      }
    }
    assertThat(pairs).isGreaterThan(80);
    for (String outline :
        List.of(
            "crease-strong",
            "yours",
            "native",
            "blocks",
            "costs",
            "argument",
            "ink",
            "soft",
            "fern",
            "clay",
            "heather",
            "stone")) {
      for (String on : List.of("leaf", "paper")) {
        assertThat(contrast(t.get(outline), t.get(on)))
            .as("the outline " + outline + " on " + on)
            .isGreaterThan(3.0);
      }
    }
  }

  /** Keys that are held and the beginning of a chain are filled with ink. */
  private static boolean onDark(String selector) {
    return selector.contains(".atlas-key.held") || selector.contains(".chain-start");
  }

  /** Of several colours over one another the one on top. */
  private static String token(String body, String property) {
    Matcher m = Pattern.compile(property + ":[^;]*?-([a-z-]+)\\s*;").matcher(body);
    return m.find() ? m.group(1) : "";
  }

  @Test
  void bothSheetsHaveTheSameTokens() throws IOException {
    assertThat(tokens("night.css").keySet()).isEqualTo(tokens("day.css").keySet());
  }

  @Test
  void theRulesNameOnlyTokens() throws IOException {
    String rules = Files.readString(RESOURCES.resolve("sheet.css"));
    List<String> colours =
        Pattern.compile("#[0-9A-Fa-f]{3,8}\\b")
            .matcher(rules)
            .results()
            .map(m -> m.group())
            .toList();
    assertThat(colours).as("the title bar of a stand-in is the program's own").hasSizeLessThan(7);
    assertThat(colours).containsOnly("#3F4E48", "#F7F3EA");
  }

  /** Every text that is asked for is there, and every text that is there is asked for. */
  @ParameterizedTest
  @CsvSource({
    "desktop, foldtwice/desktop/Ui, Ui\\.text|TEXTS\\.get",
    "core, foldtwice/words/Words, TEXTS\\.get",
    "core, foldtwice/text/Refusals, Refusals\\.says"
  })
  void theBundlesAreComplete(String module, String name, String asking) throws IOException {
    Path bundle = Hands.root().resolve(module + "/src/main/resources/" + name + ".properties");
    List<String> keys =
        Files.readAllLines(bundle).stream()
            .filter(l -> l.contains("=") && !l.startsWith("#"))
            .map(l -> l.substring(0, l.indexOf('=')))
            .toList();
    assertThat(keys).as("of two the last would win").doesNotHaveDuplicates();
    Set<String> there =
        Files.readAllLines(bundle).stream()
            .filter(l -> l.contains("=") && !l.startsWith("#"))
            .map(l -> l.substring(0, l.indexOf('=')))
            .collect(Collectors.toCollection(TreeSet::new));
    String sources;
    try (Stream<Path> files = Files.walk(Hands.root().resolve(module + "/src/main/java"))) {
      sources =
          files
              .filter(f -> f.toString().endsWith(".java"))
              .map(SheetTest::read)
              .collect(Collectors.joining());
    }
    Set<String> asked =
        Pattern.compile("\"([a-z]+\\.?[A-Za-z.-]*)\"")
            .matcher(sources)
            .results()
            .map(m -> m.group(1))
            .collect(Collectors.toSet());
    List<String> unused =
        there.stream()
            .filter(
                k ->
                    !asked.contains(k)
                        && asked.stream().noneMatch(a -> a.endsWith(".") && k.startsWith(a)))
            .toList();
    assertThat(unused).isEmpty();
    Set<String> missing =
        Pattern.compile("(?:" + asking + ")\\(\\s*\"([^\"]+[^\".])\"")
            .matcher(sources)
            .results()
            .map(m -> m.group(1))
            .filter(k -> !there.contains(k))
            .collect(Collectors.toCollection(TreeSet::new));
    assertThat(missing).isEmpty();
  }

  private static String read(Path file) {
    try {
      return Files.readString(file);
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }
}
