package foldtwice.library.file;

import foldtwice.library.Library;
import foldtwice.text.Refusals;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** Documents of whole libraries on their way to a file. */
final class Document {

  private Document() {}

  /** The document of a library, read back and found to be it. */
  static byte[] proven(Library library) throws IOException {
    byte[] document = LibraryJson.write(library).getBytes(StandardCharsets.UTF_8);
    try {
      if (LibraryJson.read(document).equals(library)) {
        return document;
      }
    } catch (FormatException e) {
      throw new IOException(Refusals.says("library.file-would-not-readable", e.getMessage()), e);
    }
    throw new IOException(Refusals.says("library.file-would-read-as"));
  }

  /**
   * Writes one to a file; another library that is there is replaced, unless somebody has it open.
   */
  static void put(Path elsewhere, byte[] document, String who, Optional<Path> own)
      throws IOException {
    if (Files.exists(elsewhere)) {
      replaced(elsewhere.toRealPath(), document, who, own);
    } else {
      Disk.replace(elsewhere.toAbsolutePath(), document);
      Files.deleteIfExists(Journal.of(elsewhere.toRealPath())); // of one that is no more
    }
  }

  /** Puts a document in the place of another library, which nobody may have open. */
  private static void replaced(Path other, byte[] document, String who, Optional<Path> own)
      throws IOException {
    switch (WriterLock.take(other, who)) {
      case WriterLock.Result.Ours(WriterLock lock) -> {
        try {
          Disk.replace(other, document);
          Files.deleteIfExists(Journal.of(other));
        } finally {
          lock.close();
        }
      }
      case WriterLock.Result.Theirs(String holder) ->
          throw new IOException(
              own.filter(other::equals).isPresent()
                  ? other + " is this library itself; choose another name"
                  : other + " is open, by " + holder + "; choose another name");
      case WriterLock.Result.ReadOnly(String why) -> throw new IOException(why);
    }
  }
}
