package foldtwice.table;

import foldtwice.describe.Description;
import foldtwice.place.Application;
import foldtwice.table.Part.Column;
import java.util.List;

/** What came of reading a table. */
public sealed interface Read {

  /** The program as it is after all rows. */
  record Made(Application application, Description description) implements Read {}

  /** Nothing: these cells cannot be read. */
  record Faulty(List<Fault> faults) implements Read {
    public Faulty {
      faults = List.copyOf(faults);
    }
  }

  /**
   * A cell that cannot be read.
   *
   * @param row counted from 0
   */
  record Fault(int row, Column column, String expected, String found) {}
}
