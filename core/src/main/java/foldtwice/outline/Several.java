package foldtwice.outline;

import foldtwice.routine.Line;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * Edits of several lines at once. What lies inside a chosen line goes with it. Numbers are those
 * before the edit. Each costs one walk over the macro, and one to each chosen line.
 */
public final class Several {

  /** Stands where a line was that is being moved; no line a person could write. */
  private static final Line GONE = new Line(new Step.Note(new Template("\u0000moved")));

  private Several() {}

  /** The chosen numbers in the order of reading, without those inside another chosen one. */
  public static List<String> outermost(List<Line> lines, Collection<String> chosen) {
    Set<String> all = new HashSet<>(chosen);
    return Outline.rows(lines).stream()
        .map(Outline.Row::number)
        .filter(all::contains)
        .filter(n -> isOutermost(n, all))
        .toList();
  }

  private static boolean isOutermost(String number, Set<String> all) {
    for (var around = Outline.around(number);
        around.isPresent();
        around = Outline.around(around.get())) {
      if (all.contains(around.get())) {
        return false;
      }
    }
    return true;
  }

  /** The chosen lines. */
  public static List<Line> at(List<Line> lines, Collection<String> chosen) {
    return outermost(lines, chosen).stream().map(n -> Outline.at(lines, n).orElseThrow()).toList();
  }

  /** True when the chosen lines follow each other on one level. */
  public static boolean areTogether(List<Line> lines, Collection<String> chosen) {
    List<String> all = outermost(lines, chosen);
    for (int i = 1; i < all.size(); i++) {
      if (!Outline.after(all.get(i - 1)).equals(all.get(i))) {
        return false;
      }
    }
    return !all.isEmpty();
  }

  public static List<Line> remove(List<Line> lines, Collection<String> chosen) {
    List<Line> next = lines;
    for (String number : outermost(lines, chosen).reversed()) {
      next = Outline.remove(next, number);
    }
    return next;
  }

  /** With each chosen line changed. */
  public static List<Line> change(
      List<Line> lines, Collection<String> chosen, UnaryOperator<Line> change) {
    List<Line> next = lines;
    for (String number : outermost(lines, chosen)) {
      next = Outline.change(next, number, change);
    }
    return next;
  }

  /** With lines put, one after the other, where a number stands or would stand. */
  public static List<Line> insert(List<Line> lines, String number, List<Line> added) {
    List<Line> next = lines;
    for (Line line : added.reversed()) {
      next = Outline.insert(next, number, line);
    }
    return next;
  }

  /** With the line before the chosen ones behind them; as it is where they are not together. */
  public static List<Line> up(List<Line> lines, Collection<String> chosen) {
    List<String> all = outermost(lines, chosen);
    Optional<String> before =
        areTogether(lines, all) ? Outline.before(all.getFirst()) : Optional.empty();
    return before.isEmpty()
        ? lines
        : move(lines, List.of(before.get()), Outline.after(all.getLast()));
  }

  /** With the line behind the chosen ones before them; as it is where they are not together. */
  public static List<Line> down(List<Line> lines, Collection<String> chosen) {
    List<String> all = outermost(lines, chosen);
    if (!areTogether(lines, all)) {
      return lines;
    }
    String behind = Outline.after(all.getLast());
    return Outline.at(lines, behind).isEmpty()
        ? lines
        : move(lines, List.of(behind), all.getFirst());
  }

  /** All of them into the step before the first; as it is where that holds no others. */
  public static List<Line> indent(List<Line> lines, Collection<String> chosen) {
    List<String> all = outermost(lines, chosen);
    if (!areTogether(lines, all)) {
      return lines;
    }
    List<Line> next = lines;
    for (int i = 0; i < all.size(); i++) {
      next = Outline.indent(next, all.getFirst());
    }
    return next;
  }

  /** All of them out of the step they lie in, to after it, in their order. */
  public static List<Line> outdent(List<Line> lines, Collection<String> chosen) {
    List<Line> next = lines;
    for (String number : outermost(lines, chosen).reversed()) {
      next = Outline.outdent(next, number);
    }
    return next;
  }

  /**
   * All of them moved to where another line stands, in their order; as it is where that lies inside
   * one of them.
   *
   * @param to a number as it is before the move
   */
  public static List<Line> move(List<Line> lines, Collection<String> chosen, String to) {
    List<String> all = outermost(lines, chosen);
    boolean inside = all.stream().anyMatch(n -> to.equals(n) || to.startsWith(n + "."));
    if (inside) {
      return lines;
    }
    List<Line> moved = at(lines, all);
    List<Line> next = insert(change(lines, all, l -> GONE), to, moved);
    for (Outline.Row row : Outline.rows(next).reversed()) {
      if (row.line().equals(GONE)) {
        next = Outline.remove(next, row.number());
      }
    }
    return next;
  }

  /** The chosen lines inside a new step; as it is where they are not together. */
  public static List<Line> around(
      List<Line> lines, Collection<String> chosen, Function<List<Line>, Step> step) {
    List<String> all = outermost(lines, chosen);
    if (!areTogether(lines, all)) {
      return lines;
    }
    Line line = new Line(step.apply(at(lines, all)));
    return Outline.insert(remove(lines, all), all.getFirst(), line);
  }
}
