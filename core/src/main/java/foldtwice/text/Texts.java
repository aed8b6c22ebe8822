package foldtwice.text;

import java.text.Format;
import java.text.MessageFormat;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Texts of a resource bundle, by key. Each is read once; from then on it costs its own length. */
public final class Texts {

  /** English that writes numbers without signs between their digits, as everywhere else. */
  private static final Locale PLAIN = Locale.of("en", "US", "POSIX");

  private final ResourceBundle bundle;
  private final Map<String, Pattern> read = new ConcurrentHashMap<>();

  /**
   * A text with places for values.
   *
   * @param depends the places where it reads otherwise with another number
   */
  private record Pattern(MessageFormat text, Set<Integer> depends) {

    static Pattern of(String pattern) {
      MessageFormat text = new MessageFormat(pattern, PLAIN);
      Format[] formats = text.getFormatsByArgumentIndex();
      return new Pattern(
          text,
          IntStream.range(0, formats.length)
              .filter(i -> formats[i] != null)
              .boxed()
              .collect(Collectors.toUnmodifiableSet()));
    }

    String with(Object[] values) {
      Object[] shown = new Object[values.length];
      for (int i = 0; i < values.length; i++) {
        shown[i] = isAsItIs(i, values[i]) ? values[i] : String.valueOf(values[i]);
      }
      synchronized (text) { // it keeps notes while it writes
        return text.format(shown);
      }
    }

    /** A whole number reads alike either way, and is written faster as a text. */
    private boolean isAsItIs(int i, Object value) {
      return value instanceof Number
          && (depends.contains(i) || !(value instanceof Integer || value instanceof Long));
    }
  }

  /**
   * @param bundle its texts are {@link MessageFormat} patterns
   */
  public Texts(ResourceBundle bundle) {
    this.bundle = bundle;
  }

  /** The bundle of this base name, in the language of the product. */
  public static Texts of(String baseName, ClassLoader loader) {
    return new Texts(ResourceBundle.getBundle(baseName, Locale.ENGLISH, loader));
  }

  public ResourceBundle bundle() {
    return bundle;
  }

  /**
   * The text of a key, with values put in. What depends on a number ({@code {0,choice,…}}) wants a
   * number there; other values are put in as they read.
   *
   * @throws java.util.MissingResourceException when there is no such text
   */
  public String get(String key, Object... values) {
    return read.computeIfAbsent(key, k -> Pattern.of(bundle.getString(k))).with(values);
  }
}
