package foldtwice.source;

/** Something of a script that a macro has no place for. */
final class LostException extends Exception {

  private static final long serialVersionUID = 1L;
  private final transient Span at;

  LostException(Span at, String what) {
    super(what, null, false, false);
    this.at = at;
  }

  /** Where it stands. */
  Span at() {
    return at;
  }
}
