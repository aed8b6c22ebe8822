package foldtwice.cli;

import foldtwice.conflict.Auditor;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.library.file.DeviceFile;
import foldtwice.library.file.Disk;
import foldtwice.library.file.FormatException;
import foldtwice.place.Station;
import foldtwice.script.Ecmascript;
import foldtwice.sheet.About;
import foldtwice.sheet.Contents;
import foldtwice.sheet.Demonstration;
import foldtwice.sheet.Imprint;
import foldtwice.sheet.Paper;
import foldtwice.sheet.Sheet;
import foldtwice.sheet.SheetFile;
import foldtwice.sheet.SheetKind;
import foldtwice.sheet.Wanted;
import foldtwice.standin.SimulatedComputer;
import foldtwice.text.DiskWords;
import foldtwice.text.Nearness;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "sheet",
    description = {
      "Prints a cheat sheet to a file: pdf, html, svg, csv or xcompose, by its ending; a device"
          + " with its pages also as json.",
      "Exit 0: it is there; 1: it is there, without what is told; 2: input not usable, nothing written.",
      "With --check, tells whether a sheet that was made before is still right: 0: it is; 1: it is not."
    })
final class SheetCommand implements Callable<Integer> {

  @Mixin private Input input;

  @Option(
      names = "--of",
      paramLabel = "WHAT",
      description =
          "a program, device, family or routine by its name or id; everything unless given")
  private String of;

  @Option(
      names = "--as",
      paramLabel = "KIND",
      description = "${COMPLETION-CANDIDATES}",
      defaultValue = "list")
  private SheetKind kind;

  @Option(names = "--out", paramLabel = "FILE", description = "such as card.pdf")
  private Path out;

  @Option(
      names = "--check",
      paramLabel = "SHEET",
      description = "a pdf or html made before, to be held against the library as it is now")
  private Path check;

  @Option(names = "--paper", description = "${COMPLETION-CANDIDATES}", defaultValue = "A4")
  private Paper paper;

  @Option(names = "--natives", description = "the keys programs have of their own, too")
  private boolean natives;

