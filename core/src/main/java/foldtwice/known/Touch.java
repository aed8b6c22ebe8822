package foldtwice.known;

/** Kinds of things a command can change, besides settings. */
public enum Touch {
  /** What the document is made of. */
  OBJECTS,
  /** What is selected in it. */
  SELECTION,
  /** How it is shown: zoom, tool, where keys go. */
  VIEW,
  /** The undo history is emptied: what was done before can no longer be taken back. */
  UNDO_HISTORY,
  FILES,
  /** What a database keeps. */
  DATA,
  WINDOWS,
  CLIPBOARD
}
