package foldtwice.outline;

import foldtwice.routine.Line;
import foldtwice.routine.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * The lines of a macro by their numbers, and edits of them. {@code 5.2} is the second line inside
 * line 5; {@code 5.e1} the first of its otherwise.
 *
 * <p>Law: {@code insert(remove(lines, n), n, at(lines, n)).equals(lines)} for every number there
 * is. Each edit costs one walk to the line and a copy of the lists it lies in.
 */
public final class Outline {

  /** A line in its place. */
  public record Row(String number, int depth, Line line) {}

  private record Part(int index, boolean otherwise) {}

  private Outline() {}

  /** All lines in the order of reading. */
  public static List<Row> rows(List<Line> lines) {
    List<Row> rows = new ArrayList<>();
    collect(lines, "", 0, rows);
    return rows;
  }

  private static void collect(List<Line> lines, String prefix, int depth, List<Row> rows) {
    for (int i = 0; i < lines.size(); i++) {
      String number = prefix + (i + 1);
      Line line = lines.get(i);
      rows.add(new Row(number, depth, line));
      List<List<Line>> bodies = line.step().bodies();
      for (int b = 0; b < bodies.size(); b++) {
        collect(bodies.get(b), number + (b == 0 ? "." : ".e"), depth + 1, rows);
      }
    }
  }

  /** The line of a number; empty when there is none. */
  public static Optional<Line> at(List<Line> lines, String number) {
    List<Line> within = lines;
    Line found = null;
    for (Part part : parts(number)) {
      if (found != null) {
        int body = part.otherwise() ? 1 : 0;
        List<List<Line>> bodies = found.step().bodies();
        within = body < bodies.size() ? bodies.get(body) : List.of();
      }
      if (part.index() < 0 || part.index() >= within.size()) {
        return Optional.empty();
      }
      found = within.get(part.index());
    }
    return Optional.ofNullable(found);
  }

  /** True when a line stands at a number, or a first one could inside what lies around it. */
  public static boolean isPlace(List<Line> lines, String number) {
    if (at(lines, number).isPresent()) {
      return true;
    }
    boolean otherwise =
        number.contains(".e") && number.lastIndexOf(".e") == number.lastIndexOf('.');
    int body = otherwise ? 1 : 0;
    return around(number)
        .flatMap(n -> at(lines, n))
        .map(l -> l.step().bodies())
        .filter(b -> body < b.size() && b.get(body).isEmpty())
        .filter(b -> number.endsWith(otherwise ? ".e1" : ".1"))
        .isPresent();
  }

  /** With the line of a number changed. */
  public static List<Line> change(List<Line> lines, String number, UnaryOperator<Line> change) {
    return within(
        lines,
        number,
        (list, i) -> {
          list.set(i, change.apply(list.get(i)));
          return list;
        });
  }

  public static List<Line> remove(List<Line> lines, String number) {
    return within(
        lines,
        number,
        (list, i) -> {
          list.remove(i);
          return list;
        });
  }

  /** With a line put where a number stands, or would stand if there were one more. */
  public static List<Line> insert(List<Line> lines, String number, Line line) {
    return within(
        lines,
        number,
        (list, i) -> {
          list.add(Math.min(i, list.size()), line);
          return list;
        });
  }

  /** The number after this one on its level. */
  public static String after(String number) {
    int cut = Math.max(number.lastIndexOf('.'), number.lastIndexOf('e')) + 1;
    return number.substring(0, cut) + (Integer.parseInt(number.substring(cut)) + 1);
  }

  /** The number before this one on its level; empty for the first. */
  public static Optional<String> before(String number) {
    int cut = Math.max(number.lastIndexOf('.'), number.lastIndexOf('e')) + 1;
    int last = Integer.parseInt(number.substring(cut));
    return last == 1 ? Optional.empty() : Optional.of(number.substring(0, cut) + (last - 1));
  }

  /** The number of the line this one lies inside; empty on the outermost level. */
  public static Optional<String> around(String number) {
    int cut = number.lastIndexOf('.');
    return cut < 0 ? Optional.empty() : Optional.of(number.substring(0, cut));
  }

  /** Into the loop or condition before it, as its last line; as it is when there is none. */
  public static List<Line> indent(List<Line> lines, String number) {
    Optional<String> before = before(number);
    Optional<Line> line = at(lines, number);
    Optional<Line> into = before.flatMap(b -> at(lines, b));
    if (line.isEmpty() || into.isEmpty() || into.get().step().bodies().isEmpty()) {
      return lines;
    }
    return remove(change(lines, before.get(), l -> l.with(appended(l.step(), line.get()))), number);
  }

  private static Step appended(Step step, Line line) {
    List<List<Line>> bodies = new ArrayList<>(step.bodies());
    List<Line> first = new ArrayList<>(bodies.getFirst());
    first.add(line);
    bodies.set(0, first);
    return step.withBodies(bodies);
  }

  /** Out of the loop or condition it lies in, to after it; as it is on the outermost level. */
  public static List<Line> outdent(List<Line> lines, String number) {
    Optional<String> around = around(number);
    Optional<Line> line = at(lines, number);
    return around.isEmpty() || line.isEmpty()
        ? lines
        : insert(remove(lines, number), after(around.get()), line.get());
  }

  private interface Change {
    List<Line> on(List<Line> list, int index);
  }

  private static List<Line> within(List<Line> lines, String number, Change change) {
    return within(lines, parts(number), 0, change);
  }

  private static List<Line> within(List<Line> lines, List<Part> parts, int depth, Change change) {
    List<Line> list = new ArrayList<>(lines);
    int index = parts.get(depth).index();
    if (depth == parts.size() - 1) {
      return change.on(list, index);
    }
    Line line = list.get(index);
    List<List<Line>> bodies = new ArrayList<>(line.step().bodies());
    int body = parts.get(depth + 1).otherwise() ? 1 : 0;
    bodies.set(body, within(bodies.get(body), parts, depth + 1, change));
    list.set(index, line.with(line.step().withBodies(bodies)));
    return list;
  }

  private static List<Part> parts(String number) {
    List<Part> parts = new ArrayList<>();
    for (String part : number.split("\\.")) {
      boolean otherwise = part.startsWith("e");
      parts.add(new Part(Integer.parseInt(otherwise ? part.substring(1) : part) - 1, otherwise));
    }
    return parts;
  }
}
