package foldtwice.library.file;

import foldtwice.binding.Proof;
import foldtwice.library.Edit;
import foldtwice.library.History;
import foldtwice.library.Library;
import foldtwice.library.ProgramFile;
import foldtwice.library.RefusedException;
import foldtwice.text.Refusals;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;

/**
 * An open library: the one place where truth changes.
 *
 * <p>A change is read back from what is about to be written before it is made; one that no library
 * may have is refused. Every change that is made is visible at once through {@link #history()} and
 * on its way to the journal; the returned future says when it is on disk, and {@link #keeping()}
 * whether all is. Not safe for use by several threads at once; the futures complete on a thread of
 * the store.
 */
public final class LibraryStore implements AutoCloseable {

  /** How often it is looked whether the files are still as they were left, in milliseconds. */
  private static final long LOOK_EVERY = 3_000;

  /** How often a state is kept as a backup while it is open, in milliseconds. */
  private static final long BACKUP_EVERY = 3_600_000;

  /** How one came to write. */
  private record Writing(WriterLock lock, JournalFile journal, Keeper keeper, String base)
      implements AutoCloseable {
    @Override
    public void close() throws IOException {
      try {
        journal.close();
      } finally {
        lock.close();
      }
    }
  }

  private final Path file;
  private final String who;
  private final Clock clock;
  private final Optional<Writing> writing;
  private final Looking looking;
  private volatile History history;
  private volatile boolean changed;

  /** Why it is open for looking only. */
  private record Looking(String holder, String readOnly) {}

  private LibraryStore(
      Path file,
      String who,
      Clock clock,
      History history,
      boolean changed,
      Optional<Writing> writing,
      Looking looking) {
    this.file = file;
    this.who = who;
    this.clock = clock;
    this.history = history;
    this.writing = writing;
    this.looking = looking;
    this.changed = changed;
    writing.ifPresent(
        w -> {
          Watch watch = new Watch(file, w.base(), w.lock());
          w.keeper().every(LOOK_EVERY, () -> w.keeper().find(watch.look()));
          w.keeper().every(BACKUP_EVERY, this::backUp);
        });
  }

  /**
   * Opens a library for writing, or, when somebody else has it open or nothing can be written
   * there, for looking only.
   *
   * @throws FormatException when file or journal cannot be used; both are left as they are
   */
  public static LibraryStore open(Path named, String who, Clock clock)
      throws IOException, FormatException {
    Path file = named.toRealPath();
    return switch (WriterLock.take(file, who)) {
      case WriterLock.Result.Theirs(String holder) ->
          new LibraryStore(
              file,
              who,
              clock,
              Stable.read(file),
              false,
              Optional.empty(),
              new Looking(holder, ""));
      case WriterLock.Result.ReadOnly(String why) ->
          new LibraryStore(
              file, who, clock, Stable.read(file), false, Optional.empty(), new Looking("", why));
      case WriterLock.Result.Ours(WriterLock lock) -> {
        boolean opened = false;
        try {
          LibraryStore store = opened(file, who, clock, lock);
          opened = true;
          yield store;
        } finally {
          if (!opened) {
            lock.close();
          }
        }
      }
    };
  }

  private static LibraryStore opened(Path file, String who, Clock clock, WriterLock lock)
      throws IOException, FormatException {
    byte[] document = Files.readAllBytes(file);
    Journal.Read read = Stable.remembering(file, document, Journal.bytes(file));
    if (read.standing() == Journal.Standing.FOLDED) {
      HistoryFile.add(file, read.lines()); // somebody was stopped between the two
    }
    JournalFile journal =
        read.standing() == Journal.Standing.GOES_ON
            ? JournalFile.goOn(file, read.lines())
            : JournalFile.fresh(file, Journal.digest(document));
    return new LibraryStore(
        file,
        who,
        clock,
        read.history(),
        read.standing() == Journal.Standing.GOES_ON && read.lines().size() > 1,
        Optional.of(
            new Writing(lock, journal, new Keeper(journal, clock), Journal.digest(document))),
        new Looking("", ""));
  }

  public Path file() {
    return file;
  }

  public History history() {
    return history;
  }

