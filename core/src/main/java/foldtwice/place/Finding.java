package foldtwice.place;

/**
 * What a person found out about a command by trying it: with two commands of one label, which of
 * them works.
 *
 * @param note when it does, or why it does not; may be empty
 */
public record Finding(boolean works, String note) {}
