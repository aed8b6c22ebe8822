package foldtwice.source;

import foldtwice.source.Source.Spot;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The comments of a source text, which its parser passes over. */
final class Comments {

  private final String text;

  /** By where they begin; those that are taken are gone. */
  private final Map<Integer, String> found = new LinkedHashMap<>();

  Comments(String text) {
    this.text = text;
    int at = 0;
    while (at < text.length()) {
      at = next(at);
    }
  }

  /** Passes over a text in quotes, takes a comment, or goes on by one. */
  private int next(int at) {
    char c = text.charAt(at);
    if (c == '\'' || c == '"' || c == '`') {
      int i = at + 1;
      while (i < text.length() && text.charAt(i) != c) {
        i += text.charAt(i) == '\\' ? 2 : 1;
      }
      return i + 1;
    }
    if (text.startsWith("//", at)) {
      int end = text.indexOf('\n', at);
      end = end < 0 ? text.length() : end;
      found.put(at, text.substring(at + 2, end).strip());
      return end;
    }
    if (text.startsWith("/*", at)) {
      int end = text.indexOf("*/", at + 2);
      end = end < 0 ? text.length() : end;
      found.put(at, text.substring(at + 2, end).strip());
      return end + 2;
    }
    return at + 1;
  }

  /** Takes what is said on the lines directly above something. */
  String above(Span what) {
    StringBuilder said = new StringBuilder();
    int line = text.lastIndexOf('\n', Math.max(0, what.from() - 1));
    while (line > 0) {
      int from = text.lastIndexOf('\n', line - 1) + 1;
      int begins = from;
      while (begins < line && Character.isWhitespace(text.charAt(begins))) {
        begins++;
      }
      if (!text.startsWith("//", begins) || !found.containsKey(begins)) {
        break;
      }
      String one = found.remove(begins);
      said.insert(0, said.isEmpty() ? one : one + "\n");
      line = from - 1;
    }
    return said.toString();
  }

  /** Where those stand that nobody took. */
  List<Spot> others() {
    return found.keySet().stream().map(at -> Spot.of(text, at)).toList();
  }
}
