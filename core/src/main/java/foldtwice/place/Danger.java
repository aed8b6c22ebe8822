package foldtwice.place;

/** What a mistaken firing of a command would do that undo may not take back. */
public enum Danger {
  NONE,
  SAVES,
  DELETES,
  PRINTS
}
