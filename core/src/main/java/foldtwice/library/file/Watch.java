package foldtwice.library.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.util.Optional;

/** Looks whether the file of an open library is still as it was left. */
final class Watch {

  private final Path file;
  private final String base;
  private final WriterLock lock;
  private FileTime seen = FileTime.fromMillis(Long.MIN_VALUE / 4);
  private long size = -1;
  private boolean right = true;

  Watch(Path file, String base, WriterLock lock) {
    this.file = file;
    this.base = base;
    this.lock = lock;
  }

  /** What became of it, if anything. Reads the file only when its time or size has changed. */
  Optional<Keeping.What> look() {
    if (!lock.isStillThere()) {
      return Optional.of(Keeping.What.SHARED);
    }
    try {
      BasicFileAttributes now = Files.readAttributes(file, BasicFileAttributes.class);
      if (!now.lastModifiedTime().equals(seen) || now.size() != size) {
        right = Journal.digest(Files.readAllBytes(file)).equals(base);
        seen = now.lastModifiedTime();
        size = now.size();
      }
      return right ? Optional.empty() : Optional.of(Keeping.What.CHANGED);
    } catch (NoSuchFileException e) {
      return Optional.of(Keeping.What.GONE);
    } catch (IOException e) {
      return Optional.of(Keeping.What.UNREADABLE);
    }
  }
}
