package foldtwice.text;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.MappingIterator;
import com.fasterxml.jackson.dataformat.csv.CsvGenerator;
import com.fasterxml.jackson.dataformat.csv.CsvMapper;
import com.fasterxml.jackson.dataformat.csv.CsvParser;
import com.fasterxml.jackson.dataformat.csv.CsvSchema;
import java.io.BufferedReader;
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

  private static final String SEPARATORS = ",;\t|";

  /** So much of a table is looked at to tell what parts its cells, in letters. */
  private static final int HEAD = 8192;

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
    boolean readOtherwise = !text(text).equals(text);
    return isFormula(text) || readOtherwise ? "'" + text : text;
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

  /** The separator that stands most often in the headings; a comma when none does. */
  public static char separator(String headings) {
    char best = ',';
    long most = 0;
    for (int i = 0; i < SEPARATORS.length(); i++) {
      char c = SEPARATORS.charAt(i);
      long count = headings.chars().filter(x -> x == c).count();
      if (count > most) {
        most = count;
        best = c;
      }
    }
    return best;
  }

  /**
   * Rows one after the other, parted by whatever the headings are; a byte order mark is skipped.
   *
   * @throws IOException where it is no table
   */
  public static MappingIterator<String[]> read(Reader table) throws IOException {
    BufferedReader in = new BufferedReader(table, HEAD);
    in.mark(HEAD);
    char[] head = new char[HEAD];
    int read = Math.max(0, in.read(head));
    in.reset();
    if (read > 0 && head[0] == '\uFEFF') {
      var unused = in.read();
    }
    return read(in, separator(new String(head, 0, read).lines().findFirst().orElse("")));
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
