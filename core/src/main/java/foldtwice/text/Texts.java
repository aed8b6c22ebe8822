package foldtwice.text;

import java.text.MessageFormat;
import java.util.Locale;
import java.util.ResourceBundle;

/**
 * Texts of a resource bundle, by key.
 *
 * @param bundle its texts are {@link MessageFormat} patterns
 */
public record Texts(ResourceBundle bundle) {

  /** English that writes numbers without signs between their digits, as everywhere else. */
  private static final Locale PLAIN = Locale.of("en", "US", "POSIX");

  /** The bundle of this base name, in the language of the product. */
  public static Texts of(String baseName, ClassLoader loader) {
    return new Texts(ResourceBundle.getBundle(baseName, Locale.ENGLISH, loader));
  }

  /**
   * The text of a key, with values put in. What depends on a number ({@code {0,choice,…}}) wants a
   * number there; other values are put in as they read.
   *
   * @throws java.util.MissingResourceException when there is no such text
   */
  public String get(String key, Object... values) {
    Object[] shown = new Object[values.length];
    for (int i = 0; i < values.length; i++) {
      shown[i] = values[i] instanceof Number ? values[i] : String.valueOf(values[i]);
    }
    return new MessageFormat(bundle.getString(key), PLAIN).format(shown);
  }
}
