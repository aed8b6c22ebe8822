package foldtwice.desktop.session;

import foldtwice.binding.Binding;
import foldtwice.conflict.Audit;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Surroundings;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Station;
import foldtwice.reading.Readings;
import foldtwice.ready.Heard;
import foldtwice.ready.Setup;
import foldtwice.resolve.Keymap;
import foldtwice.standin.StandIns;
import foldtwice.trigger.Notation;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Moments as a session makes them, without a window. */
public final class Snapshots {

  private Snapshots() {}

  /** The demo library as it ships. */
  public static Library demo() throws Exception {
    return LibraryJson.read(
        Files.readAllBytes(Path.of(System.getProperty("project.root"), "demo", "fernhollow.json")));
  }

  /** A moment right after an edit: what is wrong is still told of another, if there was one. */
  public static Snapshot edited(
      Library library, Station station, Setup setup, Optional<Snapshot> before) {
    Keymap keymap = Keymap.of(library, station);
    Surroundings known = StandIns.around(station, library);
    return new Snapshot(
        library,
        station,
        keymap,
        before.map(Snapshot::told).orElse(Told.NOTHING),
        false,
        setup,
        new Lazy<>(() -> Heard.of(library, keymap, setup)),
        known,
        new Readings(known),
        Optional.empty(),
        Optional.empty());
  }

  /** The same moment, looked through. */
  public static Snapshot looked(Snapshot now) {
    return now.with(Told.of(Audit.of(now.subject()).conflicts(), now.library(), now.told()));
  }

  /** Takes some binding away, or gives it other keys. */
  static Edit someEdit(Library library, Random random) {
    List<Binding> all = List.copyOf(library.bindings().values());
    Binding b = all.get(random.nextInt(all.size()));
    return random.nextInt(3) == 0
        ? new Edit.RemoveBinding(b.id())
        : new Edit.PutBinding(
            b.withTriggers(List.of(Notation.read("Ctrl+Alt+" + (char) ('A' + random.nextInt(6))))));
  }
}
