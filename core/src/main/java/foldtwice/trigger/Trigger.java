package foldtwice.trigger;

import java.util.List;

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
  }
}
