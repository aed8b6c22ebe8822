package foldtwice.desktop.session;

import foldtwice.library.Library;
import foldtwice.library.RefusedException;
import foldtwice.library.file.Backups;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.Keeping;
import foldtwice.library.file.LibraryFile;
import foldtwice.library.file.LibraryStore;
import foldtwice.text.DiskWords;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The library's file, as a window knows it: what is kept, what is not and why, where else it can
 * be, and what it was.
 */
public final class OnDisk {

  private static final Logger LOG = LoggerFactory.getLogger(OnDisk.class);
  private static final DateTimeFormatter CLOCK =
      DateTimeFormatter.ofPattern("HH:mm").withZone(ZoneId.systemDefault());
  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofLocalizedDateTime(FormatStyle.MEDIUM, FormatStyle.SHORT)
          .withZone(ZoneId.systemDefault());

  private final Consumer<String> say;
  private final ReadOnlyStringWrapper kept = new ReadOnlyStringWrapper("");
  private final ReadOnlyObjectWrapper<Keeping> keeping =
      new ReadOnlyObjectWrapper<>(new Keeping.Untouched());
  private volatile LibraryStore store;
  private volatile List<Backups.Backup> backups = List.of();
  private boolean moving;

  OnDisk(LibraryStore store, Consumer<String> say) {
    this.store = store;
    this.say = say;
    follow();
    lookForBackups();
  }

  private void follow() {
    show(store.keeping());
    store.onKeeping(k -> Platform.runLater(() -> show(k)));
  }

  private void show(Keeping now) {
    keeping.set(now);
    kept.set(
        switch (now) {
          case Keeping.Untouched() ->
              store.mayWrite()
                  ? Ui.text("kept.open")
                  : store.holder().isEmpty()
                      ? Ui.text("kept.readonly")
                      : Ui.text("kept.looking", store.holder());
          case Keeping.Kept(Instant at) -> Ui.text("kept.at", CLOCK.format(at));
          case Keeping.NotKept n -> Ui.text("kept.not");
          case Keeping.Astray(Keeping.What what) -> Ui.text("kept." + what);
        });
  }

  public LibraryStore store() {
    return store;
  }

  /** When the library was last kept, in a few words. */
  public ReadOnlyStringProperty keptProperty() {
    return kept.getReadOnlyProperty();
  }

  /** Whether what was changed is on disk. */
  public ReadOnlyObjectProperty<Keeping> keepingProperty() {
    return keeping.getReadOnlyProperty();
  }

  /** What is the matter, and what there is to do; empty when all is well. */
  public String trouble() {
    return switch (keeping.get()) {
      case Keeping.Untouched() ->
          store.readOnly().isEmpty() ? "" : Ui.text("trouble.readonly", store.readOnly());
      case Keeping.Kept k -> "";
      case Keeping.NotKept(int waiting, String why) -> Ui.text("trouble.not", waiting, why);
      case Keeping.Astray(Keeping.What what) -> Ui.text("trouble." + what, store.file());
    };
  }

  /** True, and said, when nothing can be changed now. */
  boolean refuses() {
    if (moving) {
      say.accept(Ui.text("said.moving"));
    } else if (!store.mayWrite()) {
      say.accept(
          store.holder().isEmpty()
              ? Ui.text("trouble.readonly", store.readOnly())
              : Ui.text("said.looking", store.holder()));
    }
    return moving || !store.mayWrite();
  }

  /** Changes something; false, and said, when no library may be what it would make. */
  boolean keep(Function<LibraryStore, CompletableFuture<Instant>> change) {
    try {
      var unused = change.apply(store);
      return true;
    } catch (RefusedException e) {
      say.accept(Ui.text("said.refused", e.getMessage()));
      return false;
    }
  }

  /** Tries again to bring to disk what is not there. */
  public void again() {
    later(store::again, k -> say.accept(Ui.text("said.again")));
  }

  /** Goes on under another name, with all that can be undone. */
  public void moveTo(Path elsewhere, Consumer<LibraryStore> then) {
    LibraryStore from = store;
    moving = true;
    later(
        () -> from.moveTo(elsewhere),
        there -> {
          moving = false;
          store = there;
          follow();
          lookForBackups();
          say.accept(Ui.text("said.elsewhere", there.file()));
          then.accept(there);
        });
  }

  /** Writes the library as it is to another file as well, and goes on here. */
  public void copyTo(Path elsewhere) {
    LibraryStore from = store;
    later(
        () -> {
          from.copyTo(elsewhere);
          return elsewhere;
        },
        there -> say.accept(Ui.text("said.copied", there)));
  }

  private void lookForBackups() {
    Path file = store.file();
    later(() -> Backups.of(file), all -> backups = all);
  }

  /** Former states, the last one first, as far as they have been looked up. */
  public List<Backups.Backup> backups() {
    return backups;
  }

  /** When a state was, as people read it; its name first, where it has one. */
  public static String when(Backups.Backup backup) {
    String at = WHEN.format(backup.at());
    return backup.name().isEmpty() ? at : Ui.text("disk.named", backup.name(), at);
  }

  /** Keeps the library as it is now under a name, for good. */
  public void keepState(String name, Runnable then) {
    LibraryStore of = store;
    later(
        () -> of.keepState(name),
        kept -> {
          lookForBackups();
          say.accept(Ui.text("said.keptstate", kept.name()));
          then.run();
        });
  }

  /** Reads a former state. */
  public void read(Backups.Backup backup, Consumer<Library> then) {
    later(() -> LibraryFile.look(backup.file()), then);
  }

  /** Something that may fail, and is then said to have. */
  private interface Work<T> {
    T done() throws IOException, FormatException;
  }

  /** Disks may be slow: not on the interface thread. */
  private <T> void later(Work<T> work, Consumer<T> then) {
    Thread.ofVirtual()
        .start(
            () -> {
              try {
                T result = work.done();
                Platform.runLater(() -> then.accept(result));
              } catch (IOException | FormatException | RuntimeException e) {
                LOG.warn("on disk", e);
                Platform.runLater(
                    () -> {
                      moving = false;
                      say.accept(Ui.text("said.failed", DiskWords.says(e)));
                    });
              }
            });
  }
}
