package foldtwice.sql;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.routine.Template;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SqlTextTest {

  private static SqlText of(String sql) {
    return SqlText.of(new Template(sql));
  }

  /** SQL names: unqualified names resolve in the current schema, qualified ones anywhere. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "SELECT * FROM ITEM                                            | false | [ITEM]",
        "SELECT * FROM STORAGE.ITEM                                    | false | []",
        "SELECT a.ID FROM ITEM a JOIN LENDING.BORROWER b ON a.B = b.ID | false | [ITEM]",
        "SELECT * FROM ITEM WHERE ID = ‹loan›                          | false | [ITEM]",
        "WITH due AS (SELECT * FROM LENDING.ITEM) SELECT * FROM due    | false | []",
        "UPDATE ITEM SET DUE = ‹to›                                    | true  | [ITEM]",
        "DELETE FROM LENDING.ITEM                                      | true  | []",
        "INSERT INTO BORROWER VALUES (1, 'it''s')                      | true  | [BORROWER]",
        "DROP TABLE ITEM                                               | true  | [ITEM]",
        "CALL OVERDUE(3)                                               | true  | [OVERDUE]",
        "CALL LENDING.OVERDUE(‹days›)                                  | true  | []",
      })
  void namesWithoutASchemaAreFound(String sql, boolean changes, String scoped) {
    assertThat(of(sql))
        .isInstanceOfSatisfying(
            SqlText.One.class,
            one -> {
              assertThat(one.changes()).isEqualTo(changes);
              assertThat(one.scoped()).hasToString(scoped);
            });
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "SELECT * FROM ITEM | SELECT * FROM STORAGE.ITEM",
        "SELECT ITEM.ID FROM ITEM WHERE ITEM.ID = ‹n› | SELECT ITEM.ID FROM STORAGE.ITEM WHERE ITEM.ID = ‹n›",
        "CALL OPEN_LOCKS() | CALL STORAGE.OPEN_LOCKS()",
        "SELECT * FROM HERBARIUM.ITEM | SELECT * FROM HERBARIUM.ITEM",
      })
  void theQualifiedTextIsOffered(String sql, String qualified) {
    assertThat(SqlText.qualified(new Template(sql), "STORAGE").source()).isEqualTo(qualified);
  }

  @Test
  void textsInQuotesAreLeftAlone() {
    assertThat(
            SqlText.qualified(new Template("SELECT 'FROM ITEM x' FROM ITEM"), "STORAGE").source())
        .isEqualTo("SELECT 'FROM ITEM x' FROM STORAGE.ITEM");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"", "   ", "SELEKT *", "SELECT * FROM", "‹only›", "\u0000", "'", "((((((((("})
  void whatIsNoStatementIsSaidSo(String sql) {
    assertThat(of(sql))
        .isInstanceOfSatisfying(SqlText.Unreadable.class, u -> assertThat(u.why()).isNotBlank());
  }

  @Test
  void severalStatementsAndEndlessOnesAreToldApart() {
    assertThat(of("SELECT 1; DROP TABLE ITEM")).isEqualTo(new SqlText.Several(2));
    assertThat(of("SELECT 1;")).isInstanceOf(SqlText.One.class);
    assertThat(of("SELECT " + "1,".repeat(20_000) + "1")).isInstanceOf(SqlText.Unreadable.class);
    assertThat(of("SELECT " + "(".repeat(3_000) + "1" + ")".repeat(3_000)))
        .isInstanceOf(SqlText.Unreadable.class);
  }
}
