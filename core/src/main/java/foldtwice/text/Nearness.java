package foldtwice.text;

import java.util.Collection;
import java.util.Locale;
import java.util.Optional;

/** The nearest of several texts to one that is not among them. */
public final class Nearness {

  private Nearness() {}

  /**
   * The text with the least Levenshtein distance, letter case aside; empty when none shares even
   * half its letters. Costs the product of the lengths for each.
   */
  public static Optional<String> nearest(String text, Collection<String> among) {
    String best = null;
    int least = Integer.MAX_VALUE;
    String sought = text.toLowerCase(Locale.ROOT);
    for (String candidate : among) {
      int distance = distance(sought, candidate.toLowerCase(Locale.ROOT));
      if (distance < least) {
        least = distance;
        best = candidate;
      }
    }
    return best != null && least * 2 <= Math.max(best.length(), text.length())
        ? Optional.of(best)
        : Optional.empty();
  }

  /** Levenshtein's distance, in time of the lengths' product and space of the second. */
  public static int distance(String a, String b) {
    int[] row = new int[b.length() + 1];
    for (int j = 0; j <= b.length(); j++) {
      row[j] = j;
    }
    for (int i = 1; i <= a.length(); i++) {
      int diagonal = row[0];
      row[0] = i;
      for (int j = 1; j <= b.length(); j++) {
        int above = row[j];
        int change = diagonal + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1);
        row[j] = Math.min(change, Math.min(above, row[j - 1]) + 1);
        diagonal = above;
      }
    }
    return row[b.length()];
  }
}
