package foldtwice.standin.tagpress;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.routine.LengthUnit;
import foldtwice.routine.Value;
import foldtwice.run.Reply;
import java.math.BigDecimal;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class TagpressTest {

  private Tagpress program;

  @BeforeEach
  void fresh() {
    program = new Tagpress();
  }

  private Box box(int number) {
    return program.document().box(number).orElseThrow();
  }

  private static BigDecimal mm(double mm) {
    return LengthUnit.MM.toGrid(BigDecimal.valueOf(mm));
  }

  private void select(int... numbers) {
    program.click("", false);
    for (int n : numbers) {
      program.click("box " + n, true);
    }
  }

  @Test
  void boxesLineUpWithTheOneSelectedLast() {
    select(1, 6);
    program.fire("align-left");
    assertThat(box(1).x()).isEqualByComparingTo(mm(118));
    assertThat(box(6).x()).isEqualByComparingTo(mm(118));
    program.undo();
    select(6, 1);
    program.fire("align-top");
    assertThat(box(6).y()).isEqualByComparingTo(mm(10));
    assertThat(box(1).y()).isEqualByComparingTo(mm(10));
  }

  @Test
  void spreadingLeavesTheOuterOnesAndEvensTheRest() {
    select(1, 3, 4);
    program.fire("spread-down");
    assertThat(box(1).y()).isEqualByComparingTo(mm(10));
    assertThat(box(3).y()).as("half way from 10 to 50").isEqualByComparingTo(mm(30));
    assertThat(box(4).y()).isEqualByComparingTo(mm(50));
    select(1, 3);
    assertThat(program.fire("spread-down"))
        .isEqualTo(new Reply.Refused("three selected boxes or more", "2 selected"));
  }

  @Test
  void aLockedBoxIsNotMoved() {
    select(2);
    program.fire("lock");
    assertThat(program.fire("nudge-right"))
        .isEqualTo(new Reply.Refused("boxes that are not locked", "box 2 is locked"));
    program.fire("lock");
    program.fire("nudge-right");
    assertThat(box(2).x()).isEqualByComparingTo(mm(13));
  }

  @Test
  void copiesGetNewNumbersAndAreSelected() {
    select(1, 2);
    program.fire("duplicate");
    assertThat(program.document().selected()).containsExactly(17, 18);
    assertThat(box(17).text()).isEqualTo("Fernhollow Herbarium");
    program.fire("delete");
    assertThat(program.document().boxes()).hasSize(16);
    assertThat(program.somethingSelected()).isFalse();
    program.undo();
    assertThat(program.document().selected()).as("the selection comes back too").hasSize(2);
  }

  @Test
  void whatCanBeDoneDependsOnWhatIsSelected() {
    select();
    assertThat(program.place().id()).isEqualTo("tagpress/nothing-selected");
    assertThat(program.choose(List.of("Box", "Shift \u2026")))
        .isEqualTo(new Reply.Refused("something selected", "nothing selected"));
    select(3);
    assertThat(program.place().id()).isEqualTo("tagpress/box-selected");
    program.choose(List.of("Box", "Shift \u2026"));
    assertThat(program.place().id()).isEqualTo("tagpress/dialog");
    assertThat(program.choose(List.of("Edit", "Duplicate")))
        .isEqualTo(new Reply.Refused("no open dialog", "the dialog \"Shift boxes\""));
    program.cancel();
    program.fire("edit-text");
    assertThat(program.place().id()).isEqualTo("tagpress/text-edit");
    program.type("!");
    assertThat(box(3).text()).endsWith("weir!");
    program.fire("erase");
    assertThat(box(3).text()).endsWith("weir");
  }

  /** Source: 1 in = 25.4 mm = 72 pt; four decimals are shown. */
  @Test
  void dialogsSpeakTheUnitThatIsSetWhenTheyOpen() {
    program.change("unit", new Value.Text("in"));
    program.choose(List.of("Box", "Size \u2026"));
    assertThat(program.dialog().orElseThrow().field("Width").orElseThrow().text())
        .as("80 mm")
        .isEqualTo("3.1496");
    program.change("unit", new Value.Text("pt"));
    program.fill("Width", "2");
    program.press("Set");
    assertThat(box(1).width()).as("2 in, as the dialog says").isEqualByComparingTo(mm(50.8));
    assertThat(box(1).height()).as("not typed into").isEqualByComparingTo(mm(10));
  }

  @Test
  void fieldsTakeNumbersOfFourDecimalsAtMost() {
    program.fire("shift");
    assertThat(program.fill("Right by", "0.12345")).isInstanceOf(Reply.Refused.class);
    assertThat(program.fill("Right by", "1e3")).isInstanceOf(Reply.Refused.class);
    assertThat(program.fill("Right by", "\u22120,5")).isInstanceOf(Reply.Done.class);
    program.press("Shift");
    assertThat(box(1).x()).isEqualByComparingTo(mm(11.5));
    assertThat(program.dialog()).as("it stays open").isPresent();
    assertThat(program.press("Shift")).isInstanceOf(Reply.Done.class);
    assertThat(program.press("OK"))
        .isEqualTo(new Reply.Refused("a button, one of Shift, Close", "no \"OK\""));
  }
}
