package foldtwice.trigger;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.trigger.KeyboardSearch.Keyboard;
import foldtwice.trigger.KeyboardSearch.Question;
import foldtwice.trigger.KeyboardSearch.Spot;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class KeyboardSearchTest {

  private record Found(KeyboardSearch search, List<Question> asked) {}

  /** Asks until nothing more can be told; the keyboard answers as it types. */
  private static Found find(Keyboard at) {
    KeyboardSearch search = KeyboardSearch.all();
    List<Question> asked = new ArrayList<>();
    Optional<Question> next = search.next();
    while (next.isPresent()) {
      KeyboardSearch after = search.after(next.get(), at.types(next.get()));
      assertThat(after.left()).contains(at).hasSizeLessThan(search.left().size());
      search = after;
      asked.add(next.get());
      next = search.next();
    }
    return new Found(search, asked);
  }

  /** Two to five presses, as is wished for; the keyboard at hand is the one that is left. */
  @Test
  void everyKeyboardIsFoundInTwoToFivePresses() {
    Map<Keyboard, Integer> presses =
        KeyboardSearch.all().left().stream()
            .collect(Collectors.toMap(k -> k, k -> find(k).asked().size()));
    assertThat(presses.values()).allSatisfy(n -> assertThat(n).isBetween(2, 5));
    assertThat(KeyboardSearch.all().left())
        .allSatisfy(k -> assertThat(find(k).search().left()).containsExactly(k));
  }

  /** From the published layouts: Germany's y lies where z does elsewhere, France has A for Q. */
  @Test
  void aKeyTellsWhatItIsKnownToTell() {
    KeyboardSearch all = KeyboardSearch.all();
    assertThat(layouts(all.after(plain(KeyCode.KEY_Q), "a"))).containsExactly("fr");
    assertThat(layouts(all.after(plain(KeyCode.KEY_Y), "z"))).containsExactly("de", "ch");
    assertThat(layouts(all.after(plain(KeyCode.BRACKET_LEFT), "\u00fc")))
        .containsExactly("de", "ch");
    assertThat(layouts(all.after(plain(KeyCode.SEMICOLON), "\u00f1"))).containsExactly("es");
  }

  /** ISO 9995 keyboards have one key more, beside the left Shift. */
  @Test
  void theKeyBesideShiftTellsTheShape() {
    Question beside = new Question(Spot.Beside.LEFT_SHIFT, Modifiers.NONE);
    assertThat(KeyboardSearch.all().after(beside, "<").left())
        .allSatisfy(k -> assertThat(k.shape()).isEqualTo(Shape.ISO));
    assertThat(KeyboardSearch.all().after(beside, "y").left())
        .allSatisfy(k -> assertThat(k.shape()).isNotEqualTo(Shape.ISO));
  }

  @Test
  void whatNoKeyboardTypesLeavesNone() {
    KeyboardSearch none = KeyboardSearch.all().after(plain(KeyCode.KEY_A), "\u0436");
    assertThat(none.left()).isEmpty();
    assertThat(none.next()).isEmpty();
  }

  private static Question plain(KeyCode code) {
    return new Question(new Spot.At(code), Modifiers.NONE);
  }

  private static List<String> layouts(KeyboardSearch search) {
    return search.left().stream().map(Keyboard::layout).distinct().toList();
  }
}
