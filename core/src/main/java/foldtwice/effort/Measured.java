package foldtwice.effort;

/**
 * What was measured of one person's hand, in seconds.
 *
 * @param key a key
 * @param hand the hand going over
 * @param intercept of pointing by Fitts's law
 * @param slope of it, for each bit of difficulty
 */
public record Measured(Span key, Span hand, Span intercept, Span slope) {}
