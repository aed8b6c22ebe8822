package foldtwice.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.trigger.Layouts;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Press;
import java.util.Optional;
import javafx.event.EventType;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.junit.jupiter.api.Test;

/** Key events as the platforms really send them, which no headless screen does. */
class HeldKeysTest {

  private final HeldKeys held = new HeldKeys();

  private static KeyEvent event(
      EventType<KeyEvent> type, KeyCode code, String text, boolean ctrl, boolean alt) {
    return new KeyEvent(type, "", text, code, false, ctrl, alt, false);
  }

  private void follow(EventType<KeyEvent> type, KeyCode code) {
    held.follow(event(type, code, "", false, false));
  }

  private Optional<Press> german(KeyCode code, String text, boolean ctrl, boolean alt) {
    KeyEvent e = event(KeyEvent.KEY_PRESSED, code, text, ctrl, alt);
    held.follow(e);
    return held.press(e, Layouts.of("de").orElseThrow());
  }

  @Test
  void altGrIsFollowedByItsOwnKey() {
    follow(KeyEvent.KEY_PRESSED, KeyCode.ALT_GRAPH);
    assertThat(german(KeyCode.Q, "@", false, false))
        .contains(Press.of(foldtwice.trigger.KeyCode.KEY_Q, Modifier.ALTGR));
    follow(KeyEvent.KEY_RELEASED, KeyCode.ALT_GRAPH);
    assertThat(german(KeyCode.Q, "q", false, false))
        .contains(Press.of(foldtwice.trigger.KeyCode.KEY_Q));
  }

  /** Common practice, no source: some platforms tell AltGr as Ctrl and Alt together. */
  @Test
  void altGrToldAsCtrlAndAltIsAltGrAlone() {
    follow(KeyEvent.KEY_PRESSED, KeyCode.ALT_GRAPH);
    assertThat(german(KeyCode.E, "\u20ac", true, true))
        .contains(Press.of(foldtwice.trigger.KeyCode.KEY_E, Modifier.ALTGR));
    held.reset();
    assertThat(german(KeyCode.E, "", true, true))
        .as("without AltGr they are what they are")
        .contains(Press.of(foldtwice.trigger.KeyCode.KEY_E, Modifier.CTRL, Modifier.ALT));
  }

  @Test
  void theLogoKeyIsFollowedUnderEachOfItsNames() {
    for (KeyCode logo : new KeyCode[] {KeyCode.WINDOWS, KeyCode.META, KeyCode.COMMAND}) {
      follow(KeyEvent.KEY_PRESSED, logo);
      assertThat(german(KeyCode.L, "", false, false))
          .contains(Press.of(foldtwice.trigger.KeyCode.KEY_L, Modifier.LOGO));
      follow(KeyEvent.KEY_RELEASED, logo);
    }
  }

  /** A letter beyond ASCII comes without a code; its text says where it lies on the layout. */
  @Test
  void aKeyWithoutACodeIsToldByItsText() {
    assertThat(german(KeyCode.UNDEFINED, "\u00f6", false, false))
        .contains(Press.of(foldtwice.trigger.KeyCode.SEMICOLON));
    assertThat(german(KeyCode.UNDEFINED, "\u00d6", false, false))
        .contains(Press.of(foldtwice.trigger.KeyCode.SEMICOLON));
    assertThat(german(KeyCode.UNDEFINED, "", true, false))
        .as("neither code nor text: it cannot be told")
        .isEmpty();
  }

  @Test
  void aLetterLiesWhereTheLayoutPutsIt() {
    assertThat(german(KeyCode.Z, "z", false, false))
        .contains(Press.of(foldtwice.trigger.KeyCode.KEY_Y));
    assertThat(german(KeyCode.SHIFT, "", false, false)).as("a modifier alone").isEmpty();
    assertThat(german(KeyCode.NUMPAD3, "3", false, false))
        .contains(Press.of(foldtwice.trigger.KeyCode.NUMPAD_3));
  }
}
