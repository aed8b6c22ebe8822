package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.History;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;

/** Takes out of a library what cannot be read, and keeps it beside. */
final class Repair {

  private static final DateTimeFormatter STAMP =
      DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HHmmss'Z'").withZone(ZoneOffset.UTC);

  /** What can be read, and what cannot. */
  record Looked(History history, List<Aside.Item> items) {

    List<LibraryFile.SetAside> setAside() {
      return items.stream().map(i -> new LibraryFile.SetAside(i.where(), i.why())).toList();
    }
  }

  private Repair() {}

  static Looked look(Path file) throws IOException, FormatException {
    Aside aside = Aside.lenient();
    byte[] document = OldIds.mended(Files.readAllBytes(file), aside);
    byte[] journal = Journal.bytes(file);
    Journal.Read read = Stable.read(file, Files.readAllBytes(file), document, journal, aside);
    return new Looked(read.history(), aside.items());
  }

  /** Sets it aside; the library then is what could be read. */
  static void make(Path file, Instant at) throws IOException, FormatException {
    Looked looked = look(file);
    if (looked.items().isEmpty()) {
      return;
    }
    Path folder = file.resolveSibling(file.getFileName() + ".set-aside").resolve(STAMP.format(at));
    Files.createDirectories(folder);
    Disk.replace(folder.resolve(file.getFileName().toString()), Files.readAllBytes(file));
    byte[] journal = Journal.bytes(file);
    if (journal.length > 0) {
      Disk.replace(folder.resolve(Journal.of(file).getFileName().toString()), journal);
    }
    Disk.replace(folder.resolve("parts.json"), parts(looked));
    byte[] document =
        LibraryJson.write(looked.history().library()).getBytes(StandardCharsets.UTF_8);
    LibraryJson.read(document); // what is written now opens
    Disk.replace(file, document);
    Files.deleteIfExists(Journal.of(file));
  }

  private static byte[] parts(Looked looked) {
    ObjectNode out = Json.object().put("format", "fold-twice-set-aside");
    ArrayNode parts = out.putArray("parts");
    looked
        .items()
        .forEach(
            i -> parts.addObject().put("where", i.where()).put("why", i.why()).put("was", i.was()));
    return Json.print(out).getBytes(StandardCharsets.UTF_8);
  }
}
