package foldtwice.live.bus;

/**
 * Where something of a program is found again.
 *
 * @param bus the program's name on the bus
 * @param path of the object within it
 */
public record Ref(String bus, String path) {

  /** Under it are all programs. */
  static final Ref DESKTOP = new Ref("org.a11y.atspi.Registry", "/org/a11y/atspi/accessible/root");

  private static final String NULL = "/org/a11y/atspi/null";

  /** False for what stands where nothing is. */
  public boolean isThere() {
    return !bus.isEmpty() && !path.equals(NULL);
  }
}
