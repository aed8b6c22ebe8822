package foldtwice.desktop.places;

import foldtwice.conflict.Audit;
import foldtwice.conflict.Mapping;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.ready.Setup;
import foldtwice.trigger.Platform;
import foldtwice.words.Words;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** What the modifiers of a station are pressed as, and what breaks by that. */
final class MappingFacts extends VBox {

  private static final int MOST = 5;

  MappingFacts(Session session, Station station) {
    super(3);
    setId("mapping");
    Label found = Parts.wrapped(Ui.text("platform.looking"), "soft");
    getChildren().addAll(Parts.wrapped(Ui.text("platform.says." + station.platform())), found);
    Library library = session.now().library();
    Station plain = station.withKeyboard(station.layout(), station.shape(), Platform.CONTROL);
    Setup setup = session.setups().get(station.id());
    session
        .background()
        .once(
            Lane.TRIAL,
            () ->
                Mapping.of(
                    Audit.of(Session.subject(library, station, setup)),
                    Audit.of(Session.subject(library, plain, setup))),
            mapping -> show(mapping, found, new Words(library, station.keys())));
  }

  private void show(Mapping mapping, Label found, Words words) {
    int breaks = mapping.breaks().size();
    found.setText(Ui.text("platform.breaks", mapping.triggers(), breaks));
    mapping.breaks().stream()
        .limit(MOST)
        .forEach(
            c -> getChildren().add(Parts.wrapped(words.sentence(c), Words.weight(c.weight()))));
    if (breaks > MOST) {
      getChildren().add(Parts.wrapped(Ui.text("platform.more", breaks - MOST), "soft"));
    }
  }
}
