package foldtwice.live.bus;

/** Something of a program could not be asked or told. */
public final class BusException extends Exception {

  /** Why. */
  public enum Why {
    /** There is no accessibility bus. */
    NO_BUS,
    /** It did not answer in time. */
    SILENT,
    /** It is not there any more. */
    GONE,
    /** It does not offer that. */
    REFUSED
  }

  private final Why why;

  public BusException(Why why, String message) {
    super(message);
    this.why = why;
  }

  BusException(Why why, String message, Throwable cause) {
    super(message, cause);
    this.why = why;
  }

  public Why why() {
    return why;
  }
}
