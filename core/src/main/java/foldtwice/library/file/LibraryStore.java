package foldtwice.library.file;

import foldtwice.binding.Proof;
import foldtwice.library.Edit;
import foldtwice.library.History;
import foldtwice.library.Library;
import foldtwice.library.ProgramFile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/**
 * An open library: the one place where truth changes.
 *
 * <p>Every change is visible at once through {@link #history()} and on its way to the journal; the
 * returned future says when it is on disk. Not safe for use by several threads at once; the futures
 * complete on a thread of the store.
 */
public final class LibraryStore implements AutoCloseable {

  private final Path file;
  private final String who;
  private final Clock clock;
  private final WriterLock lock;
  private final String holder;
  private final Journal journal;
  private final ExecutorService writer =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().name("journal").factory());
  private final String base;
  private boolean changed;
  private History history;

  private LibraryStore(
      Path file,
      String who,
      Clock clock,
      History history,
      WriterLock lock,
      String holder,
      Journal journal,
      String base,
      boolean changed) {
    this.file = file;
    this.who = who;
    this.clock = clock;
    this.history = history;
    this.lock = lock;
    this.holder = holder;
    this.journal = journal;
    this.base = base;
    this.changed = changed;
  }

  /**
   * Opens a library for writing, or, when somebody else has it open, for looking only.
   *
   * @throws FormatException when file or journal cannot be used; both are left as they are
   */
  public static LibraryStore open(Path file, String who, Clock clock)
      throws IOException, FormatException {
    Optional<WriterLock> lock = WriterLock.take(file, who);
    boolean opened = false;
    try {
      byte[] document = Files.readAllBytes(file);
      History history = read(file, document);
      Journal journal = null;
      String holder = "";
      if (lock.isPresent()) {
        if (alreadyFolded(file, document)) {
          Files.deleteIfExists(Journal.of(file));
        }
        journal = Journal.open(file, document);
      } else {
        holder = WriterLock.holder(file);
      }
      opened = true;
      return new LibraryStore(
          file,
          who,
          clock,
          history,
          lock.orElse(null),
          holder,
          journal,
          Journal.digest(document),
          history.last().isPresent() || history.next().isPresent());
    } finally {
      if (!opened && lock.isPresent()) {
        lock.get().close();
      }
    }
  }

  /** The library of a file as it is now, its journal included, without opening it for writing. */
  public static Library look(Path file) throws IOException, FormatException {
    return read(file, Files.readAllBytes(file)).library();
  }

  private static History read(Path file, byte[] document) throws IOException, FormatException {
    try {
      return Journal.replay(file, document, History.of(LibraryJson.read(document)));
    } catch (FormatException e) {
      throw e.where().startsWith(Journal.of(file).toString()) ? e : e.in(file.toString());
    }
  }

  /**
   * A journal that was folded into this very document, by a process that died before removing it.
   */
  private static boolean alreadyFolded(Path file, byte[] document) throws IOException {
    Path journal = Journal.of(file);
    return Files.exists(journal) && Journal.saysFolded(journal, document);
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

  /** False when another window or process has the library open for writing. */
  public boolean mayWrite() {
    return lock != null;
  }

  /** Whose edits these are. */
  public String who() {
    return who;
  }

  public Clock clock() {
    return clock;
  }

  /** Who has it open for writing, when this store may not. */
  public String holder() {
    return holder;
  }

  /** Makes an edit. */
  public CompletableFuture<Instant> make(Edit edit) {
    return add(new JournalEntry.Made(new History.Done(edit, clock.instant(), who)));
  }

  /** Takes the last edit back; nothing when there is none. */
  public CompletableFuture<Instant> undo() {
    return history.last().isEmpty() ? nothing() : add(new JournalEntry.Undone());
  }

  /** Makes the edit taken back last again; nothing when there is none. */
  public CompletableFuture<Instant> redo() {
    return history.next().isEmpty() ? nothing() : add(new JournalEntry.Redone());
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
    if (!mayWrite()) {
      throw new IllegalStateException(
          file + " is open for looking only; " + holder + " has it open");
    }
    history = entry.on(history);
    changed = true;
    return CompletableFuture.supplyAsync(
        () -> {
          try {
            journal.append(entry.write());
            return clock.instant();
          } catch (IOException e) {
            throw new CompletionException(e);
          }
        },
        writer);
  }

  /**
   * Waits until everything is on disk, folds the journal into the file and frees the lock. A file
   * that something else has changed meanwhile is left alone, and the journal beside it.
   */
  @Override
  public void close() throws IOException {
    writer.close();
    if (!mayWrite()) {
      return;
    }
    boolean untouched;
    try (lock;
        journal) {
      untouched = base.equals(Journal.digest(Files.readAllBytes(file)));
      if (untouched && changed) {
        journal.fold(file, LibraryJson.write(history.library()).getBytes(StandardCharsets.UTF_8));
      }
    }
    if (untouched || !changed) {
      Files.deleteIfExists(Journal.of(file));
    } else {
      throw new IOException(
          file
              + " was changed by something else while it was open; your edits are kept in "
              + Journal.of(file));
    }
  }
}
