package foldtwice.library.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import foldtwice.Fixture;
import foldtwice.Seeds;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.PressCheck;
import foldtwice.library.RefusedException;
import foldtwice.trigger.Notation;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What happens to files while they are open. */
class StoreFaultsTest {

  private static final String ID = "mine box Alt+L";

  @TempDir Path folder;
  private Path file;

  @BeforeEach
  void aLibraryOnDisk() throws IOException {
    file = folder.resolve("library.json");
    Files.writeString(file, LibraryJson.write(Fixture.library(ID, "native box Ctrl+D")));
  }

  private static LibraryStore open(Path file) throws IOException, FormatException {
    return LibraryStore.open(file, "somebody", Clock.systemUTC());
  }

  private static Edit moved(Library library, String keys) {
    return new Edit.PutBinding(
        library.bindings().get(ID).withTriggers(List.of(Notation.read(keys))));
  }

  private static void waitUntil(BooleanSupplier holds) throws InterruptedException {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
    while (!holds.getAsBoolean()) {
      assertThat(System.nanoTime()).as("waited in vain").isLessThan(end);
      Thread.sleep(20);
    }
  }

  private static String run(String... command) throws IOException, InterruptedException {
    Process p = new ProcessBuilder(command).redirectErrorStream(true).start();
    String said = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    return p.waitFor() == 0 ? "" : said + p.exitValue();
  }

  /** A file system with room for 64 KiB, where one can be made. */
  @Test
  void onAFullDiskNothingIsCalledKeptAndAllIsThereOnceThereIsRoom() throws Exception {
    Path small = Files.createDirectory(folder.resolve("small"));
    String made;
    try {
      made = run("mount", "-t", "tmpfs", "-o", "size=64k", "tmpfs", small.toString());
    } catch (IOException e) {
      made = e.getMessage();
    }
    assumeTrue(made.isEmpty(), "no small file system can be made here: " + made);
    try {
      Path full = small.resolve("library.json");
      Files.copy(file, full);
      Files.write(small.resolve("filler"), new byte[8_000]);
      List<CompletableFuture<Instant>> waiting = new ArrayList<>();
      List<Library> kept = new ArrayList<>();
      LibraryStore store = open(full);
      for (int i = 0; i < 400 && !(store.keeping() instanceof Keeping.NotKept); i++) {
        waiting.add(store.make(moved(store.library(), "F" + (1 + i % 12))));
        waitUntil(() -> waiting.getLast().isDone() || store.keeping() instanceof Keeping.NotKept);
        if (waiting.getLast().isDone()) {
          kept.add(store.library());
        }
      }
      assertThat(store.keeping()).isInstanceOf(Keeping.NotKept.class);
      assertThat(((Keeping.NotKept) store.keeping()).why()).contains("No space left");
      waiting.add(store.make(moved(store.library(), "Ctrl+F1")));
      store.again();
      assertThat(waiting.getLast()).as("not acknowledged").isNotDone();
      assertThat(LibraryFile.look(full)).as("all before the gap").isEqualTo(kept.getLast());

      Path elsewhere = folder.resolve("elsewhere.json");
      Files.delete(small.resolve("filler")); // room again
      waitUntil(() -> store.keeping() instanceof Keeping.Kept);
      assertThat(waiting).allMatch(CompletableFuture::isDone);
      assertThat(LibraryFile.look(full)).isEqualTo(store.library());
      LibraryStore there = store.moveTo(elsewhere);
      there.undo().get();
      there.close();
      assertThat(LibraryFile.look(elsewhere)).isEqualTo(kept.isEmpty() ? null : there.library());
    } finally {
      run("umount", "-l", small.toString());
    }
  }

  /** Saved elsewhere while the disk is full: with what could not be kept, and with undo. */
  @Test
  void whatCannotBeKeptIsSavedElsewhereWithAllThatCanBeUndone() throws Exception {
    LibraryStore store = open(file);
    Library first = store.library();
    store.make(moved(store.library(), "F2")).get();
    store.make(moved(store.library(), "F3")).get();
    store.undo().get();
    Library now = store.library();
    LibraryStore there = store.moveTo(folder.resolve("elsewhere.json"));
    assertThat(there.library()).isEqualTo(now);
    Path crash = Files.createDirectory(folder.resolve("crash"));
    for (String name : List.of("elsewhere.json", "elsewhere.json.journal")) {
      Files.copy(folder.resolve(name), crash.resolve(name));
    }
    try (LibraryStore after = open(crash.resolve("elsewhere.json"))) {
      assertThat(after.library()).as("after a crash").isEqualTo(now);
      after.redo().get();
      assertThat(LibraryJson.write(after.library())).contains("\"F3\"");
      after.undo().get();
      after.undo().get();
      assertThat(after.library()).isEqualTo(first);
    }
    there.close();
    assertThat(LibraryFile.look(file)).as("the old place has what it had").isEqualTo(now);
  }

