package foldtwice.fold;

import foldtwice.reading.Builtin;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Value;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What is in one slot turn after turn, and how it goes on: the same, counting, or one by one. */
final class Sequence {

  /** So many turns at least show that something counts. */
  private static final int FEWEST_COUNTED = 3;

  private static final Pattern NUMBER = Pattern.compile("(.*?)(\\d{1,6})(\\D*)");

  private final List<Token.Slot> slots = new ArrayList<>();
  private boolean same = true;
  private boolean counting = true;
  private Optional<Value> step = Optional.empty();
  private Value last;
  private final int firstContent;
  private int list;

  /**
   * @param content equal for slots with the same in them
   */
  Sequence(Token.Slot first, int content) {
    list = content;
    firstContent = content;
    slots.add(first);
    if (first instanceof Token.Slot.Fixed(Constant c)) {
      last = c.value();
      counting = c.place() == Constant.Place.VALUE || turnOf(c.text()).isPresent();
    } else {
      counting = false;
    }
  }

  /** One more turn; false when the slots do not belong to one loop. */
  boolean add(Token.Slot next, int content) {
    boolean equal = content == firstContent;
    Token.Slot first = slots.getFirst();
    slots.add(next);
    if (first instanceof Token.Slot.Fixed(Constant was)
        && next instanceof Token.Slot.Fixed(Constant is)) {
      same &= equal;
      if (counting) {
        counting =
            is.place() == Constant.Place.VALUE
                ? isNext(is.value())
                : countsTurns(was.text(), is.text());
        last = is.value();
      }
      return true;
    }
    return equal;
  }

  private boolean isNext(Value value) {
    Optional<Value> difference = Numbers.difference(last, value);
    if (difference.isEmpty()) {
      return false;
    }
    if (slots.size() == 2) {
      step = difference;
      return true;
    }
    return difference.equals(step);
  }

  /** The same text but for a number, which is the turn's. */
  private boolean countsTurns(String first, String next) {
    Matcher a = NUMBER.matcher(first);
    Matcher b = NUMBER.matcher(next);
    return a.matches()
        && b.matches()
        && a.group(1).equals(b.group(1))
        && a.group(3).equals(b.group(3))
        && b.group(2).equals(Integer.toString(slots.size()));
  }

  /** A text whose last number is 1, the first turn's. */
  private static Optional<String> turnOf(String text) {
    Matcher m = NUMBER.matcher(text);
    return m.matches() && m.group(2).equals("1")
        ? Optional.of(m.group(1) + Constant.named(Builtin.TURN) + m.group(3))
        : Optional.empty();
  }

  boolean isSame() {
    return same;
  }

  /** Counts up or down; two turns are no evidence of that. */
  boolean isCounting() {
    return !same && counting && slots.size() >= FEWEST_COUNTED;
  }

  /** May turn out to count when there are more turns. */
  boolean mayCount() {
    return !same && counting;
  }

  /** As it is written where the loop counts. */
  Token.Slot counted() {
    Constant first = ((Token.Slot.Fixed) slots.getFirst()).constant();
    if (first.place() != Constant.Place.VALUE) {
      return new Token.Slot.Counted(turnOf(first.text()).orElseThrow());
    }
    Expr e = Numbers.counting(new Expr.Name(Builtin.TURN), first.value(), step.orElseThrow());
    return new Token.Slot.Counted(ExprNotation.write(e));
  }

  Token.Slot first() {
    return slots.getFirst();
  }

  /** The values, one for each turn. */
  List<Expr> values() {
    return slots.stream()
        .map(s -> Numbers.literal(((Token.Slot.Fixed) s).constant().value()))
        .toList();
  }

  /** Equal for sequences of one beginning and period that one list can give. */
  int list() {
    return list;
  }

  void list(int other) {
    list = other;
  }
}
