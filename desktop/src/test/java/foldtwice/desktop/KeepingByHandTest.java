package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import foldtwice.desktop.frame.Early;
import foldtwice.desktop.frame.Opening;
import foldtwice.library.Library;
import foldtwice.library.file.Keeping;
import foldtwice.library.file.LibraryFile;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Nothing that a person does is lost, and what is the matter is said where they look. */
class KeepingByHandTest {

  @TempDir Path folder;

  private static Library library(Hands hands) {
    return hands.session.now().library();
  }

  private Path file() {
    return folder.resolve("fernhollow.json");
  }

  /** The name cleared, and a blank at its end: both are kept, marked, and read again. */
  @Test
  void aNameThatIsClearedInAStepIsKeptAndMarked() throws Exception {
    Library after;
    try (Hands hands = Hands.open(folder)) {
      hands.routine("clipboard to the notepad");
      for (String name : new String[] {"notepad ", ""}) {
        hands.click("#step-3");
        hands.paste("#step-field-0", name);
        hands.click("#step-field-0");
        hands.press(KeyCode.ENTER);
        assertThat(hands.text("#outline")).contains("is no program here");
      }
      after = library(hands);
      Routine.Macro macro =
          (Routine.Macro)
              after.routines().values().stream()
                  .filter(
                      r ->
                          r instanceof Routine.Macro m
                              && m.steps().stream()
                                  .anyMatch(
                                      l ->
                                          l.step() instanceof Step.StartProgram s
                                              && s.application().isEmpty()))
                  .findFirst()
                  .orElseThrow();
      assertThat(macro.name()).isEqualTo("Clipboard to the notepad");
    }
    assertThat(LibraryFile.look(file())).isEqualTo(after);
  }

  private static String run(String... command) {
    try {
      Process p = new ProcessBuilder(command).redirectErrorStream(true).start();
      String said = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      return p.waitFor() == 0 ? "" : said + p.exitValue();
    } catch (IOException | InterruptedException e) {
      return e.getMessage();
    }
  }

  @Test
  void onAFullDiskItSaysSoAndIsSavedElsewhere() throws Exception {
    Path small = Files.createDirectory(folder.resolve("small"));
    String made = run("mount", "-t", "tmpfs", "-o", "size=300k", "tmpfs", small.toString());
    assumeTrue(made.isEmpty(), "no small file system can be made here: " + made);
    Library after;
    Path elsewhere = folder.resolve("elsewhere.json");
    try {
      Hands hands = Hands.open(small);
      try {
        assertThat(hands.text("#kept")).isEqualTo("open");
        assertThat(hands.node("#trouble").isVisible()).isFalse();
        fill(small);
        hands.choose("flag cells");
        hands.press(KeyCode.DELETE);
        hands.waitUntil(
            "it is told",
            () ->
                hands.session.disk().keepingProperty().get() instanceof Keeping.NotKept
                    || undo(hands));
        assertThat(hands.text("#kept")).isEqualTo("not kept");
        assertThat(hands.text("#trouble-what")).contains("not on disk", "No space left");
        hands.click("#trouble-again");
        assertThat(hands.text("#kept")).as("still").isEqualTo("not kept");
        hands.choosing(elsewhere);
        hands.click("#trouble-elsewhere");
        hands.waitForText("#said", "Saved as");
        assertThat(hands.node("#trouble").isVisible()).isFalse();
        hands.press(KeyCode.CONTROL, KeyCode.Z);
        hands.waitForText("#kept", "kept ");
        after = library(hands);
      } finally {
        hands.close();
      }
    } finally {
      run("umount", "-l", small.toString());
    }
    assertThat(LibraryFile.look(elsewhere)).isEqualTo(after);
  }

  private static void fill(Path folder) {
    try {
      for (int i = 0; i < 200; i++) {
        Files.write(folder.resolve("filler" + i), new byte[4_000]);
      }
      throw new AssertionError("it is not that small");
    } catch (IOException e) {
      assertThat(e).hasMessageContaining("No space left");
    }
  }

  /** Takes something back and does it again: two more lines for the disk. */
  private static boolean undo(Hands hands) {
    for (int i = 0; i < 10; i++) {
      hands.session.undo();
      hands.session.redo();
    }
    return false;
  }

