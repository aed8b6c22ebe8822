package foldtwice.standin.muniment;

import java.sql.Connection;
import java.sql.DriverManager;
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

  /** A statement that changed data, and the schema it was said in. */
  record Said(String schema, String sql) {}

  private Connection clerk;
  private final List<Said> done = new ArrayList<>();

  /**
   * Answers a statement said in a schema, after these were done.
   *
   * @throws SqlRefused when the database will not take it; nothing has changed then
   */
  Answer answer(List<Said> before, String schema, String sql) throws SqlRefused {
    try {
      bringTo(before);
      Answer answer = run(schema, sql);
      if (answer.changes()) {
        done.add(new Said(schema, sql));
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
      archive.answer(List.of(), "HERBARIUM", "CALL PUBLIC.STOCKTAKE()");
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
      run(said.schema(), said.sql());
      done.add(said);
    }
  }

  private Answer run(String schema, String sql) throws SQLException {
    try (Statement use = clerk.createStatement()) {
      use.execute("SET SCHEMA " + schema);
    }
    try (Statement statement = clerk.createStatement()) {
      statement.setMaxRows(MOST_ROWS);
      statement.setQueryTimeout(MOST_SECONDS);
      if (statement.execute(sql)) {
        try (ResultSet rows = statement.getResultSet()) {
          return table(rows);
        }
      }
      int count = statement.getUpdateCount();
      return new Answer(List.of(), List.of(), rows(count) + " changed", true);
    }
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
