package foldtwice.sheet;

import foldtwice.words.Words;
import java.util.List;
import java.util.stream.Collectors;

/** The lines of a sheet as a table. */
final class SheetCsv {

  private SheetCsv() {}

  static String of(Contents contents) {
    StringBuilder out = new StringBuilder();
    row(out, List.of("keys", "does", "place", "times a week", "note"));
    for (Contents.Line line : contents.lines()) {
      row(
          out,
          List.of(line.says(), line.does(), line.place(), Words.number(line.uses()), line.note()));
    }
    return out.toString();
  }

  private static void row(StringBuilder out, List<String> cells) {
    out.append(cells.stream().map(SheetCsv::cell).collect(Collectors.joining(","))).append("\r\n");
  }

  /** A cell; one that a spreadsheet would take for a formula begins with an apostrophe. */
  private static String cell(String text) {
    String safe = !text.isEmpty() && "=+-@\t\r".indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
    return safe.matches("(?s).*[\",\r\n].*") ? '"' + safe.replace("\"", "\"\"") + '"' : safe;
  }
}
