package foldtwice.standin.vasculum;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * The records and what is selected of them.
 *
 * @param rows each a list of texts, one a column
 * @param flags cell to colour
 */
public record Register(List<List<String>> rows, Cells selection, Map<Cell, String> flags) {

  /** The names of the columns. */
  public static final List<String> COLUMNS =
      List.of(
          "Accession",
          "Taxon",
          "Author",
          "Collector",
          "Date",
          "Elevation m",
          "Latitude",
          "Longitude",
          "Note");

  /** One cell; both counted from 0. */
  public record Cell(int row, int column) {}

  /** A block of cells, both ends included; empty when the last row is before the first. */
  public record Cells(int top, int left, int bottom, int right) {

    /** No cell at all. */
    public static final Cells NONE = new Cells(0, 0, -1, -1);

    public boolean isEmpty() {
      return bottom < top || right < left;
    }

    public boolean has(int row, int column) {
      return row >= top && row <= bottom && column >= left && column <= right;
    }

    Cells shifted(int rows, int columns) {
      return new Cells(top + rows, left + columns, bottom + rows, right + columns);
    }

    /** The least block that holds this one and a cell. */
    Cells around(Cell cell) {
      return isEmpty()
          ? new Cells(cell.row(), cell.column(), cell.row(), cell.column())
          : new Cells(
              Math.min(top, cell.row()),
              Math.min(left, cell.column()),
              Math.max(bottom, cell.row()),
              Math.max(right, cell.column()));
    }

    List<Cell> list() {
      List<Cell> cells = new ArrayList<>();
      for (int r = top; r <= bottom; r++) {
        for (int c = left; c <= right; c++) {
          cells.add(new Cell(r, c));
        }
      }
      return cells;
    }
  }

  public Register {
    rows = List.copyOf(rows);
    flags = Map.copyOf(flags);
  }

  static Register first() {
    String[] lines = {
      "FH-02411;Asplenium viride;Huds.;R. Tarn;2029-06-14;412;54.118\u00b0;\u22122.301\u00b0;on wet rock",
      "FH-02412;Carex limosa;L.;R. Tarn;2029-06-14;398;54.119\u00b0;\u22122.306\u00b0;",
      "FH-02413;Saxifraga \u00d7 arendsii;Engl.;M. Oake;2029-06-15;455;54.121\u00b0;\u22122.311\u00b0;garden wall",
      "FH-02414;Primula farinosa;L.;M. Oake;;431;54.120\u00b0;\u22122.310\u00b0;",
      "FH-02415;Drosera anglica;Huds.;I. Sedge;2029-06-17;387;54.117\u00b0;\u22122.322\u00b0;pool edge",
      "FH-02416;Salix herbacea;L.;I. Sedge;2029-06-17;;54.126\u00b0;\u22122.325\u00b0;",
      "FH-02417;Lycopodium annotinum;L.;R. Tarn;2029-06-18;466;54.125\u00b0;\u22122.318\u00b0;",
      "FH-02418;Viola lutea;Huds.;R. Tarn;2029-06-18;420;54.122\u00b0;\u22122.309\u00b0;turf",
      "FH-02419;Botrychium lunaria;(L.) Sw.;M. Oake;2029-06-19;405;54.116\u00b0;\u22122.304\u00b0;",
      "FH-02420;Dryas octopetala;L.;M. Oake;2029-06-19;489;54.128\u00b0;\u22122.327\u00b0;two mats",
      "FH-02421;Potentilla crantzii;(Crantz) Beck;I. Sedge;2029-06-20;474;54.127\u00b0;\u22122.326\u00b0;",
      "FH-02422;Thalictrum alpinum;L.;I. Sedge;2029-06-20;461;54.124\u00b0;\u22122.320\u00b0;",
    };
    List<List<String>> rows = new ArrayList<>();
    for (String line : lines) {
      rows.add(List.of(line.split(";", -1)));
    }
    return new Register(rows, new Cells(2, 4, 4, 4), Map.of(new Cell(5, 5), "straw"));
  }

  public String text(int row, int column) {
    return rows.get(row).get(column);
  }

  /**
   * The first cell that holds a text, from a row on and round to it; letter case does not matter.
   */
  Optional<Cell> find(String text, int from) {
    String sought = text.toLowerCase(Locale.ROOT);
    for (int i = 0; i < rows.size(); i++) {
      int row = (from + i) % rows.size();
      for (int column = 0; column < COLUMNS.size(); column++) {
        if (text(row, column).toLowerCase(Locale.ROOT).contains(sought)) {
          return Optional.of(new Cell(row, column));
        }
      }
    }
    return Optional.empty();
  }

  Register selecting(Cells cells) {
    return new Register(rows, cells, flags);
  }

  /** With the text of each selected cell changed. */
  Register changing(UnaryOperator<String> change) {
    Register next = this;
    for (Cell cell : selection.list()) {
      next = next.with(cell, change.apply(text(cell.row(), cell.column())));
    }
    return next;
  }

  Register with(Cell cell, String text) {
    List<List<String>> next = new ArrayList<>(rows);
    List<String> row = new ArrayList<>(rows.get(cell.row()));
    row.set(cell.column(), text);
    next.set(cell.row(), List.copyOf(row));
    return new Register(next, selection, flags);
  }

  /** With the selected cells flagged in a colour, or with none when it is empty. */
  Register flagging(String colour) {
    Map<Cell, String> next = new HashMap<>(flags);
    for (Cell cell : selection.list()) {
      if (colour.isEmpty()) {
        next.remove(cell);
      } else {
        next.put(cell, colour);
      }
    }
    return new Register(rows, selection, next);
  }

  Register withRow(List<String> row) {
    List<List<String>> next = new ArrayList<>(rows);
    next.add(row);
    int last = next.size() - 1;
    return new Register(next, new Cells(last, 0, last, 0), flags);
  }

  /** Without records that name neither taxon nor collector, flags going with their records. */
  Register compacted() {
    List<List<String>> kept = new ArrayList<>();
    Map<Cell, String> next = new HashMap<>();
    for (int row = 0; row < rows.size(); row++) {
      if (!text(row, 1).isEmpty() || !text(row, 3).isEmpty()) {
        int old = row;
        int now = kept.size();
        flags.forEach(
            (cell, colour) -> {
              if (cell.row() == old) {
                next.put(new Cell(now, cell.column()), colour);
              }
            });
        kept.add(rows.get(row));
      }
    }
    return new Register(kept, Cells.NONE, next);
  }

  /** Sorted by a column, flags going with their records. */
  Register sortedBy(int column) {
    List<Integer> order = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      order.add(i);
    }
    order.sort(java.util.Comparator.comparing(i -> text(i, column)));
    Map<Cell, String> next = new HashMap<>();
    flags.forEach(
        (cell, colour) -> next.put(new Cell(order.indexOf(cell.row()), cell.column()), colour));
    return new Register(order.stream().map(rows::get).toList(), selection, next);
  }
}
