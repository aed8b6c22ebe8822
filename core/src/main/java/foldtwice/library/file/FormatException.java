package foldtwice.library.file;

/** A document that cannot be used: where it is wrong and what was expected there. */
public final class FormatException extends Exception {

  private static final long serialVersionUID = 1L;

  private final String where;
  private final String what;

  public FormatException(String where, String what) {
    super(where + ": " + what);
    this.where = where;
    this.what = what;
  }

  /** A line and column, or a path in the document such as {@code /bindings/3/triggers/0}. */
  public String where() {
    return where;
  }

  /** What was expected, what was found, what to do. */
  public String what() {
    return what;
  }

  /** The same, in the file of this name. */
  public FormatException in(String file) {
    return new FormatException(file + ", " + where, what);
  }
}
