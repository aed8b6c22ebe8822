package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryFile;
import foldtwice.trigger.Notation;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What was done last week is found after a restart, and taken back by itself. */
class HistoryByHandTest {

  @TempDir Path folder;

  private static void rebind(Hands hands, String id, String keys) {
    Binding b = hands.session.now().library().bindings().get(id);
    hands.make(
        new Edit.PutBinding(b.withTriggers(List.of(Notation.read(keys)))),
        id + " moved to " + keys);
  }

  private static String keys(Hands hands, String id) {
    return Notation.write(hands.session.now().library().bindings().get(id).triggers().getFirst());
  }

  private static void history(Hands hands) {
    hands.lookUp("look at the history");
    hands.waitForText("#history-count", "changes");
  }

  @Test
  void undoGoesOnAfterARestart() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      rebind(hands, "b01", "Ctrl+Alt+F9");
      rebind(hands, "b02", "Ctrl+Alt+F10");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
    }
    try (Hands hands = Hands.open(folder)) {
      assertThat(keys(hands, "b01")).isEqualTo("Ctrl+Alt+F9");
      hands.press(KeyCode.CONTROL, KeyCode.Y);
      assertThat(keys(hands, "b02")).isEqualTo("Ctrl+Alt+F10");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(hands.session.saidProperty().get()).isEqualTo("Undone: b01 moved to Ctrl+Alt+F9");
      assertThat(keys(hands, "b01")).isEqualTo("Alt+.");
    }
  }

  @Test
  void aChangeOfBeforeIsFoundAndTakenBackByItself() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      rebind(hands, "b01", "Ctrl+Alt+F9");
      rebind(hands, "b58", "Ctrl+Alt+F8");
    }
    try (Hands hands = Hands.open(folder)) {
      rebind(hands, "b02", "Ctrl+Alt+F10");
      rebind(hands, "b58", "Ctrl+Alt+F7");
      history(hands);
      assertThat(hands.rows("#history")).hasSize(4);
      assertThat(hands.rows("#history").getFirst()).contains("b58 moved to Ctrl+Alt+F7", "tester");
      hands.lookUp("find something in the history");
      hands.retype("b01");
      hands.waitForText("#history-count", "1 of 4 changes");
      hands.waitForText("#history-told", "Nothing later stands on it");
      assertThat(hands.text("#history-told")).contains("triggers Alt+. \u2192 Ctrl+Alt+F9");
      hands.space("#history-back");
      assertThat(keys(hands, "b01")).isEqualTo("Alt+.");
      assertThat(keys(hands, "b02")).isEqualTo("Ctrl+Alt+F10");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(keys(hands, "b01")).isEqualTo("Ctrl+Alt+F9");

      hands.lookUp("find something in the history");
      hands.retype("f8");
      hands.waitForText("#history-told", "changed again since");
      assertThat(hands.node("#history-back").isDisabled()).isTrue();
      Path then = folder.resolve("then.json");
      hands.choosing(then);
      hands.space("#history-save");
      hands.waitUntil("it is there", () -> Files.exists(then));
      hands.waitForSaid("then.json");
      Library of = LibraryFile.look(then);
      assertThat(Notation.write(of.bindings().get("b58").triggers().getFirst()))
          .isEqualTo("Ctrl+Alt+F8");
      hands.space("#history-then");
      assertThat(keys(hands, "b58")).isEqualTo("Ctrl+Alt+F8");
      assertThat(keys(hands, "b02")).isEqualTo("Alt+,");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(keys(hands, "b02")).isEqualTo("Ctrl+Alt+F10");
    }
  }

  /** By meaning: the same binding moved is one row; order and formatting are no difference. */
  @Test
  void twoDatesAndTwoLibrariesAreHeldAgainstEachOther() throws Exception {
    Path other = folder.resolve("other.json");
    try (Hands hands = Hands.open(folder)) {
      rebind(hands, "b01", "Ctrl+Alt+F9");
      rebind(hands, "b02", "Ctrl+Alt+F10");
      history(hands);
      hands.giveKeys("#history");
      hands.press(KeyCode.END);
      hands.waitForText("#history-told", "Ctrl+Alt+F9");
      hands.lookUp("compare a state of the history");
      hands.waitForText("#compare-says", "1 difference");
      hands.waitForText("#compare-rows", "Ctrl+Alt+F10"); // the rows are laid out after it
      assertThat(hands.rows("#compare-rows")).hasSize(1);
      assertThat(hands.rows("#compare-rows").getFirst())
          .contains("changed", "triggers Alt+, \u2192 Ctrl+Alt+F10");
      hands.giveKeys("#compare-rows");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#routine")).contains("Shift boxes");

      Files.copy(Hands.root().resolve("demo/fernhollow.json"), other);
      hands.choosing(other);
      hands.lookUp("hold the library against a file");
      hands.waitForText("#compare-says", "2 differences");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      hands.waitForText("#compare-says", "1 difference");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      hands.waitForText("#compare-says", "no difference");
      Files.writeString(other, "{\"odd\": 1}");
      hands.lookUp("hold the library against a file");
      hands.waitForText("#compare-says", "no library of Fold Twice");
    }
  }

  /** Out to a spreadsheet and back: what a table would change is seen by meaning, then taken. */
  @Test
  void aTableOfBindingsIsEditedAndTaken() throws Exception {
    Path table = folder.resolve("bindings.csv");
    try (Hands hands = Hands.open(folder)) {
      hands.choosing(table);
      hands.lookUp("save the bindings as a table");
      hands.waitUntil("it is there", () -> Files.exists(table));
      String edited = Files.readString(table).replaceFirst("Alt\\+\\.", "Ctrl+Alt+F9");
      Files.writeString(table, edited + "nobody,,,,,,\r\n");
      hands.choosing(table);
      hands.lookUp("read a table of bindings");
      hands.waitForText("#compare-says", "1 difference; one row cannot be taken");
      hands.waitForText("#compare-rows", "no binding");
      assertThat(hands.rows("#compare-rows").get(1)).contains("triggers Alt+. \u2192 Ctrl+Alt+F9");
      hands.space("#bindings-take");
      assertThat(keys(hands, "b01")).isEqualTo("Ctrl+Alt+F9");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(keys(hands, "b01")).isEqualTo("Alt+.");
      hands.choosing(Files.writeString(folder.resolve("odd.csv"), "a,b\n"));
      hands.lookUp("read a table of bindings");
      hands.waitForText("#compare-says", "expected a heading");
    }
  }

  /** A state gets a name, stays, and can be held against today and come back to. */
  @Test
  void aStateIsKeptByNameAndComeBackTo() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      history(hands);
      hands.lookUp("keep the library as it is now");
      assertThat(hands.session.saidProperty().get()).contains("Type what the state");
      hands.type("before the new pad");
      hands.press(KeyCode.ENTER);
      hands.waitForSaid("\"before the new pad\", for good");
      rebind(hands, "b01", "Ctrl+Alt+F9");
    }
    try (Hands hands = Hands.open(folder)) {
      rebind(hands, "b02", "Ctrl+Alt+F10");
      history(hands);
      assertThat(hands.rows("#history")).hasSize(2);
      hands.lookUp("show only what was done since i was last here");
      hands.waitForText("#history-count", "1 of 2 changes");
      assertThat(hands.rows("#history").getFirst()).contains("b02 moved");
      hands.lookUp("go back to \"before the new pad\"");
      hands.waitUntil("it is as it was", () -> keys(hands, "b01").equals("Alt+."));
      assertThat(keys(hands, "b02")).isEqualTo("Alt+,");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(keys(hands, "b02")).isEqualTo("Ctrl+Alt+F10");
    }
  }

  @Test
  void aNewLibraryHasNoHistoryYet() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.lookUp("look at the history");
      hands.waitForText("#history-count", "0 of 0 changes");
      assertThat(hands.text("#history")).contains("Nothing was done yet");
      assertThat(hands.node("#history-back").isDisabled()).isTrue();
    }
  }
}
