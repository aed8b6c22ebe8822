package foldtwice.table;

import foldtwice.table.Part.Column;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * A row of a table.
 *
 * @param id of what it is about, where that has an id of its own; empty for something new
 * @param cells what stands in it; a cell that is not there is empty
 */
public record Row(String id, Map<Column, String> cells) {

  public Row {
    EnumMap<Column, String> some = new EnumMap<>(Column.class);
    cells.forEach(
        (c, text) -> {
          if (!text.isEmpty()) {
            some.put(c, text);
          }
        });
    cells = Collections.unmodifiableMap(some);
  }

  /** A new one with nothing in it. */
  public static Row empty() {
    return new Row("", Map.of());
  }

  public String cell(Column column) {
    return cells.getOrDefault(column, "");
  }

  /** The same row with another text in a cell. */
  public Row with(Column column, String text) {
    Map<Column, String> next = new EnumMap<>(Column.class);
    next.putAll(cells);
    next.put(column, text);
    return new Row(id, next);
  }

  public boolean isEmpty() {
    return cells.values().stream().allMatch(String::isBlank);
  }

  /**
   * New rows of what was pasted: a line each, its cells parted by tabs, in the order of the
   * columns; or, where the first line names columns, in the order of that.
   *
   * @param headings what the columns are called
   */
  public static List<Row> pasted(String text, Part part, Map<Column, String> headings) {
    List<String> lines = text.lines().filter(l -> !l.isBlank()).toList();
    if (lines.isEmpty()) {
      return List.of();
    }
    List<Column> order = named(lines.getFirst(), headings);
    List<Row> rows = new ArrayList<>();
    for (String line : order.isEmpty() ? lines : lines.subList(1, lines.size())) {
      String[] cells = line.split("\t", -1);
      List<Column> of = order.isEmpty() ? part.columns() : order;
      Map<Column, String> row = new EnumMap<>(Column.class);
      for (int i = 0; i < Math.min(cells.length, of.size()); i++) {
        row.put(of.get(i), cells[i].strip());
      }
      rows.add(new Row("", row));
    }
    return rows;
  }

  /** The columns a line of headings names; none when it is no line of headings. */
  private static List<Column> named(String line, Map<Column, String> headings) {
    List<Column> order = new ArrayList<>();
    for (String cell : line.split("\t", -1)) {
      Stream<Column> called =
          headings.entrySet().stream()
              .filter(h -> h.getValue().equalsIgnoreCase(cell.strip()))
              .map(Map.Entry::getKey);
      called.findFirst().ifPresent(order::add);
    }
    return order.size() == line.split("\t", -1).length ? order : List.of();
  }

  /** The rows as lines of cells parted by tabs, to be pasted elsewhere, below the headings. */
  public static String copied(List<Row> rows, Part part, Map<Column, String> headings) {
    StringBuilder out = new StringBuilder();
    out.append(String.join("\t", part.columns().stream().map(headings::get).toList())).append('\n');
    for (Row row : rows) {
      out.append(
              String.join(
                  "\t",
                  part.columns().stream()
                      .map(c -> row.cell(c).replace('\t', ' ').replace('\n', ' '))
                      .toList()))
          .append('\n');
    }
    return out.toString();
  }
}
