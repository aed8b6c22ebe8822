package foldtwice.standin.muniment;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.routine.Value;
import foldtwice.run.Reply;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The database is a real one: what is checked here is what it answers. */
class MunimentTest {

  private final Muniment console = new Muniment();

  private String count(String schema) {
    console.change("schema", new Value.Text(schema));
    console.run("SELECT COUNT(*) FROM ITEM");
    return console.document().answer().rows().getFirst().getFirst();
  }

  /** Source: SQL resolves an unqualified name in the current schema; tried in the database. */
  @Test
  void anUnqualifiedNameMeansAnotherTableInEachSchema() {
    assertThat(count("herbarium")).isEqualTo("240");
    assertThat(count("lending")).isEqualTo("120");
    assertThat(count("storage")).isEqualTo("96");
    console.change("schema", new Value.Text("storage"));
    assertThat(console.run("SELECT COUNT(*) FROM LENDING.ITEM")).isInstanceOf(Reply.Done.class);
    assertThat(console.document().answer().rows().getFirst()).containsExactly("120");
  }

  @Test
  void whatAStatementChangedIsTakenBackAndDoneAgain() {
    String open = "SELECT COUNT(*) FROM LENDING.ITEM WHERE BACK IS NULL";
    console.run(open);
    String before = console.document().answer().rows().getFirst().getFirst();
    console.run("UPDATE LENDING.ITEM SET BACK = DATE '2031-05-08' WHERE ID = 1");
    console.run(open);
    assertThat(console.document().answer().rows().getFirst().getFirst())
        .isEqualTo(Integer.toString(Integer.parseInt(before) - 1));
    console.undo();
    console.undo();
    console.run(open);
    assertThat(console.document().answer().rows().getFirst().getFirst()).isEqualTo(before);
    Muniment copy = console.copy();
    copy.run("DELETE FROM LENDING.ITEM");
    console.run(open);
    assertThat(console.document().answer().rows().getFirst().getFirst())
        .as("a copy has a database of its own")
        .isEqualTo(before);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "   ",
        "SELECT * FROM NOWHERE",
        "SELECT * FROM ITEM WHERE",
        "SELECT FILE_READ('/etc/passwd')",
        "SELECT * FROM CSVREAD('/etc/passwd')",
        "CALL CSVWRITE('/tmp/out.csv', 'SELECT 1')",
        "CREATE ALIAS X FOR \"java.lang.System.exit\"",
        "CREATE USER ME PASSWORD 'x' ADMIN",
        "SCRIPT TO '/tmp/out.sql'",
        "RUNSCRIPT FROM '/tmp/in.sql'",
        "SHUTDOWN",
        "CREATE LINKED TABLE L('', 'jdbc:h2:mem:x', '', '', 'T')",
        "SELECT COUNT(*) FROM SYSTEM_RANGE(1, 999999) A, SYSTEM_RANGE(1, 999999) B WHERE A.X * B.X = 7"
      })
  void whatItCannotOrMayNotDoIsRefusedAndChangesNothing(String sql) {
    var before = console.state();
    assertThat(console.run(sql)).isInstanceOf(Reply.Refused.class);
    assertThat(console.state()).isEqualTo(before);
    assertThat(count("herbarium")).as("alive").isEqualTo("240");
  }

  @Test
  void storedProceduresAnswerInAnySchema() {
    console.change("schema", new Value.Text("storage"));
    console.fire("overdue");
    console.fill("Days over", "30");
    console.press("Run");
    assertThat(console.dialog()).isEmpty();
    assertThat(console.document().answer().columns()).contains("ACCESSION", "DUE");
    assertThat(console.document().answer().rows()).isNotEmpty();
    console.fire("select-all");
    console.fire("copy-list");
    assertThat(console.state().get("clipboard")).contains("FH-0");
  }
}
