package foldtwice.words;

import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Layout;

/** What is printed on the keys of a keyboard. */
public final class Legends {

  private Legends() {}

  /** Of a key on a layout. */
  public static String of(Layout layout, KeyCode code) {
    return switch (code) {
      case SHIFT_LEFT, SHIFT_RIGHT -> "Shift";
      case CONTROL_LEFT, CONTROL_RIGHT -> "Ctrl";
      case ALT_LEFT -> "Alt";
      case ALT_RIGHT -> "AltGr";
      case META_LEFT, META_RIGHT -> "Logo";
      case CAPS_LOCK -> "Caps";
      case CONTEXT_MENU -> "Menu";
      case BACKSPACE -> "Back";
      case ESCAPE -> "Esc";
      case ARROW_LEFT -> "\u2190";
      case ARROW_RIGHT -> "\u2192";
      case ARROW_UP -> "\u2191";
      case ARROW_DOWN -> "\u2193";
      case ENTER -> "Enter";
      case SPACE -> "Space";
      default -> layout.legend(code).replace("Plus", "+");
    };
  }
}
