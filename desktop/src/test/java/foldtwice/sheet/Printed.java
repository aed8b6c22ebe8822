package foldtwice.sheet;

import foldtwice.conflict.Auditor;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryFile;
import foldtwice.place.Station;
import foldtwice.ready.Setup;
import foldtwice.resolve.Keymap;
import foldtwice.standin.StandIns;
import java.io.ByteArrayOutputStream;
import java.nio.file.Path;
import java.time.LocalDate;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;

/** Sheets of the demo, and what comes out of the printer. */
final class Printed {

  private Printed() {}

  static Library demo() throws Exception {
    return LibraryFile.look(Path.of(System.getProperty("project.root"), "demo", "fernhollow.json"));
  }

  static Sheet of(Library library, Wanted wanted) {
    Station station = library.stations().values().iterator().next();
    Subject subject =
        new Subject(
            library,
            Keymap.of(library, station),
            StandIns.around(station, library),
            Setup.settled(library));
    return Sheet.of(subject, Auditor.audit(subject), wanted, LocalDate.of(2031, 5, 12));
  }

  static PDDocument printed(Sheet sheet) throws Exception {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    sheet.pdf(out);
    return Loader.loadPDF(out.toByteArray());
  }
}
