package foldtwice.words;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.RandomClaims;
import foldtwice.Reference;
import foldtwice.binding.Binding;
import foldtwice.conflict.Auditor;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.ConflictKind;
import foldtwice.conflict.Subject;
import foldtwice.conflict.Weight;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.place.Station;
import foldtwice.resolve.Explanation;
import foldtwice.resolve.Explanation.LayerReport;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.regex.Pattern;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is said reads as a sentence, whatever it is about. */
class SentencesTest {

  /** A place for a value that was left, two blanks, a blank before a sign, nothing before one. */
  private static final Pattern TORN =
      Pattern.compile("\\{|\\}|\\bnull\\b|  | [.,;:](?: |$)|^[.,;:]|\\(\\)|, ,|:\\s*$|Optional\\[");

  private static void reads(String sentence, Object about) {
    assertThat(sentence).as("%s", about).isNotBlank().doesNotContainPattern(TORN);
    assertThat(sentence.strip()).isEqualTo(sentence);
  }

  private static void readAll(Library library, Set<ConflictKind> kinds) {
    for (Station station : library.stations().values()) {
      Keymap keymap = Keymap.of(library, station);
      Words words = new Words(library, keymap.layout());
      for (Conflict c : Auditor.audit(Subject.of(library, keymap))) {
        reads(words.sentence(c), c);
        reads(words.brief(c), c);
        assertThat(words.brief(c)).as("brief").doesNotContain("\n");
        c.claims().forEach(claim -> reads(words.owner(claim.owner()), claim));
        c.places().forEach(place -> reads(words.place(place), place));
        kinds.add(c.kind());
      }
      for (Binding b : library.bindings().values()) {
        reads(words.binding(b), b);
        b.triggers().forEach(t -> reads(words.trigger(t), t));
      }
    }
  }

  @Test
  void whateverMeetsIsSaid() {
    Random random = new Random(17);
    Set<ConflictKind> kinds = EnumSet.noneOf(ConflictKind.class);
    for (int i = 0; i < 300; i++) {
      List<Rule> rules =
          List.of(
                  List.<Rule>of(),
                  List.<Rule>of(new Rule.MostStrokes(1)),
                  List.<Rule>of(new Rule.AlwaysHolds(Modifiers.of(Modifier.ALT))),
                  List.<Rule>of(
                      new Rule.In(List.of("text"), new Rule.NeverKeys(List.of("A", "F2")))))
              .get(i % 4);
      readAll(RandomClaims.anywhere(random, rules, 9), kinds);
    }
    assertThat(kinds).hasSizeGreaterThan(8);
  }

  @ParameterizedTest
  @ValueSource(strings = {"fernhollow.json", "seedhouse.json"})
  void theLibrariesThatShipAreSaid(String name) throws Exception {
    Set<ConflictKind> kinds = EnumSet.noneOf(ConflictKind.class);
    Library library =
        LibraryJson.read(
            Files.readAllBytes(Path.of(System.getProperty("project.root"), "demo", name)));
    readAll(library, kinds);
    assertThat(kinds).isNotEmpty();
    Words words = new Words(library);
    for (Routine r : library.routines().values()) {
      if (r instanceof Routine.Macro macro) {
        macro
            .steps()
            .forEach(
                line -> {
                  reads(StepWords.verb(line.step()), line);
                  String rest = words.step(line.step());
                  if (!rest.isEmpty()) {
                    assertThat(rest).as("%s", line).doesNotContain("Optional[", "null ");
                  }
                });
      }
    }
  }

  /** Every press is explained, layer by layer, by whoever let it pass or took it. */
  @Property(tries = 40)
  void everyPressIsExplained(@ForAll long seed) {
    Random random = new Random(seed);
    Library library = RandomClaims.anywhere(random, List.of(), 9);
    Keymap keymap = Fixture.keymap(library);
    Words words = new Words(library, keymap.layout());
    for (Place state : keymap.states()) {
      Trigger trigger = RandomClaims.anyTrigger(random);
      for (List<Signal> way : new Reference(library, keymap.station()).ways(trigger)) {
        for (LayerReport report : Explanation.of(keymap, state, way).layers()) {
          reads(words.layer(report.layer()), report.layer());
          reads(words.verdict(report), report);
        }
      }
    }
  }

  @ParameterizedTest
  @EnumSource
  void aKindHasAName(ConflictKind kind) {
    reads(Words.kind(kind), kind);
  }

  @ParameterizedTest
  @EnumSource
  void aWeightHasAName(Weight weight) {
    reads(Words.weight(weight), weight);
  }

  /** As people say them; from memory of how times are read out. */
  @ParameterizedTest
  @CsvSource({
    "0, 0 s",
    "0.04, 0 s",
    "0.05, 0.1 s",
    "0.84, 0.8 s",
    "9.94, 9.9 s",
    "9.96, 10 s",
    "99.4, 99 s",
    "99.6, 2 min",
    "2820, 47 min",
    "5940, 99 min",
    "6000, 1 h 40 min",
    "7200, 2 h",
    "11520, 3 h 12 min",
    "-0.84, \u22120.8 s",
    "-0.01, 0 s",
    "-2820, \u221247 min",
    "-7200, \u22122 h"
  })
  void timesAreSaidAsPeopleSayThem(double seconds, String said) {
    assertThat(EffortWords.time(seconds)).isEqualTo(said);
  }

  @Test
  void whatNeverComesHasNoTime() {
    reads(EffortWords.time(Double.POSITIVE_INFINITY), "endless");
    assertThat(EffortWords.weeks(Double.POSITIVE_INFINITY)).isEqualTo(EffortWords.weeks(600));
    assertThat(EffortWords.weeks(0.3)).isNotEqualTo(EffortWords.weeks(1));
    assertThat(EffortWords.weeks(1)).contains("1 week").doesNotContain("weeks");
    assertThat(EffortWords.weeks(2)).contains("2 weeks");
  }

  @ParameterizedTest
  @CsvSource({"3, 3", "3.50, 3.5", "1e3, 1000", "0.1, 0.1", "12.0, 12", "-2, -2", "1e-3, 0.001"})
  void numbersHaveNoNeedlessDecimals(double n, String said) {
    assertThat(Words.number(n)).isEqualTo(said);
  }

  /** What is not there any more is named by its id. */
  @Test
  void whatIsGoneIsNamedByItsId() {
    Library library = Fixture.library("mine box F2");
    Words words = new Words(library);
    assertThat(words.application("gone")).isEqualTo("gone");
    Binding orphan = library.bindings().get("mine box F2").withRoutine("nowhere", Map.of());
    assertThat(words.binding(orphan)).isEqualTo("nowhere");
    assertThat(words.arguments(orphan)).isEmpty();
    assertThat(words.besides(Fixture.trigger("F2"), Fixture.keymap(library).station()))
        .isEqualTo(Optional.empty());
  }
}
