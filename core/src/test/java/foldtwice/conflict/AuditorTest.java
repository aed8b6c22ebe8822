package foldtwice.conflict;

import static org.assertj.core.api.Assertions.assertThat;

import dk.brics.automaton.Automaton;
import dk.brics.automaton.BasicOperations;
import foldtwice.Fixture;
import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Signal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AuditorTest {

  @ParameterizedTest(name = "{0}: {1}")
  @CsvSource(
      delimiter = ';',
      value = {
        // claims, comma-separated | kind weight place+place of every conflict
        "mine box Alt+L, mine box Alt+[KeyL]; double-claim blocks box",
        "mine box Alt+L, mine bare Alt+[KeyL]; none",
        "mine box Alt+L, mine sheet Alt+[KeyL]; covered costs box",
        "mine box Alt+L, mine bare Alt+L, mine sheet Alt+[KeyL]; covered blocks bare/covered blocks box",
        "mine box Alt+L, native box Alt+[KeyL]; displaces costs box",
        "mine box Alt+L, unused box Alt+[KeyL]; displaces note box",
        "mine app Alt+L, native box Alt+[KeyL]; covered costs box",
        "mine sheet L then B, native sheet L; cut-short blocks box+bare",
        "mine box L then B, native sheet L; answers-later note box",
        "mine box L then B, native sheet L, native app L then C; answers-later note box",
        "mine box L then B, native box L then C, native sheet L; none",
        "mine box L then Logo+L; reserved blocks box",
        "mine box L then B, native box L then Logo+L; none",
        "native box L, native box [KeyL]; double-claim costs box",
        "unused box L, unused box [KeyL]; double-claim note box",
        "native box L, native box [KeyL], mine box L; none",
        "native box L, native bare [KeyL]; none",
        "mine sheet L, native sheet L then B; displaces costs box+bare",
        "mine sheet L then B, native box L; cut-short costs box",
        "mine box Logo+L; reserved blocks box",
        "mine everywhere Alt+L, mine box Alt+[KeyL]; intercepted blocks box",
        "mine everywhere Alt+L, native bare Alt+[KeyL]; intercepted costs bare",
        "mine box held L, mine box L; hold-clash blocks box",
        "mine box held L, mine box L then B; hold-clash blocks box",
        "mine sheet held L, mine box L; hold-clash costs box",
        "mine box held L, mine bare L; none",
        "mine cell G; types-text costs cell",
        "mine grid G; none",
        "mine box \u00e4; untypeable blocks box",
      })
  void kinds(String claims, String expected) {
    List<String> rows = new ArrayList<>(Stream.of(claims.split(",")).map(String::strip).toList());
    assertThat(audit(rows)).isEqualTo(expected);
    Collections.reverse(rows);
    assertThat(audit(rows)).as("in the other order").isEqualTo(expected);
  }

  private static String audit(List<String> rows) {
    Library library = Fixture.library(rows.toArray(String[]::new));
    List<Conflict> found = Auditor.audit(Subject.of(library, Fixture.keymap(library)));
    return found.isEmpty()
        ? "none"
        : found.stream()
            .map(
                c ->
                    c.kind().id()
                        + " "
                        + c.weight().id()
                        + " "
                        + c.places().stream()
                            .map(p -> ((Place.Within) p).context())
                            .collect(Collectors.joining("+")))
            .sorted()
            .collect(Collectors.joining("/"));
  }

  @Test
  void rulesOfTheApplicationRefuse() {
    List<Rule> rules =
        List.of(
            new Rule.MostStrokes(1),
            new Rule.HoldsOneOf(Modifiers.of(Modifier.CTRL)),
            new Rule.NeverHolds(Modifiers.of(Modifier.LOGO)),
            new Rule.NeverKeys(List.of("F1")));
    Library library =
        Fixture.library(
            rules,
            "mine grid Ctrl+A then Ctrl+B",
            "mine grid Alt+A",
            "mine grid Ctrl+Logo+X",
            "mine grid F1",
            "mine grid [F1]",
            "mine grid F5",
            "mine grid Ctrl+Q");
    List<Conflict> found = Auditor.audit(Subject.of(library, Fixture.keymap(library)));
    assertThat(found).hasSize(5).allMatch(c -> c.kind() == ConflictKind.NOT_ACCEPTED);
    assertThat(found.stream().map(c -> c.rule().orElseThrow()).distinct())
        .containsExactlyInAnyOrderElementsOf(rules);
  }

  @Test
  void adviceSaysBeforehandWhatTheAuditSaysAfterwards() {
    Library library =
        Fixture.library(
            "mine box Alt+L", "mine sheet Alt+K", "native box Ctrl+D", "native text Ctrl+E");
    Binding binding = library.bindings().get("mine box Alt+L");
    Keymap keymap = Fixture.keymap(library);
    assertThat(Advice.on(Subject.of(library, keymap), binding, Notation.read("Ctrl+D")).conflicts())
        .extracting(Conflict::kind)
        .containsExactly(ConflictKind.DISPLACES);
    Advice elsewhere = Advice.on(Subject.of(library, keymap), binding, Notation.read("Ctrl+E"));
    assertThat(elsewhere.isFree()).isTrue();
    assertThat(elsewhere.elsewhere()).hasSize(1);
    assertThat(Advice.freeNear(Subject.of(library, keymap), binding, Notation.read("Ctrl+D"), 8))
        .hasSize(8)
        .doesNotContain(Notation.read("Ctrl+D"))
        .allMatch(t -> Advice.on(Subject.of(library, keymap), binding, t).isFree());
  }

  /** What a conflict claims is what the resolver does when its evidence is played. */
  @Property(tries = 1000)
  void evidencePlays(@ForAll("libraries") Library library) {
    Keymap keymap = Fixture.keymap(library);
    for (Conflict c : Auditor.audit(Subject.of(library, keymap))) {
      Set<Owner> fired = fired(keymap, c.evidence().state(), c.evidence().presses());
      switch (c.kind()) {
        case CUT_SHORT, COVERED, RESERVED, DOUBLE_CLAIM, HOLD_CLASH ->
            assertThat(fired).as(c.toString()).doesNotContain(c.about().owner());
        case DISPLACES, ANSWERS_LATER, TYPES_TEXT ->
            assertThat(fired).as(c.toString()).contains(c.about().owner());
        case INTERCEPTED -> {
          boolean taking = c.about().place() instanceof Place.Everywhere;
          assertThat(fired.contains(c.about().owner())).as(c.toString()).isEqualTo(taking);
        }
        default -> throw new AssertionError("nothing here makes " + c);
      }
    }
  }

  private static Set<Owner> fired(Keymap keymap, Place state, List<Signal> presses) {
    List<Outcome> outcomes = Resolver.outcomes(keymap, state, presses);
    return outcomes.stream()
        .filter(o -> o instanceof Outcome.Fired)
        .map(o -> ((Outcome.Fired) o).claim().owner())
        .collect(Collectors.toSet());
  }

  /**
   * Reference: dk.brics.automaton. Two triggers of one place collide just when one's words are a
   * prefix of the other's.
   */
  @Property(tries = 300)
  void overlapsAgreeWithAnAutomaton(
      @ForAll("triggers") String one, @ForAll("triggers") String other) {
    Library library = Fixture.library("mine box " + one, "mine box " + other);
    boolean ours =
        one.equals(other)
            || Auditor.audit(Subject.of(library, Fixture.keymap(library))).stream()
                .anyMatch(
                    c ->
                        c.kind() == ConflictKind.CUT_SHORT
                            || c.kind() == ConflictKind.DOUBLE_CLAIM);
    Automaton any = Automaton.makeAnyString();
    Automaton a = Automaton.makeString(word(one)).concatenate(any);
    Automaton b = Automaton.makeString(word(other)).concatenate(any);
    boolean overlap = !BasicOperations.intersection(a, b).isEmpty();
    assertThat(ours).isEqualTo(overlap);
  }

  private static String word(String trigger) {
    return Notation.read(trigger).strokes().stream()
        .map(s -> Notation.write(s).replace("Alt+", "1"))
        .collect(Collectors.joining());
  }

  @Provide
  Arbitrary<String> triggers() {
    return Arbitraries.of("A", "B", "Alt+A")
        .list()
        .ofMinSize(1)
        .ofMaxSize(3)
        .map(l -> String.join(" then ", l));
  }

  @Provide
  Arbitrary<Library> libraries() {
    Arbitrary<String> rows =
        Combinators.combine(
                Arbitraries.of("mine", "mine", "native"),
                Arbitraries.of("box", "bare", "sheet", "app", "grid", "cell", "text", "everywhere"),
                triggers())
            .as(
                (who, where, keys) ->
                    who
                        + " "
                        + (who.equals("native") && where.equals("everywhere") ? "app" : where)
                        + " "
                        + keys);
    return rows.list()
        .ofMinSize(1)
        .ofMaxSize(9)
        .map(l -> Fixture.library(l.stream().distinct().toArray(String[]::new)));
  }
}
