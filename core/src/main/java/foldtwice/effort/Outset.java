package foldtwice.effort;

/** Where the working hand is before something is set off, and is wanted again after it. */
public enum Outset {
  KEYS,
  POINTER
}
