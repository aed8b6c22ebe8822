package foldtwice.cli;

import foldtwice.text.Plain;
import java.io.PrintWriter;
import java.util.Arrays;

/** Lines of text about what others have named: only the format makes a line. */
record Lines(PrintWriter out) {

  /** Writes a line; the texts put in stay within it. */
  void line(String format, Object... values) {
    Object[] plain =
        Arrays.stream(values).map(v -> v instanceof String s ? Plain.of(s) : v).toArray();
    out.println(String.format(format, plain));
  }
}
