package foldtwice.cli;

import foldtwice.library.Library;
import foldtwice.library.file.LibraryFile;
import foldtwice.text.DiskWords;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** A library a command writes beside the one it has read. */
final class NewLibrary {

  private NewLibrary() {}

  /**
   * Refuses a place where something is already.
   *
   * @param out null where nothing is to be written
   */
  static void mayGoTo(Path out) throws Unusable {
    if (out != null && Files.exists(out)) {
      throw new Unusable("--out: " + out + " is there already; nothing is overwritten");
    }
  }

  static void write(Path out, Library library) throws Unusable {
    try {
      LibraryFile.write(out, library, System.getProperty("user.name", ""));
    } catch (IOException e) {
      throw new Unusable(out + " cannot be written: " + DiskWords.reason(e), e);
    }
  }
}
