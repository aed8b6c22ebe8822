package foldtwice.text;

/** A number with its noun, which agrees with it. */
public final class Counted {

  private Counted() {}

  /**
   * {@code 1 row}, {@code 2 rows}.
   *
   * @param one the noun, which takes an s
   */
  public static String of(long count, String one) {
    return count + " " + one + (count == 1 ? "" : "s");
  }
}
