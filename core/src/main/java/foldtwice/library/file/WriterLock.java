package foldtwice.library.file;

import foldtwice.text.Refusals;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ThreadLocalRandom;

/**
 * Keeps a second writer away from a library. The operating system frees it when a process dies; the
 * file it is on stays, so that nobody locks one that another has just removed.
 *
 * <p>This process remembers what it holds and never opens such a file again: on POSIX systems a
 * process loses a lock when it closes <em>any</em> handle of the file (fcntl(2)). A file that has
 * several names is locked under what the file system calls it, too.
 */
final class WriterLock implements AutoCloseable {

  /** What came of wanting to write. */
  sealed interface Result {
    /** It is ours. */
    record Ours(WriterLock lock) implements Result {}

    /** Somebody else has it. */
    record Theirs(String holder) implements Result {}

    /** Nobody may write here. */
    record ReadOnly(String why) implements Result {}
  }

  /** The byte that is locked lies far behind the text, so that others can read who holds it. */
  private static final long LOCKED = 1 << 20;

  /** A file that was removed while we locked it is tried again this often. */
  private static final int TRIES = 50;

  private static final int MOST_PADDING = 3_000;

  /** What this process holds: by the file system's name of the library and of the lock's file. */
  private static final Map<Object, WriterLock> HELD = new LinkedHashMap<>();

  private final String who;
  private final List<Object> keys = new ArrayList<>();
  private final List<FileChannel> channels = new ArrayList<>();
  private Path path;
  private Object pathKey;

  private WriterLock(String who) {
    this.who = who;
  }

  /**
   * Asks for a library, given under its one real name.
   *
   * @throws IOException when it cannot be told who has it
   */
  static Result take(Path library, String who) throws IOException {
    synchronized (HELD) {
      Object file = key(library);
      WriterLock held = HELD.getOrDefault(file, HELD.get(of(library)));
      if (held != null) {
        return new Result.Theirs(held.who);
      }
      WriterLock lock = new WriterLock(who);
      try {
        lock.path = of(library);
        boolean free = lock.lock(lock.path) && (!hasOtherNames(library) || lock.lock(byKey(file)));
        if (!free) {
          lock.release();
          return new Result.Theirs(holder(lock.path));
        }
        lock.pathKey = key(lock.path);
        lock.keys.addAll(List.of(file, of(library)));
        lock.keys.forEach(k -> HELD.put(k, lock));
        return new Result.Ours(lock);
      } catch (AccessDeniedException | ReadOnlyException e) {
        lock.release();
        return new Result.ReadOnly(e.getMessage());
      } catch (IOException e) {
        lock.release();
        throw e;
      }
    }
  }

  /** False for a file nobody ever had open: who opens a library makes its lock first. */
  static boolean mayBeHeld(Path library) throws IOException {
    return Files.exists(of(library)) || hasOtherNames(library);
  }

  private static Path of(Path library) {
    return library.resolveSibling(library.getFileName() + ".lock");
  }

  /** Where a file that has several names is locked: one place for the whole computer. */
  private static Path byKey(Object key) {
    return Path.of(
        System.getProperty("java.io.tmpdir"),
        "foldtwice-" + Journal.digest(key.toString().getBytes(StandardCharsets.UTF_8)) + ".lock");
  }

  private static Object key(Path file) throws IOException {
    Object key = Files.readAttributes(file, BasicFileAttributes.class).fileKey();
    return key == null ? file : key;
  }

  private static boolean hasOtherNames(Path file) throws IOException {
    return file.getFileSystem().supportedFileAttributeViews().contains("unix")
        && (Integer) Files.getAttribute(file, "unix:nlink") > 1;
  }

  private boolean lock(Path at) throws IOException {
    for (int i = 0; i < TRIES; i++) {
      FileChannel channel = open(at);
      boolean ours = false;
      try {
        FileLock lock = channel.tryLock(LOCKED, 1, false);
        if (lock == null) {
          return false;
        }
        // A length nobody else gives it tells whether the file we locked is still the one there.
        String text = who + " ".repeat(1 + ThreadLocalRandom.current().nextInt(MOST_PADDING));
        channel.truncate(0);
        channel.write(ByteBuffer.wrap(text.getBytes(StandardCharsets.UTF_8)), 0);
        ours = isOfLength(at, channel.size());
        if (ours) {
          channels.add(channel);
          return true;
        }
      } catch (OverlappingFileLockException e) {
        return false; // this very process, by way of another file of the same name
      } finally {
        if (!ours) {
          channel.close();
        }
      }
    }
    throw new IOException(Refusals.says("library.removed-again-and-again", at));
  }

  private static boolean isOfLength(Path at, long size) throws IOException {
    try {
      return Files.size(at) == size;
    } catch (NoSuchFileException e) {
      return false;
    }
  }

  private static FileChannel open(Path at) throws IOException {
    try {
      return FileChannel.open(
          at, StandardOpenOption.CREATE, StandardOpenOption.WRITE, StandardOpenOption.READ);
    } catch (AccessDeniedException e) {
      throw e;
    } catch (FileSystemException e) {
      if (!Files.isWritable(at.toAbsolutePath().getParent())) {
        throw new ReadOnlyException(at + ": " + e.getReason(), e);
      }
      throw e;
    }
  }

  /** Nothing can be written there. */
  private static final class ReadOnlyException extends IOException {
    private static final long serialVersionUID = 1L;

    ReadOnlyException(String message, Throwable cause) {
      super(message, cause);
    }
  }

  /** Who wrote themselves into the lock. */
  private static String holder(Path lock) {
    try {
      return Files.readString(lock, StandardCharsets.UTF_8).strip();
    } catch (IOException e) {
      return ""; // gone again, or not to be read: somebody
    }
  }

  /** False when somebody removed the file this lock is on: then others may write too. */
  boolean isStillThere() {
    try {
      return key(path).equals(pathKey);
    } catch (IOException e) {
      return false;
    }
  }

  private void release() throws IOException {
    for (FileChannel c : channels) {
      c.close(); // which frees its lock
    }
    channels.clear();
  }

  @Override
  public void close() throws IOException {
    synchronized (HELD) {
      keys.forEach(HELD::remove);
      release();
    }
  }
}
