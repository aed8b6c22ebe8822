package foldtwice.trigger;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What sets a binding off. */
public sealed interface Trigger {

  /**
   * Keys: one stroke, or several one after the other (a sequence).
   *
   * @param strokes one to {@value #MOST_STROKES}
   */
  record Keys(List<Stroke> strokes) implements Trigger {

    /** A sequence longer than this is refused: nobody could remember it. */
    public static final int MOST_STROKES = 6;

    public Keys {
      strokes = List.copyOf(strokes);
      if (strokes.isEmpty() || strokes.size() > MOST_STROKES) {
        throw new IllegalArgumentException(
            "a trigger has one to " + MOST_STROKES + " strokes, not " + strokes.size());
      }
    }

    public static Keys of(Stroke... strokes) {
      return new Keys(List.of(strokes));
    }

    public boolean isSequence() {
      return strokes.size() > 1;
    }

    /** The same, with another first stroke. */
    public Keys beginning(Stroke first) {
      List<Stroke> all = new ArrayList<>(strokes);
      all.set(0, first);
      return new Keys(all);
    }
  }

  /** A key that does something at once as it goes down, or as it goes up again. It never waits. */
  record Held(Stroke stroke, Edge edge) implements Trigger {}

  /** The two ends of holding a key. */
  enum Edge {
    DOWN,
    UP
  }

  /**
   * A key of a device with keys of its own: a pad, a foot switch, the special keys of a keyboard.
   *
   * @param device its id
   * @param page id of the page that shows; empty for devices without pages
   * @param key id of the key
   */
  record PadKey(String device, String page, String key, Duration way) implements Trigger {}

  /** How a key of a device is pressed. */
  enum Duration {
    /** Pressed and let go within {@link Trigger#HOLD_MILLIS}. */
    TAP,
    /** Kept down for {@link Trigger#HOLD_MILLIS}. */
    HOLD
  }

  /** A key kept down this long is held and no longer tapped, in milliseconds. */
  long HOLD_MILLIS = 350;

  /** A dial of a device is turned by one notch, or pushed. */
  record Dial(String device, String page, String dial, Turn turn) implements Trigger {}

  /** What a dial can do. */
  enum Turn {
    LEFT,
    RIGHT,
    PUSH
  }

  /** A way drawn with the pointer while one of its buttons is held. */
  record Gesture(PointerButton button, List<Direction> strokes) implements Trigger {

    /** A way of more strokes is refused: nobody draws it alike twice. */
    public static final int MOST_STROKES = 4;

    public Gesture {
      strokes = List.copyOf(strokes);
      if (strokes.isEmpty() || strokes.size() > MOST_STROKES) {
        throw new IllegalArgumentException(
            "a gesture has one to " + MOST_STROKES + " strokes, not " + strokes.size());
      }
      for (int i = 1; i < strokes.size(); i++) {
        if (strokes.get(i) == strokes.get(i - 1)) {
          throw new IllegalArgumentException("two strokes one after the other go different ways");
        }
      }
    }
  }

  /** A button of the pointer beside the first, which selects, with modifiers held. */
  record Pointer(PointerButton button, Modifiers held) implements Trigger {}

  /** The buttons of a pointer that can set something off. */
  enum PointerButton {
    MIDDLE,
    RIGHT,
    BACK,
    FORWARD
  }

  /**
   * A choice of a radial menu: eight around the pointer, counted clockwise from the top.
   *
   * @param menu its id
   */
  record Radial(String menu, Direction choice) implements Trigger {}

  /**
   * A button of a toolbar.
   *
   * @param toolbar its id
   * @param slot counted from 1
   */
  record Button(String toolbar, int slot) implements Trigger {
    public Button {
      if (slot < 1) {
        throw new IllegalArgumentException("slots are counted from 1, not " + slot);
      }
    }
  }

  /** The application is started. */
  record AtStart() implements Trigger {}

  /** Whether a person sees that it is there, or has to know. */
  enum Sight {
    SEEN,
    KNOWN,
    /** It comes by itself. */
    NEITHER
  }

  /** Buttons, keys of devices and choices show what they are for; keys and ways drawn do not. */
  default Sight sight() {
    return switch (this) {
      case Button b -> Sight.SEEN;
      case PadKey p -> Sight.SEEN;
      case Dial d -> Sight.SEEN;
      case Radial r -> Sight.SEEN;
      case Keys k -> Sight.KNOWN;
      case Held h -> Sight.KNOWN;
      case Gesture g -> Sight.KNOWN;
      case Pointer p -> Sight.KNOWN;
      case AtStart s -> Sight.NEITHER;
    };
  }

  /** The id of the device it is on; empty for what is on none. */
  default Optional<String> deviceId() {
    return switch (this) {
      case PadKey p -> Optional.of(p.device());
      case Dial d -> Optional.of(d.device());
      default -> Optional.empty();
    };
  }

  /** The trigger's keys, if it is typed on a keyboard: {@link Held} ones are one stroke. */
  default List<Stroke> keyStrokes() {
    return switch (this) {
      case Keys(List<Stroke> strokes) -> strokes;
      case Held(Stroke stroke, Edge edge) -> List.of(stroke);
      case PadKey p -> List.of();
      case Dial d -> List.of();
      case Gesture g -> List.of();
      case Pointer p -> List.of();
      case Radial r -> List.of();
      case Button b -> List.of();
      case AtStart s -> List.of();
    };
  }
}
