package foldtwice.trigger;

import java.util.ArrayList;
import java.util.List;

/**
 * Which keys a keyboard has and where they lie. Positions are in key widths of 19.05 mm, measured
 * from the left end of the top row; a cap's size is given in the same unit.
 */
public enum Shape {
  ISO,
  ANSI;

  /** One key cap on the picture of a keyboard. */
  public record Cap(KeyCode code, double x, double y, double width) {}

  /**
   * The caps of the main block, row by row: digits, three letter rows, the bottom row, the arrows.
   */
  public List<Cap> caps() {
    List<Cap> caps = new ArrayList<>();
    row(
        caps,
        0,
        0,
        "Backquote 1,Digit1,Digit2,Digit3,Digit4,Digit5,Digit6,Digit7,Digit8,Digit9,Digit0,Minus,Equal,Backspace 2");
    row(
        caps,
        1,
        0,
        "Tab 1.5,KeyQ,KeyW,KeyE,KeyR,KeyT,KeyY,KeyU,KeyI,KeyO,KeyP,BracketLeft,BracketRight"
            + (this == ANSI ? ",Backslash 1.5" : ",Enter 1.5"));
    row(
        caps,
        2,
        0,
        "CapsLock 1.75,KeyA,KeyS,KeyD,KeyF,KeyG,KeyH,KeyJ,KeyK,KeyL,Semicolon,Quote"
            + (this == ANSI ? ",Enter 2.25" : ",Backslash"));
    row(
        caps,
        3,
        0,
        (this == ANSI ? "ShiftLeft 2.25" : "ShiftLeft 1.25,IntlBackslash")
            + ",KeyZ,KeyX,KeyC,KeyV,KeyB,KeyN,KeyM,Comma,Period,Slash,ShiftRight 2.75");
    row(
        caps,
        4,
        0,
        "ControlLeft 1.25,MetaLeft 1.25,AltLeft 1.25,Space 6.25,AltRight 1.25,ContextMenu 1.25,ControlRight 1.25");
    row(caps, 3, 16.25, "ArrowUp");
    row(caps, 4, 15.25, "ArrowLeft,ArrowDown,ArrowRight");
    return List.copyOf(caps);
  }

  /**
   * The caps of {@link #caps} and the row of Escape and the function keys above them, at y −1.3.
   */
  public List<Cap> allCaps() {
    List<Cap> all = new ArrayList<>();
    all.add(new Cap(KeyCode.of("Escape").orElseThrow(), 0, -1.3, 1));
    for (int f = 1; f <= 12; f++) {
      int block = (f - 1) / 4;
      all.add(new Cap(KeyCode.of("F" + f).orElseThrow(), f + 0.5 + 0.5 * block, -1.3, 1));
    }
    all.addAll(caps());
    return List.copyOf(all);
  }

  private static void row(List<Cap> caps, int y, double start, String keys) {
    double x = start;
    for (String key : keys.split(",")) {
      String[] parts = key.split(" ");
      double width = parts.length > 1 ? Double.parseDouble(parts[1]) : 1;
      caps.add(new Cap(KeyCode.of(parts[0]).orElseThrow(), x, y, width));
      x += width;
    }
  }

  /** True when a keyboard of this shape has the key at all. */
  public boolean has(KeyCode code) {
    return this == ISO || code != KeyCode.INTL_BACKSLASH;
  }
}
