package foldtwice.effort;

import foldtwice.routine.Yardstick;
import foldtwice.routine.Yardstick.Meant;
import foldtwice.routine.Yardstick.Move;
import foldtwice.text.Counted;
import foldtwice.text.Refusals;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A route as a person writes it, moves parted by commas or lines:
 *
 * <pre>
 * point 300 wide 60, click, type 5, end, 2 keys, hand, menu 3, find 12, wait 0.7 s,
 * thing 240 wide 20, 2 clicks, 1 in 20 (click, type 3), 4 × (2 keys)
 * </pre>
 *
 * <p>{@code point} goes to what says what to do, {@code thing} to what it is done with; both may
 * stand alone. What is repeated in brackets is written out when it is read. Law: what {@link
 * #write} says is read as the same moves.
 */
public final class RouteText {

  /** Where nothing is said of the way. */
  private static final int FAR = 300;

  private static final int WIDE = 60;

  private static final Pattern POINT =
      Pattern.compile("(point|thing)(?: (\\d{1,6}))?(?: wide (\\d{1,5}))?");
  private static final Pattern WAIT = Pattern.compile("wait (\\d{1,6}(?:\\.\\d{1,3})?) ?s?");
  private static final Pattern COUNTED =
      Pattern.compile("(?:(\\d{1,5}) )?(keys?|clicks?|ends?|hand)");
  private static final Pattern NUMBERED = Pattern.compile("(type|menu|find) (\\d{1,5})");
  private static final Pattern SLIP = Pattern.compile("1 in (\\d{1,6})");
  private static final Pattern REPEAT = Pattern.compile("(\\d{1,4}) ?[\u00d7x*]");

  /** A route that cannot be read. */
  public static final class Unreadable extends Exception {
    private static final long serialVersionUID = 1;

    Unreadable(String what) {
      super(what);
    }
  }

  private RouteText() {}

  /** A route in words that are read again. */
  public static String write(List<Move> moves) {
    return moves.stream().map(RouteText::write).collect(Collectors.joining(", "));
  }

  private static String write(Move move) {
    return switch (move) {
      case Move.Keys(int count, Meant meant) ->
          switch (meant) {
            case COMMAND -> Counted.of(count, "key");
            case ARGUMENT -> "type " + count;
            case END -> count == 1 ? "end" : count + " ends";
          };
      case Move.Point(int distance, int width, Meant meant) ->
          (meant == Meant.COMMAND ? "point " : "thing ") + distance + " wide " + width;
      case Move.Clicks(int count) -> count == 1 ? "click" : count + " clicks";
      case Move.Menu(int levels) -> "menu " + levels;
      case Move.Hand() -> "hand";
      case Move.Choose(int among) -> "find " + among;
      case Move.Wait(int millis) ->
          "wait " + BigDecimal.valueOf(millis, 3).stripTrailingZeros().toPlainString() + " s";
      case Move.Slip(int oneIn, List<Move> inside) -> "1 in " + oneIn + " (" + write(inside) + ")";
    };
  }

  /**
   * Reads a route.
   *
   * @throws Unreadable saying what cannot be read and what could stand there
   */
  public static List<Move> read(String text) throws Unreadable {
    List<Move> moves = new ArrayList<>();
    moves(text, 0, moves);
    return List.copyOf(moves);
  }

  private static void moves(String text, int depth, List<Move> into) throws Unreadable {
    for (String part : parts(text)) {
      int open = part.indexOf('(');
      if (open < 0) {
        into.add(one(part));
      } else {
        group(part, open, depth, into);
      }
      if (into.size() > Yardstick.MOST) {
        throw new Unreadable(Refusals.says("effort.many-moves", Yardstick.MOST));
      }
    }
  }

  private static void group(String part, int open, int depth, List<Move> into) throws Unreadable {
    if (!part.endsWith(")") || depth > 1) {
      throw new Unreadable(Refusals.says("effort.no-brackets", part));
    }
    String head = part.substring(0, open).strip();
    List<Move> inside = new ArrayList<>();
    moves(part.substring(open + 1, part.length() - 1), depth + 1, inside);
    Matcher slip = SLIP.matcher(head);
    Matcher repeat = REPEAT.matcher(head);
    if (slip.matches() && Integer.parseInt(slip.group(1)) > 0) {
      if (inside.stream().anyMatch(m -> m instanceof Move.Slip)) {
        throw new Unreadable(Refusals.says("effort.slip-in-slip", part));
      }
      into.add(new Move.Slip(Integer.parseInt(slip.group(1)), inside));
    } else if (repeat.matches()) {
      for (int i = Integer.parseInt(repeat.group(1)); i > 0 && into.size() <= Yardstick.MOST; i--) {
        into.addAll(inside);
      }
    } else {
      throw new Unreadable(Refusals.says("effort.no-group", part));
    }
  }

  /** Parted by commas and lines outside of brackets. */
  private static List<String> parts(String text) throws Unreadable {
    List<String> parts = new ArrayList<>();
    StringBuilder part = new StringBuilder();
    int depth = 0;
    for (int i = 0; i <= text.length(); i++) {
      char c = i < text.length() ? text.charAt(i) : ',';
      depth += c == '(' ? 1 : c == ')' ? -1 : 0;
      if (depth < 0 || (i == text.length() && depth > 0)) {
        throw new Unreadable(Refusals.says("effort.bracket-alone", text.strip()));
      }
      if (depth == 0 && (c == ',' || c == '\n')) {
        if (!part.toString().isBlank()) {
          parts.add(part.toString().strip().replaceAll("\\s+", " "));
        }
        part.setLength(0);
      } else {
        part.append(c);
      }
    }
    return parts;
  }

  private static Move one(String part) throws Unreadable {
    Matcher m = POINT.matcher(part);
    if (m.matches()) {
      return new Move.Point(
          m.group(2) == null ? FAR : Integer.parseInt(m.group(2)),
          Math.max(1, m.group(3) == null ? WIDE : Integer.parseInt(m.group(3))),
          m.group(1).equals("point") ? Meant.COMMAND : Meant.ARGUMENT);
    }
    m = WAIT.matcher(part);
    if (m.matches()) {
      int millis = new BigDecimal(m.group(1)).movePointRight(3).intValue();
      if (millis > 0) {
        return new Move.Wait(millis);
      }
    }
    m = NUMBERED.matcher(part);
    if (m.matches() && Integer.parseInt(m.group(2)) > 0) {
      int n = Integer.parseInt(m.group(2));
      return switch (m.group(1)) {
        case "type" -> new Move.Keys(n, Meant.ARGUMENT);
        case "menu" -> new Move.Menu(n);
        default -> new Move.Choose(n);
      };
    }
    m = COUNTED.matcher(part);
    if (m.matches()) {
      int n = m.group(1) == null ? 1 : Integer.parseInt(m.group(1));
      String what = m.group(2);
      if (n > 0 && !(what.equals("hand") && m.group(1) != null)) {
        return switch (what.charAt(0)) {
          case 'k' -> new Move.Keys(n, Meant.COMMAND);
          case 'e' -> new Move.Keys(n, Meant.END);
          case 'c' -> new Move.Clicks(n);
          default -> new Move.Hand();
        };
      }
    }
    throw new Unreadable(Refusals.says("effort.no-move", part));
  }
}
