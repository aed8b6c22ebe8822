package foldtwice.standin.muniment;

import java.sql.SQLException;

/** A statement the database would not take; the message is the database's own. */
final class SqlRefused extends Exception {

  private static final long serialVersionUID = 1L;

  SqlRefused(String why) {
    super(why);
  }

  /** What the database said, without the statement it repeats. */
  static String firstLine(SQLException cause) {
    String message = cause.getMessage() == null ? cause.toString() : cause.getMessage();
    int end = message.indexOf("; SQL statement:");
    return (end < 0 ? message.lines().findFirst().orElse(message) : message.substring(0, end))
        .replace('\n', ' ');
  }
}
