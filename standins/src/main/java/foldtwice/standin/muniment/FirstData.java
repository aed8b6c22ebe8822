package foldtwice.standin.muniment;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** The archive as it begins: three schemas, some hundred rows each, stored procedures. */
public final class FirstData {

  /** The day all of it is seen from, so that what is overdue stays overdue. */
  static final LocalDate TODAY = LocalDate.of(2031, 5, 8);

  private static final String[] TAXA = {
    "Asplenium viride", "Carex limosa", "Saxifraga x arendsii", "Primula farinosa",
    "Drosera anglica", "Salix herbacea", "Lycopodium annotinum", "Viola lutea",
    "Botrychium lunaria", "Dryas octopetala", "Potentilla crantzii", "Thalictrum alpinum"
  };

  private static final String[] COLLECTORS = {"R. Tarn", "M. Oake", "I. Sedge"};

  private static final String[] HOUSES = {
    "Overbeck Garden",
    "Low Mere School",
    "Stannick Museum",
    "Fell Survey",
    "Tarnside Library",
    "Oxbow Institute"
  };

  private FirstData() {}

  /** The statements that make it. The word {@code ITEM} means another table in each schema. */
  static List<String> statements() {
    List<String> sql = new ArrayList<>();
    sql.add("SET DEFAULT_LOCK_TIMEOUT 500");
    sql.add("CREATE USER CLERK PASSWORD 'clerk'");
    for (String schema : List.of("HERBARIUM", "LENDING", "STORAGE")) {
      sql.add("CREATE SCHEMA " + schema);
    }
    tables(sql);
    rows(sql);
    String here = FirstData.class.getName();
    sql.add("CREATE ALIAS LENDING.OVERDUE FOR \"" + here + ".overdue\"");
    sql.add("CREATE ALIAS LENDING.CLOSE_LOAN FOR \"" + here + ".closeLoan\"");
    sql.add("CREATE ALIAS HERBARIUM.SHEETS_OF FOR \"" + here + ".sheetsOf\"");
    sql.add("CREATE ALIAS STORAGE.OPEN_LOCKS FOR \"" + here + ".openLocks\"");
    sql.add("CREATE ALIAS PUBLIC.STOCKTAKE FOR \"" + here + ".stocktake\"");
    for (String schema : List.of("HERBARIUM", "LENDING", "STORAGE", "PUBLIC")) {
      sql.add("GRANT ALL ON SCHEMA " + schema + " TO CLERK");
    }
    return sql;
  }

  private static void tables(List<String> sql) {
    sql.add("CREATE TABLE HERBARIUM.TAXON (ID INT PRIMARY KEY, NAME VARCHAR(60) NOT NULL)");
    sql.add(
        "CREATE TABLE HERBARIUM.ITEM (ACCESSION VARCHAR(10) PRIMARY KEY, TAXON INT NOT NULL"
            + " REFERENCES HERBARIUM.TAXON(ID), COLLECTOR VARCHAR(30), COLLECTED DATE,"
            + " ELEVATION INT)");
    sql.add("CREATE TABLE LENDING.BORROWER (ID INT PRIMARY KEY, NAME VARCHAR(40) NOT NULL)");
    sql.add(
        "CREATE TABLE LENDING.ITEM (ID INT PRIMARY KEY, ACCESSION VARCHAR(10) NOT NULL, BORROWER"
            + " INT NOT NULL REFERENCES LENDING.BORROWER(ID), LENT DATE NOT NULL, DUE DATE NOT"
            + " NULL, BACK DATE)");
    sql.add(
        "CREATE TABLE STORAGE.ITEM (ID INT PRIMARY KEY, CABINET INT NOT NULL, SHELF INT NOT NULL,"
            + " LOCKED BOOLEAN NOT NULL, HOLDS VARCHAR(10))");
  }

