package foldtwice.effort;

/**
 * What the operators take of one person, in seconds.
 *
 * @param key a key, or a button of the pointer
 * @param hand a hand goes from the keys to the pointer or back
 * @param thinking what is thought before something is told to be done
 * @param choosing for each doubling of what there is to choose from (Hick and Hyman)
 * @param own true when they were measured, not taken from a book
 */
public record Values(
    Span key, Pointing pointing, Span hand, Span thinking, Span choosing, boolean own) {

  /** H of the paper; its spread is common practice, no source. */
  static final Span HAND = new Span(0.3, 0.40, 0.5);

  /** M of the paper and its standard error there, doubled. */
  static final Span THINKING = new Span(1.1, 1.35, 1.6);

  /** A slope often given, from memory. */
  static final Span CHOOSING = new Span(0.12, 0.15, 0.18);

  /** The values of the paper for a class of skill. */
  public static Values of(Skill skill) {
    return new Values(skill.key(), Pointing.BY_DISTANCE, HAND, THINKING, CHOOSING, false);
  }

  /** The same, pointing otherwise. */
  public Values pointing(Pointing other) {
    return new Values(key, other, hand, thinking, choosing, own);
  }

  /** Those of somebody who was measured; thinking stays the paper's. */
  public static Values measured(Span key, Pointing pointing, Span hand) {
    return new Values(key, pointing, hand, THINKING, CHOOSING, true);
  }
}
