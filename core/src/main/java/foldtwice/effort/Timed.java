package foldtwice.effort;

/**
 * One operator of a route and what it takes.
 *
 * @param count how many of it: keys, clicks, things to choose from; 1 for others
 * @param seconds for all of them
 * @param why what put it there
 * @param share 1 for what happens each time; less for what happens now and then
 */
public record Timed(Operator operator, int count, Span seconds, Why why, double share) {

  /**
   * What puts an operator into a route. Those of thinking are the paper's rules; what they leave
   * out is told by {@link Timing.Left}.
   */
  public enum Why {
    /** It is done. */
    DONE,
    /** Rule 0: before keys that are no text or number. */
    BEFORE_KEYS,
    /** Rule 0: before pointing at what tells what to do. */
    BEFORE_POINTING,
    /** Rule 4: before the end of a text that is another each time. */
    BEFORE_END,
    /** Something went wrong and is noticed. */
    NOTICED
  }
}
