package foldtwice.source;

/**
 * Where something stands in a source text, in characters from its beginning.
 *
 * @param to behind its last character
 */
public record Span(int from, int to) {}
