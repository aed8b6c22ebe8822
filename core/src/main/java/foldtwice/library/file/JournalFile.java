package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;

/**
 * The journal being written. A line is there whole or not at all: what a failed attempt left is cut
 * off before the next. When somebody removes the file it is written anew with all its lines.
 */
final class JournalFile implements AutoCloseable {

  private final Path path;
  private final List<byte[]> lines = new ArrayList<>();
  private FileChannel channel;
  private Object key;
  private long good;

  private JournalFile(Path path) {
    this.path = path;
  }

  /** Starts a journal that goes on from a document. */
  static JournalFile fresh(Path library, String base) throws IOException {
    JournalFile file = new JournalFile(Journal.of(library));
    file.lines.add(Journal.first(base));
    file.writeAnew();
    return file;
  }

  /** Goes on with one whose lines have been read. */
  static JournalFile goOn(Path library, List<byte[]> lines) throws IOException {
    JournalFile file = new JournalFile(Journal.of(library));
    for (byte[] line : lines) {
      byte[] whole = java.util.Arrays.copyOf(line, line.length + 1);
      whole[line.length] = '\n';
      file.lines.add(whole);
    }
    file.writeAnew();
    return file;
  }

  /** All lines, as they were written. */
  List<byte[]> lines() {
    return List.copyOf(lines);
  }

  /** Adds a line; on disk when this returns. When it throws, nothing has been added. */
  void append(ObjectNode content) throws IOException {
    byte[] line = Sum.line(lines.size(), content);
    if (!isThere()) {
      writeAnew();
    }
    try {
      write(line);
    } catch (IOException e) {
      cutBack(e);
      throw e;
    }
    lines.add(line);
    good += line.length;
  }

  private boolean isThere() {
    try {
      return channel.isOpen() && key != null && key.equals(keyOf(path));
    } catch (NoSuchFileException e) {
      return false;
    } catch (IOException e) {
      return true; // not to be told; the write will say
    }
  }

  private static Object keyOf(Path path) throws IOException {
    Object key =
        Files.readAttributes(path, java.nio.file.attribute.BasicFileAttributes.class).fileKey();
    return key == null ? path : key;
  }

  /** Cuts off what a failed attempt left, now or before the next. */
  private void cutBack(IOException failure) {
    try {
      channel.truncate(good);
      channel.position(good);
    } catch (IOException e) {
      failure.addSuppressed(e);
      closeQuietly(failure); // the next attempt writes it anew
    }
  }

  private void closeQuietly(IOException failure) {
    try {
      channel.close();
    } catch (IOException e) {
      failure.addSuppressed(e);
    }
  }

  /** All lines, in a file that takes the place of whatever is there when it is whole. */
  private void writeAnew() throws IOException {
    if (channel != null) {
      channel.close();
    }
    byte[] all = Disk.joined(lines);
    if (Files.exists(path)
        && java.util.Arrays.equals(Files.readAllBytes(path), all)) { // as it should be
      channel = FileChannel.open(path, StandardOpenOption.WRITE, StandardOpenOption.READ);
    } else {
      Disk.replace(path, all);
      channel = FileChannel.open(path, StandardOpenOption.WRITE, StandardOpenOption.READ);
    }
    good = all.length;
    channel.position(good);
    key = keyOf(path);
  }

  private void write(byte[] line) throws IOException {
    ByteBuffer bytes = ByteBuffer.wrap(line);
    while (bytes.hasRemaining()) {
      channel.write(bytes);
    }
    channel.force(false);
  }

  /** Writes the library file anew, whole or not at all; then all of the journal is in it. */
  void fold(Path library, byte[] document) throws IOException {
    append(Journal.folded(document));
    Disk.replace(library, document);
  }

  @Override
  public void close() throws IOException {
    channel.close();
  }
}