  /** Saved in the place of itself, or of a library that is open: nothing of either is touched. */
  @Test
  void whatIsOpenIsNotSavedOver() throws Exception {
    Path other = folder.resolve("other.json");
    Files.copy(file, other);
    Path link = Files.createSymbolicLink(folder.resolve("link.json"), file);
    try (LibraryStore store = open(file);
        LibraryStore theirs = open(other)) {
      store.make(moved(store.library(), "F2")).get();
      theirs.make(moved(theirs.library(), "F9")).get();
      for (Path taken : List.of(file, link)) {
        assertThatThrownBy(() -> store.moveTo(taken)).hasMessageContaining("this library itself");
      }
      assertThatThrownBy(() -> store.moveTo(other)).hasMessageContaining("is open, by somebody");
      store.make(moved(store.library(), "F3")).get();
      assertThat(LibraryFile.look(file)).isEqualTo(store.library());
      assertThat(LibraryFile.look(other)).isEqualTo(theirs.library());
    }
  }

  /** Any byte of the journal changed: the same state, or it says which line. */
  @Test
  void aChangedByteOfTheJournalIsNeverAnotherState() throws Exception {
    Random random = new Random(Seeds.drawn());
    byte[] document = Files.readAllBytes(file);
    byte[] journal;
    Library last;
    try (LibraryStore store = open(file)) {
      for (int i = 1; i < 8; i++) {
        store.make(moved(store.library(), "F" + i)).get();
      }
      store.undo().get();
      journal = Files.readAllBytes(Journal.of(file));
      last = store.library();
    }
    int told = 0;
    Path other = Files.createDirectory(folder.resolve("flipped")).resolve("library.json");
    Files.write(other, document);
    for (int i = 0; i < journal.length; i++) {
      byte[] flipped = journal.clone();
      flipped[i] ^= (byte) (1 << random.nextInt(8));
      Files.write(Journal.of(other), flipped);
      try {
        assertThat(LibraryFile.look(other)).as("byte %d", i).isEqualTo(last);
      } catch (FormatException e) {
        told++;
      }
    }
    assertThat(told).as("nearly every byte matters").isGreaterThan(journal.length * 97 / 100);
  }

  @Test
  void aJournalThatIsRemovedIsWrittenAnewWithAllOfIt() throws Exception {
    try (LibraryStore store = open(file)) {
      store.make(moved(store.library(), "F2")).get();
      Files.delete(Journal.of(file));
      store.make(moved(store.library(), "F3")).get();
      assertThat(LibraryFile.look(file)).isEqualTo(store.library());
      Files.move(Journal.of(file), folder.resolve("away"));
      Files.writeString(Journal.of(file), "something else");
      store.undo().get();
      assertThat(LibraryFile.look(file)).isEqualTo(store.library());
    }
    assertThat(Files.readString(file)).contains("\"F2\"");
  }

  @Test
  void aFileThatIsRemovedIsToldAndWrittenAgainWhenItIsClosed() throws Exception {
    LibraryStore store = open(file);
    store.make(moved(store.library(), "F2")).get();
    Files.delete(file);
    waitUntil(() -> store.keeping().equals(new Keeping.Astray(Keeping.What.GONE)));
    store.make(moved(store.library(), "F3")).get();
    assertThat(store.keeping()).isEqualTo(new Keeping.Astray(Keeping.What.GONE));
    store.close();
    assertThat(LibraryFile.look(file)).isEqualTo(store.library());
  }

  @Test
  void aFileThatIsReplacedIsTold() throws Exception {
    LibraryStore store = open(file);
    store.make(moved(store.library(), "F2")).get();
    Disk.replace(file, LibraryJson.write(Library.empty("theirs")).getBytes(StandardCharsets.UTF_8));
    waitUntil(() -> store.keeping().equals(new Keeping.Astray(Keeping.What.CHANGED)));
    assertThatThrownBy(store::close).hasMessageContaining("library-kept-1.json");
    assertThat(LibraryFile.look(file).name()).isEqualTo("theirs");
    assertThat(LibraryFile.look(folder.resolve("library-kept-1.json"))).isEqualTo(store.library());
  }

