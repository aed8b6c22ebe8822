package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryFile;
import foldtwice.library.file.ProgramDescription;
import foldtwice.place.Application;
import foldtwice.place.Station;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Programs nobody simulates are described, shared and taken out in Places. */
class DescribeByHandTest {

  @TempDir Path folder;

  private static Application loom(Hands hands) {
    return hands.session.now().library().applications().get("new-program");
  }

  private static Description said(Hands hands) {
    return hands.session.now().library().description("new-program");
  }

  /** Named, its commands pasted from a table, a setting typed cell by cell; a slip is told. */
  @Test
  void aProgramIsDescribedInTables() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F12);
      hands.click("#new-application");
      assertThat(hands.focus().getId()).isEqualTo("application-name");
      hands.type("loom planner");
      hands.press(KeyCode.ENTER);
      assertThat(loom(hands).name()).isEqualTo("loom planner");
      hands.click("#application-language");
      hands.type("two words");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#said")).contains("no language tag");
      hands.click("#application-language");
      hands.retype("en");
      hands.press(KeyCode.ENTER);
      assertThat(said(hands).language()).isEqualTo("en");
      hands.click("#part-commands");
      Hands.copied(
          "Menu path\tKeys\tDoes\nDraft > Mirror\tCtrl+M\tturn Grid\nDraft > Band\t\tadd Band\n");
      hands.click("#described-paste");
      assertThat(loom(hands).commands()).hasSize(2);
      assertThat(said(hands).command("mirror").orElseThrow().does())
          .containsExactly(new Does.Turns("Grid"));
      assertThat(hands.text("#described-says")).contains("a setting \u201cGrid\u201d");
      hands.click("#part-settings");
      hands.giveKeys("#described");
      for (String cell : new String[] {"grid", "on", "on"}) {
        hands.type(cell);
        hands.press(KeyCode.TAB);
      }
      assertThat(said(hands).settings())
          .containsExactly(
              new Description.Setting(
                  "grid", List.of("on"), "on", false, foldtwice.describe.Span.ALWAYS));
      hands.press(KeyCode.LEFT);
      hands.type("off");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#described-says")).contains("Row 1, At first: expected one of on");
      assertThat(said(hands).settings()).as("nothing of it counts").hasSize(1);
      hands.press(KeyCode.DELETE);
      assertThat(hands.text("#described-says")).doesNotContain("Row 1");
      assertThat(hands.text("#offers")).contains("grid");
    }
    Library kept = LibraryFile.look(folder.resolve("fernhollow.json"));
    assertThat(kept.applications().get("new-program").commands()).hasSize(2);
    assertThat(kept.description("new-program").settings()).hasSize(1);
  }

  /** A new program with these things in it, pasted as rows. */
  private static void withThings(Hands hands, String rows) {
    hands.press(KeyCode.F12);
    hands.click("#new-application");
    hands.press(KeyCode.ENTER);
    hands.click("#part-things");
    Hands.copied(rows);
    hands.giveKeys("#described");
    hands.press(KeyCode.CONTROL, KeyCode.V);
  }

  private static <T> void select(TableView<T> table, int row, int column) {
    Hands.ask(
        () -> {
          table.getSelectionModel().clearAndSelect(row, table.getColumns().get(column));
          return true;
        });
  }

  /** What somebody else does to the table meanwhile. */
  private static void others(Hands hands, List<Description.Thing> things) {
    hands.make(
        new Edit.Describe("new-program", Optional.of(said(hands).withThings(things))), "more");
  }

  /** A cell that is typed into is typed to its end, into its own row, whatever else changes. */
  @Test
  void whatIsTypedIntoACellStaysWhileTheProgramChanges() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      withThings(hands, "Band\t4\nKnot\t7\n");
      TableView<?> table = (TableView<?>) hands.node("#described");
      select(table, 1, 1);
      hands.type("9");
      Description.Thing other = new Description.Thing("Aloe", 2, List.of());
      List<Description.Thing> things = new ArrayList<>(said(hands).things());
      things.addFirst(other);
      others(hands, things);
      hands.type("1");
      hands.press(KeyCode.ENTER);
      assertThat(said(hands).things())
          .containsExactly(
              other,
              new Description.Thing("Band", 4, List.of()),
              new Description.Thing("Knot", 91, List.of()));
      assertThat(Hands.ask(() -> table.getSelectionModel().getSelectedIndex())).isEqualTo(2);
      hands.type("many");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#described-says")).contains("Row 3");
      Description.Thing late = new Description.Thing("Elm", 5, List.of());
      others(hands, List.of(late, other, new Description.Thing("Knot", 91, List.of())));
      assertThat(hands.text("#described-says")).as("where it is by now").contains("Row 3");
      hands.type("8");
      hands.press(KeyCode.ENTER);
      assertThat(said(hands).things())
          .as("what others did stays done")
          .containsExactly(late, other, new Description.Thing("Knot", 8, List.of()));
    }
  }

  /** What one wrote down another takes in; taken out, it comes back by undo. */
  @Test
  void aDescriptionIsSharedAndAProgramTakenOut() throws Exception {
    Path file = folder.resolve("trackway.json");
    try (Hands hands = Hands.open(folder)) {
      withThings(hands, "Band\t4\n");
      hands.choosing(file);
      lookUp(hands, "save the chosen program");
      hands.waitUntil("it is written", () -> Files.exists(file));
      assertThat(ProgramDescription.read(Files.readAllBytes(file)).description().things())
          .containsExactly(new Description.Thing("Band", 4, List.of()));
      lookUp(hands, "remove the chosen program");
      assertThat(loom(hands)).isNull();
      assertThat(hands.text("#said")).contains("New program removed");
      hands.click("#add-application");
      hands.click("#import-file");
      hands.waitUntil("it is back", () -> loom(hands) != null);
      assertThat(said(hands).things()).hasSize(1);
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(loom(hands)).isNull();
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(said(hands).things()).as("what was taken out").hasSize(1);
    }
  }

  /** With all that is bound in it, in one step back and forth. */
  @Test
  void aProgramGoesWithItsBindings() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      Library before = hands.session.now().library();
      hands.press(KeyCode.F12);
      lookUp(hands, "remove the chosen program");
      Library after = hands.session.now().library();
      Set<String> gone =
          before.applications().keySet().stream()
              .filter(a -> !after.applications().containsKey(a))
              .collect(Collectors.toSet());
      assertThat(gone).hasSize(1);
      assertThat(after.bindings().values())
          .noneMatch(b -> b.place().applicationId().filter(gone::contains).isPresent());
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(hands.session.now().library()).isEqualTo(before);
    }
  }

  /** A second station with another keyboard says in what it differs. */
  @Test
  void aStationIsAddedComparedAndRemoved() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      int before = hands.session.now().library().stations().size();
      hands.press(KeyCode.F12);
      hands.click("#new-station");
      assertThat(hands.focus().getId()).isEqualTo("station-name");
      hands.type("garden hut");
      hands.press(KeyCode.ENTER);
      assertThat(hands.session.now().library().stations()).hasSize(before + 1);
      assertThat(hands.text("#compared-stations")).contains("They are set up alike.");
      hands.next("#station-layout");
      Station made =
          hands.session.now().library().stations().values().stream()
              .filter(s -> s.name().equals("garden hut"))
              .findFirst()
              .orElseThrow();
      assertThat(hands.text("#compared-stations")).contains("Layout", "here " + made.layout());
      hands.station(made.id());
      lookUp(hands, "remove the chosen program or station");
      assertThat(hands.session.now().library().stations()).hasSize(before);
      hands.waitUntil(
          "another station is in view",
          () -> !hands.session.now().station().id().equals(made.id()));
    }
  }

  private static void lookUp(Hands hands, String words) {
    hands.press(KeyCode.F3);
    hands.paste("#look-up", words);
    hands.press(KeyCode.ENTER);
  }
}
