package foldtwice.library.file;

import foldtwice.library.History;
import foldtwice.text.Refusals;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/**
 * Reads a library and its journal as they were at one moment, while somebody else may be writing
 * them.
 */
final class Stable {

  private static final int TRIES = 200;

  private Stable() {}

  /**
   * What is there now.
   *
   * @throws FormatException when it cannot be read, and is the same a moment later
   */
  static History read(Path file) throws IOException, FormatException {
    for (int i = 1; ; i++) {
      byte[] document = Files.readAllBytes(file);
      byte[] journal = Journal.bytes(file);
      boolean still = Arrays.equals(document, Files.readAllBytes(file));
      if (still) {
        try {
          return read(file, document, document, journal, Aside.strict()).history();
        } catch (FormatException e) {
          boolean same =
              Arrays.equals(document, Files.readAllBytes(file))
                  && Arrays.equals(journal, Journal.bytes(file));
          if (same || i >= TRIES) {
            throw e;
          }
        }
      } else if (i >= TRIES) {
        throw new IOException(Refusals.says("library.being-written-again-and", file));
      }
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(2));
    }
  }

  /**
   * Reads what was read from disk.
   *
   * @param mended the document, or what a repair has made of it
   */
  static Journal.Read read(Path file, byte[] document, byte[] mended, byte[] journal, Aside aside)
      throws FormatException {
    History from;
    try {
      from = History.of(LibraryJson.read(mended, aside));
    } catch (FormatException e) {
      throw e.in(file.toString());
    }
    return read(file, document, journal, from, aside);
  }

  /** The same with what can be undone from before, for whoever opens it to write. */
  static Journal.Read remembering(Path file, byte[] document, byte[] journal)
      throws IOException, FormatException {
    History from;
    try {
      from = History.of(LibraryJson.read(document));
    } catch (FormatException e) {
      throw e.in(file.toString());
    }
    return read(
        file, document, journal, UndoFile.remembering(file, document, from), Aside.strict());
  }

  private static Journal.Read read(
      Path file, byte[] document, byte[] journal, History from, Aside aside)
      throws FormatException {
    Journal.Read read = Journal.read(file, document, journal, from, aside);
    if (read.standing() == Journal.Standing.OTHER) {
      throw new FormatException(
          Journal.of(file).toString(), Refusals.says("library.this-journal-goes-on"));
    }
    return read;
  }
}
