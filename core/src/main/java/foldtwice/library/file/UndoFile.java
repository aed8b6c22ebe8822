package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Edit;
import foldtwice.library.History;
import foldtwice.library.Library;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What can be undone and done again after a library was closed and is opened anew: the last {@value
 * #MOST} edits, in a file beside it that belongs to that very state of the library file. When the
 * library is another one by now there is nothing to undo, and nothing is lost.
 */
final class UndoFile {

  /** Older edits are taken back by the history, not by undo. */
  static final int MOST = 100;

  private UndoFile() {}

  static Path of(Path library) {
    return library.resolveSibling(library.getFileName() + ".undo");
  }

  /** Writes what can be undone once a library file holds this document. */
  static void write(Path library, byte[] document, History history) throws IOException {
    List<History.Step> steps = history.allSteps();
    List<History.Done> undone = history.undone();
    if (steps.isEmpty() && undone.isEmpty()) {
      Files.deleteIfExists(of(library));
      return;
    }
    ObjectNode out = Json.object().put("undo", "fold-twice").put("of", Journal.digest(document));
    ArrayNode made = out.putArray("made");
    for (History.Step s : steps.subList(Math.max(0, steps.size() - MOST), steps.size())) {
      ObjectNode one = done(made.addObject(), s.done());
      one.set("back", JournalEntry.write(s.inverse()));
    }
    ArrayNode again = out.putArray("undone");
    undone.subList(0, Math.min(MOST, undone.size())).forEach(d -> done(again.addObject(), d));
    Disk.replace(of(library), Json.bytes(out));
  }

  private static ObjectNode done(ObjectNode out, History.Done d) {
    out.put("at", d.at().toString()).put("who", d.who()).put("says", d.says());
    out.set("edit", JournalEntry.write(d.edit()));
    return out;
  }

  /**
   * The history of a document that was just read, with what led to it as far as it is still known.
   *
   * @throws IOException when the file is there and the disk does not give it
   */
  static History remembering(Path library, byte[] document, History now) throws IOException {
    byte[] bytes;
    try {
      bytes = Files.readAllBytes(of(library));
    } catch (NoSuchFileException e) {
      return now;
    }
    try {
      In in = In.root(Json.parse(bytes));
      if (!in.text("of").equals(Journal.digest(document))) {
        return now;
      }
      return now.remembering(made(in, now.library()), undone(in, now.library()));
    } catch (FormatException e) {
      return now; // somebody has changed it: then there is nothing to undo
    }
  }

  /** The edits before, as far back as each leads to what the next one began with. */
  private static List<History.Step> made(In in, Library now) throws FormatException {
    List<In> all = in.list("made", e -> e);
    List<History.Step> steps = new ArrayList<>();
    Library after = now;
    for (In one : all.reversed()) {
      Edit back = JournalEntry.edit(one.at("back"), after);
      Library before = back.on(after);
      History.Done done = done(one, before);
      if (!isSame(done.edit().on(before), after)) {
        break;
      }
      steps.add(new History.Step(done, back));
      after = before;
    }
    return steps.reversed();
  }

  private static List<History.Done> undone(In in, Library now) throws FormatException {
    List<History.Done> all = new ArrayList<>();
    Library at = now;
    for (In one : in.list("undone", e -> e)) {
      History.Done done = done(one, at);
      all.add(done);
      at = done.edit().on(at);
    }
    return all;
  }

  private static History.Done done(In in, Library library) throws FormatException {
    return JournalEntry.done(in, JournalEntry.edit(in.at("edit"), library));
  }

  /** Whether two are the same but for facts, which no edit takes back. */
  static boolean isSame(Library one, Library other) {
    return withoutFacts(one).equals(withoutFacts(other));
  }

  private static Library withoutFacts(Library l) {
    return new Library(
        l.name(),
        l.applications(),
        l.stations(),
        l.surfaces(),
        l.routines(),
        l.bindings(),
        l.families(),
        l.accepted(),
        Map.of(),
        Map.of(),
        l.checks(),
        l.descriptions(),
        l.procedures(),
        l.outlays(),
        l.live(),
        l.extras());
  }
}
