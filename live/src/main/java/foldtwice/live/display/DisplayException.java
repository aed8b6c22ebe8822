package foldtwice.live.display;

/** There is no display, or it does not do what it is told. */
public final class DisplayException extends Exception {

  DisplayException(String message) {
    super(message);
  }
}
