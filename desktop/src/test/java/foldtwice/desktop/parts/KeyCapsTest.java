package foldtwice.desktop.parts;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.Toolkit;
import foldtwice.desktop.session.Snapshots;
import foldtwice.library.Library;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import javafx.scene.Node;
import javafx.scene.control.Label;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Caps that showed others before show what caps made for a trigger show. */
class KeyCapsTest {

  private static List<Trigger> triggers;
  private static Words words;

  @BeforeAll
  static void read() throws Exception {
    Toolkit.start();
    Library demo = Snapshots.demo();
    triggers =
        demo.bindings().values().stream().flatMap(b -> b.triggers().stream()).distinct().toList();
    words = new Words(demo, Keymap.of(demo, demo.stations().values().iterator().next()).layout());
  }

  private static String shown(KeyCaps caps) {
    StringBuilder all = new StringBuilder();
    all.append(caps.getMinWidth()).append(caps.getAccessibleText());
    for (Node n : caps.getChildren()) {
      Label l = (Label) n;
      all.append('|').append(l.getText()).append(l.getStyleClass()).append(l.getMinWidth());
    }
    return all.toString();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void whateverTheyShowedBefore(long seed) {
    List<Trigger> order = new ArrayList<>(triggers);
    Collections.shuffle(order, new Random(seed));
    assertThat(order).hasSizeGreaterThan(100);
    Toolkit.ask(
        () -> {
          KeyCaps caps = new KeyCaps();
          for (Trigger t : order) {
            caps.show(t, words);
            assertThat(shown(caps)).isEqualTo(shown(KeyCaps.of(t, words)));
          }
          return true;
        });
  }

  /** Styles cost more than letters: from one chord to another of as many keys no label is made. */
  @Test
  void aChordLikeTheLastKeepsItsLabels() {
    Trigger one = foldtwice.trigger.Notation.read("Ctrl+Alt+A");
    Trigger other = foldtwice.trigger.Notation.read("Shift+Alt+F7");
    Toolkit.ask(
        () -> {
          KeyCaps caps = KeyCaps.of(one, words);
          List<Node> before = List.copyOf(caps.getChildren());
          caps.show(other, words);
          assertThat(caps.getChildren()).isEqualTo(before);
          assertThat(before).extracting(n -> ((Label) n).getText()).contains("F7").contains("+");
          return true;
        });
  }
}
