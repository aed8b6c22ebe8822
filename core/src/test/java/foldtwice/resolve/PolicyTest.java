package foldtwice.resolve;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.library.Library;
import foldtwice.trigger.Signal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each clause of the policy in the docs of the package, in both orders of insertion. */
class PolicyTest {

  @ParameterizedTest(name = "{0} in {1}: {2} gives {3}")
  @CsvSource(
      delimiter = ';',
      value = {
        // clause; claims, comma-separated | state | pressed | outcomes
        "mine box Logo+L; box; Logo+L; lock",
        "mine box Alt+L, mine everywhere Alt+L; box; Alt+L; mine everywhere Alt+L",
        "mine box Alt+L, mine sheet Alt+L, mine app Alt+L; box; Alt+L; mine box Alt+L",
        "mine box Alt+L, mine sheet Alt+L, mine app Alt+L; bare; Alt+L; mine sheet Alt+L",
        "mine box Alt+L, mine sheet Alt+L, mine app Alt+L; grid; Alt+L; mine app Alt+L",
        "mine box Alt+L; grid; Alt+L; nothing",
        "mine box Alt+L, native box Alt+L; box; Alt+L; mine box Alt+L",
        "mine sheet Alt+L, native box Alt+L; box; Alt+L; native box Alt+L",
        "mine box L then B; box; L then B; waits, mine box L then B",
        "mine box L then B; box; L; waits, (time) nothing",
        "mine box L then Logo+L; box; L then Logo+L; waits, lock, (time) nothing",
        "mine box L then B; box; L then Logo+L then B; waits, lock, mine box L then B",
        "mine box L then B, mine everywhere Alt+B; box; L then Alt+B; waits, nothing, mine everywhere Alt+B",
        "mine box L then Alt+B, mine everywhere Alt+B; box; L then Alt+B; waits, mine box L then Alt+B",
        "mine box L then B, native box L; box; L then B; native box L, nothing",
        "mine sheet L then B, native box L; box; L then B; native box L, nothing",
        "mine box L then B, native sheet L; box; L then B; waits, mine box L then B",
        "mine box L then B, native sheet L; box; L; waits, (time) native sheet L",
        "mine box L then B then C, mine box held B, mine box B; box; L then B; waits, waits, (time) nothing, undecided",
        "mine box L then B, native sheet L, mine box X; box; L then X; waits, native sheet L, mine box X",
        "mine box L then B, mine box L then B then C; box; L then B then C; waits, mine box L then B, nothing",
        "mine box L then B then C, mine sheet L then B, mine app L; box; L then B then D; waits, waits, mine sheet L then B, nothing",
        "mine box L then B; box; L then X; waits, nothing, nothing",
        "mine box L then B; box; L then L then B; waits, nothing, waits, mine box L then B",
        "mine grid G, mine app Ctrl+G; cell; G; types g",
        "mine grid G, mine app Ctrl+G; cell; Ctrl+G; mine app Ctrl+G",
        "mine everywhere G; cell; G; types g",
        "mine everywhere G; grid; G; mine everywhere G",
        "mine cell G; cell; G; mine cell G",
        "mine cell G then H; cell; G then X; waits, types g, types x",
        "mine text G; word; G; types g",
        // clause 10: held keys
        "mine box held L, mine box L then B; box; L then B; mine box held L, nothing",
        "mine sheet held L, mine box L then B; box; L then B; mine sheet held L, nothing",
        "mine sheet held L, native box L; box; L; native box L",
        "mine box up L; box; up L; mine box up L",
        "mine box up L; box; L; nothing",
        "mine box held L, native box L; box; L; mine box held L",
        "mine grid held G; cell; G; types g",
        "mine grid up G; cell; up G; nothing",
        "mine grid up Ctrl+G; cell; up Ctrl+G; mine grid up Ctrl+G",
        // clause 11: what is no key
        "mine box pad k1, mine app pad k1; box; pad k1; mine box pad k1",
        "mine box pad k1, mine app pad k1; bare; pad k1; mine app pad k1",
        "mine box pad k1; grid; pad k1; nothing",
        "mine everywhere pad k1; cell; pad k1; mine everywhere pad k1",
        "mine box drag left; box; drag right; nothing",
        "mine box drag left, native box drag left; box; drag left; mine box drag left",
        // clause 13: the pointer's place
        "mine pane Alt+L, mine box Alt+L; box+pane; Alt+L; mine pane Alt+L",
        "mine pane Alt+L, mine box Alt+L; box; Alt+L; mine box Alt+L",
        "mine pane Alt+L, mine rim Alt+L; box+rim; Alt+L; mine rim Alt+L",
        "mine pane Alt+L, mine box Alt+L; box+rim; Alt+L; mine pane Alt+L",
        "mine rim Alt+L, mine box Alt+L; box+pane; Alt+L; mine box Alt+L",
        "native pane Alt+L, mine box Alt+L; box+pane; Alt+L; native pane Alt+L",
        "mine box L then B, native pane L; box+pane; L then B; native pane L, nothing",
        "mine pane L then B, native box L; box+pane; L; waits, (time) native box L",
        "mine pane G; cell+pane; G; types g",
        // keys of the keypad are text
        "mine app F9; text; KP_7; types 7",
        "mine app KP_7; box; KP_7; mine app KP_7",
        "mine app KP_7; text; KP_7; types 7",
        "mine cell G, mine pane G; cell+pane; G; mine cell G",
        "mine everywhere Alt+L, mine pane Alt+L; box+pane; Alt+L; mine everywhere Alt+L",
      })
  void clauses(String claims, String state, String pressed, String expected) {
    List<String> rows = new ArrayList<>(Stream.of(claims.split(",")).map(String::strip).toList());
    assertThat(press(rows, state, pressed)).isEqualTo(expected);
    Collections.reverse(rows);
    assertThat(press(rows, state, pressed)).as("in the other order").isEqualTo(expected);
  }