  @Test
  void aFileThatIsRemovedIsToldAndAStateOfBeforeIsOneActionAway() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("flag cells");
      hands.press(KeyCode.DELETE);
      assertThat(library(hands).bindings()).hasSize(272);
      Files.delete(file());
      hands.waitForText("#kept", "the file is gone");
      assertThat(hands.text("#trouble-what")).contains("deleted or moved", "closing writes it");
    }
    assertThat(LibraryFile.look(file()).bindings()).as("written again").hasSize(272);
    try (Hands hands = Hands.open(folder)) {
      hands.choose("flag cells");
      hands.press(KeyCode.DELETE);
      assertThat(library(hands).bindings()).hasSize(271);
    }
    try (Hands hands = Hands.open(folder)) {
      assertThat(library(hands).bindings()).hasSize(271);
      hands.waitUntil("backups are found", () -> !hands.session.disk().backups().isEmpty());
      hands.press(KeyCode.F3);
      hands.type("go back to the library");
      assertThat(hands.rows("#look-list").getFirst()).contains("Go back to the library of");
      hands.press(KeyCode.ENTER);
      hands.waitUntil("it is as it was", () -> library(hands).bindings().size() == 272);
      assertThat(hands.text("#said")).contains("The library is as it was on");
      hands.click("#undo");
      assertThat(library(hands).bindings()).hasSize(271);
    }
  }

  private static Node find(Stage stage, String selector) {
    return Hands.ask(() -> stage.getScene().lookup(selector));
  }

  private static String shown(Stage stage, String selector) {
    return Hands.ask(
        () -> {
          StringBuilder all = new StringBuilder();
          stage
              .getScene()
              .lookup(selector)
              .lookupAll(".label")
              .forEach(n -> all.append(((Labeled) n).getText()).append('\n'));
          return all.toString();
        });
  }

  @Test
  void aLibraryWithAPartThatCannotBeReadIsRepairedInTheWindow() throws Exception {
    Toolkit.start();
    String demo = Files.readString(Hands.root().resolve("demo/fernhollow.json"));
    Files.writeString(
        file(),
        demo.replaceFirst("\"id\": \"b02\"", "\"id\": \" b02\"")
            .replace(
                "{\"do\": \"front\", \"application\": \"muniment\"}",
                "{\"do\": \"front\", \"application\": \"\"}"));
    assertThat(Files.readString(file())).isNotEqualTo(demo);
    Stage stage = Hands.ask(Stage::new);
    Opening opening =
        Hands.ask(() -> new Opening(stage, Hands.FAULTS, Hands.libraries(), stage::hide));
    Hands.ask(
        () -> {
          opening.open(Early.begin(this::file));
          stage.show();
          return true;
        });
    assertThat(find(stage, "#failure")).isNotNull();
    assertThat(shown(stage, "#failure"))
        .contains("fernhollow.json, /bindings/1/id", "One part cannot be read")
        .contains("/bindings/1", "an id without blanks around it");
    Button repair = (Button) find(stage, "#repair");
    Hands.ask(
        () -> {
          repair.fire();
          return true;
        });
    assertThat(find(stage, "#failure")).isNull();
    Library opened = opening.session().orElseThrow().now().library();
    assertThat(opened.bindings()).hasSize(272).doesNotContainKey("b02");
    assertThat(
            Hands.ask(
                () -> {
                  boolean closed = opening.close();
                  stage.hide();
                  return closed;
                }))
        .isTrue();
    assertThat(LibraryFile.broken(file())).isEmpty();
  }

  /** What goes wrong at the end is said in the window, which stays. */
  @Test
  void aFailureAtClosingIsSeen() throws Exception {
    Toolkit.start();
    Files.copy(Hands.root().resolve("demo/fernhollow.json"), file());
    Stage stage = Hands.ask(Stage::new);
    Opening opening =
        Hands.ask(() -> new Opening(stage, Hands.FAULTS, Hands.libraries(), stage::hide));
    Hands.ask(
        () -> {
          opening.open(Early.begin(this::file));
          stage.show();
          opening
              .session()
              .orElseThrow()
              .make(new foldtwice.library.Edit.RemoveBinding("b01"), "removed");
          return true;
        });
    Files.writeString(file(), Files.readString(file()).replace("Herbarium\"", "Garden\""));
    Hands.ask(
        () -> {
          stage.fireEvent(
              new javafx.stage.WindowEvent(stage, javafx.stage.WindowEvent.WINDOW_CLOSE_REQUEST));
          return true;
        });
    assertThat(Hands.ask(stage::isShowing)).isTrue();
    assertThat(shown(stage, "#failure")).contains("changed by something else", "fernhollow-kept-1");
    Hands.ask(
        () -> {
          ((Button) stage.getScene().lookup("#quit")).fire();
          return true;
        });
    assertThat(Hands.ask(stage::isShowing)).isFalse();
    assertThat(LibraryFile.look(folder.resolve("fernhollow-kept-1.json")).bindings()).hasSize(272);
  }
}
