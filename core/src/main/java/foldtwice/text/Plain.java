package foldtwice.text;

import java.util.Locale;

/**
 * Texts for a terminal. Names come from others: what would move the cursor, begin a line, change
 * colours or turn the direction of what follows is shown by its number, {@code \}{@code u001B}.
 */
public final class Plain {

  private Plain() {}

  /** The text with nothing in it but what is seen. */
  public static String of(String text) {
    if (text.codePoints().noneMatch(Plain::acts)) {
      return text;
    }
    StringBuilder out = new StringBuilder();
    text.codePoints()
        .forEach(
            c -> {
              if (acts(c)) {
                out.append(String.format(Locale.ROOT, "\\u%04X", c));
              } else {
                out.appendCodePoint(c);
              }
            });
    return out.toString();
  }

  /**
   * True for controls (Unicode general category Cc), separators of lines and paragraphs (Zl, Zp),
   * halves of characters (Cs), and what turns directions (Unicode Standard Annex 9).
   */
  private static boolean acts(int c) {
    return switch (Character.getType(c)) {
      case Character.CONTROL,
          Character.LINE_SEPARATOR,
          Character.PARAGRAPH_SEPARATOR,
          Character.SURROGATE ->
          true;
      case Character.FORMAT ->
          c == 0x061C
              || c == 0x200E
              || c == 0x200F
              || (c >= 0x202A && c <= 0x202E)
              || (c >= 0x2066 && c <= 0x2069)
              || c == 0xFEFF
              || (c >= 0xE0000 && c <= 0xE007F);
      default -> false;
    };
  }
}
