package foldtwice.live.listen;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.live.survey.Accelerator;
import foldtwice.trigger.Key;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What two processes, and programs, say of keys is read as it was meant, or is nothing. */
class WireTest {

  private static Modifiers held(Random random) {
    Modifiers held = Modifiers.NONE;
    for (Modifier m : Modifier.values()) {
      held = random.nextBoolean() ? held.with(m) : held;
    }
    return held;
  }

  @Test
  void everyPressComesOverAsItIs() {
    Random random = new Random(11);
    List<Press> all = new ArrayList<>();
    for (KeyCode code : KeyCode.values()) {
      all.add(new Press(code, held(random)));
    }
    for (Press p : all) {
      assertThat(Wire.press(Wire.write(p))).contains(p);
    }
    assertThat(Wire.presses(List.of(Wire.write(all).split(" ")))).isEqualTo(all);
    assertThat(Wire.presses(List.of(Wire.write(new HashSet<>(all)).split(" "))))
        .containsExactlyInAnyOrderElementsOf(new HashSet<>(all));
    assertThat(Wire.write(List.of())).isEmpty();
  }

  /** A line that was cut, or comes from somebody else, is no press. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        ":",
        "KeyA",
        "KeyA:",
        "KeyA:x",
        "KeyA:-1",
        "KeyA:99",
        "KeyA:999999999999",
        "NoKey:0",
        "1:KeyA",
        "KeyA:1:2"
      })
  void anythingElseIsNoPress(String word) {
    assertThat(Wire.press(word)).isEmpty();
    assertThat(Wire.presses(List.of(word, "KeyB:0", word))).hasSize(1);
  }

  private static final Map<Modifier, List<String>> WRITTEN =
      Map.of(
          Modifier.CTRL, List.of("<Primary>", "<Control>", "<ctrl>"),
          Modifier.ALT, List.of("<Alt>", "<Mod1>"),
          Modifier.SHIFT, List.of("<Shift>"),
          Modifier.LOGO, List.of("<Super>", "<Meta>", "<mod4>"));

  /** Any modifiers in any order, and any key that has a name (X11 keysymdef). */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void acceleratorsAreReadWhateverTheirOrder(long seed) {
    Random random = new Random(seed);
    for (int i = 0; i < 200; i++) {
      String name =
          List.of("a", "F5", "Return", "plus", "comma", "Delete", "Left", "odiaeresis", "space")
              .get(random.nextInt(9));
      List<Modifier> some = new ArrayList<>(WRITTEN.keySet());
      java.util.Collections.shuffle(some, random);
      some = some.subList(0, random.nextInt(some.size() + 1));
      StringBuilder written = new StringBuilder();
      Modifiers held = Modifiers.NONE;
      for (Modifier m : some) {
        List<String> ways = WRITTEN.get(m);
        written.append(ways.get(random.nextInt(ways.size())));
        held = held.with(m);
      }
      Trigger wanted =
          new Trigger.Keys(
              List.of(new Stroke(held, new Key.Making(Keysym.named(name).orElseThrow()))));
      assertThat(Accelerator.of("x;<Alt>f:x;" + written + name)).contains(wanted);
      assertThat(Accelerator.strokes(";;" + written + name)).hasSize(1);
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        ";",
        ";;",
        ";;<Primary>",
        ";;<Nobody>x",
        ";;nokeyatall",
        "x;y",
        ";;<Alt",
        ";; "
      })
  void whatIsNoAcceleratorIsNone(String told) {
    assertThat(Accelerator.of(told)).isEmpty();
  }

  /** Without an accelerator an item is chosen through the menus, letter by letter. */
  @Test
  void theWayThroughTheMenusIsWholeOrNone() {
    assertThat(Accelerator.strokes("n;<Alt>f:s:n;")).hasSize(3);
    assertThat(Accelerator.strokes("n;<Alt>f:nokeyatall:n;")).isEmpty();
    assertThat(Accelerator.strokes("n;n;")).as("inside an open menu only").isEmpty();
    assertThat(Accelerator.strokes("")).isEmpty();
  }
}
