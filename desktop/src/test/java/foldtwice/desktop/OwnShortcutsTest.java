package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.session.OwnKeys;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.nio.file.Files;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OwnShortcutsTest {

  @Test
  void oursCanBePressedOnEveryStationAndClashNeitherWithEachOtherNorTheDesktop() throws Exception {
    var library =
        LibraryJson.read(Files.readAllBytes(Hands.root().resolve("demo/fernhollow.json")));
    for (Station station : library.stations().values()) {
      Keymap keymap = Keymap.of(library, station);
      Set<Object> taken = new HashSet<>();
      station.reserved().forEach(r -> taken.addAll(keymap.paths(r.trigger())));
      for (OwnKeys own : OwnKeys.values()) {
        Trigger.Keys trigger = Notation.read(own.keys());
        assertThat(keymap.paths(trigger)).as(own + " on " + station.name()).isNotEmpty();
        assertThat(taken.addAll(keymap.paths(trigger))).as(own + " on " + station.name()).isTrue();
      }
    }
  }

  /** Reference: javafx.scene.input.KeyCombination. */
  @ParameterizedTest
  @CsvSource({
    "Ctrl+Shift+M,Ctrl+Shift+M",
    "Alt+F4,Alt+F4",
    "Logo+L,Meta+L",
    "Ctrl+7,Ctrl+7",
    "F12,F12",
    "Shift+Delete,Shift+Delete",
    "Ctrl+Alt+PageUp,Ctrl+Alt+Page Up",
    "Enter,Enter",
    "Alt+Left,Alt+Left"
  })
  void agreesWithTheKeyCombinationsOfTheToolkit(String ours, String theirs) {
    Stroke stroke = Notation.read(ours).strokes().getFirst();
    KeyCodeCombination reference = (KeyCodeCombination) KeyCombination.valueOf(theirs);
    assertThat(stroke.modifiers().has(Modifier.CTRL))
        .isEqualTo(reference.getControl() == KeyCombination.ModifierValue.DOWN);
    assertThat(stroke.modifiers().has(Modifier.ALT))
        .isEqualTo(reference.getAlt() == KeyCombination.ModifierValue.DOWN);
    assertThat(stroke.modifiers().has(Modifier.SHIFT))
        .isEqualTo(reference.getShift() == KeyCombination.ModifierValue.DOWN);
    assertThat(stroke.modifiers().has(Modifier.LOGO))
        .isEqualTo(reference.getMeta() == KeyCombination.ModifierValue.DOWN);
    assertThat(Notation.word(stroke.key()))
        .isEqualToIgnoringCase(reference.getCode().getName().replace(" ", ""));
  }

  @Test
  void bothRefuseWhatIsNoCombination() {
    for (String text : List.of("Ctrl+", "Hyper+M", "Ctrl+Ctrl+M")) {
      assertThat(Stream.<Runnable>of(() -> Notation.read(text), () -> KeyCombination.valueOf(text)))
          .allSatisfy(
              read ->
                  org.assertj.core.api.Assertions.assertThatThrownBy(read::run)
                      .isInstanceOf(IllegalArgumentException.class));
    }
  }
}
