package foldtwice.table;

import foldtwice.describe.Description;
import foldtwice.place.Application;
import foldtwice.table.Part.Column;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * What is said of a program as tables, and back.
 *
 * <p>Law: a table that is written and read again leaves the program as it was. Costs one pass.
 */
public final class Tables {

  private Tables() {}

  /** The rows of a part. */
  public static List<Row> rows(Part part, Application application, Description d) {
    return switch (part) {
      case COMMANDS -> CommandRows.rows(application, d);
      case CONTEXTS -> ContextRows.rows(application, d);
      case DIALOGS -> DialogRows.rows(d);
      case SETTINGS -> PartRows.settings(d);
      case VALUES -> PartRows.values(d);
      case THINGS -> PartRows.things(d);
      case ACTIONS -> ActionRows.rows(d);
      case LABELS -> PartRows.labels(d);
    };
  }

  /** The program with these rows for a part of it; rows with nothing in them are passed over. */
  public static Read read(Part part, List<Row> rows, Application application, Description d) {
    Reading reading = new Reading();
    Read.Made made =
        switch (part) {
          case COMMANDS -> CommandRows.read(rows, application, d, reading);
          case CONTEXTS -> ContextRows.read(rows, application, d, reading);
          case DIALOGS -> new Read.Made(application, DialogRows.read(rows, d, reading));
          case SETTINGS -> new Read.Made(application, PartRows.settings(rows, d, reading));
          case VALUES -> new Read.Made(application, PartRows.values(rows, d, reading));
          case THINGS -> new Read.Made(application, PartRows.things(rows, d, reading));
          case ACTIONS -> new Read.Made(application, ActionRows.read(rows, d, reading));
          case LABELS -> new Read.Made(application, PartRows.labels(rows, d, reading));
        };
    return reading.faults.isEmpty() ? made : new Read.Faulty(reading.faults);
  }

  /** Reads rows cell by cell and keeps what cannot be read. */
  static final class Reading {
    private final List<Read.Fault> faults = new ArrayList<>();
    private int row;

    /** Makes something of each row that has something in it; of those that can be read. */
    <T> List<T> each(List<Row> rows, Function<Row, T> make) {
      List<T> all = new ArrayList<>();
      for (row = 0; row < rows.size(); row++) {
        if (!rows.get(row).isEmpty()) {
          int before = faults.size();
          T made = make.apply(rows.get(row));
          if (faults.size() == before && made != null) {
            all.add(made);
          }
        }
      }
      return all;
    }

    /** What a cell means; something else where it cannot be read. */
    <T> T cell(Row of, Column column, Function<String, T> read, T otherwise) {
      try {
        return read.apply(of.cell(column));
      } catch (foldtwice.routine.ValueException e) {
        fault(column, e.allowed(), e.found());
      } catch (IllegalArgumentException e) {
        fault(column, e.getMessage(), of.cell(column));
      }
      return otherwise;
    }

    /** A cell in which something has to stand. */
    String needed(Row of, Column column, String expected) {
      String text = of.cell(column).strip();
      if (text.isEmpty()) {
        fault(column, expected, "");
      }
      return text;
    }

    boolean hasFaults() {
      return !faults.isEmpty();
    }

    void fault(int at, Column column, String expected, String found) {
      faults.add(new Read.Fault(at, column, expected, found));
    }

    void fault(Column column, String expected, String found) {
      faults.add(new Read.Fault(row, column, expected, found));
    }
  }
}
