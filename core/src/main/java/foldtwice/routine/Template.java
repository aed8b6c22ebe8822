package foldtwice.routine;

import java.util.ArrayList;
import java.util.List;

/**
 * A text with insertions: {@code Flags for ‹colour›}.
 *
 * @param source as written; {@code ‹name›} marks an insertion
 */
public record Template(String source) {

  /** The names inserted, in order of appearance. */
  public List<String> names() {
    List<String> names = new ArrayList<>();
    for (int open = source.indexOf('\u2039');
        open >= 0;
        open = source.indexOf('\u2039', open + 1)) {
      int close = source.indexOf('\u203a', open);
      if (close > open) {
        names.add(source.substring(open + 1, close));
      }
    }
    return names;
  }
}
