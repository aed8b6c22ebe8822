package foldtwice.sheet;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.dataformat.csv.CsvGenerator;
import com.fasterxml.jackson.dataformat.csv.CsvMapper;
import com.fasterxml.jackson.dataformat.csv.CsvSchema;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;

/** The lines of a sheet as a table, RFC 4180. */
final class SheetCsv {

  private static final CsvMapper CSV =
      CsvMapper.builder().enable(CsvGenerator.Feature.STRICT_CHECK_FOR_QUOTING).build();

  private SheetCsv() {}

  static String of(Contents contents) {
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("keys", "does", "place", "times a week", "note"));
    for (Contents.Line line : contents.lines()) {
      rows.add(
          List.of(
              safe(line.says()),
              safe(line.does()),
              safe(line.place()),
              safe(Words.number(line.uses())),
              safe(line.note())));
    }
    try {
      return CSV.writer(CsvSchema.emptySchema().withLineSeparator("\r\n")).writeValueAsString(rows);
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("texts can be written into memory", e);
    }
  }

  /** A cell; one that a spreadsheet would take for a formula begins with an apostrophe. */
  private static String safe(String text) {
    return !text.isEmpty() && "=+-@\t\r".indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
  }
}
