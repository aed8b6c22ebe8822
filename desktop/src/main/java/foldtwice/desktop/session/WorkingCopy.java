package foldtwice.desktop.session;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import net.harawata.appdirs.AppDirsFactory;

/** Where the demo library lives once a person works on it: in their own data folder. */
public final class WorkingCopy {

  private WorkingCopy() {}

  /** The demo library as it ships. */
  public static Path demo() {
    return Path.of(System.getProperty("foldtwice.home", "."), "demo", "fernhollow.json");
  }

  /** The person's data folder by the conventions of their platform. */
  public static Path folder() {
    String given = System.getProperty("foldtwice.data");
    return Path.of(
        given != null
            ? given
            : AppDirsFactory.getInstance().getUserDataDir("foldtwice", null, null, false));
  }

  /** The working copy of a library, made when there is none yet; the original is never written. */
  public static Path of(Path original, Path folder) throws IOException {
    Path copy = folder.resolve(original.getFileName());
    if (!Files.exists(copy)) {
      copied(original, copy);
    }
    return copy;
  }

  /** One more copy, beside those there are. */
  public static Path fresh(Path original, Path folder) throws IOException {
    String name = original.getFileName().toString();
    Path copy = folder.resolve(name);
    for (int i = 2; Files.exists(copy); i++) {
      copy = folder.resolve(name.replaceFirst("(\\.json)?$", "-" + i + "$1"));
    }
    copied(original, copy);
    return copy;
  }

  private static void copied(Path original, Path copy) throws IOException {
    Path folder = copy.getParent();
    Files.createDirectories(folder);
    Path fresh = Files.createTempFile(folder, ".", ".new");
    Files.copy(original, fresh, java.nio.file.StandardCopyOption.REPLACE_EXISTING);
    Files.move(fresh, copy);
  }
}
