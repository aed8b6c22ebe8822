package foldtwice.standin.muniment;

import foldtwice.run.Change;
import foldtwice.standin.base.StandIn;
import java.util.ArrayList;
import java.util.List;

/**
 * A console and all that was done through it.
 *
 * @param text what stands in it
 * @param done the statements that changed data, oldest first
 * @param answer what came last
 * @param selected row numbers of the answer, counted from 1, in the order of selecting
 */
public record Console(String text, List<Archive.Said> done, Answer answer, List<Integer> selected) {

  public Console {
    done = List.copyOf(done);
    selected = List.copyOf(selected);
  }

  static Console first() {
    return new Console("", List.of(), Answer.NONE, List.of());
  }

  Console saying(String other) {
    return new Console(other, done, answer, selected);
  }

  Console answered(Answer other, Archive.Said said) {
    List<Archive.Said> more = new ArrayList<>(done);
    if (other.changes()) {
      more.add(said);
    }
    return new Console(text, more, other, List.of());
  }

  /** Empty, with all that was done still done. */
  Console cleared() {
    return new Console("", done, Answer.NONE, List.of());
  }

  Console selecting(List<Integer> rows) {
    return new Console(text, done, answer, rows);
  }

  static List<Change> differences(Console before, Console after) {
    List<Change> changes = new ArrayList<>();
    StandIn.compare(changes, "console", before.text, after.text);
    if (!before.answer.equals(after.answer)) {
      changes.add(new Change("answer", quiet(before.answer.said()), quiet(after.answer.said())));
    }
    StandIn.compare(
        changes,
        "changing statements",
        Integer.toString(before.done.size()),
        Integer.toString(after.done.size()));
    StandIn.compare(changes, "selection", say(before.selected), say(after.selected));
    return changes;
  }

  private static String quiet(String said) {
    return said.isEmpty() ? "none" : said;
  }

  static String say(List<Integer> rows) {
    return rows.isEmpty() ? "nothing" : "rows " + rows;
  }
}
