package foldtwice.desktop.frame;

import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryStore;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.standin.SimulatedComputer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;

/**
 * A library that is opened while the toolkit of the interface is still starting, on a thread of its
 * own; what the window needs next is loaded on the same way.
 */
public final class Early {

  private final FutureTask<LibraryStore> opening;
  private volatile Path file;

  private Early(Callable<Path> where) {
    this.opening =
        new FutureTask<>(
            () -> {
              file = where.call();
              return open(file);
            });
  }

  /**
   * Begins to open a library.
   *
   * @param where says which, and makes it when it is not there yet
   */
  public static Early begin(Callable<Path> where) {
    Early early = new Early(where);
    Thread.ofPlatform().daemon().name("early").start(early::run);
    return early;
  }

  private void run() {
    opening.run();
    if (opening.state() == FutureTask.State.SUCCESS) {
      rehearse(opening.resultNow().library());
    }
  }

  /** Does once, for nothing, what the window is about to do: then it finds it loaded. */
  private static void rehearse(Library library) {
    for (Station s : library.stations().values().stream().limit(1).toList()) {
      Keymap.of(library, s);
      SimulatedComputer.of(library, s, Clock.systemUTC())
          .programs()
          .values()
          .forEach(p -> p.facts());
    }
  }

  /** Which it is, once it has been tried to open it. */
  Path file() {
    return file;
  }

  /** The store, once it is open. */
  LibraryStore store() throws IOException, FormatException {
    try {
      return opening.get();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("interrupted while " + file + " was being opened", e);
    } catch (ExecutionException e) {
      switch (e.getCause()) {
        case IOException io -> throw io;
        case FormatException format -> throw format;
        default -> throw new IllegalStateException(e.getCause());
      }
    }
  }

  private static LibraryStore open(Path file) throws IOException, FormatException {
    if (!Files.isRegularFile(file)) {
      throw new IOException(file + ": there is no such file");
    }
    return LibraryStore.open(file, System.getProperty("user.name"), Clock.systemUTC());
  }
}
