package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import foldtwice.trigger.Modifier;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Stroke;
import java.awt.event.InputEvent;
import java.awt.event.KeyEvent;
import java.util.Set;
import java.util.TreeSet;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyCombination.ModifierValue;
import javax.swing.KeyStroke;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** People's notation against the notations of two toolkits; here, where toolkits are at hand. */
class NotationReferencesTest {

  private static Set<Modifier> held(boolean ctrl, boolean alt, boolean shift, boolean logo) {
    Set<Modifier> held = new TreeSet<>();
    if (ctrl) {
      held.add(Modifier.CTRL);
    }
    if (alt) {
      held.add(Modifier.ALT);
    }
    if (shift) {
      held.add(Modifier.SHIFT);
    }
    if (logo) {
      held.add(Modifier.LOGO);
    }
    return held;
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
  void agreesWithKeyCombination(String ours, String theirs) {
    Stroke stroke = Notation.read(ours).strokes().getFirst();
    KeyCodeCombination reference = (KeyCodeCombination) KeyCombination.valueOf(theirs);
    assertThat(new TreeSet<>(stroke.modifiers().list()))
        .isEqualTo(
            held(
                reference.getControl() == ModifierValue.DOWN,
                reference.getAlt() == ModifierValue.DOWN,
                reference.getShift() == ModifierValue.DOWN,
                reference.getMeta() == ModifierValue.DOWN));
    assertThat(Notation.word(stroke.key()))
        .isEqualToIgnoringCase(reference.getCode().getName().replace(" ", ""));
  }

  /** Reference: javax.swing.KeyStroke. */
  @ParameterizedTest
  @CsvSource({
    "Ctrl+Shift+M,ctrl shift M",
    "Alt+F4,alt F4",
    "Ctrl+7,ctrl 7",
    "Shift+Delete,shift DELETE",
    "Logo+Left,meta LEFT",
    "Enter,ENTER",
    "Ctrl+Alt+PageUp,ctrl alt PAGE_UP"
  })
  void agreesWithKeyStroke(String ours, String theirs) {
    Stroke stroke = Notation.read(ours).strokes().getFirst();
    KeyStroke reference = KeyStroke.getKeyStroke(theirs);
    int modifiers = reference.getModifiers();
    assertThat(new TreeSet<>(stroke.modifiers().list()))
        .isEqualTo(
            held(
                (modifiers & InputEvent.CTRL_DOWN_MASK) != 0,
                (modifiers & InputEvent.ALT_DOWN_MASK) != 0,
                (modifiers & InputEvent.SHIFT_DOWN_MASK) != 0,
                (modifiers & InputEvent.META_DOWN_MASK) != 0));
    assertThat(Notation.word(stroke.key()))
        .isEqualToIgnoringCase(KeyEvent.getKeyText(reference.getKeyCode()).replace(" ", ""));
  }

  @ParameterizedTest
  @ValueSource(strings = {"Ctrl+", "Hyper+M", "Ctrl+Ctrl+M"})
  void refusesWhatKeyCombinationRefuses(String text) {
    assertThatThrownBy(() -> KeyCombination.valueOf(text))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> Notation.read(text)).isInstanceOf(IllegalArgumentException.class);
  }
}
