package foldtwice.merge;

/** What is taken where both sides changed the same. */
public enum Take {
  OURS,
  THEIRS,
  /** Both, where that is possible; else ours. */
  BOTH
}
