package foldtwice.desktop.places;

import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Bound;
import foldtwice.library.Clearing;
import foldtwice.library.Edit;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.library.NewSurfaces;
import foldtwice.library.Rules;
import foldtwice.library.file.ProgramDescription;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.surface.Surface;
import foldtwice.text.DiskWords;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.stage.Window;

/** Programs and stations are made, copied, taken out and written down. */
final class PlaceActs {

  private final Session session;

  PlaceActs(Session session) {
    this.session = session;
  }

  private Library library() {
    return session.now().library();
  }

  /** A program with nothing in it, to be described; its id. */
  String newApplication() {
    String name =
        free(Ui.text("places.newapplication"), library().applications(), Application::name);
    String id = Rules.applicationId(name, library().applications());
    session.make(
        new Edit.PutApplication(Application.unknown(id).named(name, "")),
        Ui.text("said.application", name, 0));
    return id;
  }

  /** A station like this one, under another name; its id. */
  String copy(Station of) {
    Map<String, Station> all = library().stations();
    String name = free(of.name(), all, Station::name);
    String id = Ids.free(Ids.of(name, "station"), all::containsKey);
    session.make(new Edit.PutStation(of.as(id, name)), Ui.text("said.newstation", name, of.name()));
    return id;
  }

  /** A toolbar for a program, with nothing on it; its id. */
  String newToolbar(Application a) {
    return make(NewSurfaces.toolbar(library(), Ui.text("picker.toolbar.name", a.name()), a.id()));
  }

  /** A radial menu for a program that nothing opens yet; its id. */
  String newRadial(Application a) {
    String name = Ui.text("summoned.radial.name", a.name());
    return make(NewSurfaces.radial(library(), name, new Place.Whole(a.id())));
  }

  /** A list of what fits in a program that nothing opens yet; its id. */
  String newOffering(Application a) {
    String name = Ui.text("summoned.offering.name", a.name());
    return make(NewSurfaces.offering(library(), name, new Place.Whole(a.id())));
  }

  private String make(Surface surface) {
    session.make(new Edit.PutSurface(surface), Ui.text("said.newsurface", surface.name()));
    return surface.id();
  }

  private static <T> String free(String wanted, Map<String, T> all, Function<T, String> name) {
    var taken = all.values().stream().map(name).collect(Collectors.toSet());
    return Ids.freeName(wanted, taken::contains);
  }

  /** Takes a program out with all that is bound in it. */
  void remove(Application a) {
    session.make(
        Clearing.application(library(), a.id()),
        Ui.text("said.applicationgone", a.name(), Bound.in(library(), a.id()).size()));
  }

  /** True while another station is left without this one. */
  boolean canRemoveStation() {
    return library().stations().size() > 1;
  }

  /** Takes a station out; another one is looked at when it was this. */
  void remove(Station s) {
    if (session.now().station().id().equals(s.id())) {
      library().stations().values().stream()
          .filter(other -> !other.id().equals(s.id()))
          .findFirst()
          .ifPresent(session::choose);
    }
    session.make(Clearing.station(library(), s.id()), Ui.text("said.stationgone", s.name()));
  }

  /** Writes a program down in a file of its own, to be shared. */
  void save(Application a, Window owner) {
    Optional<Path> file =
        session.files().fresh(owner, Ui.text("act.save-program"), a.id() + ".json");
    if (file.isEmpty()) {
      return;
    }
    try {
      Files.writeString(
          file.get(), new ProgramDescription(a, library().description(a.id())).write());
      session.say(Ui.text("said.programsaved", a.name(), file.get()));
    } catch (IOException e) {
      session.say(Ui.text("said.notsaved", file.get(), DiskWords.reason(e)));
    }
  }
}
