package foldtwice.effort;

/** How fast a hand strikes keys, in the classes of the keystroke-level model. */
public enum Skill {
  BEST_TYPIST(0.08),
  GOOD_TYPIST(0.12),
  AVERAGE_SKILLED(0.20),
  AVERAGE_NON_SECRETARY(0.28),
  RANDOM_LETTERS(0.50),
  COMPLEX_CODES(0.75),
  WORST(1.20);

  private final double seconds;

  Skill(double seconds) {
    this.seconds = seconds;
  }

  /** Seconds a key. */
  public double seconds() {
    return seconds;
  }

  /** From half way to the next faster class to half way to the next slower one. */
  public Span key() {
    double faster = ordinal() == 0 ? seconds : values()[ordinal() - 1].seconds;
    double slower = this == WORST ? seconds : values()[ordinal() + 1].seconds;
    return new Span((faster + seconds) / 2, seconds, (seconds + slower) / 2);
  }
}
