package foldtwice.desktop.session;

import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;

/**
 * The application's own shortcuts, in the notation of everybody's.
 *
 * <p>They are dispatched by {@code foldtwice.desktop.frame.Frame} and listed in the look-up.
 */
public enum OwnKeys {
  LOOK_UP("F3"),
  NEXT_AREA("F6"),
  UNDO("Ctrl+Z"),
  REDO("Ctrl+Y"),
  PLACES_VIEW("F12"),
  COLLECT_VIEW("F2"),
  BIND_VIEW("Ctrl+PageUp"),
  ATLAS_VIEW("Ctrl+M"),
  CONFLICTS_VIEW("F11"),
  TRY_VIEW("Ctrl+PageDown"),
  PRESS_KEYS("F4"),
  FIRE("F5"),
  RECORD("F9"),
  CHECK_PRESSES("Ctrl+F5"),
  STEP("F7"),
  RUN("F8"),
  NEW_BINDING("Ctrl+N"),
  FILTER("Ctrl+F"),
  DAY_NIGHT("F10");

  private final String keys;

  OwnKeys(String keys) {
    this.keys = keys;
  }

  /** As people read it. */
  public String keys() {
    return keys;
  }

  /** As the resolver takes it. */
  public Trigger.Keys trigger() {
    return Notation.read(keys);
  }

  /** What it does, in words. */
  public String says() {
    return Ui.text("own." + name());
  }
}
