package foldtwice.library.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import foldtwice.Fixture;
import foldtwice.binding.Binding;
import foldtwice.binding.Proof;
import foldtwice.library.Edit;
import foldtwice.library.Given;
import foldtwice.library.Library;
import foldtwice.library.ProgramFile;
import foldtwice.trigger.Notation;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LibraryStoreTest {

  private static final Instant NOON = Instant.parse("2026-05-14T12:00:00Z");
  private static final String ID = "mine box Alt+L";

  @TempDir Path folder;
  private Path file;
  private String before;

  @BeforeEach
  void aLibraryOnDisk() throws IOException {
    file = folder.resolve("library.json");
    before = LibraryJson.write(Fixture.library(ID, "native box Ctrl+D"));
    Files.writeString(file, before);
  }

  private LibraryStore open() throws IOException, FormatException {
    return LibraryStore.open(file, "somebody", Clock.fixed(NOON, ZoneOffset.UTC));
  }

  private static Edit moved(Library library, String keys) {
    Binding b = library.bindings().get(ID);
    return new Edit.PutBinding(b.withTriggers(List.of(Notation.read(keys))));
  }

  private Path journal() {
    return folder.resolve("library.json.journal");
  }

  @Test
  void anEditIsOnDiskBeforeItIsReportedAsKept() throws Exception {
    try (LibraryStore store = open()) {
      assertThat(store.make(moved(store.library(), "F2")).get()).isEqualTo(NOON);
      assertThat(LibraryFile.look(file)).isEqualTo(store.library());
      assertThat(Files.readString(file)).as("the file itself waits").isEqualTo(before);
      assertThat(Files.readString(journal())).contains("\"who\":\"somebody\"").contains("F2");
    }
    assertThat(Files.exists(journal())).isFalse();
    assertThat(Files.readString(file)).contains("F2");
  }

  /** Undo takes back edits, not what has been put into a program. */
  @Test
  void whatAProgramWasGivenIsKeptAndUndoPassesOverIt() throws Exception {
    Library first = LibraryFile.look(file);
    Binding b = first.bindings().get(ID);
    Binding older = b.withTriggers(List.of(Notation.read("F7")));
    ProgramFile given =
        new ProgramFile("s", "app", Map.of(ID, new Given(older, first.routines().get(ID))));
    try (LibraryStore store = open()) {
      store.make(moved(store.library(), "F2")).get();
      store.give(given).get();
      store.undo().get();
      assertThat(store.library().files()).containsValue(given);
      assertThat(LibraryFile.look(file)).isEqualTo(store.library());
    }
    assertThat(LibraryFile.look(file).files()).containsValue(given);
  }

  @Test
  void openingWithoutChangingLeavesTheFileByteForByte() throws Exception {
    Files.writeString(file, before + "\n \n");
    open().close();
    assertThat(Files.readString(file)).isEqualTo(before + "\n \n");
    assertThat(folder.toFile().list())
        .as("the lock's file stays, so that nobody locks one that is just removed")
        .containsExactlyInAnyOrder("library.json", "library.json.lock");
  }

  /** A crash: the process is gone, file and journal are as they were at that moment. */
  private Library afterCrash(int cut) throws Exception {
    Path other = Files.createTempDirectory(folder, "crash");
    Files.copy(file, other.resolve("library.json"));
    byte[] lines = Files.readAllBytes(journal());
    Files.write(
        other.resolve("library.json.journal"), java.util.Arrays.copyOf(lines, lines.length - cut));
    try (LibraryStore store =
        LibraryStore.open(other.resolve("library.json"), "again", Clock.systemUTC())) {
      return store.library();
    }
  }

  @Test
  void aCrashLosesNothingThatWasKept() throws Exception {
    try (LibraryStore store = open()) {
      store.make(moved(store.library(), "F2")).get();
      store.make(new Edit.RemoveBinding(ID)).get();
      store.undo().get();
      store.prove(ID, new Proof(NOON, "0123456789abcdef")).get();
      assertThat(afterCrash(0)).isEqualTo(store.library());
      assertThat(afterCrash(1)).as("nothing but the line feed lacks").isEqualTo(store.library());
      assertThat(afterCrash(2).proofs()).as("a line cut short was never kept").isEmpty();
      assertThat(afterCrash(2).bindings()).isEqualTo(store.library().bindings());
    }
  }

  @Test
  void afterACrashUndoStillWorks() throws Exception {
    byte[] lines;
    try (LibraryStore store = open()) {
      store.make(moved(store.library(), "F2")).get();
      store.make(moved(store.library(), "F3")).get();
      lines = Files.readAllBytes(journal());
    }
    Files.writeString(file, before);
    Files.write(journal(), lines);
    try (LibraryStore store = open()) {
      store.undo().get();
      assertThat(LibraryJson.write(store.library())).contains("\"F2\"");
      store.undo().get();
      assertThat(LibraryJson.write(store.library())).isEqualTo(before);
      store.redo().get();
      assertThat(LibraryJson.write(store.library())).contains("\"F2\"");
    }
  }

  @Test
  void aCrashBetweenFoldingAndRemovingTheJournalDoesNotReplayTwice() throws Exception {
    byte[] lines;
    try (LibraryStore store = open()) {
      store.make(new Edit.PutBinding(renamed(store.library(), "b2"))).get();
      lines = Files.readAllBytes(journal());
    }
    byte[] after = Files.readAllBytes(file);
    Files.write(journal(), lines);
    Files.write(journal(), Sum.line(2, Journal.folded(after)), StandardOpenOption.APPEND);
    try (LibraryStore store = open()) {
      assertThat(store.library()).isEqualTo(LibraryJson.read(after));
      assertThat(store.history().made()).as("to be undone once").hasSize(1);
    }
    assertThat(Files.readAllBytes(file)).isEqualTo(after);
    assertThat(LibraryFile.history(file).events()).hasSize(1);
  }

  private static Binding renamed(Library library, String id) {
    Binding b = library.bindings().get(ID);
    return new Binding(id, b.routine(), b.place(), List.of(), b.arguments(), 0, b.extras());
  }

  @Test
  void aSecondWriterIsToldWhoHasItAndMayLook() throws Exception {
    try (LibraryStore first = open()) {
      first.make(moved(first.library(), "F2")).get();
      try (LibraryStore second = LibraryStore.open(file, "other", Clock.systemUTC())) {
        assertThat(second.mayWrite()).isFalse();
        assertThat(second.holder()).isEqualTo("somebody");
        assertThat(second.library()).isEqualTo(first.library());
        assertThatThrownBy(() -> second.make(new Edit.RemoveBinding(ID)))
            .hasMessageContaining("somebody has it open");
      }
      first.make(moved(first.library(), "F3")).get();
    }
    try (LibraryStore later = open()) {
      assertThat(later.mayWrite()).isTrue();
      assertThat(LibraryJson.write(later.library())).contains("\"F3\"");
    }
  }

  @Test
  void aBrokenFileIsLeftAsItIsAndNotLocked() throws Exception {
    Files.writeString(file, before.substring(0, before.length() / 2));
    byte[] broken = Files.readAllBytes(file);
    assertThatThrownBy(this::open)
        .isInstanceOf(FormatException.class)
        .hasMessageContaining("library.json, line ");
    assertThat(Files.readAllBytes(file)).isEqualTo(broken);
    Files.writeString(file, before);
    try (LibraryStore store = open()) {
      assertThat(store.mayWrite()).isTrue();
    }
  }

  @Test
  void aBrokenJournalIsNamedByFileAndLine() throws Exception {
    try (LibraryStore store = open()) {
      store.make(moved(store.library(), "F2")).get();
      Files.copy(journal(), folder.resolve("kept"));
    }
    Files.writeString(file, before);
    Files.writeString(journal(), Files.readString(folder.resolve("kept")) + "{\"edit\": 5}\n");
    assertThatThrownBy(this::open)
        .hasMessageContaining("library.json.journal, line 3")
        .hasMessageContaining("Nothing was changed");
    assertThat(Files.readString(file)).isEqualTo(before);
  }

  @Test
  void aFileChangedByOthersMeanwhileIsNotOverwritten() throws Exception {
    LibraryStore store = open();
    store.make(moved(store.library(), "F2")).get();
    String foreign = before.replace("\"name\": \"test\"", "\"name\": \"changed elsewhere\"");
    Files.writeString(file, foreign);
    assertThatThrownBy(store::close).hasMessageContaining("your library is kept in");
    assertThat(Files.readString(file)).isEqualTo(foreign);
    assertThat(Files.readString(folder.resolve("library-kept-1.json"))).contains("F2");
    try (LibraryStore later = open()) {
      assertThat(later.library().name()).isEqualTo("changed elsewhere");
    }
  }
}
