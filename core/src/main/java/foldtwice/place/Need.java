package foldtwice.place;

/** Something that must happen before what was put into a program works there. */
public enum Need {
  /** It is written into the program's file or folder. */
  FILE_COPIED,
  /** The program that listens for it runs. */
  HELPER_RUNNING,
  /** The document it lives in is open. */
  DOCUMENT_OPEN,
  /** The toolbar it is on is shown. */
  TOOLBAR_SHOWN,
  /** The program was started anew since. */
  RESTART,
  /** A window was opened since, or the program started anew. */
  NEW_WINDOW,
  /** A person has said once that it may displace what was there. */
  FIRST_CONFIRMED,
  /** It was switched on since the program started; at each start anew. */
  EACH_START
}
