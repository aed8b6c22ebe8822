package foldtwice.sheet;

import foldtwice.conflict.Auditor;
import foldtwice.conflict.Subject;
import foldtwice.known.Facts;
import foldtwice.library.Library;
import foldtwice.library.Surroundings;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Station;
import foldtwice.ready.Setup;
import foldtwice.resolve.Keymap;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;

/** Sheets to look at. */
final class Sheets {

  static final LocalDate DAY = LocalDate.of(2031, 5, 12);

  private Sheets() {}

  static Library demo() throws Exception {
    return LibraryJson.read(
        Files.readAllBytes(Path.of(System.getProperty("project.root"), "demo", "fernhollow.json")));
  }

  static Sheet of(Library library, Wanted wanted) {
    Station station = library.stations().values().iterator().next();
    List<Facts> there = library.applications().keySet().stream().map(Facts::unknown).toList();
    Subject subject =
        new Subject(
            library,
            Keymap.of(library, station),
            new Surroundings(there, List.of(), library),
            Setup.settled(library));
    return Sheet.of(subject, Auditor.audit(subject), wanted, DAY);
  }

  static byte[] bytes(Sheet sheet) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    sheet.pdf(out);
    return out.toByteArray();
  }

  /** The JDK's own parser; what is not well-formed fails. */
  static Document parsed(String xml) throws Exception {
    DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
    factory.setNamespaceAware(true);
    return factory.newDocumentBuilder().parse(new InputSource(new StringReader(xml)));
  }
}
