package foldtwice.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.library.RandomLibraries;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryJson;
import foldtwice.trigger.Notation;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class BindingTableTest {

  private static Library demo() throws Exception {
    return LibraryJson.read(
        Files.readAllBytes(Path.of(System.getProperty("project.root"), "demo", "fernhollow.json")));
  }

  /** What is written is read as the same, whatever stands in names. */
  @Property(tries = 150)
  void writtenAndReadAgainChangesNothing(@ForAll long seed) throws Exception {
    Library library = RandomLibraries.of(seed);
    assertThat(BindingTable.read(BindingTable.write(library), library))
        .hasSize(library.bindings().size())
        .allMatch(r -> r.outcome() instanceof BindingTable.Outcome.Same, "the same");
  }

  @Test
  void whatWasEditedIsTaken() throws Exception {
    Library demo = demo();
    String table =
        BindingTable.write(demo)
            .replaceFirst("Alt\\+\\.", "Ctrl+Alt+F9")
            .replaceFirst(",410\r\n", ",12.5\r\n");
    table += ",Shift boxes,,tagpress/box-selected,Ctrl+Alt+F8,dx=3 mm,7\r\n";
    List<BindingTable.Row> rows = BindingTable.read(table, demo);
    Library taken = BindingTable.taken(rows).on(demo);
    Binding b01 = taken.bindings().get("b01");
    assertThat(b01.triggers()).containsExactly(Notation.read("Ctrl+Alt+F9"));
    assertThat(b01.usesPerWeek()).isEqualTo(12.5);
    assertThat(taken.bindings()).hasSize(demo.bindings().size() + 1);
    Binding fresh = taken.bindings().values().stream().toList().getLast();
    assertThat(fresh.routine()).isEqualTo("shift-boxes");
    assertThat(fresh.arguments().get("dx").shown()).isEqualTo("3 mm");
    long changed =
        rows.stream().filter(r -> r.outcome() instanceof BindingTable.Outcome.Changed).count();
    assertThat(changed).isEqualTo(1);
  }

  /** As spreadsheets save it: UTF-16, parted by tabs. */
  @Test
  void otherEncodingsAreRead() throws Exception {
    String table = "\uFEFFbinding\ttimes a week\r\nb01\t12.5\r\n";
    for (Charset charset : List.of(StandardCharsets.UTF_8, StandardCharsets.UTF_16LE)) {
      List<BindingTable.Row> rows = BindingTable.read(table.getBytes(charset), demo());
      assertThat(BindingTable.taken(rows).on(demo()).bindings().get("b01").usesPerWeek())
          .isEqualTo(12.5);
    }
    assertThatThrownBy(() -> BindingTable.read(new byte[] {(byte) 0xC3, 'x'}, demo()))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining("UTF-8 or UTF-16");
  }

  /** Row by row: what is wrong is said, and nothing of that row is taken. */
  @Test
  void whatCannotBeTakenIsSaid() throws Exception {
    Library demo = demo();
    String table =
        """
        binding,triggers,times a week,place,arguments,routine
        nobody,F2,1,,,
        b01,Ctrl+Nonsense+X,,,,
        b02,F2,-3,tagpress/box-selected,,
        b03,F2,1,nowhere,,
        b04,F2,1,tagpress/box-selected,dz=4 mm,
        ,F2,1,tagpress,,no such routine
        b05,F2,1,tagpress/box-selected,dx=+5 mm,other
        """;
    List<BindingTable.Row> rows = BindingTable.read(table, demo);
    assertThat(rows).allMatch(r -> r.outcome() instanceof BindingTable.Outcome.Wrong);
    assertThat(rows).extracting(BindingTable.Row::number).containsExactly(2, 3, 4, 5, 6, 7, 8);
    assertThat(BindingTable.taken(rows).on(demo)).isEqualTo(demo);
    for (String bad : List.of("", "a,b\n1,2\n", "\"binding\n")) {
      assertThatThrownBy(() -> BindingTable.read(bad, demo))
          .as(bad)
          .isInstanceOf(FormatException.class);
    }
  }
}
