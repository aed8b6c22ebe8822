package foldtwice.trigger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NotationTest {

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "ctrl+shift+m|Ctrl+Shift+M|CTRL+SHIFT+m",
        "M|M|m",
        "Shift+m|Shift+M|SHIFT+m",
        "alt+.|Alt+.|ALT+period",
        "Ctrl+Plus|Ctrl+Plus|CTRL+plus",
        "Ctrl++|Ctrl+Plus|CTRL+plus",
        "page up|PageUp|Prior",
        "Logo+F13|Logo+F13|LOGO+F13",
        "Ctrl+[KeyQ]|Ctrl+[KeyQ]|CTRL+[KeyQ]",
        "altgr+e|AltGr+E|ALTGR+e",
        "\u00e4|\u00c4|adiaeresis",
        "\u00df|\u00df|ssharp",
      })
  void onNotationReadsAndTheOtherWrites(String typed, String shown, String filed) {
    Trigger.Keys trigger = Notation.read(typed);
    assertThat(Notation.write(trigger)).isEqualTo(shown);
    assertThat(FileNotation.write(trigger.strokes().getFirst())).isEqualTo(filed);
  }

  @Test
  void strokesOfASequenceAreJoinedByThen() {
    assertThat(Notation.write(Notation.read("alt+g THEN d"))).isEqualTo("Alt+G then D");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Hyper+M|Hyper|a modifier is one of",
        "Ctrl+Ctrl+M|Ctrl|only once",
        "Ctrl+Shift|Shift|the key is a character",
        "Ctrl+|Ctrl+|the key is a character",
        "Ctrl+[KeyQQ]|[KeyQQ]|W3C code value",
        "L then|L then|the key is a character",
        "foo|foo|the key is a character",
        "A then A then A then A then A then A then A|A|at most 6",
      })
  void whatCannotBeReadIsNamed(String typed, String part, String allowed) {
    assertThatThrownBy(() -> Notation.read(typed))
        .isInstanceOf(NotationException.class)
        .hasMessageContaining(allowed)
        .extracting(e -> ((NotationException) e).part())
        .isEqualTo(part);
  }

  @ParameterizedTest
  @CsvSource({"Ctrl+m", "CTRL+", "CTRL+nosuch", "CTRL+CTRL+m", "CTRL+[Nope]"})
  void filesAreReadStrictly(String text) {
    assertThatThrownBy(() -> FileNotation.read(text)).isInstanceOf(NotationException.class);
  }

  @Property(tries = 2000)
  void writingThenReadingChangesNothing(@ForAll("strokes") Stroke stroke) {
    assertThat(FileNotation.read(FileNotation.write(stroke))).isEqualTo(stroke);
    assertThat(Notation.read(Notation.write(stroke))).isEqualTo(Trigger.Keys.of(stroke));
  }

  @Provide
  Arbitrary<Stroke> strokes() {
    Arbitrary<Modifiers> modifiers =
        Arbitraries.integers().between(0, (1 << Modifiers.WIDTH) - 1).map(Modifiers::new);
    Arbitrary<Key> keys =
        Arbitraries.oneOf(
            Arbitraries.of(KeyCode.class).map(Key.At::new),
            Arbitraries.chars()
                .range('!', '~')
                .range('\u00a1', '\u00ff')
                .filter(c -> Character.toLowerCase(c) == c)
                .map(c -> new Key.Making(Keysym.of(c))),
            Arbitraries.of("Return", "Left", "F5", "Prior", "space", "Delete", "dead_acute")
                .map(n -> new Key.Making(Keysym.named(n).orElseThrow())));
    return Combinators.combine(modifiers, keys).as(Stroke::new);
  }
}
