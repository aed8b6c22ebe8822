package foldtwice.table;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.describe.While;
import foldtwice.library.Library;
import foldtwice.library.RandomLibraries;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.table.Part.Column;
import foldtwice.trigger.Notation;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TablesTest {

  /** Whatever is described, in whatever names, a table written and read leaves it as it was. */
  @Property(tries = 200)
  void aTableLeavesTheProgramAsItWas(@ForAll long seed) {
    Library library = RandomLibraries.of(seed);
    for (Application a : library.applications().values()) {
      Description d = sound(a, library.description(a.id()));
      boolean named = a.allContexts().stream().noneMatch(c -> c.name().isBlank());
      for (Part part : Part.values()) {
        if (part == Part.CONTEXTS && !named) {
          continue; // a row without a name says nothing
        }
        assertThat(Tables.read(part, Tables.rows(part, a, d), a, d))
            .as(part.name())
            .isEqualTo(new Read.Made(a, d));
      }
    }
  }

  /** Of what a table can say: one entry for each command in their order, and names that name. */
  private static Description sound(Application a, Description d) {
    List<Description.Command> commands = new ArrayList<>();
    for (NativeCommand c : a.commands()) {
      d.command(c.id())
          .filter(x -> !x.equals(Description.Command.unknown(x.id())))
          .ifPresent(commands::add);
    }
    Set<String> ids = new HashSet<>();
    Set<String> stated = new HashSet<>();
    return d.withStates(
            d.states().stream()
                .filter(s -> a.context(s.context()).isPresent() && stated.add(s.context()))
                .toList())
        .withCommands(commands)
        .withDialogs(
            d.dialogs().stream()
                .filter(x -> !x.title().isEmpty())
                .map(
                    x ->
                        new Description.Dialog(
                            x.title(),
                            x.fields().stream().toList(),
                            x.buttons().stream().toList(),
                            x.span()))
                .toList())
        .withSettings(
            d.settings().stream()
                .filter(s -> s.name().equals(s.name().strip()) && !s.name().isEmpty())
                .filter(s -> !s.start().isEmpty())
                .toList())
        .withValues(
            d.values().stream()
                .filter(v -> v.name().equals(v.name().strip()) && !v.name().isEmpty())
                .toList())
        .withThings(
            d.things().stream()
                .filter(t -> t.kind().equals(t.kind().strip()) && !t.kind().isEmpty())
                .toList())
        .withActions(
            d.actions().stream()
                .filter(x -> ids.add(x.id()))
                .filter(x -> x.name().equals(x.name().strip()) && !x.name().isEmpty())
                .toList());
  }

  private static final Map<Column, String> HEADINGS = new EnumMap<>(Column.class);

  static {
    for (Column c : Column.values()) {
      HEADINGS.put(c, c.name().toLowerCase(Locale.ROOT));
    }
  }

  private static final Application LOOM = Application.unknown("loom");
  private static final Description NONE = Description.none("loom");

  /** Rows as they come from a table elsewhere, with its headings in any order. */
  @Test
  void whatIsPastedBecomesCommands() {
    List<Row> rows =
        Row.pasted(
            """
            menu\tkeys\tdoes
            Draft > Mirror\tCtrl+M or F5\tchange objects
            View > Grid\tCtrl+G\tturn Grid

            """,
            Part.COMMANDS,
            HEADINGS);
    Read.Made made = (Read.Made) Tables.read(Part.COMMANDS, rows, LOOM, NONE);
    NativeCommand mirror = made.application().commands().getFirst();
    assertThat(mirror.name()).isEqualTo("Mirror");
    assertThat(mirror.group()).isEqualTo("Draft");
    assertThat(mirror.menuPath()).containsExactly("Draft", "Mirror");
    assertThat(mirror.triggers()).isEqualTo(List.of(Notation.read("Ctrl+M"), Notation.read("F5")));
    assertThat(made.description().command("grid").orElseThrow().does())
        .containsExactly(new Does.Turns("Grid"));
    String copied =
        Row.copied(
            Tables.rows(Part.COMMANDS, made.application(), made.description()),
            Part.COMMANDS,
            HEADINGS);
    List<Row> again = Row.pasted(copied, Part.COMMANDS, HEADINGS);
    assertThat(Tables.read(Part.COMMANDS, again, LOOM, NONE)).isEqualTo(made);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "COMMANDS | KEYS | Ctrl+ | keys such as",
        "COMMANDS | DOES | mirror | expected one of set",
        "COMMANDS | USES | often | a number",
        "COMMANDS | DANGER | bites | saves, deletes or prints",
        "COMMANDS | WHERE | nowhere | no contexts",
        "COMMANDS | VERSIONS | lately | versions such as",
        "COMMANDS | NEEDS | a, b | selection, an add-on",
        "SETTINGS | START | blue | one of on, off",
        "SETTINGS | WHEN | later | restart",
        "VALUES | RANGE | wide | a range such as",
        "VALUES | START | 400 % | from 0% to 9%",
        "CONTEXTS | WITHIN | nowhere | the name of another context",
        "CONTEXTS | WHILE | raining | selected and a kind",
        "CONTEXTS | KIND | round | text, group, pointer",
        "CONTEXTS | FROM | Nothing | names of commands",
        "THINGS | COUNT | many | 0 to 1000",
        "DIALOGS | KIND | round | button",
        "ACTIONS | PARAMETERS | by 3 | a parameter such as",
      })
  void whatCannotBeReadIsNamedByRowAndColumn(Part part, Column column, String text, String says) {
    Row good =
        new Row("", Map.of(Column.NAME, "A", Column.OPTIONS, "on, off", Column.RANGE, "0 to 9 %"))
            .with(Column.ADD_ON, "Weaver")
            .with(Column.DIALOG, "D")
            .with(Column.LABEL, "L");
    assertThat(Tables.read(part, List.of(good), LOOM, NONE)).isInstanceOf(Read.Made.class);
    assertThat(Tables.read(part, List.of(good, Row.empty(), good.with(column, text)), LOOM, NONE))
        .isInstanceOfSatisfying(
            Read.Faulty.class,
            f -> {
              assertThat(f.faults()).hasSize(1);
              assertThat(f.faults().getFirst().row()).isEqualTo(2);
              assertThat(f.faults().getFirst().column()).isEqualTo(column);
              assertThat(f.faults().getFirst().expected()).contains(says);
            });
  }

  /** Contexts with what they lie in, while they are so, and what leads there; then changed. */
  @Test
  void contextsAreATableToo() {
    Application loom =
        LOOM.withCommands(
            ((Read.Made)
                    Tables.read(
                        Part.COMMANDS,
                        List.of(
                            new Row("", Map.of(Column.NAME, "Write a note", Column.USES, "3")),
                            new Row("", Map.of(Column.NAME, "Options"))),
                        LOOM,
                        NONE))
                .application()
                .commands());
    List<Row> rows =
        List.of(
            new Row("", Map.of(Column.NAME, "pattern", Column.KIND, "group")),
            new Row(
                "",
                Map.of(
                    Column.NAME, "thread chosen",
                    Column.WITHIN, "pattern",
                    Column.WHILE, "selected Thread")),
            new Row(
                "",
                Map.of(
                    Column.NAME, "nothing chosen",
                    Column.WITHIN, "pattern",
                    Column.WHILE, "nothing selected")),
            new Row(
                "", Map.of(Column.NAME, "note", Column.KIND, "text", Column.FROM, "Write a note")));
    Read.Made made = (Read.Made) Tables.read(Part.CONTEXTS, rows, loom, NONE);
    Application a = made.application();
    assertThat(a.path("thread-chosen"))
        .extracting(c -> c.id())
        .containsExactly("pattern", "thread-chosen");
    assertThat(a.context("note").orElseThrow().takesText()).isTrue();
    assertThat(made.description().holds("thread-chosen")).contains(new While.Selected("Thread"));
    assertThat(made.description().command("write-a-note").orElseThrow().does())
        .containsExactly(new Does.Leads("note"));

    List<Row> shown = Tables.rows(Part.CONTEXTS, a, made.description());
    assertThat(Tables.read(Part.CONTEXTS, shown, a, made.description())).isEqualTo(made);
    Row note = shown.getLast().with(Column.FROM, "Options").with(Column.WITHIN, "pattern");
    List<Row> moved = new ArrayList<>(shown);
    moved.set(moved.size() - 1, note);
    Read.Made next = (Read.Made) Tables.read(Part.CONTEXTS, moved, a, made.description());
    assertThat(next.application().path("note")).hasSize(2);
    assertThat(next.description().command("write-a-note").orElseThrow().does()).isEmpty();
    assertThat(next.description().command("options").orElseThrow().does())
        .containsExactly(new Does.Leads("note"));

    List<Row> round = new ArrayList<>(shown);
    round.set(0, round.getFirst().with(Column.WITHIN, "thread chosen"));
    assertThat(Tables.read(Part.CONTEXTS, round, a, made.description()))
        .isInstanceOfSatisfying(
            Read.Faulty.class,
            f -> assertThat(f.faults()).allMatch(x -> x.column() == Column.WITHIN));
  }
}
