package foldtwice.bench;

import foldtwice.conflict.Auditor;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryFile;
import foldtwice.place.Station;
import foldtwice.ready.Setup;
import foldtwice.resolve.Keymap;
import foldtwice.sheet.About;
import foldtwice.sheet.Sheet;
import foldtwice.sheet.SheetKind;
import foldtwice.sheet.Wanted;
import foldtwice.standin.StandIns;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * The demo's complete set of sheets as PDF: every kind of every program and of everything, and the
 * labels of every device; then one keyboard sheet again, warm, and the pocket card of a library of
 * ten thousand bindings.
 */
public final class SheetsPrinted {

  private SheetsPrinted() {}

  /** Takes no arguments. */
  public static void main(String[] none) throws IOException, FormatException {
    Library demo =
        LibraryFile.look(Path.of(System.getProperty("foldtwice.home"), "demo", "fernhollow.json"));
    Subject subject = subject(demo);
    List<Conflict> conflicts = Auditor.audit(subject);
    List<Wanted> all = new ArrayList<>();
    for (About about : About.all(demo)) {
      boolean program = about instanceof About.Program || about instanceof About.Everything;
      if (program) {
        all.add(Wanted.of(about, SheetKind.POCKET_CARD));
        all.add(Wanted.of(about, SheetKind.LIST));
      }
      if (about instanceof About.Program) {
        all.add(Wanted.of(about, SheetKind.KEYBOARD));
      }
      if (about instanceof About.OnDevice) {
        all.add(Wanted.of(about, SheetKind.PAD_LABELS));
      }
    }
    long began = System.nanoTime();
    int printed = 0;
    for (Wanted w : all) {
      printed += print(subject, conflicts, w) > 0 ? 1 : 0;
    }
    System.out.printf("%d sheets, cold: %.1f s%n", printed, (System.nanoTime() - began) / 1e9);
    time("keyboard of Tagpress, warm", subject, conflicts, "tagpress", SheetKind.KEYBOARD);
    time("pocket card of Tagpress, warm", subject, conflicts, "tagpress", SheetKind.POCKET_CARD);
    Library big = Big.library(10_000, 50, 1);
    Subject much = subject(big);
    List<Conflict> found = Auditor.audit(much);
    long start = System.nanoTime();
    print(much, found, Wanted.of(new About.Everything(), SheetKind.POCKET_CARD));
    System.out.printf(
        "pocket card of 10,000 bindings: %.2f s%n", (System.nanoTime() - start) / 1e9);
    start = System.nanoTime();
    print(much, found, Wanted.of(new About.Everything(), SheetKind.LIST).onlyWorking(false));
    System.out.printf("list of 10,000 bindings: %.2f s%n", (System.nanoTime() - start) / 1e9);
  }

  private static Subject subject(Library library) {
    Station station = library.stations().values().iterator().next();
    return new Subject(
        library,
        Keymap.of(library, station),
        StandIns.around(station, library),
        Setup.of(library, station.id()));
  }

  private static void time(
      String what, Subject subject, List<Conflict> conflicts, String program, SheetKind kind)
      throws IOException {
    double best = Double.MAX_VALUE;
    for (int i = 0; i < 5; i++) {
      long start = System.nanoTime();
      print(subject, conflicts, Wanted.of(new About.Program(program), kind));
      best = Math.min(best, (System.nanoTime() - start) / 1e9);
    }
    System.out.printf("%s: %.2f s at best of 5%n", what, best);
  }

  private static int print(Subject subject, List<Conflict> conflicts, Wanted wanted)
      throws IOException {
    Sheet sheet = Sheet.of(subject, conflicts, wanted, LocalDate.of(2031, 5, 12));
    if (sheet.isEmpty()) {
      return 0;
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    sheet.pdf(out);
    return out.size();
  }
}
