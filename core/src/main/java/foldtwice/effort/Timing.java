package foldtwice.effort;

import foldtwice.effort.Timed.Why;
import foldtwice.routine.Yardstick.Meant;
import foldtwice.routine.Yardstick.Move;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * A route with its times. Thinking is placed by the rules of the keystroke-level model:
 *
 * <ol start="0">
 *   <li>before all keys that are no text or number, and before pointing at what tells what to do;
 *   <li>not where it is fully anticipated by what came before: a click after its pointing;
 *   <li>not within what belongs together: the strokes of a sequence, the levels of a menu;
 *   <li>not before a second end right after an end;
 *   <li>before the end of a text that varies, not before the end of a command's own name.
 * </ol>
 *
 * @param parts the operators, thinking included
 * @param left where no thinking was put although rule 0 would, by the index into the moves
 */
public record Timing(List<Timed> parts, List<Left> left) {

  /** What a prediction of the model is wrong by on average (root mean square, from the paper). */
  public static final double MODEL = 0.21;

  /** Where a rule took thinking away. */
  public record Left(int move, int rule) {}

  public Timing {
    parts = List.copyOf(parts);
    left = List.copyOf(left);
  }

  /**
   * Times a route. Cost grows with its length alone.
   *
   * @param moves a manual route, or a bound one
   */
  public static Timing of(List<Move> moves, Values values) {
    Walk walk = new Walk(moves, values);
    for (int i = 0; i < moves.size(); i++) {
      walk.take(i, moves.get(i));
    }
    return new Timing(walk.parts, walk.left);
  }

  /** What it takes, without what the model may be wrong by. */
  public Span plain() {
    Span sum = Span.NONE;
    for (Timed t : parts) {
      sum = sum.plus(t.seconds().times(t.share()));
    }
    return sum;
  }

  /** What it takes, with what the model may be wrong by. */
  public Span total() {
    return plain().give(MODEL);
  }

  /** How many of an operator there are; of keys and clicks, each. */
  public long count(Operator operator) {
    return parts.stream()
        .filter(t -> t.operator() == operator && t.share() == 1)
        .mapToLong(t -> operator == Operator.C ? 1 : t.count())
        .sum();
  }

  /** A walk along a route. */
  private static final class Walk {
    private final Values values;
    private final List<Timed> parts = new ArrayList<>();
    private final List<Left> left = new ArrayList<>();
    private final Set<Integer> within;
    private Move before;
    private double share = 1;

    Walk(List<Move> moves, Values values) {
      this.values = values;
      within = within(moves);
    }

    /** The pointings that go on in a menu which an earlier one has opened. */
    private static Set<Integer> within(List<Move> moves) {
      Set<Integer> all = new HashSet<>();
      for (int i = 0; i < moves.size(); i++) {
        if (moves.get(i) instanceof Move.Menu(int levels)) {
          int found = 0;
          for (int j = i - 1; j >= 0 && found < levels; j--) {
            if (moves.get(j) instanceof Move.Point) {
              found++;
              if (found < levels) {
                all.add(j);
              }
            } else if (!(moves.get(j) instanceof Move.Clicks)) {
              break;
            }
          }
        }
      }
      return all;
    }

    void take(int at, Move move) {
      switch (move) {
        case Move.Keys(int count, Meant meant) -> {
          keys(at, meant);
          put(Operator.K, count, values.key().times(Math.max(0, count)), Why.DONE);
        }
        case Move.Point(int distance, int width, Meant meant) -> {
          if (meant == Meant.COMMAND) {
            if (within.contains(at)) {
              left.add(new Left(at, 2));
            } else {
              think(Why.BEFORE_POINTING);
            }
          }
          put(Operator.P, 1, values.pointing().to(distance, width), Why.DONE);
        }
        case Move.Clicks(int count) -> {
          if (before instanceof Move.Point || before instanceof Move.Choose) {
            left.add(new Left(at, 1));
          } else {
            think(Why.BEFORE_KEYS);
          }
          put(Operator.B, count, values.key().times(Math.max(0, count)), Why.DONE);
        }
        case Move.Hand() -> put(Operator.H, 1, values.hand(), Why.DONE);
        case Move.Wait(int millis) ->
            put(Operator.R, 1, Span.exactly(Math.max(0, millis) / 1000.0), Why.DONE);
        case Move.Choose(int among) ->
            put(
                Operator.C,
                among,
                values.choosing().times(Math.log(Math.max(1, among) + 1.0) / Math.log(2)),
                Why.DONE);
        case Move.Menu m -> {
          return; // told by its pointings
        }
        case Move.Slip(int oneIn, List<Move> inside) -> {
          double whole = share;
          share = whole / Math.max(1, oneIn);
          think(Why.NOTICED);
          Move was = before;
          before = null;
          inside.forEach(m -> take(at, m));
          before = was;
          share = whole;
          return;
        }
      }
      before = move instanceof Move.Hand ? before : move;
    }

    private void keys(int at, Meant meant) {
      switch (meant) {
        case ARGUMENT -> {}
        case COMMAND -> think(Why.BEFORE_KEYS);
        case END -> {
          if (before instanceof Move.Keys(int n, Meant was) && was == Meant.END) {
            left.add(new Left(at, 3));
          } else if (before instanceof Move.Keys(int n, Meant was) && was == Meant.COMMAND) {
            left.add(new Left(at, 4));
          } else {
            think(Why.BEFORE_END);
          }
        }
      }
    }

    private void think(Why why) {
      put(Operator.M, 1, values.thinking(), why);
    }

    private void put(Operator operator, int count, Span seconds, Why why) {
      parts.add(new Timed(operator, count, seconds, why, share));
    }
  }
}
