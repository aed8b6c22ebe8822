package foldtwice.trigger;

import java.util.Locale;

/**
 * A key held to change what another key does. The order is the one all notations print.
 *
 * <p>All but {@link #ALTGR} are the modifiers of the freedesktop.org <em>Shortcuts</em>
 * specification. AltGr is this product's addition to it, since pads and gestures of other layouts
 * need it; it is written {@code ALTGR}.
 */
public enum Modifier {
  CTRL("Ctrl"),
  ALT("Alt"),
  ALTGR("AltGr"),
  SHIFT("Shift"),
  NUM("Num"),
  LOGO("Logo");

  private final String word;

  Modifier(String word) {
    this.word = word;
  }

  /** As people read it: {@code Ctrl}. */
  public String word() {
    return word;
  }

  /** The modifier of this name, whatever its letter case; null if there is none. */
  static Modifier named(String name) {
    for (Modifier m : values()) {
      if (m.name().equals(name.toUpperCase(Locale.ROOT))) {
        return m;
      }
    }
    return null;
  }
}
