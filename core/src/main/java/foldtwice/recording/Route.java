package foldtwice.recording;

import foldtwice.routine.Yardstick;
import foldtwice.routine.Yardstick.Meant;
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
  private int modifiers;
  private String last = "";

  /** A modifier goes down; it counts with the key it is held for. */
  public void modifier() {
    hand(Hand.KEYS);
    modifiers++;
  }

  /**
   * A key goes down that is no modifier. The same key again is one thing with the one before.
   *
   * @param name of the key, as the next one is compared with it
   * @param meant what it is for
   */
  public void key(String name, Meant meant) {
    hand(Hand.KEYS);
    int count = 1 + modifiers;
    modifiers = 0;
    if (meant == Meant.COMMAND
        && name.equals(last)
        && yardstick.moves().getLast() instanceof Move.Keys(int before, Meant was)
        && was == Meant.COMMAND) {
      var moves = yardstick.moves();
      yardstick =
          new Yardstick(moves.subList(0, moves.size() - 1))
              .then(new Move.Keys(before + count, Meant.COMMAND));
    } else {
      yardstick = yardstick.then(new Move.Keys(count, meant));
    }
    last = name;
  }

  /** True when what came last is a text that was typed, which a key may end. */
  public boolean isTyping() {
    return !yardstick.moves().isEmpty()
        && yardstick.moves().getLast() instanceof Move.Keys(int n, Meant meant)
        && meant != Meant.COMMAND;
  }

  /**
   * The pointer clicks.
   *
   * @param atX where, in pixels of the screen
   * @param atY where, in pixels of the screen
   * @param width of what it clicks
   * @param meant whether that is told what to do, or what to do it with
   */
  public void click(double atX, double atY, double width, Meant meant) {
    hand(Hand.POINTER);
    modifiers = 0;
    last = "";
    if (!Double.isNaN(x)) {
      int distance = (int) Math.round(Math.hypot(atX - x, atY - y));
      if (distance > 2) {
        yardstick =
            yardstick.then(new Move.Point(distance, (int) Math.max(1, Math.round(width)), meant));
      }
    }
    x = atX;
    y = atY;
    yardstick = yardstick.then(new Move.Clicks(1));
  }

  /** A menu was gone down to this level. */
  public void menu(int levels) {
    last = "";
    yardstick = yardstick.then(new Move.Menu(levels));
  }

  /** The program was at work and could not be worked, for so many milliseconds. */
  public void waited(long millis) {
    last = "";
    yardstick = yardstick.then(new Move.Wait((int) Math.min(millis, Integer.MAX_VALUE)));
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
