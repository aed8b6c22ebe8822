package foldtwice.run;

import foldtwice.text.DiskWords;
import foldtwice.text.Refusals;
import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.LinkOption;
import java.nio.file.Path;

/**
 * The text files beside a library. A macro may come from anybody, so it reads no others: only plain
 * files in the library's own folder, by their names, of at most {@value #MOST_BYTES} bytes in
 * UTF-8.
 */
public final class Beside {

  /** Larger ones are refused. */
  public static final int MOST_BYTES = 1_000_000;

  private static final String WANTED = "a text file beside the library";

  private final Path folder;

  public Beside(Path folder) {
    this.folder = folder;
  }

  /** The text of the file of this name. */
  public Computer.File file(String name) {
    try {
      Path asked = Path.of(name);
      if (name.isBlank()
          || asked.getNameCount() != 1
          || asked.isAbsolute()
          || !asked.equals(asked.normalize())) {
        return refused(Refusals.says("run.by-its-name-without", WANTED), "\"" + name + "\"");
      }
      Path file = folder.resolve(asked);
      if (!Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
        return refused(WANTED, Refusals.says("run.no-plain-file", name, folder));
      }
      if (Files.size(file) > MOST_BYTES) {
        return refused(
            Refusals.says("run.file-at-most-bytes", MOST_BYTES),
            Refusals.says("run.bytes", Files.size(file)));
      }
      return new Computer.File.Text(Files.readString(file, StandardCharsets.UTF_8));
    } catch (InvalidPathException e) {
      return refused(WANTED, "\"" + name + "\"");
    } catch (CharacterCodingException e) {
      return refused(Refusals.says("run.utf", WANTED), Refusals.says("run.other-bytes", name));
    } catch (IOException e) {
      return refused(Refusals.says("run.can-read", WANTED), DiskWords.reason(e));
    }
  }

  private static Computer.File refused(String expected, String found) {
    return new Computer.File.Refused(expected, found);
  }
}