  public Library library() {
    return history.library();
  }

  /** False when another window or process has the library open for writing, or nobody may write. */
  public boolean mayWrite() {
    return writing.isPresent();
  }

  /** Whose edits these are. */
  public String who() {
    return who;
  }

  public Clock clock() {
    return clock;
  }

  /** Who has it open for writing, when this store may not; empty when nobody may write there. */
  public String holder() {
    return looking.holder();
  }

  /** Why nobody may write there; empty when somebody may. */
  public String readOnly() {
    return looking.readOnly();
  }

  /** Whether what was changed is on disk. */
  public Keeping keeping() {
    return writing.map(w -> w.keeper().keeping()).orElse(new Keeping.Untouched());
  }

  /** Who is told when that changes, on a thread of the store. */
  public void onKeeping(Consumer<Keeping> told) {
    writing.ifPresent(w -> w.keeper().tell(told));
  }

  /** Tries now again what could not be brought to disk. */
  public Keeping again() {
    return writing.map(w -> w.keeper().again()).orElse(new Keeping.Untouched());
  }

  /**
   * Makes an edit.
   *
   * @throws RefusedException when no library may be what it would make; nothing was changed
   */
  public CompletableFuture<Instant> make(Edit edit) {
    return make(edit, "");
  }

  /**
   * Makes an edit, and keeps what was said of it.
   *
   * @throws RefusedException when no library may be what it would make; nothing was changed
   */
  public CompletableFuture<Instant> make(Edit edit, String says) {
    return add(JournalEntry.Made.on(library(), new History.Done(edit, clock.instant(), who, says)));
  }

  /** Takes the last edit back; nothing when there is none. */
  public CompletableFuture<Instant> undo() {
    return history.last().isEmpty()
        ? nothing()
        : add(
            history
                .backBefore()
                .<JournalEntry>map(e -> across(false, e, history.last().get()))
                .orElseGet(() -> new JournalEntry.Undone(clock.instant(), who)));
  }

  /** Makes the edit taken back last again; nothing when there is none. */
  public CompletableFuture<Instant> redo() {
    return history.next().isEmpty()
        ? nothing()
        : add(
            history
                .againFromBefore()
                .<JournalEntry>map(e -> across(true, e, history.next().get()))
                .orElseGet(() -> new JournalEntry.Redone(clock.instant(), who)));
  }

  private JournalEntry across(boolean again, Edit edit, History.Done of) {
    return new JournalEntry.Across(
        again, new History.Done(edit, clock.instant(), who, of.says()), edit.inverse(library()));
  }

  /** Keeps that a binding was seen to fire. Not an edit: undo passes over it. */
  public CompletableFuture<Instant> prove(String binding, Proof proof) {
    return add(new JournalEntry.Proven(binding, proof));
  }

  /** Keeps what stands in the file of a program. Not an edit: undo passes over it. */
  public CompletableFuture<Instant> give(ProgramFile programFile) {
    return add(new JournalEntry.Gave(programFile));
  }

  private CompletableFuture<Instant> nothing() {
    return CompletableFuture.completedFuture(clock.instant());
  }

  private CompletableFuture<Instant> add(JournalEntry entry) {
    Writing w =
        writing.orElseThrow(
            () ->
                new IllegalStateException(
                    file
                        + " is open for looking only; "
                        + (looking.holder().isEmpty()
                            ? looking.readOnly()
                            : looking.holder() + " has it open")));
    JournalEntry.Proved proved = entry.proved(history);
    history = proved.after();
    changed = true;
    return w.keeper().keep(proved.line());
  }

  /**
   * Writes all there is under another name and goes on there, with all that can be undone. This
   * store is at its end; what it could not bring to disk is on disk there.
   *
   * @param elsewhere is replaced if it is there
   */
  public LibraryStore moveTo(Path elsewhere) throws IOException, FormatException {
    byte[] first = Document.proven(history.first().library());
    Document.put(elsewhere, first, who, Optional.of(file));
    if (Files.exists(HistoryFile.of(file)) && Files.notExists(HistoryFile.of(elsewhere))) {
      Files.copy(HistoryFile.of(file), HistoryFile.of(elsewhere));
    }
    LibraryStore store = open(elsewhere, who, clock);
    if (!store.mayWrite()) {
      store.close();
      throw new IOException(Refusals.says("library.open-already-by", elsewhere, store.holder()));
    }
    for (var line : Journal.lines(history)) {
      var unused = store.writing.orElseThrow().keeper().keep(() -> line);
    }
    store.history = history;
    store.changed = true;
    Keeping kept = store.again();
    if (kept instanceof Keeping.NotKept(int left, String why)) {
      store.leave(); // this one goes on, and the other place is free again
      throw new IOException(why);
    }
    leave();
    return store;
  }

