package foldtwice.routine;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToLongFunction;

/**
 * The manual route: what a person does without the routine, slips and corrections included, as the
 * operators it is made of. What they cost is somebody else's to say.
 */
public record Yardstick(List<Move> moves) {

  /** No route kept. */
  public static final Yardstick NONE = new Yardstick(List.of());

  /** Longer routes are none a person goes: more moves are not kept. */
  public static final int MOST = 10_000;

  /** What something is done for, by which thinking is placed. */
  public enum Meant {
    /** It says what shall be done: a chord, a menu item, a button. */
    COMMAND,
    /** It says what with: letters of a text, digits of a number, a thing that is pointed at. */
    ARGUMENT,
    /** It ends what was typed before it: Enter, Tab, Escape. */
    END
  }

  /** One thing eyes, hand or pointer do. */
  public sealed interface Move {

    /**
     * Keys struck as one: a chord with its modifiers counted, the letters of a text, the same key
     * again and again.
     */
    record Keys(int count, Meant meant) implements Move {}

    /**
     * The pointer goes this far, to something this wide, both in pixels.
     *
     * @param meant never {@link Meant#END}
     */
    record Point(int distance, int width, Meant meant) implements Move {}

    /** Clicks in one spot. */
    record Clicks(int count) implements Move {}

    /** A menu is opened down to this level; the pointer moves are counted by themselves. */
    record Menu(int levels) implements Move {}

    /** A hand goes from the keyboard to the pointer or back. */
    record Hand() implements Move {}

    /** Something is looked for among so many that carry labels, such as the keys of a pad. */
    record Choose(int among) implements Move {}

    /** The program takes its time, in milliseconds, and the person can do nothing meanwhile. */
    record Wait(int millis) implements Move {}

    /**
     * It goes wrong now and then, and is put right.
     *
     * @param oneIn once in so many times, at least 1
     * @param moves what putting it right takes; no slips within
     */
    record Slip(int oneIn, List<Move> moves) implements Move {
      public Slip {
        moves = List.copyOf(moves);
      }
    }
  }

  public Yardstick {
    moves = List.copyOf(moves);
  }

  /** The same route and one thing more; letters of one text are one thing. */
  public Yardstick then(Move move) {
    List<Move> more = new ArrayList<>(moves);
    if (!more.isEmpty()
        && more.getLast() instanceof Move.Keys(int before, Meant was)
        && was == Meant.ARGUMENT
        && move instanceof Move.Keys(int count, Meant is)
        && is == Meant.ARGUMENT) {
      more.set(more.size() - 1, new Move.Keys(before + count, Meant.ARGUMENT));
    } else {
      more.add(move);
    }
    return new Yardstick(more);
  }

  public long keys() {
    return count(m -> m instanceof Move.Keys(int n, var meant) ? n : 0);
  }

  public long clicks() {
    return count(m -> m instanceof Move.Clicks(int n) ? n : 0);
  }

  public long pointerMoves() {
    return count(m -> m instanceof Move.Point ? 1 : 0);
  }

  public long menuLevels() {
    return count(m -> m instanceof Move.Menu(int n) ? n : 0);
  }

  public long handMoves() {
    return count(m -> m instanceof Move.Hand ? 1 : 0);
  }

  /** What the program takes its time for, in milliseconds. */
  public long waits() {
    return count(m -> m instanceof Move.Wait(int millis) ? millis : 0);
  }

  /** Slips are not counted: they happen now and then. */
  private long count(ToLongFunction<Move> of) {
    return moves.stream().mapToLong(of).sum();
  }
}
