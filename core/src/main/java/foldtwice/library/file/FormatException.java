package foldtwice.library.file;

import com.fasterxml.jackson.core.JsonProcessingException;
import foldtwice.text.JsonComplaint;
import foldtwice.text.Refusals;

/** A document that cannot be used: where it is wrong and what was expected there. */
public final class FormatException extends Exception {

  private static final long serialVersionUID = 1L;

  private final String where;
  private final String what;

  public FormatException(String where, String what) {
    super(where + ": " + what);
    this.where = where;
    this.what = what;
  }

  /** Of a table that its reader cannot part into cells. */
  public static FormatException ofTable(JsonProcessingException e) {
    FormatException placed =
        new FormatException(
            e.getLocation() == null ? "the table" : "line " + e.getLocation().getLineNr(),
            Refusals.says(
                "library.this-no-table-can", JsonComplaint.plainly(e.getOriginalMessage())));
    placed.initCause(e);
    return placed;
  }

  /** A line and column, or a path in the document such as {@code /bindings/3/triggers/0}. */
  public String where() {
    return where;
  }

  /** What was expected, what was found, what to do. */
  public String what() {
    return what;
  }

  /** The same, in the file of this name. */
  public FormatException in(String file) {
    return new FormatException(file + ", " + where, what);
  }
}
