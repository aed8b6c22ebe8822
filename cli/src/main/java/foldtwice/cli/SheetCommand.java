package foldtwice.cli;

import foldtwice.conflict.Auditor;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.sheet.About;
import foldtwice.sheet.Paper;
import foldtwice.sheet.Sheet;
import foldtwice.sheet.SheetFile;
import foldtwice.sheet.SheetKind;
import foldtwice.sheet.Wanted;
import foldtwice.text.Nearness;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
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
      "Prints a cheat sheet to a file: pdf, html, svg or csv, by its ending.",
      "Exit 0: it is there; 1: it is there, without what is told; 2: input not usable, nothing written."
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

  @Option(names = "--out", paramLabel = "FILE", description = "such as card.pdf", required = true)
  private Path out;

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
    SheetFile.Form form =
        SheetFile.Form.of(out)
            .orElseThrow(
                () -> new Unusable("--out: expected a file .pdf, .html, .svg or .csv: " + out));
    Library library = input.library();
    Station station = input.station(library);
    About about = of == null ? new About.Everything() : about(library, of);
    Subject subject = Input.subject(library, station);
    List<Conflict> conflicts = Auditor.audit(subject);
    Sheet sheet =
        Sheet.of(
            subject,
            conflicts,
            new Wanted(about, kind, paper, natives, !all),
            LocalDate.now(ZoneId.systemDefault()));
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
      throw new Unusable(out + " cannot be written: " + e.getMessage(), e);
    }
    return told(sheet) ? Exit.NO : Exit.WELL;
  }

  /** Tells what is not on the sheet; true when there is something. */
  private boolean told(Sheet sheet) {
    Lines err = new Lines(spec.commandLine().getErr());
    if (!all) {
      sheet
          .contents()
          .leftOut()
          .forEach(a -> err.line("left out: %s  %s: %s", a.trigger(), a.does(), a.why()));
      sheet
          .contents()
          .waiting()
          .forEach(a -> err.line("waits: %s  %s: %s", a.trigger(), a.does(), a.why()));
    }
    if (sheet.left() > 0) {
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
