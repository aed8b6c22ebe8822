package foldtwice;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.text.Texts;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Numbers agree with their nouns, in every text there is: each is said of one. */
class NumbersTest {

  /** More values than any text takes. */
  private static final int MOST = 12;

  private static final Pattern ONE_OF_MANY =
      Pattern.compile("(?<![\\d.,:]|at most |within )\\b1 ([a-z]+s)\\b");

  /** What follows a name or a number and ends like a noun of many. */
  private static final Set<String> VERBS =
      Set.of(
          "adds", "as", "besides", "begins", "calls", "changes", "claims", "does", "empties",
          "fires", "goes", "has", "is", "leaves", "loses", "names", "needs", "opens", "plus",
          "runs", "sends", "shows", "stands", "stays", "takes", "this", "times", "turns", "types",
          "waits", "answers", "press", "presses", "selects", "stops", "wants", "was", "ms", "s",
          "always", "gives", "fits", "belongs", "reads");

  /** What is counted only where there are more, or where the number is a name or a sign of two. */
  private static final Set<String> ALWAYS_MORE =
      Set.of(
          "atlas.counts", // the keys of a keyboard
          "import.toolarge", // more than may be
          "run.bytes", // more than may be
          "said.liveundecided", // several
          "several.apart", // several
          "several.chosen", // several
          "summoned.radial.name", // the name of a tool
          "tally"); // block and cost are what they do

  static List<Texts> bundles() {
    return Stream.of("desktop.Ui", "words.Words", "text.Refusals")
        .map(name -> Texts.of("foldtwice." + name, NumbersTest.class.getClassLoader()))
        .toList();
  }

  @ParameterizedTest
  @MethodSource("bundles")
  void oneIsNeverMany(Texts texts) {
    Object[] ones = Collections.nCopies(MOST, 1).toArray();
    List<String> wrong = new ArrayList<>();
    for (String key : new TreeSet<>(texts.bundle().keySet())) {
      Matcher m = ONE_OF_MANY.matcher(texts.get(key, ones));
      while (m.find()) {
        if (!VERBS.contains(m.group(1)) && !ALWAYS_MORE.contains(key)) {
          wrong.add(key + ": " + m.group());
        }
      }
    }
    assertThat(wrong).isEmpty();
  }

  @Test
  void whatIsLeftOutIsThere() {
    List<String> all = bundles().stream().flatMap(t -> t.bundle().keySet().stream()).toList();
    assertThat(all).containsAll(ALWAYS_MORE);
  }

  @Test
  void theTestSeesWhatItLooksFor() {
    assertThat(ONE_OF_MANY.matcher("Reading: 1 rows").find()).isTrue();
    assertThat(ONE_OF_MANY.matcher("1.1 rows, 11 rows").find()).isFalse();
    assertThat(Arrays.asList(ONE_OF_MANY.split("of 1 commands, 1 key"))).hasSize(2);
  }
}
