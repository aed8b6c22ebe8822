package foldtwice.live.program;

import foldtwice.run.Change;

/** What is different between two texts, without what is the same around it. */
final class Excerpt {

  /** More letters of a text are not shown. */
  private static final int MOST = 120;

  private Excerpt() {}

  static Change of(String what, String before, String after) {
    int start = 0;
    int shorter = Math.min(before.length(), after.length());
    while (start < shorter && before.charAt(start) == after.charAt(start)) {
      start++;
    }
    int end = 0;
    while (end < shorter - start
        && before.charAt(before.length() - 1 - end) == after.charAt(after.length() - 1 - end)) {
      end++;
    }
    return new Change(
        what,
        cut(before.substring(start, before.length() - end)),
        cut(after.substring(start, after.length() - end)));
  }

  private static String cut(String text) {
    return text.length() <= MOST ? text : text.substring(0, MOST) + "\u2026";
  }
}
