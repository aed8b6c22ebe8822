package foldtwice.place;

/** What a mistaken firing would do that undo may not take back. */
public enum Danger {
  NONE(1),
  /** Overwrites what was kept before. */
  SAVES(2),
  DELETES(4),
  PRINTS(2);

  private final int factor;

  Danger(int factor) {
    this.factor = factor;
  }

  /** How much more a mistake costs than one that does no harm. */
  public int factor() {
    return factor;
  }

  /** The greater of two, this one when neither is. */
  public Danger or(Danger other) {
    return other.factor > factor ? other : this;
  }
}
