package foldtwice;

import java.io.IOException;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.extension.AnnotatedElementContext;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.io.TempDirFactory;

/**
 * The folders of tests are in memory where the system has a place for that with enough room: they
 * write files thousands of times, and would wait for the disk most of that time.
 */
public final class InMemory implements TempDirFactory {

  private static final Path MEMORY = Path.of("/dev/shm");
  private static final long ROOM = 1L << 30;

  @Override
  public Path createTempDirectory(AnnotatedElementContext element, ExtensionContext extension)
      throws IOException {
    return hasRoom()
        ? Files.createTempDirectory(MEMORY, "folder")
        : Files.createTempDirectory("folder");
  }

  private static boolean hasRoom() throws IOException {
    if (!Files.isWritable(MEMORY)) {
      return false;
    }
    FileStore store = Files.getFileStore(MEMORY);
    return store.type().equals("tmpfs") && store.getUsableSpace() > ROOM;
  }
}
