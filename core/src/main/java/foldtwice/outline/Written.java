package foldtwice.outline;

import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.ValueException;
import foldtwice.text.Refusals;
import java.util.List;
import java.util.Locale;

/**
 * What a person wrote, read from left to right: words of a notation, names as a program has them,
 * expressions.
 *
 * <p>A name ends where one of the words stands that may follow it. One that could be read otherwise
 * is put in quotes, a quote in it twice.
 */
final class Written {

  private static final String QUOTE = "'";

  private final String text;
  private int at;

  Written(String text) {
    this.text = text;
    blanks();
  }

  /** Passes a word, or words with one blank between; false, and nothing passed, when it is none. */
  boolean passes(String words) {
    int end = endOf(words, at);
    if (end < 0) {
      return false;
    }
    at = end;
    blanks();
    return true;
  }

  /** True when a word comes next. */
  boolean stands(String words) {
    return endOf(words, at) >= 0;
  }

  /** Passes a sign; false when it is none. */
  boolean passes(char sign) {
    if (at >= text.length() || text.charAt(at) != sign) {
      return false;
    }
    at++;
    blanks();
    return true;
  }

  char next() {
    return at < text.length() ? text.charAt(at) : 0;
  }

  boolean isOver() {
    return at >= text.length();
  }

  Expr expr() {
    if (isOver()) {
      throw fault(Refusals.says("outline.value-number-name-text"));
    }
    ExprNotation.Begun begun = ExprNotation.begun(text, at);
    at = begun.end();
    blanks();
    return begun.expr();
  }

  /**
   * A name, up to one of the words that may follow, or to the end where none of them needs to.
   *
   * @param needed true when one of them has to follow
   */
  String name(List<String> followers, boolean needed) {
    if (text.startsWith(QUOTE, at)) {
      return quoted();
    }
    for (int i = at; i <= text.length(); i++) {
      boolean ends = i == text.length() && !needed;
      if (ends || follows(followers, i)) {
        String name = text.substring(at, i).strip();
        at = i;
        return name;
      }
    }
    throw fault(Refusals.says("outline.name-and-then", String.join(" or ", followers)));
  }

  /** What stands up to the next blank, or in quotes. */
  String word() {
    if (text.startsWith(QUOTE, at)) {
      return quoted();
    }
    int from = at;
    while (at < text.length() && !Character.isWhitespace(text.charAt(at))) {
      at++;
    }
    String word = text.substring(from, at);
    blanks();
    return word;
  }

  /** True when one of the words stands at a place, a blank or the name's beginning before it. */
  private boolean follows(List<String> followers, int place) {
    boolean blank = place == at || Character.isWhitespace(text.charAt(place - 1));
    return followers.stream().anyMatch(f -> (blank || isSign(f)) && endOf(f, place) >= 0);
  }

  /** What needs no blank before it. */
  private static boolean isSign(String follower) {
    return !Character.isLetterOrDigit(follower.charAt(0));
  }

  private String quoted() {
    StringBuilder name = new StringBuilder();
    for (int i = at + 1; i < text.length(); i++) {
      boolean quote = text.startsWith(QUOTE, i);
      if (quote && !text.startsWith(QUOTE, i + 1)) {
        at = i + 1;
        blanks();
        return name.toString();
      }
      name.append(text.charAt(i));
      i += quote ? 1 : 0;
    }
    throw fault(Refusals.says("outline.ends-name"));
  }

  /** A name as it has to be written where these words, or the end, may follow. */
  static String name(String name, List<String> followers) {
    String plain = name.strip();
    if (plain.isEmpty() || !plain.equals(name) || name.startsWith(QUOTE)) {
      return quote(name);
    }
    Written alone = new Written(name);
    String read = alone.name(followers, false);
    return read.equals(name) && alone.isOver() ? name : quote(name);
  }

  static String quote(String name) {
    return QUOTE + name.replace(QUOTE, QUOTE + QUOTE) + QUOTE;
  }

  /** The place of the bracket that closes the one here; the end where none does. */
  int closing() {
    int open = 0;
    boolean quoted = false;
    for (int i = at; i < text.length(); i++) {
      char c = text.charAt(i);
      quoted ^= c == '\'';
      if (!quoted && c == '(') {
        open++;
      } else if (!quoted && c == ')' && --open == 0) {
        return i;
      }
    }
    return text.length();
  }

  /** What stands from a place on. */
  Written from(int place) {
    return new Written(text.substring(Math.min(place, text.length())));
  }

  /**
   * Nothing more comes.
   *
   * @throws ValueException when something does
   */
  void end(String allowed) {
    if (!isOver()) {
      throw fault(allowed);
    }
  }

  ValueException fault(String allowed) {
    return new ValueException(
        text, Refusals.says("outline.at-character-was-expected", at + 1, allowed));
  }

  private int endOf(String words, int from) {
    int end = from + words.length();
    boolean there =
        end <= text.length() && text.substring(from, end).toLowerCase(Locale.ROOT).equals(words);
    boolean goesOn =
        there
            && end < text.length()
            && Character.isLetterOrDigit(words.charAt(words.length() - 1))
            && Character.isLetterOrDigit(text.charAt(end));
    return there && !goesOn ? end : -1;
  }

  private void blanks() {
    while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
      at++;
    }
  }
}
