package foldtwice.routine;

/** What a routine acts on, as declared. */
public enum Target {
  /** What is selected. */
  SELECTION,
  /** What is selected; the last of them is the one the others follow. */
  LAST_SELECTED,
  /** What the pointer is over; the whole document where it is over nothing. */
  POINTER_OR_DOCUMENT,
  /** The whole document, whatever is selected. */
  DOCUMENT,
  /** The program itself: its settings, its windows. */
  PROGRAM,
  /** Whatever program is in front. */
  FRONT_PROGRAM
}
