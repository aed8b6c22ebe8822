package foldtwice.desktop.session;

import foldtwice.trigger.Layout;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Press;
import java.util.Optional;
import javafx.scene.input.KeyEvent;

/**
 * Which modifiers are down. The toolkit does not count AltGr and the logo key among the modifiers
 * of an event, so their own presses and releases are followed.
 */
public final class HeldKeys {

  private Modifiers followed = Modifiers.NONE;

  /** Forgets what is down, as when the keyboard was elsewhere meanwhile. */
  public void reset() {
    followed = Modifiers.NONE;
  }

  /** Takes note of a key going down or up. */
  public void follow(KeyEvent e) {
    Modifier modifier =
        switch (e.getCode()) {
          case ALT_GRAPH -> Modifier.ALTGR;
          case WINDOWS, META, COMMAND -> Modifier.LOGO;
          default -> null;
        };
    if (modifier != null) {
      boolean down = e.getEventType() == KeyEvent.KEY_PRESSED;
      followed = down ? followed.with(modifier) : followed.without(modifier);
    }
  }

  /** The modifiers down during an event that was followed. */
  public Modifiers during(KeyEvent e) {
    boolean altGr = followed.has(Modifier.ALTGR);
    boolean both = e.isControlDown() && e.isAltDown(); // how some platforms tell AltGr
    Modifiers held = followed;
    held = e.isControlDown() && !(altGr && both) ? held.with(Modifier.CTRL) : held;
    held = e.isAltDown() && !(altGr && both) ? held.with(Modifier.ALT) : held;
    held = e.isShiftDown() ? held.with(Modifier.SHIFT) : held;
    return e.isMetaDown() ? held.with(Modifier.LOGO) : held;
  }

  /** The press of a key-down event; empty for modifiers alone and for keys that cannot be told. */
  public Optional<Press> press(KeyEvent e, Layout layout) {
    return Keyboard.position(e, layout).map(code -> new Press(code, during(e)));
  }
}
