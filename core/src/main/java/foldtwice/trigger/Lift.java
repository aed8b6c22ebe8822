package foldtwice.trigger;

/**
 * A key of a keyboard goes up again.
 *
 * @param press how it went down
 */
public record Lift(Press press) implements Signal {

  private static final int LIFTED = 1 << 28;

  @Override
  public int id() {
    return press.id() | LIFTED;
  }
}