  /**
   * Writes the library as it is now to another file as well, and goes on here. A library that is
   * there is replaced, unless somebody has it open.
   */
  public void copyTo(Path elsewhere) throws IOException {
    Document.put(elsewhere, Document.proven(library()), who, Optional.of(file));
  }

  /** Frees what it holds and leaves the files as they are. */
  private void leave() throws IOException {
    if (writing.isPresent()) {
      Writing w = writing.get();
      w.keeper().end();
      w.close();
    }
  }

  private void backUp() {
    if (changed) {
      try {
        Backups.add(file, Document.proven(library()), clock.instant());
      } catch (IOException e) {
        return; // tried again in an hour, and when it is closed, which tells
      }
    }
  }

  /**
   * Keeps the library as it is now among its {@linkplain Backups backups}, under a name, for good.
   *
   * @throws IOException when it cannot be written, or the name is empty or too long for a file
   */
  public Backups.Backup keepState(String name) throws IOException {
    return Backups.keep(file, Document.proven(library()), clock.instant(), name);
  }

  /**
   * Waits until everything is on disk, folds the journal into the file and frees the lock. What was
   * there before becomes a backup. Where something else has written the file meanwhile, that is
   * left alone, and this library goes beside it.
   *
   * @throws IOException saying what is where, when it did not end well; nothing that was kept is
   *     lost
   */
  @Override
  public void close() throws IOException {
    if (writing.isEmpty()) {
      return;
    }
    Writing w = writing.get();
    int left = w.keeper().end();
    try (w) {
      if (left > 0) {
        throw new IOException(Refusals.says("library.not-on-disk", left, Journal.of(file)));
      }
      if (changed) {
        fold(w);
      }
      Files.deleteIfExists(Journal.of(file));
    }
  }

  private void fold(Writing w) throws IOException {
    byte[] document = Document.proven(library());
    byte[] before;
    try {
      before = Files.readAllBytes(file);
    } catch (NoSuchFileException e) {
      fold(w, document); // it was removed; nobody's work is in its place
      return;
    }
    if (!Journal.digest(before).equals(w.base())) {
      Path beside = beside();
      Disk.replace(beside, document);
      Files.deleteIfExists(Journal.of(file));
      throw new IOException(Refusals.says("library.was-changed-by-something", file, beside));
    }
    Backups.add(file, before, Files.getLastModifiedTime(file).toInstant());
    fold(w, document);
  }

  /** The journal goes into the file, and then into the history; it is the last to be removed. */
  private void fold(Writing w, byte[] document) throws IOException {
    UndoFile.write(file, document, history);
    w.journal().fold(file, document);
    HistoryFile.add(file, w.journal().lines());
  }

  /**
   * All that was ever done to the library, up to now. What is not on disk yet is waited for, on a
   * thread of the store.
   */
  public CompletableFuture<Chronicle> chronicle() {
    Library now = library();
    return writing
        .map(w -> w.keeper().later(() -> HistoryFile.all(file)))
        .orElseGet(() -> CompletableFuture.supplyAsync(() -> readAll(file)))
        .thenApplyAsync(lines -> Chronicle.read(lines, now));
  }

  private static List<byte[]> readAll(Path file) {
    try {
      return HistoryFile.all(file);
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  /** A name beside the file that nobody has. */
  private Path beside() {
    String name = file.getFileName().toString().replaceFirst("\\.json$", "");
    int i = 1;
    Path beside;
    do {
      beside = file.resolveSibling(name + "-kept-" + i++ + ".json");
    } while (Files.exists(beside));
    return beside;
  }
}
