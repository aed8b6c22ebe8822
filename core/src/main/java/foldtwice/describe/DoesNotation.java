package foldtwice.describe;

import foldtwice.known.Touch;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What something does, as a person writes it and as it stands in files:
 *
 * <pre>
 *   set Grid to on              turn Grid
 *   give Width 40 %             raise Width by -5 %
 *   select all                  select nothing, next, previous
 *   add Piece                   remove
 *   go to drawing               undo, redo
 *   change view                 objects, selection, view, undo-history, files, data, windows, clipboard
 * </pre>
 *
 * What is given may be a field of the dialog: {@code set Grid to [Lines]}. A name that would be
 * read otherwise stands between quotation marks, in which a backslash goes before a quotation mark
 * or a backslash. Several are parted by semicolons. Law: what is written is read as it was.
 */
public final class DoesNotation {

  private static final String SEMICOLON = ";";
  private static final List<String> WORDS = List.of(" to ", " by ");

  private DoesNotation() {}

  /** As a line of a file. */
  public static String write(Does does) {
    return switch (does) {
      case Does.Sets(String setting, Does.Given to) -> "set " + name(setting) + " to " + given(to);
      case Does.Turns(String setting) -> "turn " + name(setting);
      case Does.Gives(String value, Does.Given to) -> "give " + name(value) + " to " + given(to);
      case Does.Raises(String value, Does.Given by) -> "raise " + name(value) + " by " + given(by);
      case Does.Selects(Does.Which which) -> "select " + word(which);
      case Does.Adds(String kind) -> "add " + name(kind);
      case Does.Removes() -> "remove";
      case Does.Leads(String context) -> "go to " + name(context);
      case Does.Undoes() -> "undo";
      case Does.Redoes() -> "redo";
      case Does.Changes(Touch touch) -> "change " + word(touch);
    };
  }

  /** As one text, parted by semicolons. */
  public static String write(List<Does> all) {
    return all.stream().map(DoesNotation::write).collect(Collectors.joining(SEMICOLON + " "));
  }

  private static String given(Does.Given given) {
    return switch (given) {
      case Does.Given.Is(String text) -> name(text);
      case Does.Given.Field(String label) -> "[" + name(label) + "]";
    };
  }

  /** As it is where it is read so, else between quotation marks. */
  private static String name(String name) {
    boolean plain =
        !name.isEmpty()
            && name.equals(name.strip())
            && name.chars().noneMatch(c -> "\"\\[];".indexOf(c) >= 0 || c < ' ')
            && WORDS.stream().noneMatch((" " + name + " ")::contains);
    return plain ? name : "\"" + name.replace("\\", "\\\\").replace("\"", "\\\"") + "\"";
  }

  private static String word(Enum<?> e) {
    return e.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /**
   * Reads several, parted by semicolons; none for a blank text.
   *
   * @throws IllegalArgumentException saying what was expected
   */
  public static List<Does> readAll(String text) {
    List<Does> all = new ArrayList<>();
    for (String one : parted(text)) {
      if (!one.isBlank()) {
        all.add(read(one));
      }
    }
    return List.copyOf(all);
  }

  private static List<String> parted(String text) {
    List<String> parts = new ArrayList<>();
    int from = 0;
    boolean quoted = false;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (quoted && c == '\\') {
        i++;
      } else if (c == '"') {
        quoted = !quoted;
      } else if (c == ';' && !quoted) {
        parts.add(text.substring(from, i));
        from = i + 1;
      }
    }
    parts.add(text.substring(Math.min(from, text.length())));
    return parts;
  }

