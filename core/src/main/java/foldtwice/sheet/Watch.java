package foldtwice.sheet;

/** Looks on while a sheet is printed, which may take seconds. */
public interface Watch {

  /** Lets it come to its end. */
  Watch NOBODY = part -> true;

  /**
   * Asked many times a second.
   *
   * @param part how much is done, from 0 to 1, as far as it can be told
   * @return false to give it up
   */
  boolean goesOn(double part);
}
