package foldtwice.library.file;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;

/** Keeps a second writer away from a library. The operating system frees it when a process dies. */
final class WriterLock implements AutoCloseable {

  /** The byte that is locked lies far behind the text, so that others can read who holds it. */
  private static final long LOCKED = 1 << 20;

  private final Path file;
  private final FileChannel channel;
  private final FileLock lock;

  private WriterLock(Path file, FileChannel channel, FileLock lock) {
    this.file = file;
    this.channel = channel;
    this.lock = lock;
  }

  /** The lock, or nothing when somebody else holds it. */
  static Optional<WriterLock> take(Path library, String who) throws IOException {
    Path file = path(library);
    FileChannel channel =
        FileChannel.open(
            file, StandardOpenOption.CREATE, StandardOpenOption.WRITE, StandardOpenOption.READ);
    FileLock lock = null;
    try {
      lock = channel.tryLock(LOCKED, 1, false);
      if (lock == null) {
        return Optional.empty();
      }
      channel.truncate(0);
      channel.write(ByteBuffer.wrap(who.getBytes(StandardCharsets.UTF_8)), 0);
      return Optional.of(new WriterLock(file, channel, lock));
    } catch (OverlappingFileLockException e) {
      return Optional.empty(); // this very process has the library open in another window
    } finally {
      if (lock == null) {
        channel.close();
      }
    }
  }

  private static Path path(Path library) {
    return library.resolveSibling(library.getFileName() + ".lock");
  }

  /** Who wrote themselves into the lock. */
  static String holder(Path library) throws IOException {
    return Files.readString(path(library), StandardCharsets.UTF_8);
  }

  @Override
  public void close() throws IOException {
    Files.deleteIfExists(file);
    lock.release();
    channel.close();
  }
}
