package foldtwice.recording;

import foldtwice.routine.Yardstick;
import foldtwice.routine.Yardstick.Move;

/**
 * The manual route as it is gone: what hand and pointer do, one operator after the other. The hand
 * is told apart by what it works with: a click after a key is a move of the hand to the pointer.
 */
public final class Route {

  private enum Hand {
    NOWHERE,
    KEYS,
    POINTER
  }

  private Yardstick yardstick = Yardstick.NONE;
  private Hand hand = Hand.NOWHERE;
  private double x = Double.NaN;
  private double y = Double.NaN;

  /** A key goes down, modifiers included. */
  public void key() {
    hand(Hand.KEYS);
    yardstick = yardstick.then(new Move.Keys(1));
  }

  /**
   * The pointer clicks.
   *
   * @param atX where, in pixels of the screen
   * @param atY where, in pixels of the screen
   * @param width of what it clicks
   */
  public void click(double atX, double atY, double width) {
    hand(Hand.POINTER);
    if (!Double.isNaN(x)) {
      int distance = (int) Math.round(Math.hypot(atX - x, atY - y));
      if (distance > 2) {
        yardstick = yardstick.then(new Move.Point(distance, (int) Math.max(1, Math.round(width))));
      }
    }
    x = atX;
    y = atY;
    yardstick = yardstick.then(new Move.Clicks(1));
  }

  /** A menu was gone down to this level. */
  public void menu(int levels) {
    yardstick = yardstick.then(new Move.Menu(levels));
  }

  private void hand(Hand now) {
    if (hand != now && hand != Hand.NOWHERE) {
      yardstick = yardstick.then(new Move.Hand());
    }
    hand = now;
  }

  public Yardstick yardstick() {
    return yardstick;
  }
}
