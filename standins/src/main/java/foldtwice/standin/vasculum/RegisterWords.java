package foldtwice.standin.vasculum;

import foldtwice.run.Change;
import foldtwice.standin.base.StandIn;
import foldtwice.standin.vasculum.Register.Cell;
import foldtwice.standin.vasculum.Register.Cells;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** What is in a register, and what is different between two, as people say it. */
public final class RegisterWords {

  private RegisterWords() {}

  /** A cell by its column and row: {@code Date 3}. */
  public static String name(Cell cell) {
    return Register.COLUMNS.get(cell.column()) + " " + (cell.row() + 1);
  }

  /** The cell of a name. */
  static Cell cell(String name) {
    int space = name.lastIndexOf(' ');
    return new Cell(
        Integer.parseInt(name.substring(space + 1)) - 1,
        Register.COLUMNS.indexOf(name.substring(0, space)));
  }

  /** A selection: {@code Date, rows 3 to 5}. */
  public static String of(Cells cells) {
    if (cells.isEmpty()) {
      return "nothing";
    }
    String columns = Register.COLUMNS.get(cells.left());
    if (cells.right() > cells.left()) {
      columns += " to " + Register.COLUMNS.get(cells.right());
    }
    return cells.top() == cells.bottom()
        ? columns + ", row " + (cells.top() + 1)
        : columns + ", rows " + (cells.top() + 1) + " to " + (cells.bottom() + 1);
  }

  static List<Change> differences(Register before, Register after) {
    List<Change> changes = new ArrayList<>();
    StandIn.compare(changes, "records", size(before), size(after));
    if (!before.rows().equals(after.rows())) {
      texts(before, after, changes);
    }
    if (!before.flags().equals(after.flags())) {
      flags(before.flags(), after.flags(), changes);
    }
    StandIn.compare(changes, "selection", of(before.selection()), of(after.selection()));
    return changes;
  }

  private static String size(Register register) {
    return Integer.toString(register.rows().size());
  }

  private static void texts(Register before, Register after, List<Change> changes) {
    int both = Math.min(before.rows().size(), after.rows().size());
    for (int row = 0; row < both; row++) {
      for (int column = 0; column < Register.COLUMNS.size(); column++) {
        String was = before.text(row, column);
        StandIn.compare(changes, name(new Cell(row, column)), was, after.text(row, column));
      }
    }
  }

  private static void flags(
      Map<Cell, String> before, Map<Cell, String> after, List<Change> changes) {
    Map<Cell, String> all =
        new TreeMap<>(Comparator.comparing(Cell::row).thenComparing(Cell::column));
    all.putAll(before);
    all.putAll(after);
    for (Cell cell : all.keySet()) {
      StandIn.compare(
          changes,
          "flag of " + name(cell),
          before.getOrDefault(cell, "none"),
          after.getOrDefault(cell, "none"));
    }
  }
}
