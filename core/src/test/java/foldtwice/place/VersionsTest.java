package foldtwice.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Versions are ordered, and labels of another language lead back to how a program is described. */
class VersionsTest {

  private static String version(Random random) {
    return IntStream.range(0, 1 + random.nextInt(3))
        .mapToObj(i -> (random.nextInt(4) == 0 ? "0" : "") + random.nextInt(13))
        .collect(Collectors.joining("."));
  }

  /** The numbers of a version, with zeros where there are no more. */
  private static List<Integer> numbers(String version) {
    List<Integer> all = new ArrayList<>();
    for (String part : version.split("\\.")) {
      all.add(Integer.parseInt(part));
    }
    while (all.size() < 4) {
      all.add(0);
    }
    return all;
  }

  private static int slowly(String a, String b) {
    for (int i = 0; i < 4; i++) {
      int order = numbers(a).get(i).compareTo(numbers(b).get(i));
      if (order != 0) {
        return order;
      }
    }
    return 0;
  }

  @Property(tries = 500)
  void theyAreOrderedNumberByNumber(@ForAll long seed) {
    Random random = new Random(seed);
    String a = version(random);
    String b = version(random);
    String c = version(random);
    assertThat(Integer.signum(Versions.compare(a, b))).isEqualTo(slowly(a, b));
    assertThat(Integer.signum(Versions.compare(b, a))).isEqualTo(-slowly(a, b));
    assertThat(Versions.atLeast(a, b)).isEqualTo(slowly(a, b) >= 0);
    if (Versions.atLeast(a, b) && Versions.atLeast(b, c)) {
      assertThat(Versions.atLeast(a, c)).isTrue();
    }
  }

  /** Whatever somebody calls a version: it is compared, and what is no number counts as nothing. */
  @ParameterizedTest
  @CsvSource({
    "4.x, 4, 0",
    "4.x, 4.1, -1",
    "'', 0, 0",
    "beta, 1, -1",
    "1..2, 1.0.2, 0",
    "99999999999999999999, 99999999999999999998, 1",
    "007, 7, 0",
    "1. 2, 1.2, 0",
  })
  void whateverIsCalledAVersion(String a, String b, int order) {
    assertThat(Integer.signum(Versions.compare(a, b))).isEqualTo(order);
    assertThat(Integer.signum(Versions.compare(b, a))).isEqualTo(-order);
  }

  /** Labels that are all different lead back to where they came from. */
  @Property(tries = 200)
  void labelsLeadBack(@ForAll long seed) {
    Random random = new Random(seed);
    Map<String, String> words = new LinkedHashMap<>();
    for (int i = random.nextInt(6); i > 0; i--) {
      words.put("Label " + random.nextInt(9), "Wort " + i);
    }
    Labels there = new Labels("de", words);
    for (int i = 0; i < 9; i++) {
      String label = "Label " + i;
      assertThat(there.of(label)).isEqualTo(words.getOrDefault(label, label));
      assertThat(there.back().of(there.of(label))).isEqualTo(label);
    }
    List<String> path = List.of("Label 1", "Label 2", "Elsewhere");
    assertThat(there.back().of(there.of(path))).isEqualTo(path);
    assertThat(Labels.AS_DESCRIBED.of(path)).isEqualTo(path);
  }

  /** A label that stands for nothing is the one of the description. */
  @ParameterizedTest
  @ValueSource(strings = {"", " ", "\t"})
  void nothingIsNoLabel(String nothing) {
    Labels labels = new Labels("fr", Map.of("Open", nothing, nothing, "Ouvrir"));
    assertThat(labels.words()).isEmpty();
    assertThat(labels.of("Open")).isEqualTo("Open");
  }

  /** RFC 5646: source of the examples. */
  @ParameterizedTest
  @CsvSource({
    "de, true",
    "fr-CA, true",
    "zh-Hant, true",
    "sl-rozaj-biske, true",
    "de_DE, false",
    "'', false",
    "d, false",
    "-de, false",
    "de-, false",
    "ab-toolongsubtag, false",
  })
  void aTagOfALanguageHasItsForm(String text, boolean is) {
    assertThat(Labels.isTag(text)).isEqualTo(is);
    if (is) {
      assertThat(Locale.forLanguageTag(text).getLanguage()).isNotEmpty();
    }
  }
}
