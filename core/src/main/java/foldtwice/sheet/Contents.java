package foldtwice.sheet;

import foldtwice.trigger.Trigger;
import java.util.List;

/**
 * What stands on a sheet, in words.
 *
 * @param subtitle what more there is to say of the title; may be empty
 * @param station whose keyboard and programs it is for
 * @param asOf the day, as it is written
 * @param leftOut what does not work on the station, and why
 * @param waiting what is on it and works as soon as something has been done there, and what
 */
public record Contents(
    String title,
    String subtitle,
    String library,
    String station,
    String asOf,
    List<Group> groups,
    List<Aside> leftOut,
    List<Aside> waiting) {

  public Contents {
    groups = List.copyOf(groups);
    leftOut = List.copyOf(leftOut);
    waiting = List.copyOf(waiting);
  }

  /** What belongs together, such as what works in one context. */
  public record Group(String name, List<Line> lines) {
    public Group {
      lines = List.copyOf(lines);
    }
  }

  /**
   * One trigger and what it does.
   *
   * @param strokes the caps of each stroke; empty when it is no keys
   * @param tag what it is when it is no keys
   * @param says the trigger in running text
   * @param place where it works, in words
   * @param uses times a week
   * @param trigger the trigger itself
   * @param binding the id of the binding; empty for a command of the program
   * @param note why it does not work there; empty when it does
   */
  public record Line(
      List<List<String>> strokes,
      String tag,
      String says,
      String does,
      String place,
      double uses,
      Trigger trigger,
      String binding,
      String note) {
    public Line {
      strokes = strokes.stream().map(List::copyOf).toList();
    }
  }

  /** Something that is not on the sheet, or that works later. */
  public record Aside(String binding, String trigger, String does, String why) {}

  /** How many lines it has. */
  public int size() {
    return groups.stream().mapToInt(g -> g.lines().size()).sum();
  }

  public List<Line> lines() {
    return groups.stream().flatMap(g -> g.lines().stream()).toList();
  }
}
