package foldtwice.sheet;

import foldtwice.text.Csv;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;

/** The lines of a sheet as a table. */
final class SheetCsv {

  private SheetCsv() {}

  static String of(Contents contents) {
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("keys", "does", "place", "times a week", "note"));
    for (Contents.Line line : contents.lines()) {
      rows.add(
          List.of(
              Csv.cell(line.says()),
              Csv.cell(line.does()),
              Csv.cell(line.place()),
              Words.number(line.uses()),
              Csv.cell(line.note())));
    }
    return Csv.write(rows);
  }
}
