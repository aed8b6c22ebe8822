package foldtwice.table;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.table.Part.Column;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** What is written goes on top of what others do, and neither is lost. */
class RowsTest {

  private static Row row(String id, String name, String count) {
    return new Row(id, Map.of(Column.NAME, name, Column.KEYS, count));
  }

  @Test
  void aRowOfOthersComesWhereItStandsAndWhatIsWrittenStays() {
    Row band = row("", "Band", "4");
    Row knot = row("", "Knot", "7");
    Row aloe = row("", "Aloe", "2");
    assertThat(
            Rows.rebased(
                List.of(band, row("", "Knot", "91")),
                List.of(band, knot),
                List.of(aloe, band, knot)))
        .containsExactly(aloe, band, row("", "Knot", "91"));
  }

  @Test
  void aRowWithAnIdIsWrittenCellByCell() {
    assertThat(
            Rows.rebased(
                List.of(row("mirror", "Mirror", "Ctrl+M")),
                List.of(row("mirror", "Mirror", "")),
                List.of(row("mirror", "Mirror it", ""))))
        .containsExactly(row("mirror", "Mirror it", "Ctrl+M"));
  }

  @Test
  void whatOthersTakeOutIsGoneUnlessItIsBeingWritten() {
    Row one = row("one", "One", "");
    Row two = row("two", "Two", "");
    Row written = two.with(Column.KEYS, "F2");
    assertThat(Rows.rebased(List.of(one, written), List.of(one, two), List.of()))
        .containsExactly(written);
  }

  private static List<Row> changed(List<Row> base, Random random, String who) {
    List<Row> all = new ArrayList<>(base);
    for (int i = random.nextInt(5); i > 0; i--) {
      int at = random.nextInt(all.size() + 1);
      if (random.nextBoolean() || at == all.size()) {
        all.add(at, row(random.nextBoolean() ? who + i : "", who + " " + i, ""));
      } else {
        all.remove(at);
      }
    }
    return all;
  }

  private static List<Row> base(Random random) {
    List<Row> all = new ArrayList<>();
    for (int i = random.nextInt(6); i > 0; i--) {
      all.add(row(random.nextBoolean() ? "r" + i : "", "row " + i, "F" + i));
    }
    return all;
  }

  /** Where only one of two does something, it is what that one did. */
  @Property(tries = 300)
  void oneAloneIsRight(@ForAll long seed) {
    Random random = new Random(seed);
    List<Row> base = base(random);
    List<Row> changed = changed(base, random, "new");
    assertThat(Rows.rebased(changed, base, base)).isEqualTo(changed);
    assertThat(Rows.rebased(base, base, changed)).isEqualTo(changed);
  }

  /** Where both do, what either has added is there once, and what either took out is not. */
  @Property(tries = 300)
  void neitherIsLost(@ForAll long seed) {
    Random random = new Random(seed);
    List<Row> base = base(random);
    List<Row> mine = changed(base, random, "mine");
    List<Row> theirs = changed(base, random, "theirs");
    List<Row> expected = new ArrayList<>(base);
    expected.retainAll(mine);
    expected.retainAll(theirs);
    mine.stream().filter(r -> !base.contains(r)).forEach(expected::add);
    theirs.stream().filter(r -> !base.contains(r)).forEach(expected::add);
    assertThat(Rows.rebased(mine, base, theirs)).containsExactlyInAnyOrderElementsOf(expected);
  }
}