  @Option(
      names = "--all",
      description = "what does not work on the station, too, with what is in the way")
  private boolean all;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    if ((out == null) == (check == null)) {
      throw new Unusable("expected either --out FILE, to make a sheet, or --check SHEET");
    }
    return check != null ? checked() : made();
  }

  private int made() throws Unusable {
    if (of != null && String.valueOf(out.getFileName()).endsWith(".json")) {
      return device();
    }
    SheetFile.Form form =
        SheetFile.Form.of(out)
            .orElseThrow(
                () ->
                    new Unusable(
                        "--out: expected a file .pdf, .html, .svg, .csv or .xcompose: " + out));
    Library library = input.library();
    Station station = input.station(library);
    About about = of == null ? new About.Everything() : about(library, of);
    Sheet sheet = sheet(library, station, new Wanted(about, kind, paper, natives, !all));
    if (sheet.isEmpty()) {
      throw new Unusable(
          "there would be nothing on it: nothing of "
              + about.name(library)
              + " works on "
              + station.name()
              + " that a "
              + kind
              + " shows");
    }
    try {
      Lines lines = new Lines(spec.commandLine().getOut());
      SheetFile.write(sheet, form, out).forEach(f -> lines.line("%s", f.toString()));
    } catch (IOException e) {
      throw new Unusable(out + " cannot be written: " + DiskWords.reason(e), e);
    }
    return told(sheet) ? Exit.NO : Exit.WELL;
  }

  private Sheet sheet(Library library, Station station, Wanted wanted) {
    Subject subject = Input.subject(library, station);
    List<Conflict> conflicts = Auditor.audit(subject);
    return Sheet.of(
        subject,
        conflicts,
        wanted,
        LocalDate.now(ZoneId.systemDefault()),
        (routine, arguments) ->
            Demonstration.of(
                subject,
                routine,
                arguments,
                () -> SimulatedComputer.apart(subject, input.beside()::file, Ecmascript.ENGINE),
                Demonstration.Camera.NONE));
  }

  private int device() throws Unusable {
    Library library = input.library();
    if (!(about(library, of) instanceof About.OnDevice(String id))) {
      throw new Unusable("--of: only a device is written as json, and \"" + of + "\" is none");
    }
    try {
      Disk.replace(out.toAbsolutePath(), DeviceFile.write(library.device(id).orElseThrow()));
    } catch (IOException e) {
      throw new Unusable(out + " cannot be written: " + DiskWords.reason(e), e);
    }
    new Lines(spec.commandLine().getOut()).line("%s", out.toString());
    return Exit.WELL;
  }

  /** Holds a sheet of another day against the library as it is now. */
  private int checked() throws Unusable {
    Library library = input.library();
    Lines lines = new Lines(spec.commandLine().getOut());
    try {
      Imprint then = Imprint.in(check);
      Station station = library.stations().get(then.station());
      if (station == null) {
        throw new Unusable(
            check
                + " was made for the station "
                + then.station()
                + ", which is not there any more");
      }
      if (!About.all(library).contains(then.wanted().about())) {
        lines.line("what it tells of is not there any more: %s", then.wanted().about().id());
        return Exit.NO;
      }
      List<Imprint.Difference> since = then.since(sheet(library, station, then.wanted()).imprint());
      since.forEach(d -> lines.line("%s", difference(d)));
      lines.line(
          since.isEmpty() ? "still right: made of \"%s\" on %s" : "made of \"%s\" on %s",
          then.library(),
          then.asOf());
      return since.isEmpty() ? Exit.WELL : Exit.NO;
    } catch (IOException e) {
      throw new Unusable(check + " cannot be read: " + DiskWords.reason(e), e);
    } catch (FormatException e) {
      throw new Unusable(e.getMessage(), e);
    }
  }

  private static String difference(Imprint.Difference d) {
    return switch (d) {
      case Imprint.Difference.New(var line) -> "new: " + line.where() + ": " + line.does();
      case Imprint.Difference.Gone(var line) ->
          "not so any more: " + line.where() + ": " + line.does();
      case Imprint.Difference.Other(String where, String before, String now) ->
          "other: " + where + ": " + before + " is now " + now;
    };
  }

  /** Tells what is not on the sheet; true when there is something. */
  private boolean told(Sheet sheet) {
    Lines err = new Lines(spec.commandLine().getErr());
    if (!all) {
      asides(err, "left out", sheet.contents().leftOut());
      asides(err, "waits", sheet.contents().waiting());
    }
    if (kind == SheetKind.HOW_TO) {
      err.line("without pictures of the program; the window draws them");
    }
    if (SheetFile.Form.of(out).equals(Optional.of(SheetFile.Form.XCOMPOSE))) {
      asides(err, "left out", sheet.compose().leftOut());
    }
    if (sheet.left() > 0 && kind != SheetKind.HOW_TO) {
      err.line(
          "no room for %s of %s; what is used least is left out",
          String.valueOf(sheet.left()), String.valueOf(sheet.contents().size()));
    }
    if (!sheet.missing().isEmpty()) {
      err.line("the fonts of sheets have no glyph for %s", String.join(" ", sheet.missing()));
    }
    return sheet.left() > 0
        || !sheet.missing().isEmpty()
        || (!all && !sheet.contents().leftOut().isEmpty());
  }

  private static void asides(Lines err, String what, List<Contents.Aside> all) {
    all.forEach(a -> err.line("%s: %s  %s: %s", what, a.trigger(), a.does(), a.why()));
  }

  /** What a name or an id means, if that is one thing. */
  static About about(Library library, String of) throws Unusable {
    List<About> found = About.named(library, of);
    if (found.size() == 1) {
      return found.getFirst();
    }
    if (found.isEmpty()) {
      List<String> names = About.all(library).stream().map(a -> a.name(library)).toList();
      throw new Unusable(
          "--of: there is no \""
              + of
              + "\""
              + Nearness.nearest(of, names).map(n -> "; did you mean " + n + "?").orElse(""));
    }
    throw new Unusable(
        "--of: \""
            + of
            + "\" names several things; give the id of one: "
            + found.stream().map(About::id).collect(Collectors.joining(", ")));
  }
}
