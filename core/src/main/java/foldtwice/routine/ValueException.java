package foldtwice.routine;

/** A value that does not fit where it should go: what was found and what is allowed. */
public final class ValueException extends IllegalArgumentException {

  private static final long serialVersionUID = 1L;

  private final String found;
  private final String allowed;

  public ValueException(String found, String allowed) {
    super("\"" + found + "\" does not fit: " + allowed);
    this.found = found;
    this.allowed = allowed;
  }

  /** What was found. */
  public String found() {
    return found;
  }

  /** What could stand there instead. */
  public String allowed() {
    return allowed;
  }
}