  /**
   * Reads one.
   *
   * @throws IllegalArgumentException saying what was expected
   */
  public static Does read(String text) {
    In in = new In(text);
    String verb = in.word();
    Does does =
        switch (verb) {
          case "set" -> new Does.Sets(in.nameUntil("to"), in.given());
          case "turn" -> new Does.Turns(in.name());
          case "give" -> new Does.Gives(in.nameUntil("to"), in.given());
          case "raise" -> new Does.Raises(in.nameUntil("by"), in.given());
          case "select" -> new Does.Selects(in.one(Does.Which.values()));
          case "add" -> new Does.Adds(in.name());
          case "remove" -> new Does.Removes();
          case "go" -> {
            in.next("to");
            yield new Does.Leads(in.name());
          }
          case "undo" -> new Does.Undoes();
          case "redo" -> new Does.Redoes();
          case "change" -> new Does.Changes(in.one(Touch.values()));
          default -> throw new IllegalArgumentException(Refusals.says("describe.no-verb", verb));
        };
    in.end();
    return does;
  }

  /** A text being read. */
  private static final class In {
    private final String text;
    private int at;

    In(String text) {
      this.text = text;
      blanks();
    }

    private void blanks() {
      while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
        at++;
      }
    }

    private String rest() {
      return text.substring(at);
    }

    String word() {
      int from = at;
      while (at < text.length() && !Character.isWhitespace(text.charAt(at))) {
        at++;
      }
      String word = text.substring(from, at);
      blanks();
      return word;
    }

    void next(String word) {
      String found = word();
      if (!found.equals(word)) {
        throw new IllegalArgumentException(
            Refusals.says("describe.other-word", word, found, text.strip()));
      }
    }

    <E extends Enum<E>> E one(E[] all) {
      String found = word();
      Optional<E> one =
          Arrays.stream(all).filter(e -> DoesNotation.word(e).equals(found)).findAny();
      return one.orElseThrow(
          () ->
              new IllegalArgumentException(
                  Refusals.says(
                      "describe.none-of",
                      Arrays.stream(all).map(DoesNotation::word).collect(Collectors.joining(", ")),
                      found)));
    }

    /** What is left, as a name. */
    String name() {
      if (isQuoted()) {
        return quoted();
      }
      String name = rest().strip();
      at = text.length();
      if (name.isEmpty()) {
        throw new IllegalArgumentException(Refusals.says("describe.no-name", text.strip()));
      }
      return name;
    }

    private boolean isAtEnd() {
      return at >= text.length();
    }

    /** A name, and the word after it. */
    String nameUntil(String word) {
      if (isQuoted()) {
        String name = quoted();
        next(word);
        return name;
      }
      int end = (rest() + " ").indexOf(" " + word + " ");
      if (end <= 0) {
        throw new IllegalArgumentException(
            Refusals.says("describe.no-name-then", word, text.strip()));
      }
      String name = rest().substring(0, end).strip();
      at += end;
      blanks();
      next(word);
      return name;
    }

    Does.Given given() {
      if (at < text.length() && text.charAt(at) == '[') {
        at++;
        String label;
        if (isQuoted()) {
          label = quoted();
        } else {
          int end = text.indexOf(']', at);
          label = end < 0 ? "" : text.substring(at, end).strip();
          at = end < 0 ? at : end;
        }
        if (at >= text.length() || text.charAt(at) != ']') {
          throw new IllegalArgumentException(Refusals.says("describe.field-open", text.strip()));
        }
        at++;
        blanks();
        return new Does.Given.Field(label);
      }
      return new Does.Given.Is(name());
    }

    private boolean isQuoted() {
      return at < text.length() && text.charAt(at) == '"';
    }

    private String quoted() {
      StringBuilder name = new StringBuilder();
      for (at++; at < text.length() && text.charAt(at) != '"'; at++) {
        if (text.charAt(at) == '\\' && at + 1 < text.length()) {
          at++;
        }
        name.append(text.charAt(at));
      }
      if (isAtEnd()) {
        throw new IllegalArgumentException(Refusals.says("describe.quote-open", text.strip()));
      }
      at++;
      blanks();
      return name.toString();
    }

    void end() {
      if (!isAtEnd()) {
        throw new IllegalArgumentException(
            Refusals.says("describe.more", text.substring(0, at).strip(), rest()));
      }
    }
  }
}
