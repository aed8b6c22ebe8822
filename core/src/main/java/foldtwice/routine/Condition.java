package foldtwice.routine;

import foldtwice.text.Refusals;
import java.util.List;

/** What an <em>if</em> or a <em>wait until</em> step looks at. */
public sealed interface Condition {

  /** How two values compare. */
  record Compare(Expr left, Relation relation, Expr right) implements Condition {}

  /** How something of the program compares. */
  record Reads(Readout what, Relation relation, Expr value) implements Condition {}

  /** Something is selected in the program. */
  record SomethingSelected() implements Condition {}

  /** A menu item is ticked. */
  record Ticked(List<Template> menuPath) implements Condition {
    public Ticked {
      menuPath = List.copyOf(menuPath);
    }
  }

  /** The program is of this version or a later one. */
  record VersionAtLeast(String version) implements Condition {}

  /** A dialog of this title is open. */
  record DialogOpen(String title) implements Condition {}

  /** A program's window is in front. */
  record InFront(String application) implements Condition {}

  /** The other does not hold. */
  record Not(Condition of) implements Condition {}

  /** Each of two or more holds; those after one that does not are not looked at. */
  record All(List<Condition> of) implements Condition {
    public All {
      of = several(of);
    }
  }

  /** One of two or more holds; those after it are not looked at. */
  record Any(List<Condition> of) implements Condition {
    public Any {
      of = several(of);
    }
  }

  private static List<Condition> several(List<Condition> of) {
    if (of.size() < 2) {
      throw new ValueException(
          Refusals.says("routine.so-many", of.size()),
          Refusals.says("routine.two-conditions-or-more"));
    }
    return List.copyOf(of);
  }

  /** How two values compare. Lengths compare by size, whatever their units. */
  enum Relation {
    IS("is"),
    IS_NOT("is not"),
    LESS("is less than"),
    MORE("is more than");

    private final String words;

    Relation(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }
}
