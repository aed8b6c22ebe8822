package foldtwice.library.file;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The journals of a library, one after the other, in a file beside it to which is only added. When
 * it has grown to {@value #MOST} bytes the older half of it goes, at the beginning of a journal; of
 * what is older the backups keep a state a day, and then a week.
 */
final class HistoryFile {

  static final long MOST = 32L * 1024 * 1024;

  private HistoryFile() {}

  static Path of(Path library) {
    return library.resolveSibling(library.getFileName() + ".history");
  }

  /**
   * Adds the lines of a journal that the library file holds by now. A journal that is in it
   * already, because somebody stopped us right after it was added, is not added again.
   *
   * @param lines without their line feeds
   */
  static void add(Path library, List<byte[]> lines) throws IOException {
    if (lines.size() < 3) {
      return; // a beginning and an end, and nothing between
    }
    Path file = of(library);
    byte[] last = last(file);
    if (Arrays.equals(last, lines.getLast())) {
      return;
    }
    long size = Files.exists(file) ? Files.size(file) : 0;
    if (size > MOST) {
      thin(file);
    }
    byte[] all = Disk.joined(lines.stream().map(HistoryFile::withFeed).toList());
    try (FileChannel out =
        FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
      long end = out.size();
      // A line that a crash cut short ends here, and is passed over when it is read.
      byte[] begin =
          end > 0 && last.length == 0 ? "\n".getBytes(StandardCharsets.US_ASCII) : new byte[0];
      out.position(end);
      ByteBuffer bytes = ByteBuffer.wrap(Disk.joined(List.of(begin, all)));
      try {
        while (bytes.hasRemaining()) {
          out.write(bytes);
        }
        out.force(true);
      } catch (IOException e) {
        out.truncate(end);
        throw e;
      }
    }
  }

  private static byte[] withFeed(byte[] line) {
    if (line.length > 0 && line[line.length - 1] == '\n') {
      return line;
    }
    byte[] whole = Arrays.copyOf(line, line.length + 1);
    whole[line.length] = '\n';
    return whole;
  }

  /** The last whole line, without its line feed; nothing when there is none. */
  private static byte[] last(Path file) throws IOException {
    try (FileChannel in = FileChannel.open(file, StandardOpenOption.READ)) {
      int tail = (int) Math.min(in.size(), 4_096); // the line that says which document it is
      ByteBuffer bytes = ByteBuffer.allocate(tail);
      in.position(in.size() - tail);
      while (bytes.hasRemaining() && in.read(bytes) >= 0) {}
      byte[] read = bytes.array();
      if (tail == 0 || read[tail - 1] != '\n') {
        return new byte[0];
      }
      int from = tail - 1;
      while (from > 0 && read[from - 1] != '\n') {
        from--;
      }
      return Arrays.copyOfRange(read, from, tail - 1);
    } catch (NoSuchFileException e) {
      return new byte[0];
    }
  }

  /** Leaves the newer half. */
  private static void thin(Path file) throws IOException {
    byte[] all = Files.readAllBytes(file);
    List<byte[]> lines = lines(all);
    long before = 0;
    int from = 0;
    for (int i = 0; i < lines.size(); i++) {
      if (before > all.length / 2 && isBeginning(lines.get(i))) {
        from = i;
        break;
      }
      before += lines.get(i).length + 1L;
    }
    Disk.replace(
        file,
        Disk.joined(
            lines.subList(from, lines.size()).stream().map(HistoryFile::withFeed).toList()));
  }

  private static boolean isBeginning(byte[] line) {
    try (JsonParser in = Json.parser(line)) {
      in.nextToken();
      for (int i = 0; i < 2 && in.nextToken() == JsonToken.FIELD_NAME; i++) {
        if (in.currentName().equals("journal")) {
          return true;
        }
        in.nextToken();
      }
      return false;
    } catch (IOException e) {
      return false;
    }
  }

  /** All lines of a library's history and then of the journal that goes on, without line feeds. */
  static List<byte[]> all(Path library) throws IOException {
    List<byte[]> lines = new ArrayList<>();
    try {
      lines.addAll(lines(Files.readAllBytes(of(library))));
    } catch (NoSuchFileException e) {
      // nothing was kept yet
    }
    lines.addAll(lines(Journal.bytes(library)));
    return lines;
  }

  private static List<byte[]> lines(byte[] all) {
    List<byte[]> lines = new ArrayList<>();
    int from = 0;
    for (int i = 0; i < all.length; i++) {
      if (all[i] == '\n') {
        lines.add(Arrays.copyOfRange(all, from, i));
        from = i + 1;
      }
    }
    return lines;
  }
}
