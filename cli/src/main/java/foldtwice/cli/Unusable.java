package foldtwice.cli;

/** Input that cannot be used; the message says what, where and what to do. */
final class Unusable extends Exception {

  private static final long serialVersionUID = 1L;

  Unusable(String message, Throwable cause) {
    super(message, cause);
  }

  Unusable(String message) {
    super(message);
  }
}
