package foldtwice.text;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.MappingIterator;
import com.fasterxml.jackson.dataformat.csv.CsvGenerator;
import com.fasterxml.jackson.dataformat.csv.CsvMapper;
import com.fasterxml.jackson.dataformat.csv.CsvParser;
import com.fasterxml.jackson.dataformat.csv.CsvSchema;
import java.io.IOException;
import java.io.Reader;
import java.util.List;

/** Tables as RFC 4180 has them. */
public final class Csv {

  private static final CsvMapper MAPPER =
      CsvMapper.builder()
          .enable(CsvGenerator.Feature.STRICT_CHECK_FOR_QUOTING)
          .enable(CsvParser.Feature.WRAP_AS_ARRAY)
          .build();

  private static final String FORMULA = "=+-@\t\r";

  private Csv() {}

  /** Rows, each ended by a carriage return and a line feed. */
  public static String write(List<List<String>> rows) {
    try {
      return MAPPER
          .writer(CsvSchema.emptySchema().withLineSeparator("\r\n"))
          .writeValueAsString(rows);
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("texts can be written into memory", e);
    }
  }

  /**
   * A text as a cell; one that a spreadsheet would take for a formula begins with an apostrophe.
   */
  public static String cell(String text) {
    boolean ours = text.startsWith("'") && text.length() > 1;
    return isFormula(text) || (ours && isFormula(text.substring(1))) ? "'" + text : text;
  }

  /** The text of a cell that {@link #cell} wrote. */
  public static String text(String cell) {
    return cell.startsWith("'") && (isFormula(cell.substring(1)) || cell.startsWith("''"))
        ? cell.substring(1)
        : cell;
  }

  private static boolean isFormula(String text) {
    return !text.isEmpty() && FORMULA.indexOf(text.charAt(0)) >= 0;
  }

  /**
   * Rows one after the other.
   *
   * @param separator of cells
   * @throws IOException where it is no table
   */
  public static MappingIterator<String[]> read(Reader in, char separator) throws IOException {
    return MAPPER
        .readerFor(String[].class)
        .with(CsvSchema.emptySchema().withColumnSeparator(separator))
        .readValues(in);
  }
}