  @Test
  void twoOfYoursInOneLayerAreUndecided() {
    Library library = Fixture.library("mine box Alt+L", "mine box Alt+[KeyL]");
    Resolver.Answer answer =
        new Resolver(Fixture.keymap(library))
            .press(Resolver.start(Fixture.place("box")), presses(library, "Alt+L").getFirst(), 0);
    assertThat(answer.outcomes())
        .singleElement()
        .isInstanceOfSatisfying(Outcome.Undecided.class, u -> assertThat(u.claims()).hasSize(2));
  }

  @Test
  void aLateStrokeBeginsAnew() {
    Library library = Fixture.library("mine box L then B", "native sheet L", "mine box B");
    Resolver resolver = new Resolver(Fixture.keymap(library));
    List<Signal> strokes = presses(library, "L then B");
    Resolver.Answer first =
        resolver.press(Resolver.start(Fixture.place("box")), strokes.get(0), 1000);
    Resolver.Answer late =
        resolver.press(first.next(), strokes.get(1), 1000 + Resolver.TIME_LIMIT_MILLIS + 1);
    assertThat(words(late.outcomes())).isEqualTo("native sheet L, mine box B");
    Resolver.Answer inTime =
        resolver.press(first.next(), strokes.get(1), 1000 + Resolver.TIME_LIMIT_MILLIS);
    assertThat(words(inTime.outcomes())).isEqualTo("mine box L then B");
  }

  /** Clause 11: a sequence that waits is left alone by what is no key. */
  @Test
  void aSequenceGoesOnWaitingWhileAPadKeyIsPressed() {
    Library library = Fixture.library("mine box L then B", "mine box pad k1");
    Resolver resolver = new Resolver(Fixture.keymap(library));
    List<Signal> strokes = presses(library, "L then B");
    Resolver.State at = Resolver.start(Fixture.place("box"));
    at = resolver.press(at, strokes.getFirst(), 0).next();
    Resolver.Answer pad = resolver.press(at, presses(library, "pad k1").getFirst(), 10);
    assertThat(words(pad.outcomes())).isEqualTo("mine box pad k1");
    assertThat(words(resolver.press(pad.next(), strokes.get(1), 20).outcomes()))
        .isEqualTo("mine box L then B");
  }

  @Test
  void everyLayerSaysWhyItPassedOrTook() {
    Library library = Fixture.library("mine sheet Alt+L", "mine app Alt+L", "native box L");
    Explanation why =
        Explanation.of(Fixture.keymap(library), Fixture.place("box"), presses(library, "Alt+L"));
    assertThat(why.layers().stream().map(l -> l.verdict().name()).toList())
        .containsExactly("PASSES", "PASSES", "PASSES", "TAKES", "TOO_LATE");
  }

  private static List<Signal> presses(Library library, String keys) {
    return Fixture.keymap(library).paths(Fixture.trigger(keys)).getFirst();
  }

  private static String press(List<String> rows, String state, String keys) {
    Library library = Fixture.library(rows.toArray(String[]::new));
    Resolver resolver = new Resolver(Fixture.keymap(library));
    Resolver.State at = Resolver.start(Fixture.place(state));
    List<String> outcomes = new ArrayList<>();
    for (Signal p : presses(library, keys)) {
      Resolver.Answer answer = resolver.press(at, p, 0);
      outcomes.add(words(answer.outcomes()));
      at = answer.next();
    }
    List<Outcome> late = resolver.tick(at, Resolver.TIME_LIMIT_MILLIS + 1).outcomes();
    if (!late.isEmpty()) {
      outcomes.add("(time) " + words(late));
    }
    return String.join(", ", outcomes);
  }

  private static String words(List<Outcome> outcomes) {
    return outcomes.stream()
        .map(
            o ->
                switch (o) {
                  case Outcome.Fired(Claim c) ->
                      switch (c.owner()) {
                        case Owner.Yours(String id) -> id;
                        case Owner.Native(String app, String id) -> id;
                        case Owner.Menu(String id) -> id;
                        case Owner.Key(String d, String p, String key) -> key;
                        case Owner.Desktop(String what) -> what;
                      };
                  case Outcome.Waiting w -> "waits";
                  case Outcome.Undecided u -> "undecided";
                  case Outcome.Typed(String text) -> "types " + text;
                  case Outcome.Unclaimed u -> "nothing";
                })
        .collect(Collectors.joining(", "));
  }
}
