package foldtwice.standin.muniment;

import java.util.List;

/**
 * What the database answered.
 *
 * @param columns empty where there is no table
 * @param rows as texts
 * @param said how many rows were found or changed
 * @param changes true when the statement may have changed data
 */
public record Answer(List<String> columns, List<List<String>> rows, String said, boolean changes) {

  /** Before any statement. */
  public static final Answer NONE = new Answer(List.of(), List.of(), "", false);

  public Answer {
    columns = List.copyOf(columns);
    rows = List.copyOf(rows);
  }
}
