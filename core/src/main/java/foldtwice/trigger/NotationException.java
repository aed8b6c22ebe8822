package foldtwice.trigger;

/** A notation that cannot be read: which part, and what could stand there. */
public final class NotationException extends IllegalArgumentException {

  private static final long serialVersionUID = 1L;

  private final String part;
  private final String allowed;

  NotationException(String whole, String part, String allowed) {
    super("\"" + whole + "\" cannot be read at \"" + part + "\": " + allowed);
    this.part = part;
    this.allowed = allowed;
  }

  /** The part that could not be read. */
  public String part() {
    return part;
  }

  /** What could stand there instead. */
  public String allowed() {
    return allowed;
  }
}
