package foldtwice.library.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.RandomEdits;
import foldtwice.library.RandomLibraries;
import foldtwice.library.RefusedException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What was done is known as long as the library is, and undo goes on where it was left. */
class ChronicleTest {

  private static final Clock CLOCK =
      Clock.fixed(Instant.parse("2031-05-12T09:14:00Z"), ZoneOffset.UTC);

  @TempDir Path folder;

  private static LongStream seeds() {
    return LongStream.range(0, 12).map(i -> i * 7919 + 31);
  }

  /** The slow reference of undo: every state in a list. */
  private static final class States {
    private final Deque<Library> past = new ArrayDeque<>();
    private final Deque<Library> future = new ArrayDeque<>();
    private Library now;
    private final List<Library> after = new ArrayList<>();

    void made(Library next) {
      past.push(now);
      future.clear();
      go(next);
    }

    void undone() {
      future.push(now);
      go(past.pop());
    }

    void redone() {
      past.push(now);
      go(future.pop());
    }

    private void go(Library next) {
      now = next;
      after.add(next);
    }
  }

  private static void work(LibraryStore store, States states, Random random) throws Exception {
    for (int i = random.nextInt(1, 8); i > 0; i--) {
      int what = random.nextInt(10);
      if (what < 3 && !states.past.isEmpty()) {
        store.undo().get();
        states.undone();
      } else if (what < 5 && !states.future.isEmpty()) {
        store.redo().get();
        states.redone();
      } else {
        Edit edit = RandomEdits.of(store.library(), random, 1);
        try {
          store.make(edit, "edit " + states.after.size()).get();
        } catch (RefusedException refused) {
          continue;
        }
        states.made(store.library());
      }
      assertThat(UndoFile.isSame(store.library(), states.now)).isTrue();
    }
  }

  /**
   * Over many sessions, some ended by a crash: undo and redo do what the list of states says, and
   * every state there ever was is found again.
   */
  @ParameterizedTest
  @MethodSource("seeds")
  void undoGoesOnAfterARestartAndEveryStateIsFoundAgain(long seed) throws Exception {
    Random random = new Random(seed);
    Path file = folder.resolve("library.json");
    Files.writeString(file, LibraryJson.write(RandomLibraries.of(seed)));
    States states = new States();
    states.now = LibraryJson.read(Files.readAllBytes(file));
    for (int session = 0; session < 6; session++) {
      LibraryStore store = LibraryStore.open(file, "tester", CLOCK);
      assertThat(UndoFile.isSame(store.library(), states.now)).as("opened again").isTrue();
      work(store, states, random);
      if (random.nextInt(3) == 0) {
        crash(file, store);
      } else {
        store.close();
      }
    }
    Chronicle all = LibraryFile.history(file);
    assertThat(all.unreadable()).isZero();
    assertThat(all.events()).hasSize(states.after.size());
    for (Chronicle.Event e : all.events()) {
      Library after = all.around(e).after();
      assertThat(UndoFile.isSame(after, states.after.get(e.number())))
          .as("after event %s, %s", e.number(), e.says())
          .isTrue();
      assertThat(e.who()).isEqualTo("tester");
    }
  }

  /** The files are as they were while it was open; the store is closed elsewhere. */
  private void crash(Path file, LibraryStore store) throws Exception {
    Path kept = Files.createDirectories(folder.resolve("kept"));
    List<Path> own;
    try (var all = Files.list(folder)) {
      own = all.filter(Files::isRegularFile).toList();
    }
    for (Path p : own) {
      Files.copy(p, kept.resolve(p.getFileName()), StandardCopyOption.REPLACE_EXISTING);
    }
    store.close();
    try (var all = Files.list(folder)) {
      for (Path p : all.filter(Files::isRegularFile).toList()) {
        Files.delete(p);
      }
    }
    for (Path p : own) {
      Files.copy(kept.resolve(p.getFileName()), p, StandardCopyOption.REPLACE_EXISTING);
      Files.delete(kept.resolve(p.getFileName()));
    }
    assertThat(file).exists();
  }