  @Test
  void aLinkStaysALinkAndIsTheSameLibrary() throws Exception {
    Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-rw----"));
    Path elsewhere = Files.createDirectory(folder.resolve("elsewhere"));
    Path link = Files.createSymbolicLink(elsewhere.resolve("link.json"), file);
    try (LibraryStore store = open(link)) {
      store.make(moved(store.library(), "F2")).get();
      try (LibraryStore same = open(file)) {
        assertThat(same.mayWrite()).isFalse();
        assertThat(same.library()).isEqualTo(store.library());
      }
    }
    assertThat(Files.isSymbolicLink(link)).isTrue();
    assertThat(Files.readString(file)).contains("\"F2\"");
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
        .isEqualTo("rw-rw----");
    assertThat(elsewhere.toFile().list()).containsExactly("link.json");
  }

  @Test
  void anotherNameOfTheFileIsTheSameLibraryToo() throws Exception {
    Path name = folder.resolve("other-name.json");
    Files.createLink(name, file);
    try (LibraryStore store = open(file)) {
      try (LibraryStore same = open(name)) {
        assertThat(same.mayWrite()).isFalse();
        assertThat(same.holder()).isEqualTo("somebody");
      }
      assertThat(Processes.mayWrite(name)).as("another process").isFalse();
      assertThat(store.mayWrite()).isTrue();
    }
  }

  /** Opening it twice in one process must not free it for another process. */
  @Test
  void aSecondWindowDoesNotLetAThirdProcessIn() throws Exception {
    try (LibraryStore first = open(file)) {
      open(file).close();
      open(file).close();
      assertThat(Processes.mayWrite(file)).isFalse();
      assertThat(first.mayWrite()).isTrue();
    }
    assertThat(Processes.mayWrite(file)).isTrue();
  }

  @Test
  void aLockThatIsRemovedIsTold() throws Exception {
    try (LibraryStore store = open(file)) {
      Files.delete(folder.resolve("library.json.lock"));
      waitUntil(() -> store.keeping().equals(new Keeping.Astray(Keeping.What.SHARED)));
    }
  }

  /** As much as the machine makes of it: a folder nothing can be written in. */
  @Test
  void inAFolderThatCannotBeWrittenItIsOpenForLooking() throws Exception {
    Path locked = Files.createDirectory(folder.resolve("locked"));
    String made;
    try {
      made = run("mount", "--bind", folder.toString(), locked.toString());
      made += run("mount", "-o", "remount,ro,bind", locked.toString());
    } catch (IOException e) {
      made = e.getMessage();
    }
    assumeTrue(made.isEmpty(), "no folder can be made read-only here: " + made);
    try (LibraryStore store = open(locked.resolve("library.json"))) {
      assertThat(store.mayWrite()).isFalse();
      assertThat(store.readOnly()).contains("Read-only");
      assertThat(store.library().bindings()).containsKey(ID);
      assertThatThrownBy(() -> store.make(moved(store.library(), "F2")))
          .hasMessageContaining("for looking only");
    } finally {
      run("umount", "-l", locked.toString());
    }
  }

  @Test
  void whatWouldBeNowhereIsRefusedAndNothingHasChanged() throws Exception {
    try (LibraryStore store = open(file)) {
      Library before = store.library();
      assertThatThrownBy(() -> store.make(new Edit.RemoveApplication("app")))
          .isInstanceOf(RefusedException.class)
          .hasMessageContaining("is in app/box, which would not be there any more");
      assertThatThrownBy(
              () ->
                  store.make(
                      new Edit.PutCheck(
                          new PressCheck(
                              " c",
                              "",
                              "",
                              new foldtwice.place.Place.Everywhere(),
                              List.of(Notation.read("F2")),
                              new foldtwice.library.Expected.Nothing(),
                              foldtwice.extras.Extras.NONE))))
          .isInstanceOf(RefusedException.class)
          .hasMessageContaining("an id without blanks around it, found \" c\"");
      assertThat(store.library()).isSameAs(before);
      assertThat(store.history().last()).isEmpty();
    }
    assertThat(Files.exists(Journal.of(file))).isFalse();
  }

