package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Edit;
import foldtwice.library.History;
import foldtwice.text.Refusals;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;

/**
 * What stands in the file beside a library, one JSON object a line, and what it leads to.
 *
 * <p>Its first line names, by digest, the library file it goes on from. Before the journal is
 * folded into the file, a line names the digest of the file to be: so that a crash between writing
 * the file and removing the journal cannot replay it twice. A last line that a crash cut short was
 * never reported as kept, and is passed over. Every line begins with a {@link Sum}; a journal of an
 * older version has none.
 */
final class Journal {

  private static final String SUMS = "sums";

  /** What a journal is to the document beside it. */
  enum Standing {
    /** There is none, or it says nothing yet. */
    EMPTY,
    /** It goes on from the document. */
    GOES_ON,
    /** The document holds all of it already. */
    FOLDED,
    /** It goes on from another state of the document. */
    OTHER
  }

  /**
   * A journal as it was read.
   *
   * @param lines the whole ones, without their line feeds
   * @param history where they lead to; where nothing is added, the document alone
   */
  record Read(Standing standing, List<byte[]> lines, History history) {}

  private Journal() {}

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

  /** The bytes of a library's journal; none when there is none. */
  static byte[] bytes(Path library) throws IOException {
    try {
      return Files.readAllBytes(of(library));
    } catch (NoSuchFileException e) {
      return new byte[0];
    }
  }

  /** The first line of one that goes on from a document. */
  static byte[] first(String base) {
    return Sum.line(
        0, Json.object().put("journal", "fold-twice").put("base", base).put(SUMS, true));
  }

  /** The line that says which document holds all before it. */
  static ObjectNode folded(byte[] document) {
    return Json.object().put("folded", digest(document));
  }

  /**
   * The whole lines, without their line feeds. A crash may have cut the last one within a
   * character; one that lacks nothing but its line feed is whole.
   */
  private static List<byte[]> wholeLines(byte[] journal) {
    List<byte[]> lines = new ArrayList<>();
    int from = 0;
    for (int i = 0; i < journal.length; i++) {
      if (journal[i] == '\n') {
        lines.add(Arrays.copyOfRange(journal, from, i));
        from = i + 1;
      }
    }
    byte[] rest = Arrays.copyOfRange(journal, from, journal.length);
    byte[] oneLess = Arrays.copyOf(rest, Math.max(0, rest.length - 1));
    if (Sum.check(lines.size(), rest) == Sum.Said.RIGHT) {
      lines.add(rest);
    } else if (Sum.check(lines.size(), oneLess) == Sum.Said.RIGHT) {
      lines.add(oneLess); // what was its line feed is something else now
    }
    return lines;
  }

  /**
   * Replays a journal over the document beside it.
   *
   * @param aside a lenient one leaves out lines that cannot be read; an edit left out counts as one
   *     that changed nothing, so that what was undone after it is the same as it was
   */
  static Read read(Path library, byte[] document, byte[] journal, History from, Aside aside)
      throws FormatException {
    List<byte[]> lines = wholeLines(journal);
    if (lines.isEmpty() || lines.getFirst().length == 0) {
      return new Read(Standing.EMPTY, List.of(), from);
    }
    String present = digest(document);
    History history = from;
    boolean belongs = false;
    boolean sums = false;
    for (int i = 0; i < lines.size(); i++) {
      try {
        In in = line(i, lines.get(i), sums);
        if (in.has("base")) {
          belongs = in.text("base").equals(present);
          sums = in.flag(SUMS);
        } else if (in.has("folded")) {
          if (in.text("folded").equals(present)) {
            return new Read(Standing.FOLDED, lines, from);
          }
        } else if (belongs) {
          history = JournalEntry.read(in, history.library()).on(history);
        }
      } catch (FormatException e) {
        aside.leaveOutLine(
            of(library) + ", line " + (i + 1),
            new String(lines.get(i), StandardCharsets.UTF_8),
            placed(library, i, e));
        belongs |= i == 0;
        history =
            i == 0
                ? history
                : history.with(new History.Done(new Edit.Together(List.of()), Instant.EPOCH, ""));
      }
    }
    return belongs
        ? new Read(Standing.GOES_ON, lines, history)
        : new Read(Standing.OTHER, lines, from);
  }

  private static In line(int number, byte[] line, boolean sums) throws FormatException {
    Sum.Said said = Sum.check(number, line);
    if (said == Sum.Said.WRONG || (sums && said == Sum.Said.NONE)) {
      throw new FormatException(
          Refusals.says("library.its-checksum"), Refusals.says("library.line-not-as-was"));
    }
    return In.root(Json.parse(line));
  }

  private static FormatException placed(Path library, int line, FormatException e) {
    FormatException placed =
        new FormatException(
            Refusals.says("library.line", of(library), line + 1, e.where()),
            Refusals.says("library.nothing-was-changed-what", e.what()));
    placed.initCause(e);
    return placed;
  }

  /** The lines that lead from the first state of a history to where it is now, and on to redo. */
  static List<ObjectNode> lines(History history) {
    List<ObjectNode> lines = new ArrayList<>();
    List<History.Done> undone = history.undone();
    List<History.Done> all = new ArrayList<>(history.made());
    all.addAll(undone);
    History at = History.of(history.first().library());
    for (History.Done d : all) {
      lines.add(JournalEntry.Made.on(at.library(), d).write(at.library()));
      at = at.with(d);
    }
    for (History.Done d : undone) {
      lines.add(new JournalEntry.Undone(d.at(), d.who()).write(at.library()));
    }
    return lines;
  }
}
