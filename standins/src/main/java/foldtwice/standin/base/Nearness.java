package foldtwice.standin.base;

/**
 * How far apart two texts are: Levenshtein's distance, in time and space of their lengths' product.
 */
final class Nearness {

  private Nearness() {}

  static int distance(String a, String b) {
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
