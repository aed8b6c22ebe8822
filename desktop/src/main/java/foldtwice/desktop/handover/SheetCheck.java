package foldtwice.desktop.handover;

import foldtwice.conflict.Conflict;
import foldtwice.desktop.session.DiskWork;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.standin.Photographer;
import foldtwice.sheet.About;
import foldtwice.sheet.Imprint;
import foldtwice.sheet.Sheet;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A sheet that was made before, held against the library as it is.
 *
 * @param trouble why it cannot be told; empty when it can
 * @param since what is different now
 */
record SheetCheck(Path file, Imprint then, String trouble, List<Imprint.Difference> since) {

  /** Reads a sheet and makes it anew in memory. Takes up to seconds. */
  static SheetCheck of(Path file, Snapshot now, Session session) {
    Imprint then = DiskWork.done(() -> Imprint.in(file));
    if (!now.station().id().equals(then.station())) {
      return new SheetCheck(file, then, Ui.text("sheets.check.station"), List.of());
    }
    if (!About.all(now.library()).contains(then.wanted().about())) {
      return new SheetCheck(file, then, Ui.text("sheets.check.subject"), List.of());
    }
    List<Conflict> conflicts =
        Stream.concat(now.allConflicts().stream(), now.accepted().stream()).toList();
    Sheet anew =
        Sheet.of(
            now.subject(),
            conflicts,
            then.wanted(),
            LocalDate.now(ZoneId.systemDefault()),
            session.demonstrating(now.subject(), new Photographer()));
    return new SheetCheck(file, then, "", then.since(anew.imprint()));
  }

  /** A difference in words. */
  static String says(Imprint.Difference d) {
    return switch (d) {
      case Imprint.Difference.New(var line) ->
          Ui.text("sheets.check.new", line.where(), line.does());
      case Imprint.Difference.Gone(var line) ->
          Ui.text("sheets.check.gone", line.where(), line.does());
      case Imprint.Difference.Other(String where, String before, String is) ->
          Ui.text("sheets.check.other", where, before, is);
    };
  }

  /** What would have to be printed anew; empty where it cannot be. */
  Optional<About> subject() {
    return trouble.isEmpty() && !since.isEmpty()
        ? Optional.of(then.wanted().about())
        : Optional.empty();
  }
}
