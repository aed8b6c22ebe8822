package foldtwice.library.file;

import foldtwice.library.Library;
import foldtwice.text.Refusals;
import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;

/** What is done with the file of a library that is not open here. */
public final class LibraryFile {

  private LibraryFile() {}

  /**
   * The library of a file as it is now, its journal included, without opening it for writing.
   *
   * @throws FormatException when file or journal cannot be used
   */
  public static Library look(Path file) throws IOException, FormatException {
    return Stable.read(file.toRealPath()).library();
  }

  /**
   * Writes a library to a file. One that is there is replaced, unless somebody has it open; beside
   * a file that nobody ever opened, such as the ones a version control system makes for a moment,
   * nothing is left.
   *
   * @param who writes
   */
  public static void write(Path file, Library library, String who) throws IOException {
    boolean known =
        !Files.exists(file)
            || WriterLock.mayBeHeld(file.toRealPath())
            || Files.exists(Journal.of(file.toRealPath()));
    if (known) {
      Document.put(file, Document.proven(library), who, Optional.empty());
    } else {
      Disk.replace(file.toRealPath(), Document.proven(library));
    }
  }

  /**
   * Makes the file of a new library.
   *
   * @throws java.nio.file.FileAlreadyExistsException when there is a file; it is left as it is
   */
  public static void create(Path file, Library library) throws IOException {
    if (Files.exists(file)) {
      throw new FileAlreadyExistsException(
          file.toString(), null, Refusals.says("library.there-file-already"));
    }
    Path folder = file.toAbsolutePath().getParent();
    Files.createDirectories(folder);
    Disk.replace(file.toAbsolutePath(), Document.proven(library));
    Files.deleteIfExists(Journal.of(file.toRealPath())); // of one that is no more
  }

  /**
   * Keeps a library as it is now among its {@linkplain Backups backups}, under a name, for good.
   *
   * @throws IOException when it cannot be written, or the name is empty or too long for a file
   */
  public static Backups.Backup keepState(Path named, String name, Clock clock)
      throws IOException, FormatException {
    Path file = named.toRealPath();
    return Backups.keep(file, Document.proven(look(file)), clock.instant(), name);
  }

  /** All that was ever done to the library in a file, without opening it for writing. */
  public static Chronicle history(Path named) throws IOException, FormatException {
    Path file = named.toRealPath();
    return Chronicle.of(file, look(file));
  }

  /** What a repair set aside. */
  public record SetAside(String where, String why) {}

  /**
   * What would have to be set aside for a library to open; empty when nothing has to. Nothing is
   * changed.
   *
   * @throws FormatException when not even that would help
   */
  public static List<SetAside> broken(Path named) throws IOException, FormatException {
    return Repair.look(named.toRealPath()).setAside();
  }

  /**
   * Opens a library after setting aside what cannot be read: in a file beside it, which also says
   * why, with file and journal as they were beside that.
   *
   * @throws FormatException when it is no library at all; nothing was changed
   */
  public static LibraryStore repair(Path named, String who, Clock clock)
      throws IOException, FormatException {
    Path file = named.toRealPath();
    switch (WriterLock.take(file, who)) {
      case WriterLock.Result.Ours(WriterLock lock) -> {
        try {
          Repair.make(file, clock.instant());
        } finally {
          lock.close();
        }
      }
      case WriterLock.Result.Theirs(String holder) ->
          throw new IOException(Refusals.says("library.open-by-close-there", file, holder));
      case WriterLock.Result.ReadOnly(String why) -> throw new IOException(why);
    }
    return LibraryStore.open(named, who, clock);
  }
}
