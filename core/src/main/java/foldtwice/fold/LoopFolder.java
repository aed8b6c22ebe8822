package foldtwice.fold;

import foldtwice.reading.Builtin;
import foldtwice.routine.Expr;
import foldtwice.routine.Line;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Finds the shortest macro, by {@link Measure}, that takes the very same steps: of all ways to
 * write runs of lines as loops, also inside one another, the best, not the first found.
 *
 * <p>What a loop may vary: in each slot of its body (a value, a text, the last label of a menu
 * path) the same, or counting up by a fixed step, or one list of values, which several slots may
 * share. Inside a loop inside it, a slot depends on the turns of one of them only. Bodies have at
 * most {@value #LONGEST_BODY} lines.
 *
 * <p>Dynamic programming over the ends of what is folded: {@code best(i) = min(line(i) + best(i+1),
 * loop(i, p, k) + best(i + p·k))} over all periods p and turns k; the body of a loop is folded the
 * same way, and bodies that are alike are folded once. This is the optimal-substructure argument of
 * interval folding (compare R. Nussinov et al. 1978 for folding by intervals; from memory), with
 * prefixes instead of intervals because loops lie side by side. Cost: O(n² · b) slot comparisons
 * for n lines and bodies of at most b lines where everything repeats, O(n · b) where nothing does;
 * memory O(n · b).
 */
public final class LoopFolder {

  /** Bodies of loops are at most so long, in lines before folding. */
  public static final int LONGEST_BODY = 200;

  /** More comparisons than this are not made. */
  public static final long MOST_WORK = 600_000_000L;

  /** What a part of the lines is folded to. */
  private record Plan(int length, List<Line> lines) {}

  /**
   * One way to write the rest of the lines.
   *
   * @param to how far its first part goes
   * @param length of all of it
   * @param period how many lines the loop has that is its first part; 0 for a line alone
   * @param list which sequences the loop's list gives
   */
  private record Choice(int to, int length, int period, int list) {}

  /** A token, numbered: what is equal has equal numbers. */
  private static final class Item {
    final Token token;
    final int shape;
    final int content;
    final int[] slots;
    final boolean mayRepeat;

    Item(Token token, int shape, int content, int[] slots) {
      this.token = token;
      this.shape = shape;
      this.content = content;
      this.slots = slots;
      this.mayRepeat = token.mayRepeat();
    }
  }

  private final Set<String> taken;
  private final Map<String, Integer> numbers = new HashMap<>();
  private final Map<List<Integer>, Plan> bodies = new HashMap<>();
  private final Map<Integer, Plan> alone = new HashMap<>();
  private long work;

  private LoopFolder(Set<String> taken) {
    this.taken = taken;
  }

  /**
   * The shortest macro; the lines themselves where no loop makes them shorter.
   *
   * @param taken names that are in use and no loop may give a meaning to
   * @throws TooLongToFoldException when that would take too long to find out
   */
  public static List<Line> fold(List<Line> lines, Set<String> taken) {
    if (taken.contains(Builtin.TURN)) {
      return lines; // a loop would hide what the name means
    }
    LoopFolder folder = new LoopFolder(taken);
    Plan plan = folder.best(lines.stream().map(l -> folder.item(Token.of(l))).toList(), 1);
    return plan.length() < Measure.of(lines) ? plan.lines() : lines;
  }

  private Item item(Token token) {
    int[] slots = token.slots().stream().mapToInt(s -> number(s.toString())).toArray();
    return new Item(token, number(token.shape()), number('\u0001' + token.key()), slots);
  }

  private int number(String text) {
    return numbers.computeIfAbsent(text, t -> numbers.size());
  }

  /**
   * @param depth 1 outside of every loop
   */
  private Plan best(List<Item> items, int depth) {
    int n = items.size();
    Choice[] best = new Choice[n + 1];
    best[n] = new Choice(n, 0, 0, 0);
    for (int i = n - 1; i >= 0; i--) {
      best[i] = new Choice(i + 1, alone(items.get(i)).length() + best[i + 1].length(), 0, 0);
      loops(items, i, depth, best);
    }
    List<Line> lines = new ArrayList<>();
    for (int i = 0; i < n; i = best[i].to()) {
      lines.addAll(
          best[i].period() == 0
              ? alone(items.get(i)).lines()
              : List.of(new Loop(items, i, best[i].period(), depth, best).written(best[i])));
    }
    return new Plan(best[0].length(), lines);
  }

  private Plan alone(Item item) {
    return alone.computeIfAbsent(
        item.content,
        c -> {
          List<Line> line = List.of(item.token.written());
          return new Plan(Measure.of(line), line);
        });
  }

  /** Tries every loop that begins here. */
  private void loops(List<Item> items, int from, int depth, Choice[] best) {
    int longest = Math.min(LONGEST_BODY, (items.size() - from) / 2);
    int[] solid = new int[longest + 1];
    Set<Integer> shapes = new HashSet<>();
    for (int p = 1; p <= longest; p++) {
      Item last = items.get(from + p - 1);
      if (!last.mayRepeat) {
        return; // it is in the body of every longer loop
      }
      shapes.add(last.shape);
      int furthest = from + (items.size() - from) / p * p;
      if (!dominated(solid, p, furthest)
          && blockRepeats(items, from, p)
          && (mayLoop(items, from, p, 2) || mayLoop(items, from, p, 3))) {
        new Loop(items, from, p, depth, best).tries(solid, Measure.LINE * shapes.size());
      }
    }
  }

  /** True when loops of a period that divides this one reach as far without a list. */
  private static boolean dominated(int[] solid, int period, int to) {
    for (int p = 1; p * 2 <= period; p++) {
      if (solid[p] >= to && period % p == 0) {
        return true;
      }
    }
    return false;
  }

  private boolean blockRepeats(List<Item> items, int from, int period) {
    for (int x = from; x < from + period; x++) {
      work++;
      if (items.get(x).shape != items.get(x + period).shape) {
        return false;
      }
    }
    return true;
  }

  /** False when so many turns would need two lists or more; looks no further than the second. */
  private boolean mayLoop(List<Item> items, int from, int period, int turns) {
    if (from + turns * period > items.size()) {
      return false;
    }
    List<Integer> list = List.of();
    for (int x = from; x < from + period; x++) {
      for (int s = 0; s < items.get(x).slots.length; s++) {
        work++;
        List<Integer> contents = new ArrayList<>(turns);
        Sequence sequence = null;
        for (int t = 0; t < turns; t++) {
          Item item = items.get(x + t * period);
          if (item.slots.length <= s) {
            return false; // of another shape by now
          }
          contents.add(item.slots[s]);
          if (t == 0) {
            sequence = new Sequence(item.token.slots().get(s), item.slots[s]);
          } else if (!sequence.add(item.token.slots().get(s), item.slots[s])) {
            return false;
          }
        }
        if (sequence.isSame() || sequence.isCounting()) {
          continue;
        }
        if (!list.isEmpty() && !list.equals(contents)) {
          return false;
        }
        list = contents;
      }
    }
    return true;
  }

  /** Loops with one beginning and one period, turn by turn. */
  private final class Loop {

    /** No list. */
    private static final int NONE = -1;

    /** Several lists. */
    private static final int MANY = -2;

    private final List<Item> items;
    private final int from;
    private final int period;
    private final int depth;
    private final Choice[] best;
    private final List<Sequence> sequences = new ArrayList<>();
    private final Map<String, Plan> known = new HashMap<>();

    Loop(List<Item> items, int from, int period, int depth, Choice[] best) {
      this.items = items;
      this.from = from;
      this.period = period;
      this.depth = depth;
      this.best = best;
      for (int x = from; x < from + period; x++) {
        Item item = items.get(x);
        for (int s = 0; s < item.slots.length; s++) {
          sequences.add(new Sequence(item.token.slots().get(s), item.slots[s]));
        }
      }
    }

    /**
     * @param solid by period, how far from here its loops reach without a list: loops of several
     *     such periods in one body do not do better
     * @param least the body is no shorter
     */
    void tries(int[] solid, int least) {
      for (int turns = 2; from + period * turns <= items.size(); turns++) {
        if (!turn(turns)) {
          return;
        }
        int to = from + period * turns;
        int varying = varying(false);
        if (varying == NONE) {
          solid[period] = to;
        }
        if (!dominated(solid, period, to)) {
          offer(turns, to, varying, least);
        }
        if (varying == MANY && varying(true) == MANY) {
          return; // more turns do not make fewer lists
        }
      }
    }

    private void offerWith(int list, int turns, int to, int least) {
      int around = Measure.LINE + (list == NONE ? 0 : turns) + best[to].length();
      if (around + least >= best[from].length()) {
        return;
      }
      String pattern = pattern(list);
      Plan body = known.get(pattern);
      if (body == null) {
        body = body(list);
        known.put(pattern, body);
      }
      int length = around + body.length();
      if (length < best[from].length()) {
        best[from] = new Choice(to, length, period, list);
      }
    }

    /** Takes one more turn into the sequences; false when it is of another shape. */
    private boolean turn(int turns) {
      int begin = from + period * (turns - 1);
      work += period + sequences.size();
      if (work > MOST_WORK) {
        throw new TooLongToFoldException(items.size(), MOST_WORK);
      }
      int slot = 0;
      Map<Long, Integer> classes = new HashMap<>();
      for (int x = 0; x < period; x++) {
        Item item = items.get(begin + x);
        if (!item.mayRepeat || items.get(from + x).shape != item.shape) {
          return false;
        }
        for (int s = 0; s < item.slots.length; s++) {
          Sequence sequence = sequences.get(slot++);
          if (!sequence.add(item.token.slots().get(s), item.slots[s])) {
            return false;
          }
          long both = ((long) sequence.list() << 32) | item.slots[s];
          sequence.list(classes.computeIfAbsent(both, b -> classes.size()));
        }
      }
      return true;
    }

    /**
     * The list of the sequences that neither stay the same nor count; {@link #NONE} where there is
     * none, {@link #MANY} where there are several lists.
     *
     * @param forGood only of those that will not count however many turns there are
     */
    private int varying(boolean forGood) {
      int list = NONE;
      for (Sequence s : sequences) {
        if (!s.isSame() && !(forGood ? s.mayCount() : s.isCounting())) {
          if (list != NONE && list != s.list()) {
            return MANY;
          }
          list = s.list();
        }
      }
      return list;
    }

    /** Offers the loop with every list it may have. */
    private void offer(int turns, int to, int varying, int least) {
      if (varying != MANY) {
        offerWith(varying, turns, to, least);
      }
      if (varying == NONE) {
        for (Sequence s : sequences) {
          if (s.isCounting()) {
            offerWith(s.list(), turns, to, least);
          }
        }
      }
    }

    /** Which slots stay the same, count, or are given by the list; one pattern, one body. */
    private String pattern(int list) {
      StringBuilder pattern = new StringBuilder(sequences.size());
      sequences.forEach(s -> pattern.append(s.isSame() ? '=' : s.list() == list ? 'l' : 'c'));
      return pattern.toString();
    }

    /** The body, folded itself. */
    private Plan body(int list) {
      List<Item> body = new ArrayList<>(period);
      List<Integer> key = new ArrayList<>(period + 1);
      key.add(depth);
      int slot = 0;
      for (int x = 0; x < period; x++) {
        Item item = items.get(from + x);
        List<Token.Slot> slots = new ArrayList<>();
        boolean same = true;
        for (int s = 0; s < item.slots.length; s++) {
          same &= sequences.get(slot).isSame();
          slots.add(slot(sequences.get(slot++), list));
        }
        Item merged = same ? item : item(item.token.with(slots));
        key.add(merged.content);
        body.add(merged);
      }
      work += period;
      Plan before = bodies.get(key);
      if (before == null) {
        before = best(body, depth + 1);
        bodies.put(key, before);
      }
      return before;
    }

    private Token.Slot slot(Sequence sequence, int list) {
      if (sequence.isSame()) {
        return sequence.first();
      }
      return sequence.list() == list
          ? new Token.Slot.Given(Constant.named(variable(depth)))
          : sequence.counted();
    }

    /** The loop that was chosen, its turns gone through once more. */
    Line written(Choice choice) {
      int turns = (choice.to() - from) / period;
      for (int t = 2; t <= turns; t++) {
        turn(t);
      }
      List<Line> body = body(choice.list()).lines();
      if (choice.list() == NONE) {
        return new Line(new Step.Repeat(new Expr.Literal(Value.Amount.of(turns)), body));
      }
      List<Expr> values =
          sequences.stream()
              .filter(s -> !s.isSame() && s.list() == choice.list())
              .findFirst()
              .orElseThrow()
              .values();
      return new Line(new Step.ForEach(variable(depth), new Step.Items.Given(values), body));
    }
  }

  /** What a loop at this depth calls what its list gives. */
  private String variable(int depth) {
    String name = depth == 1 ? "one" : "one " + depth;
    while (taken.contains(name)) {
      name = "this " + name;
    }
    return name;
  }
}