  /** A day and a week, and no more. */
  @Test
  void formerStatesAreKeptForADayAndAWeek() throws Exception {
    Instant now = Instant.parse("2031-05-08T12:00:00Z");
    for (int hours = 24 * 20; hours >= 0; hours--) {
      Instant at = now.minus(Duration.ofHours(hours));
      Backups.add(file, ("at " + at).getBytes(StandardCharsets.UTF_8), at);
    }
    List<Backups.Backup> all = Backups.of(file);
    assertThat(all).extracting(Backups.Backup::at).startsWith(now, now.minusSeconds(3600));
    assertThat(all.subList(0, Backups.MOST_OF_A_DAY))
        .as("the last hours")
        .allMatch(b -> b.at().isAfter(now.minus(Duration.ofDays(1))));
    int days = Backups.MOST_OF_A_DAY + Backups.DAYS - 1;
    assertThat(all.subList(Backups.MOST_OF_A_DAY, days))
        .as("the last one of each day before today")
        .allMatch(b -> b.at().atZone(ZoneOffset.UTC).getHour() == 23)
        .extracting(b -> b.at().atZone(ZoneOffset.UTC).toLocalDate())
        .doesNotHaveDuplicates();
    assertThat(all.subList(days, all.size()))
        .as("the last one of each week before that: twenty days are four weeks, two of them here")
        .hasSize(2)
        .allMatch(b -> b.at().atZone(ZoneOffset.UTC).getDayOfWeek() == java.time.DayOfWeek.SUNDAY);
    assertThat(Files.readString(all.getFirst().file())).isEqualTo("at " + now);
  }

  /** A state with a name stays for good, whatever stands in the name. */
  @Test
  void aStateKeptByNameStays() throws Exception {
    Instant then = Instant.parse("2020-01-01T00:00:00Z");
    List<String> names =
        List.of("before the new pad", "a/b\\c:*?\"<>|.json", "..", "Säge ✂ 100 %", "CON");
    for (String name : names) {
      Backups.keep(file, name.getBytes(StandardCharsets.UTF_8), then, " " + name + " ");
    }
    Backups.add(file, new byte[] {1}, Instant.parse("2031-05-08T12:00:00Z"));
    List<Backups.Backup> all = Backups.of(file);
    assertThat(all).hasSize(names.size() + 1);
    assertThat(all.subList(1, all.size()))
        .allMatch(b -> b.at().equals(then))
        .extracting(Backups.Backup::name)
        .containsExactlyInAnyOrderElementsOf(names);
    for (Backups.Backup b : all.subList(1, all.size())) {
      assertThat(Files.readString(b.file())).isEqualTo(b.name());
      assertThat(b.file().getFileName().toString()).matches("[\\w.%+-]+");
    }
    assertThatThrownBy(() -> Backups.keep(file, new byte[0], then, "\u2702".repeat(40)))
        .hasMessageContaining("too long");
    assertThatThrownBy(() -> Backups.keep(file, new byte[0], then, "  "))
        .hasMessageContaining("needs a name");
  }

  @Test
  void closingKeepsTheStateBeforeAsABackup() throws Exception {
    byte[] before = Files.readAllBytes(file);
    try (LibraryStore store = open(file)) {
      store.make(moved(store.library(), "F2")).get();
    }
    assertThat(Backups.of(file)).hasSize(1);
    assertThat(Arrays.equals(Files.readAllBytes(Backups.of(file).getFirst().file()), before))
        .isTrue();
    open(file).close();
    assertThat(Backups.of(file)).as("nothing was changed").hasSize(1);
  }

  /** Looking never refuses, and never shows less than was acknowledged, while others write. */
  @Test
  void lookingWhileOthersWriteAndCloseShowsAllThatWasAcknowledged() throws Exception {
    Thread writer =
        Thread.ofPlatform()
            .start(
                () -> {
                  for (int i = 0; i < 40; i++) {
                    try (LibraryStore store = open(file)) {
                      store.make(named(store.library(), i)).get();
                      acknowledged = i;
                    } catch (Exception e) {
                      failed = e;
                    }
                  }
                });
    int looks = 0;
    while (writer.isAlive()) {
      int atLeast = acknowledged;
      Library seen = LibraryFile.look(file);
      assertThat(seen.bindings().get(ID).usesPerWeek()).isGreaterThanOrEqualTo(atLeast);
      looks++;
    }
    assertThat(failed).isNull();
    assertThat(looks).isGreaterThan(10);
    assertThat(LibraryFile.look(file).bindings().get(ID).usesPerWeek()).isEqualTo(39);
  }

  private volatile int acknowledged;
  private volatile Exception failed;

  private static Edit named(Library library, int uses) {
    var b = library.bindings().get(ID);
    return new Edit.PutBinding(
        new foldtwice.binding.Binding(
            b.id(), b.routine(), b.place(), b.triggers(), b.arguments(), uses, b.extras()));
  }
}
