package foldtwice.words;

import java.text.MessageFormat;
import java.util.Locale;
import java.util.ResourceBundle;

/**
 * Texts of a resource bundle, by key.
 *
 * @param bundle its texts are {@link MessageFormat} patterns
 */
public record Texts(ResourceBundle bundle) {

  private static final String ONE = ".one";

  /** The bundle of this base name, in the language of the product. */
  public static Texts of(String baseName, ClassLoader loader) {
    return new Texts(ResourceBundle.getBundle(baseName, Locale.ENGLISH, loader));
  }

  /**
   * The text of a key, with values put in. Where the first value is the number 1 and there is a
   * text of the key with {@code .one} after it, that one is taken.
   *
   * @throws java.util.MissingResourceException when there is no such text
   */
  public String get(String key, Object... values) {
    Object[] shown = new Object[values.length];
    for (int i = 0; i < values.length; i++) {
      shown[i] = String.valueOf(values[i]);
    }
    boolean one = values.length > 0 && values[0] instanceof Number n && n.doubleValue() == 1;
    String form = one && bundle.containsKey(key + ONE) ? key + ONE : key;
    return new MessageFormat(bundle.getString(form), Locale.ENGLISH).format(shown);
  }
}
