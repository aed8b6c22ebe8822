package foldtwice.library.file;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.util.List;
import java.util.UUID;

/** Files that are there whole or not at all, and stay there when the power goes. */
public final class Disk {

  private Disk() {}

  /**
   * Writes to a temporary file, forces it to disk, renames it, and forces the folder to disk. The
   * file keeps its mode, and where possible its group.
   */
  public static void replace(Path file, byte[] document) throws IOException {
    Path folder = file.toAbsolutePath().getParent();
    Path fresh = folder.resolve("." + UUID.randomUUID() + ".new");
    try {
      try (FileChannel out =
          FileChannel.open(fresh, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
        ByteBuffer bytes = ByteBuffer.wrap(document);
        while (bytes.hasRemaining()) {
          out.write(bytes);
        }
        keepMode(file, fresh);
        out.force(true);
      }
      Files.move(fresh, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } finally {
      Files.deleteIfExists(fresh);
    }
    sync(folder);
  }

  private static void keepMode(Path file, Path fresh) throws IOException {
    PosixFileAttributeView was = Files.getFileAttributeView(file, PosixFileAttributeView.class);
    PosixFileAttributeView is = Files.getFileAttributeView(fresh, PosixFileAttributeView.class);
    if (was == null || is == null || !Files.exists(file)) {
      return; // no such modes on this file system, or a new file
    }
    var attributes = was.readAttributes();
    if (!attributes.group().equals(is.readAttributes().group())) {
      try {
        is.setGroup(attributes.group());
      } catch (FileSystemException e) {
        // only members of a group may give files to it; the file is then the person's own
      }
    }
    is.setPermissions(attributes.permissions());
  }

  /** Forces a folder's entries to disk, where the system lets a folder be opened. */
  static void sync(Path folder) throws IOException {
    if (System.getProperty("os.name").startsWith("Windows")) {
      return; // a folder cannot be opened there; its entries are written through
    }
    try (FileChannel entries = FileChannel.open(folder, StandardOpenOption.READ)) {
      entries.force(true);
    }
  }

  static byte[] joined(List<byte[]> lines) {
    ByteArrayOutputStream all = new ByteArrayOutputStream();
    lines.forEach(all::writeBytes);
    return all.toByteArray();
  }
}