  private Path threeSessions() throws Exception {
    Path file = folder.resolve("library.json");
    Files.writeString(file, LibraryJson.write(RandomLibraries.of(5)));
    States states = new States();
    for (int i = 0; i < 3; i++) {
      try (LibraryStore store = LibraryStore.open(file, "tester", CLOCK)) {
        states.now = store.library();
        while (states.after.size() < 3 * (i + 1)) {
          work(store, states, new Random(i * 31L + states.after.size()));
        }
      }
    }
    return file;
  }

  /** Cut anywhere: what is before and after it is told, and nothing is opened that is not right. */
  @Test
  void aHistoryThatIsCutOrChangedIsToldAsFarAsItCanBeRead() throws Exception {
    Path file = threeSessions();
    Path history = HistoryFile.of(file);
    byte[] whole = Files.readAllBytes(history);
    int events = LibraryFile.history(file).events().size();
    Random random = new Random(1);
    for (int i = 0; i < 60; i++) {
      int cut = random.nextInt(whole.length);
      Files.write(history, java.util.Arrays.copyOf(whole, cut));
      Chronicle read = LibraryFile.history(file);
      assertThat(read.events().size()).isLessThanOrEqualTo(events);
      try (LibraryStore store = LibraryStore.open(file, "tester", CLOCK)) {
        assertThat(store.library()).isEqualTo(read.present());
      }
      byte[] changed = whole.clone();
      changed[cut] ^= 0x11;
      Files.write(history, changed);
      Chronicle odd = LibraryFile.history(file);
      for (Chronicle.Event e : odd.events()) {
        try {
          odd.around(e);
        } catch (FormatException | RefusedException said) {
          assertThat(said.getMessage()).isNotBlank();
        }
      }
    }
    Files.delete(history);
    assertThat(LibraryFile.history(file).events()).isEmpty();
  }

  @Test
  void whatSomethingElseChangedIsNoPartOfIt() throws Exception {
    Path file = threeSessions();
    int before = LibraryFile.history(file).events().size();
    Files.writeString(file, LibraryJson.write(RandomLibraries.of(6)));
    try (LibraryStore store = LibraryStore.open(file, "tester", CLOCK)) {
      assertThat(store.history().last()).as("nothing to undo in another library").isEmpty();
      States states = new States();
      states.now = store.library();
      while (states.after.isEmpty()) {
        work(store, states, new Random(9));
      }
    }
    Chronicle all = LibraryFile.history(file);
    assertThat(all.events().size()).isGreaterThan(before);
    assertThat(all.events().get(before).follows()).isFalse();
    assertThatThrownBy(() -> all.around(all.events().get(before - 1)))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining("something else has changed the library file");
  }

  /** The journal in the middle of a session is part of it, and the words are kept. */
  @Test
  void whatIsBeingDoneIsToldToo() throws Exception {
    Path file = threeSessions();
    try (LibraryStore store = LibraryStore.open(file, "somebody", CLOCK)) {
      int before = store.chronicle().get().events().size();
      String id = store.library().bindings().keySet().iterator().next();
      var unused = store.make(new Edit.RemoveBinding(id), "Taken away: " + id);
      Chronicle now = store.chronicle().get();
      assertThat(now.events()).hasSize(before + 1);
      Chronicle.Event last = now.events().getLast();
      assertThat(last.says()).isEqualTo("Taken away: " + id);
      assertThat(last.who()).isEqualTo("somebody");
      assertThat(last.at()).isEqualTo(CLOCK.instant());
      assertThat(now.around(last).before().bindings()).containsKey(id);
      assertThat(now.around(last).after()).isEqualTo(store.library());
    }
  }

  /** What would be undone belongs to one state of the file; another has no part in it. */
  @Test
  void whatCanBeUndoneIsNotTakenFromAnotherState() throws Exception {
    Path file = threeSessions();
    byte[] undo = Files.readAllBytes(UndoFile.of(file));
    Files.write(
        UndoFile.of(file),
        new String(undo, StandardCharsets.UTF_8)
            .replace("\"of\":\"", "\"of\":\"0")
            .getBytes(StandardCharsets.UTF_8));
    try (LibraryStore store = LibraryStore.open(file, "tester", CLOCK)) {
      assertThat(store.history().last()).isEmpty();
    }
    Files.write(UndoFile.of(file), "{\"undo\"".getBytes(StandardCharsets.UTF_8));
    try (LibraryStore store = LibraryStore.open(file, "tester", CLOCK)) {
      assertThat(store.history().last()).isEmpty();
    }
  }
}
