package foldtwice.text;

/** Why something is refused, in the words of one place. */
public final class Refusals {

  private static final Texts TEXTS =
      Texts.of("foldtwice.text.Refusals", Refusals.class.getClassLoader());

  private Refusals() {}

  /**
   * What is said under a key, with values put in.
   *
   * @throws java.util.MissingResourceException when nothing is
   */
  public static String says(String key, Object... values) {
    return TEXTS.get(key, values);
  }
}
