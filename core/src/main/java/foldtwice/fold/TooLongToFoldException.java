package foldtwice.fold;

/** Folding exactly would take too long; carries how many lines and which limit. */
public final class TooLongToFoldException extends RuntimeException {

  private static final long serialVersionUID = 1L;

  private final int lines;
  private final long limit;

  TooLongToFoldException(int lines, long limit) {
    super("folding " + lines + " lines takes more than " + limit + " comparisons");
    this.lines = lines;
    this.limit = limit;
  }

  public int lines() {
    return lines;
  }

  public long limit() {
    return limit;
  }
}
