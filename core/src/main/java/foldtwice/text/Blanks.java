package foldtwice.text;

/**
 * Blanks in texts that others have written. Each costs one pass, whatever the text: regular
 * expressions with blanks on both sides of something go back and forth over long runs of them.
 */
public final class Blanks {

  private Blanks() {}

  /** The text without blanks around it, and with one blank for each run of them. */
  public static String single(String text) {
    StringBuilder out = new StringBuilder(text.length());
    boolean blank = false;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (Character.isWhitespace(c)) {
        blank = true;
      } else {
        if (blank && !out.isEmpty()) {
          out.append(' ');
        }
        blank = false;
        out.append(c);
      }
    }
    return out.toString();
  }
}
