package foldtwice.standin.vasculum;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.run.Reply;
import foldtwice.standin.vasculum.Register.Cell;
import foldtwice.standin.vasculum.Register.Cells;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class VasculumTest {

  private Vasculum program;

  @BeforeEach
  void fresh() {
    program = new Vasculum();
  }

  private String text(int row, int column) {
    return program.document().text(row, column);
  }

  private void click(int row, int column, boolean adding) {
    program.click(Register.COLUMNS.get(column) + " " + (row + 1), adding);
  }

  @Test
  void aBlockIsSelectedFromItsFirstCell() {
    click(1, 1, false);
    click(3, 2, true);
    assertThat(program.document().selection()).isEqualTo(new Cells(1, 1, 3, 2));
    program.fire("select-row");
    assertThat(program.document().selection()).isEqualTo(new Cells(1, 0, 3, 8));
    program.fire("select-column");
    assertThat(program.document().selection()).isEqualTo(new Cells(0, 0, 11, 8));
  }

  @Test
  void flagsColourTheSelectionAndClearTakesThemAway() {
    click(0, 5, false);
    click(5, 5, true);
    program.fire("flag-moss");
    assertThat(program.document().flags())
        .hasSize(6)
        .containsValue("moss")
        .doesNotContainValue("straw");
    program.fire("flag-clear");
    assertThat(program.document().flags()).isEmpty();
    program.undo();
    program.undo();
    assertThat(program.document().flags())
        .containsExactly(java.util.Map.entry(new Cell(5, 5), "straw"));
  }

  @Test
  void letterCaseFollowsUnicode() {
    click(2, 1, false);
    program.fire("capitals");
    assertThat(text(2, 1)).isEqualTo("SAXIFRAGA \u00d7 ARENDSII");
    program.fire("first-capital");
    assertThat(text(2, 1)).isEqualTo("Saxifraga \u00d7 arendsii");
  }

  @Test
  void flagsGoWithTheirRecordsWhenSorted() {
    click(0, 1, false);
    program.fire("sort");
    assertThat(text(0, 1)).isEqualTo("Asplenium viride");
    assertThat(text(1, 1)).isEqualTo("Botrychium lunaria");
    Cell flagged = program.document().flags().keySet().iterator().next();
    assertThat(text(flagged.row(), 0)).isEqualTo("FH-02416");
  }

  @Test
  void aNewRecordGetsTheNextAccessionNumber() {
    click(11, 0, false);
    program.fire("clear");
    program.fire("new-record");
    assertThat(text(12, 0)).as("after the highest there is").isEqualTo("FH-02422");
  }

  @Test
  void copyAndPasteFillTheSelection() {
    click(0, 3, false);
    program.fire("copy");
    click(1, 8, false);
    click(3, 8, true);
    program.fire("paste");
    assertThat(List.of(text(1, 8), text(2, 8), text(3, 8))).containsOnly("R. Tarn");
  }

  @Test
  void findGoesRoundFromWhereTheSelectionIs() {
    click(6, 0, false);
    program.fire("find");
    assertThat(program.place().id()).isEqualTo("vasculum/find-bar");
    assertThat(program.fire("find-next")).isInstanceOf(Reply.Refused.class);
    program.type("huds");
    program.fire("find-next");
    assertThat(program.document().selection()).isEqualTo(new Cells(7, 2, 7, 2));
    program.fire("find-next");
    assertThat(program.document().selection()).as("round").isEqualTo(new Cells(0, 2, 0, 2));
  }

  @Test
  void whatIsTypedIsTakenBeforeSomethingElseIsDone() {
    click(3, 1, false);
    program.fire("edit-cell");
    program.type("!");
    assertThat(text(3, 1)).as("not yet").isEqualTo("Primula farinosa");
    program.fire("next-record");
    assertThat(text(3, 1)).isEqualTo("Primula farinosa!");
    assertThat(program.place().id()).isEqualTo("vasculum/grid");
    program.fire("edit-cell");
    program.type("?");
    program.fire("leave");
    assertThat(text(4, 0)).as("left without taking it").isEqualTo("FH-02415");
  }

  @Test
  void aRefusedCommandLeavesTheCellBeingEdited() {
    click(3, 1, false);
    program.fire("edit-cell");
    program.type("!");
    assertThat(program.select(100, 0, foldtwice.routine.Step.Edge.REPORT))
        .isInstanceOf(Reply.Refused.class);
    assertThat(program.editing()).contains(new Cell(3, 1));
    assertThat(program.typed()).isEqualTo("Primula farinosa!");
    assertThat(text(3, 1)).isEqualTo("Primula farinosa");
  }
}
