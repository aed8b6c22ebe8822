package foldtwice.standin.muniment;

import foldtwice.routine.Value;
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
import java.util.concurrent.atomic.AtomicLong;

/**
 * The archive's database: always the first data and the statements that changed it since, in order.
 * It is built when first asked, and anew when what was done is taken back.
 *
 * <p>Statements run as a user without administrator's rights, who reads and writes the three
 * schemas and nothing else: no files, no functions of the host, no other users.
 */
final class Archive {

  /** Rows of an answer beyond this are left out. */
  static final int MOST_ROWS = 1000;

  /** A statement is stopped after this many seconds. */
  private static final int MOST_SECONDS = 2;

  private static final AtomicLong NUMBER = new AtomicLong();

  /** A statement, the schema it is said in, and the values of its question marks. */
  record Said(String schema, String sql, List<Value> values) {
    Said {
      values = List.copyOf(values);
    }
  }

  private Connection clerk;
  private final List<Said> done = new ArrayList<>();

  /**
   * Answers a statement said in a schema, after these were done.
   *
   * @throws SqlRefused when the database will not take it; nothing has changed then
   */
  Answer answer(List<Said> before, Said now) throws SqlRefused {
    try {
      bringTo(before);
      Answer answer = run(now);
      if (answer.changes()) {
        done.add(now);
      }
      return answer;
    } catch (SQLException e) {
      throw new SqlRefused(e);
    }
  }

  /** Loads what a first database needs, and makes one and forgets it. */
  static void warmUp() {
    Archive archive = new Archive();
    try {
      archive.answer(List.of(), new Said("HERBARIUM", "CALL PUBLIC.STOCKTAKE()", List.of()));
    } catch (SqlRefused e) {
      throw new IllegalStateException("the archive's own procedure", e);
    }
    archive.close();
  }

  private void bringTo(List<Said> before) throws SQLException {
    boolean further =
        clerk != null
            && before.size() >= done.size()
            && before.subList(0, done.size()).equals(done);
    if (!further) {
      close();
      clerk = build();
      done.clear();
    }
    for (Said said : before.subList(done.size(), before.size())) {
      run(said);
      done.add(said);
    }
  }

  private Answer run(Said said) throws SQLException {
    try (Statement use = clerk.createStatement()) {
      use.execute("SET SCHEMA " + said.schema());
    }
    try (PreparedStatement statement = clerk.prepareStatement(said.sql())) {
      statement.setMaxRows(MOST_ROWS);
      statement.setQueryTimeout(MOST_SECONDS);
      for (int i = 0; i < said.values().size(); i++) {
        statement.setObject(i + 1, plain(said.values().get(i)));
      }
      if (statement.execute()) {
        try (ResultSet rows = statement.getResultSet()) {
          return table(rows);
        }
      }
      int count = statement.getUpdateCount();
      return new Answer(List.of(), List.of(), rows(count) + " changed", true);
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

  private static Answer table(ResultSet rows) throws SQLException {
    List<String> columns = new ArrayList<>();
    for (int i = 1; i <= rows.getMetaData().getColumnCount(); i++) {
      columns.add(rows.getMetaData().getColumnLabel(i));
    }
    List<List<String>> all = new ArrayList<>();
    while (rows.next()) {
      List<String> row = new ArrayList<>();
      for (int i = 1; i <= columns.size(); i++) {
        String text = rows.getString(i);
        row.add(text == null ? "" : text);
      }
      all.add(Collections.unmodifiableList(row));
    }
    return new Answer(columns, all, rows(all.size()) + " found", false);
  }

  private static String rows(int count) {
    return count == 1 ? "1 row" : count + " rows";
  }

  private static Connection build() throws SQLException {
    String url = "jdbc:h2:mem:archive" + NUMBER.incrementAndGet();
    try (Connection keeper = DriverManager.getConnection(url, "KEEPER", "keeper");
        Statement statement = keeper.createStatement()) {
      for (String sql : FirstData.statements()) {
        statement.execute(sql);
      }
      return DriverManager.getConnection(url, "CLERK", "clerk");
    }
  }

  void close() {
    if (clerk != null) {
      try {
        clerk.close();
      } catch (SQLException e) {
        throw new IllegalStateException("a database in memory that cannot be closed", e);
      }
      clerk = null;
    }
  }
}
