package foldtwice.cli;

import static foldtwice.cli.Ran.run;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import foldtwice.library.Edit;
import foldtwice.library.file.Json;
import foldtwice.library.file.LibraryStore;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The history of a library from the command line. */
class HistoryCommandTest {

  @TempDir Path folder;
  private Path file;

  @BeforeEach
  void twoSessions() throws Exception {
    file = folder.resolve("mine.json");
    Files.copy(Path.of(System.getProperty("project.root"), "demo", "fernhollow.json"), file);
    try (LibraryStore store = LibraryStore.open(file, "ada", Clock.systemUTC())) {
      store.make(new Edit.RemoveBinding("b01"), "Shift boxes taken away").get();
    }
    try (LibraryStore store = LibraryStore.open(file, "bo", Clock.systemUTC())) {
      store.undo().get();
      store.make(new Edit.RemoveBinding("b02"), "The other taken away").get();
    }
  }

  @Test
  void theLastIsToldFirstWithWhoAndWhat() {
    Ran all = run("history", file.toString());
    assertThat(all.exit()).isZero();
    assertThat(all.err()).isEmpty();
    assertThat(all.out().lines().toList())
        .hasSize(3)
        .satisfiesExactly(
            l -> assertThat(l).contains("bo", "The other taken away"),
            l -> assertThat(l).contains("bo", "taken back: Shift boxes taken away"),
            l -> assertThat(l).contains("ada", "Shift boxes taken away"));
    assertThat(run("history", file.toString(), "--most", "1").out().lines()).hasSize(1);
    Ran ada = run("history", file.toString(), "--find", "ADA");
    assertThat(ada.out().lines()).hasSize(1);
    assertThat(run("history", file.toString(), "--find", "zebra").exit()).isEqualTo(1);
  }

  @Test
  void itIsReadByMachines() throws Exception {
    Ran json = run("history", file.toString(), "--format", "json");
    JsonNode events = Json.parse(json.out().getBytes(StandardCharsets.UTF_8)).get("events");
    assertThat(events).hasSize(3);
    assertThat(events.get(1).get("how").asText()).isEqualTo("taken-back");
  }

  @Test
  void whatIsCutOrMissingIsTold() throws Exception {
    Files.writeString(
        folder.resolve("mine.json.history"), "{\"sum\":\"00", StandardOpenOption.APPEND);
    Files.writeString(folder.resolve("mine.json.history"), "\n", StandardOpenOption.APPEND);
    Ran cut = run("history", file.toString());
    assertThat(cut.exit()).isZero();
    assertThat(cut.err()).contains("1 of its lines cannot be read");
    assertThat(run("history", folder.resolve("gone.json").toString()).exit()).isEqualTo(2);
    assertThat(run("history", file.toString(), "--most", "0").err()).contains("expected 1 or more");
  }
}