  private static void rows(List<String> sql) {
    for (int i = 0; i < TAXA.length; i++) {
      sql.add("INSERT INTO HERBARIUM.TAXON VALUES (" + (i + 1) + ", '" + TAXA[i] + "')");
    }
    for (int i = 0; i < 240; i++) {
      sql.add(
          "INSERT INTO HERBARIUM.ITEM VALUES ('%s', %d, '%s', DATE '%s', %d)"
              .formatted(
                  accession(i),
                  i % TAXA.length + 1,
                  COLLECTORS[i * 7 % COLLECTORS.length],
                  LocalDate.of(2029, 4, 1).plusDays(i * 13L % 150),
                  380 + i * 37 % 140));
    }
    for (int i = 0; i < HOUSES.length; i++) {
      sql.add("INSERT INTO LENDING.BORROWER VALUES (" + (i + 1) + ", '" + HOUSES[i] + "')");
    }
    for (int i = 0; i < 120; i++) {
      LocalDate lent = TODAY.minusDays(20L + i * 17L % 200);
      LocalDate due = lent.plusDays(90);
      sql.add(
          "INSERT INTO LENDING.ITEM VALUES (%d, '%s', %d, DATE '%s', DATE '%s', %s)"
              .formatted(
                  i + 1,
                  accession(i * 2),
                  (i * 5 + i / 7) % HOUSES.length + 1,
                  lent,
                  due,
                  i % 4 == 0 ? "NULL" : "DATE '" + lent.plusDays(60L + i % 25) + "'"));
    }
    for (int i = 0; i < 96; i++) {
      sql.add(
          "INSERT INTO STORAGE.ITEM VALUES (%d, %d, %d, %s, '%s')"
              .formatted(i + 1, i / 8 + 1, i % 8 + 1, i % 5 == 0 ? "FALSE" : "TRUE", accession(i)));
    }
  }

  private static String accession(int i) {
    return "FH-%05d".formatted(2411 + i);
  }

  /** Loans that are out for longer than agreed, by so many days at least. */
  public static ResultSet overdue(Connection c, int days) throws SQLException {
    return rows(
        c,
        "SELECT I.ID, I.ACCESSION, B.NAME, I.DUE FROM LENDING.ITEM I JOIN LENDING.BORROWER B ON"
            + " B.ID = I.BORROWER WHERE I.BACK IS NULL AND I.DUE < ? ORDER BY I.DUE, I.ID",
        TODAY.minusDays(days));
  }

  /** Marks a loan as back. */
  public static int closeLoan(Connection c, int id) throws SQLException {
    try (PreparedStatement s =
        c.prepareStatement("UPDATE LENDING.ITEM SET BACK = ? WHERE ID = ? AND BACK IS NULL")) {
      s.setObject(1, TODAY);
      s.setInt(2, id);
      return s.executeUpdate();
    }
  }

  /** The sheets of a taxon, by part of its name. */
  public static ResultSet sheetsOf(Connection c, String part) throws SQLException {
    return rows(
        c,
        "SELECT I.ACCESSION, T.NAME, I.COLLECTOR, I.COLLECTED FROM HERBARIUM.ITEM I JOIN"
            + " HERBARIUM.TAXON T ON T.ID = I.TAXON WHERE LOWER(T.NAME) LIKE LOWER(?) ORDER BY 1",
        "%" + part + "%");
  }

  /** The shelves that stand open. */
  public static ResultSet openLocks(Connection c) throws SQLException {
    return rows(
        c, "SELECT CABINET, SHELF, HOLDS FROM STORAGE.ITEM WHERE LOCKED = ? ORDER BY 1, 2", false);
  }

  /** How much there is, in any schema. */
  public static ResultSet stocktake(Connection c) throws SQLException {
    return rows(
        c,
        "SELECT (SELECT COUNT(*) FROM HERBARIUM.ITEM) SHEETS, (SELECT COUNT(*) FROM LENDING.ITEM"
            + " WHERE BACK IS NULL) LENT, (SELECT COUNT(*) FROM STORAGE.ITEM WHERE LOCKED = ?)"
            + " LOCKED",
        true);
  }

  private static ResultSet rows(Connection c, String sql, Object value) throws SQLException {
    PreparedStatement statement = c.prepareStatement(sql);
    statement.closeOnCompletion();
    statement.setObject(1, value);
    return statement.executeQuery();
  }
}
