package foldtwice.live.bus;

import foldtwice.text.Blanks;
import java.text.Normalizer;

/**
 * Labels as they are held against one another: without blanks around them and three dots as one
 * ellipsis.
 */
public final class Label {

  private Label() {}

  /** A label as it is compared. */
  public static String of(String label) {
    String dots = label.replace("...", "\u2026");
    return Normalizer.normalize(Blanks.single(dots), Normalizer.Form.NFC).strip();
  }

  public static boolean same(String one, String other) {
    return of(one).equals(of(other));
  }
}
