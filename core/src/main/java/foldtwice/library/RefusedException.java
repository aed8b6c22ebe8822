package foldtwice.library;

/** A change that would make something of a library that no library may be. Nothing was changed. */
public final class RefusedException extends RuntimeException {

  private static final long serialVersionUID = 1L;

  /**
   * @param why what was expected, what was found
   */
  public RefusedException(String why) {
    super(why);
  }

  public RefusedException(String why, Throwable cause) {
    super(why, cause);
  }
}
