package foldtwice.standin.muniment;

import foldtwice.routine.Value;
import foldtwice.text.Counted;
import java.math.BigDecimal;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * One database in memory, in the process that is there for it. Statements run as a user without
 * administrator's rights, who reads and writes the three schemas and nothing else: no files, no
 * functions of the host, no other users.
 */
final class Database implements AutoCloseable {

  /** A longer text of an answer is cut, in characters. */
  private static final int LONGEST = 10_000;

  /** Texts of an answer beyond this are left out, in characters. */
  private static final int MOST_TEXT = 2_000_000;

  private final Connection keeper;
  private final Connection clerk;
  private final PreparedStatement modified;

  Database(int number) throws SQLException {
    String url = "jdbc:h2:mem:archive" + number;
    keeper = DriverManager.getConnection(url, "KEEPER", "keeper");
    try (Statement statement = keeper.createStatement()) {
      for (String sql : FirstData.statements()) {
        statement.execute(sql);
      }
    }
    modified =
        keeper.prepareStatement(
            "SELECT SUM(LAST_MODIFICATION) FROM INFORMATION_SCHEMA.TABLES WHERE TABLE_SCHEMA <>"
                + " 'INFORMATION_SCHEMA'");
    clerk = DriverManager.getConnection(url, "CLERK", "clerk");
  }

  /** Answers a statement said in a schema. What it changed, the database tells. */
  Answer answer(Archive.Said said) throws SQLException {
    long before = modification();
    try (Statement use = clerk.createStatement()) {
      use.execute("SET SCHEMA " + said.schema());
    }
    try (PreparedStatement statement = clerk.prepareStatement(said.sql())) {
      statement.setMaxRows(Archive.MOST_ROWS);
      statement.setQueryTimeout(Archive.MOST_SECONDS);
      for (int i = 0; i < said.values().size(); i++) {
        statement.setObject(i + 1, plain(said.values().get(i)));
      }
      if (statement.execute()) {
        try (ResultSet rows = statement.getResultSet()) {
          return table(rows, before);
        }
      }
      int count = statement.getUpdateCount();
      return new Answer(List.of(), List.of(), rows(count) + " changed", true);
    }
  }

  /** A number that is another one once a row of any table is. */
  private long modification() throws SQLException {
    try (ResultSet sum = modified.executeQuery()) {
      sum.next();
      return sum.getLong(1);
    }
  }

  /** A value as the database takes it; an amount with a unit as its number. */
  private static Object plain(Value value) {
    return switch (value) {
      case Value.Text(String text) -> text;
      case Value.Flag(boolean yes) -> yes;
      case Value.Amount(BigDecimal n) -> n;
      case Value.Length l -> l.amount();
      case Value.Quantity q -> q.amount();
    };
  }

  private Answer table(ResultSet rows, long before) throws SQLException {
    List<String> columns = new ArrayList<>();
    for (int i = 1; i <= rows.getMetaData().getColumnCount(); i++) {
      columns.add(rows.getMetaData().getColumnLabel(i));
    }
    List<List<String>> all = new ArrayList<>();
    int text = 0;
    while (rows.next() && text < MOST_TEXT) {
      List<String> row = new ArrayList<>();
      for (int i = 1; i <= columns.size(); i++) {
        String cell = cut(rows.getString(i));
        text += cell.length();
        row.add(cell);
      }
      all.add(Collections.unmodifiableList(row));
    }
    boolean changed = modification() != before;
    return new Answer(
        columns, all, rows(all.size()) + (changed ? " found or changed" : " found"), changed);
  }

  private static String cut(String cell) {
    if (cell == null) {
      return "";
    }
    return cell.length() > LONGEST ? cell.substring(0, LONGEST) + "\u2026" : cell;
  }

  private static String rows(int count) {
    return Counted.of(count, "row");
  }

  @Override
  public void close() throws SQLException {
    clerk.close();
    keeper.close();
  }
}
