package foldtwice.routine;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * A text with insertions: {@code Flags for ‹colour›}.
 *
 * @param source as written; {@code ‹name›} marks an insertion, blanks around the name do not matter
 */
public record Template(String source) {

  /** No text. */
  public static final Template EMPTY = new Template("");

  private static final char OPEN = '\u2039';
  private static final char CLOSE = '\u203a';

  /** The names inserted, in order of appearance. */
  public List<String> names() {
    if (source.indexOf(OPEN) < 0) {
      return List.of();
    }
    List<String> names = new ArrayList<>();
    with(
        name -> {
          names.add(name);
          return "";
        });
    return names;
  }

  /** The text with each insertion replaced by what its name stands for; nothing is put in twice. */
  public String with(Function<String, String> value) {
    int open = source.indexOf(OPEN);
    if (open < 0) {
      return source;
    }
    StringBuilder out = new StringBuilder();
    int from = 0;
    while (open >= 0) {
      int close = source.indexOf(CLOSE, open);
      int again = source.indexOf(OPEN, open + 1);
      if (close < 0) {
        break;
      }
      if (again >= 0 && again < close) {
        open = again;
        continue;
      }
      String name = source.substring(open + 1, close).strip();
      if (!name.isEmpty()) {
        out.append(source, from, open).append(value.apply(name));
        from = close + 1;
      }
      open = source.indexOf(OPEN, close);
    }
    return out.append(source, from, source.length()).toString();
  }

  /** The same text with another name for one; written as it is read, without blanks around it. */
  public Template renamed(String from, String to) {
    return names().contains(from)
        ? new Template(with(name -> OPEN + (name.equals(from) ? to : name) + CLOSE))
        : this;
  }

  /** Texts as templates. */
  public static List<Template> all(List<String> texts) {
    return texts.stream().map(Template::new).toList();
  }
}
