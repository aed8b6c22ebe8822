package foldtwice.desktop.session;

import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Press;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import javafx.scene.input.KeyEvent;

/**
 * Reads where the keys of real key events lie on the station's keyboard.
 *
 * <p>The toolkit tells which character a key makes rather than where it lies, so the station's
 * layout says where that is. A key that arrives without a code is told by its text; one that has
 * neither cannot be told.
 */
final class Keyboard {

  private static final Map<javafx.scene.input.KeyCode, KeyCode> PLACED =
      new EnumMap<>(javafx.scene.input.KeyCode.class);
  private static final Map<javafx.scene.input.KeyCode, String> MAKING =
      new EnumMap<>(javafx.scene.input.KeyCode.class);

  static {
    for (int i = 0; i <= 9; i++) {
      PLACED.put(javafx.scene.input.KeyCode.valueOf("DIGIT" + i), KeyCode.valueOf("DIGIT_" + i));
      PLACED.put(javafx.scene.input.KeyCode.valueOf("NUMPAD" + i), KeyCode.valueOf("NUMPAD_" + i));
    }
    for (int i = 1; i <= 24; i++) {
      PLACED.put(javafx.scene.input.KeyCode.valueOf("F" + i), KeyCode.of("F" + i).orElseThrow());
    }
    for (char c = 'A'; c <= 'Z'; c++) {
      MAKING.put(
          javafx.scene.input.KeyCode.valueOf(String.valueOf(c)),
          String.valueOf(Character.toLowerCase(c)));
    }
    String[][] placed = {
      {"ENTER", "Enter"},
      {"ESCAPE", "Escape"},
      {"TAB", "Tab"},
      {"BACK_SPACE", "Backspace"},
      {"SPACE", "Space"},
      {"LEFT", "ArrowLeft"},
      {"RIGHT", "ArrowRight"},
      {"UP", "ArrowUp"},
      {"DOWN", "ArrowDown"},
      {"HOME", "Home"},
      {"END", "End"},
      {"PAGE_UP", "PageUp"},
      {"PAGE_DOWN", "PageDown"},
      {"INSERT", "Insert"},
      {"DELETE", "Delete"},
      {"PRINTSCREEN", "PrintScreen"},
      {"PAUSE", "Pause"},
      {"CONTEXT_MENU", "ContextMenu"},
      {"ADD", "NumpadAdd"},
      {"SUBTRACT", "NumpadSubtract"},
      {"MULTIPLY", "NumpadMultiply"},
      {"DIVIDE", "NumpadDivide"},
      {"DECIMAL", "NumpadDecimal"},
      {"PLAY", "MediaPlayPause"},
      {"TRACK_NEXT", "MediaTrackNext"},
      {"TRACK_PREV", "MediaTrackPrevious"},
      {"STOP", "MediaStop"},
      {"MUTE", "AudioVolumeMute"},
      {"VOLUME_UP", "AudioVolumeUp"},
      {"VOLUME_DOWN", "AudioVolumeDown"},
      {"EJECT_TOGGLE", "Eject"},
      {"HELP", "Help"},
      {"UNDO", "Undo"},
      {"CUT", "Cut"},
      {"COPY", "Copy"},
      {"PASTE", "Paste"},
      {"FIND", "Find"},
      {"AGAIN", "Again"},
    };
    for (String[] p : placed) {
      PLACED.put(javafx.scene.input.KeyCode.valueOf(p[0]), KeyCode.of(p[1]).orElseThrow());
    }
    String[][] making = {
      {"COMMA", ","},
      {"PERIOD", "."},
      {"MINUS", "-"},
      {"EQUALS", "="},
      {"SLASH", "/"},
      {"BACK_SLASH", "\\"},
      {"SEMICOLON", ";"},
      {"QUOTE", "'"},
      {"BACK_QUOTE", "`"},
      {"OPEN_BRACKET", "["},
      {"CLOSE_BRACKET", "]"},
      {"PLUS", "+"},
      {"LESS", "<"},
      {"NUMBER_SIGN", "#"},
      {"COLON", ":"},
      {"EXCLAMATION_MARK", "!"},
      {"DOLLAR", "$"},
      {"ASTERISK", "*"},
      {"AMPERSAND", "&"},
      {"QUOTEDBL", "\""},
      {"UNDERSCORE", "_"},
    };
    for (String[] m : making) {
      MAKING.put(javafx.scene.input.KeyCode.valueOf(m[0]), m[1]);
    }
  }

  private Keyboard() {}

  /**
   * Where the key of a key-down event lies; empty for modifiers and for keys that cannot be told.
   */
  static Optional<KeyCode> position(KeyEvent e, Layout layout) {
    if (e.getCode().isModifierKey()) {
      return Optional.empty();
    }
    KeyCode placed = PLACED.get(e.getCode());
    if (placed != null) {
      return Optional.of(placed);
    }
    String making = MAKING.get(e.getCode());
    if (making == null && !e.getText().isBlank()) {
      making = e.getText().substring(0, e.getText().offsetByCodePoints(0, 1));
    }
    return making == null
        ? Optional.empty()
        : layout.making(Keysym.of(Character.toLowerCase(making.codePointAt(0)))).stream()
            .findFirst()
            .map(Press::code);
  }
}
