package foldtwice.library.file;

import java.time.Instant;

/** Whether what was changed is on disk. */
public sealed interface Keeping {

  /** Nothing has been changed yet. */
  record Untouched() implements Keeping {}

  /** All of it is on disk, the last since then. */
  record Kept(Instant at) implements Keeping {}

  /**
   * Some of it is not on disk; it is tried again, and more is taken meanwhile.
   *
   * @param waiting how many changes
   * @param why what the system said
   */
  record NotKept(int waiting, String why) implements Keeping {}

  /** All changes are on disk, but the library's own file is not as it was: see {@code what}. */
  record Astray(What what) implements Keeping {}

  /** What became of a file that was open. */
  enum What {
    /** It was deleted or moved away. */
    GONE,
    /** Something else has written it. */
    CHANGED,
    /** The file that keeps other writers away was removed: somebody else may be writing too. */
    SHARED,
    /** It cannot be read any more. */
    UNREADABLE
  }
}
