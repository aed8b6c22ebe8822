package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.History;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;

/**
 * The append-only file beside a library, one JSON object a line.
 *
 * <p>Its first line names, by digest, the library file it goes on from. Before the journal is
 * folded into the file, a line names the digest of the file to be: so that a crash between writing
 * the file and removing the journal cannot replay it twice. A last line that a crash cut short was
 * never reported as kept, and is passed over.
 */
final class Journal implements AutoCloseable {

  private final FileChannel channel;

  private Journal(FileChannel channel) {
    this.channel = channel;
  }

  static Path of(Path library) {
    return library.resolveSibling(library.getFileName() + ".journal");
  }

  static String digest(byte[] document) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(document));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java platform has SHA-256", e);
    }
  }

  /** True when a whole line of the journal says that this document holds all of it. */
  static boolean saysFolded(Path journal, byte[] document) throws IOException {
    byte[] folded = ("{\"folded\":\"" + digest(document) + "\"}").getBytes(StandardCharsets.UTF_8);
    return wholeLines(Files.readAllBytes(journal)).stream()
        .anyMatch(line -> Arrays.equals(line, folded));
  }

  /** The lines that end in a line feed; a crash may have cut the last one within a character. */
  private static List<byte[]> wholeLines(byte[] journal) {
    List<byte[]> lines = new ArrayList<>();
    int from = 0;
    for (int i = 0; i < journal.length; i++) {
      if (journal[i] == '\n') {
        lines.add(Arrays.copyOfRange(journal, from, i));
        from = i + 1;
      }
    }
    return lines;
  }

  /** Replays the journal of a library file, if there is one that belongs to it. */
  static History replay(Path library, byte[] document, History from)
      throws IOException, FormatException {
    Path file = of(library);
    if (!Files.exists(file)) {
      return from;
    }
    List<byte[]> lines = wholeLines(Files.readAllBytes(file));
    if (lines.isEmpty() || lines.getFirst().length == 0) {
      return from;
    }
    String present = digest(document);
    History history = from;
    boolean belongs = false;
    for (int i = 0; i < lines.size(); i++) {
      try {
        In in = In.root(Json.parse(lines.get(i)));
        if (in.has("base")) {
          belongs = in.text("base").equals(present);
        } else if (in.has("folded")) {
          if (in.text("folded").equals(present)) {
            return from;
          }
        } else if (belongs) {
          history = JournalEntry.read(in, history.library()).on(history);
        }
      } catch (FormatException e) {
        FormatException placed =
            new FormatException(
                file + ", line " + (i + 1) + ", " + e.where(),
                e.what()
                    + ". Nothing was changed; move the journal away to open the library without it");
        placed.initCause(e);
        throw placed;
      }
    }
    if (!belongs) {
      throw new FormatException(
          file.toString(),
          "this journal goes on from another state of the library file, which something else has changed"
              + " since. Nothing was changed; move the journal away to open the file as it is");
    }
    return history;
  }

  /** Starts a journal that goes on from a document; one that is there already is gone on with. */
  static Journal open(Path library, byte[] document) throws IOException {
    Path file = of(library);
    boolean fresh = !Files.exists(file) || Files.size(file) == 0;
    FileChannel channel =
        FileChannel.open(
            file, StandardOpenOption.CREATE, StandardOpenOption.WRITE, StandardOpenOption.READ);
    Journal journal = new Journal(channel);
    if (fresh) {
      journal.append(Json.object().put("journal", "fold-twice").put("base", digest(document)));
    } else {
      journal.cutTornLine(Files.readAllBytes(file));
    }
    return journal;
  }

  private void cutTornLine(byte[] bytes) throws IOException {
    int end = bytes.length;
    while (end > 0 && bytes[end - 1] != '\n') {
      end--;
    }
    channel.truncate(end);
    channel.position(end);
  }

  /** Adds a line; on disk when this returns. */
  void append(ObjectNode line) throws IOException {
    ByteBuffer bytes = ByteBuffer.wrap((line + "\n").getBytes(StandardCharsets.UTF_8));
    while (bytes.hasRemaining()) {
      channel.write(bytes);
    }
    channel.force(false);
  }

  /** Writes the library file anew, whole or not at all, and starts the journal over. */
  void fold(Path library, byte[] document) throws IOException {
    append(Json.object().put("folded", digest(document)));
    replace(library, document);
    channel.truncate(0);
    channel.position(0);
    append(Json.object().put("journal", "fold-twice").put("base", digest(document)));
  }

  /** Write to a temporary file, force it to disk, rename. */
  static void replace(Path file, byte[] document) throws IOException {
    Path fresh = Files.createTempFile(file.toAbsolutePath().getParent(), ".", ".new");
    try {
      try (FileChannel out = FileChannel.open(fresh, StandardOpenOption.WRITE)) {
        ByteBuffer bytes = ByteBuffer.wrap(document);
        while (bytes.hasRemaining()) {
          out.write(bytes);
        }
        out.force(true);
      }
      Files.move(fresh, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } finally {
      Files.deleteIfExists(fresh);
    }
  }

  @Override
  public void close() throws IOException {
    channel.close();
  }
}
