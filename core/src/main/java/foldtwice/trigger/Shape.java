package foldtwice.trigger;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Which keys a keyboard has and where they lie. Positions are in key widths of 19.05 mm, measured
 * from the left end of the top row; a cap's size is given in the same unit.
 */
public enum Shape {
  /** 105 keys, one more between the left Shift and the letters. */
  ISO,

  /** 104 keys, a flat Enter. */
  ANSI,

  /** 109 keys, one more beside Backspace and one beside the right Shift. */
  JIS,

  /** The main block of {@link #ANSI} alone, with Escape at its top left: no function keys. */
  COMPACT;

  /** Filled once all shapes are there: what a cap is asks which shape it is on. */
  private static final Map<Shape, Set<KeyCode>> KEYS = new EnumMap<>(Shape.class);

  static {
    for (Shape shape : values()) {
      KEYS.put(shape, shape.keys());
    }
  }

  /** Where the caps lie: worked out once, when a shape is first looked at. */
  private static final class Laid {
    private final Shape shape;
    private volatile List<Cap> main;
    private volatile List<Cap> all;

    Laid(Shape shape) {
      this.shape = shape;
    }

    List<Cap> main() {
      if (main == null) {
        main = shape.layMain();
      }
      return main;
    }

    List<Cap> all() {
      if (all == null) {
        all = shape.layAll();
      }
      return all;
    }
  }

  private final Laid laid = new Laid(this);

  /** One key cap on the picture of a keyboard. */
  public record Cap(KeyCode code, double x, double y, double width) {}

  /**
   * The caps of the main block, row by row: digits, three letter rows, the bottom row, the arrows.
   */
  public List<Cap> caps() {
    return laid.main();
  }

  private List<Cap> layMain() {
    boolean wide = this == ISO || this == JIS;
    List<Cap> caps = new ArrayList<>();
    row(
        caps,
        0,
        0,
        (this == COMPACT ? "Escape 1" : "Backquote 1")
            + ",Digit1,Digit2,Digit3,Digit4,Digit5,Digit6,Digit7,Digit8,Digit9,Digit0,Minus,Equal"
            + (this == JIS ? ",IntlYen,Backspace" : ",Backspace 2"));
    row(
        caps,
        1,
        0,
        "Tab 1.5,KeyQ,KeyW,KeyE,KeyR,KeyT,KeyY,KeyU,KeyI,KeyO,KeyP,BracketLeft,BracketRight"
            + (wide ? ",Enter 1.5" : ",Backslash 1.5"));
    row(
        caps,
        2,
        0,
        "CapsLock 1.75,KeyA,KeyS,KeyD,KeyF,KeyG,KeyH,KeyJ,KeyK,KeyL,Semicolon,Quote"
            + (wide ? ",Backslash" : ",Enter 2.25"));
    row(
        caps,
        3,
        0,
        (this == ISO ? "ShiftLeft 1.25,IntlBackslash" : "ShiftLeft 2.25")
            + ",KeyZ,KeyX,KeyC,KeyV,KeyB,KeyN,KeyM,Comma,Period,Slash,"
            + (this == JIS ? "IntlRo,ShiftRight 1.75" : "ShiftRight 2.75"));
    row(
        caps,
        4,
        0,
        "ControlLeft 1.25,MetaLeft 1.25,AltLeft 1.25,Space 6.25,AltRight 1.25,ContextMenu 1.25,ControlRight 1.25");
    if (this != COMPACT) {
      row(caps, 3, 16.25, "ArrowUp");
      row(caps, 4, 15.25, "ArrowLeft,ArrowDown,ArrowRight");
    }
    return List.copyOf(caps);
  }

  /**
   * The caps of {@link #caps} and the row of Escape and the function keys above them, at y −1.3,
   * where there is one.
   */
  public List<Cap> allCaps() {
    return laid.all();
  }

  private List<Cap> layAll() {
    if (this == COMPACT) {
      return caps();
    }
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

  /**
   * True when a keyboard of this shape has the key at all. The keys beside the main block are on
   * all but a compact one; F13 to F24 are on none, only devices send them. Keys that no shape is
   * told by, as those for sound and for browsing, count as there.
   */
  public boolean has(KeyCode code) {
    return code.ordinal() > KeyCode.NUMPAD_EQUAL.ordinal() || KEYS.get(this).contains(code);
  }

  private Set<KeyCode> keys() {
    Set<KeyCode> here = EnumSet.noneOf(KeyCode.class);
    allCaps().forEach(c -> here.add(c.code()));
    if (this != COMPACT) {
      here.addAll(EnumSet.range(KeyCode.PRINT_SCREEN, KeyCode.NUMPAD_EQUAL));
      here.add(KeyCode.META_RIGHT);
    }
    return here;
  }
}
