package foldtwice.routine;

import java.util.ArrayList;
import java.util.List;

/**
 * The manual route: what a person does without the routine, slips and corrections included, as the
 * operators it is made of. What they cost is somebody else's to say.
 */
public record Yardstick(List<Move> moves) {

  /** No route kept. */
  public static final Yardstick NONE = new Yardstick(List.of());

  /** One thing eyes, hand or pointer do. */
  public sealed interface Move {

    /** Keys struck one after the other, modifiers counted. */
    record Keys(int count) implements Move {}

    /** The pointer goes this far, to something this wide, both in pixels. */
    record Point(int distance, int width) implements Move {}

    /** Clicks in one spot. */
    record Clicks(int count) implements Move {}

    /** A menu is opened down to this level; the pointer moves are counted by themselves. */
    record Menu(int levels) implements Move {}

    /** A hand goes from the keyboard to the pointer or back. */
    record Hand() implements Move {}
  }

  public Yardstick {
    moves = List.copyOf(moves);
  }

  public Yardstick then(Move move) {
    List<Move> more = new ArrayList<>(moves);
    if (!more.isEmpty()
        && more.getLast() instanceof Move.Keys(int before)
        && move instanceof Move.Keys(int count)) {
      more.set(more.size() - 1, new Move.Keys(before + count));
    } else {
      more.add(move);
    }
    return new Yardstick(more);
  }

  public int keys() {
    return moves.stream().mapToInt(m -> m instanceof Move.Keys(int n) ? n : 0).sum();
  }

  public int clicks() {
    return moves.stream().mapToInt(m -> m instanceof Move.Clicks(int n) ? n : 0).sum();
  }

  public long pointerMoves() {
    return moves.stream().filter(m -> m instanceof Move.Point).count();
  }

  public int menuLevels() {
    return moves.stream().mapToInt(m -> m instanceof Move.Menu(int n) ? n : 0).sum();
  }

  public long handMoves() {
    return moves.stream().filter(m -> m instanceof Move.Hand).count();
  }
}
