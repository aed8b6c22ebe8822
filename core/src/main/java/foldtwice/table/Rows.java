package foldtwice.table;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Rows that are being written while what they are of changes. */
public final class Rows {

  private Rows() {}

  /**
   * What somebody has written, on top of what others have done meanwhile: their new rows are there,
   * where they stand; their removals count for rows that were left alone; in a row with an id the
   * cells that were written stay, and the others are as they are there.
   *
   * @param mine the rows as they are being written
   * @param base the rows that the writing began with
   * @param theirs the rows as they are by now
   */
  public static List<Row> rebased(List<Row> mine, List<Row> base, List<Row> theirs) {
    Map<Object, Row> before = byKey(base);
    Map<Object, Row> now = byKey(theirs);
    List<Object> keys = new ArrayList<>();
    List<Row> all = new ArrayList<>();
    for (Row row : mine) {
      Object key = key(row);
      boolean gone = row.equals(before.get(key)) && !now.containsKey(key);
      if (!gone) {
        keys.add(key);
        all.add(
            before.containsKey(key) && now.containsKey(key)
                ? over(row, before.get(key), now.get(key))
                : row);
      }
    }
    int at = 0;
    for (Map.Entry<Object, Row> row : now.entrySet()) {
      int there = keys.indexOf(row.getKey());
      if (there >= 0) {
        at = there + 1;
      } else if (!before.containsKey(row.getKey())) {
        keys.add(at, row.getKey());
        all.add(at, row.getValue());
        at++;
      }
    }
    return List.copyOf(all);
  }

  /** A row is the one of its id, or else the one that says this. */
  private static Object key(Row row) {
    return row.id().isEmpty() ? row : row.id();
  }

  private static Map<Object, Row> byKey(List<Row> rows) {
    Map<Object, Row> all = new LinkedHashMap<>();
    rows.forEach(r -> all.putIfAbsent(key(r), r));
    return all;
  }

  private static Row over(Row mine, Row base, Row theirs) {
    Row all = theirs;
    for (Part.Column c : Part.Column.values()) {
      if (!mine.cell(c).equals(base.cell(c))) {
        all = all.with(c, mine.cell(c));
      }
    }
    return all;
  }
}
