package foldtwice.desktop.places;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Station;
import foldtwice.place.StationDifference;
import foldtwice.surface.Surface;
import java.util.List;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** In what a station differs from another. */
final class ComparedStations extends VBox {

  private final Library library;
  private final Station here;
  private final VBox rows = new VBox(2);

  ComparedStations(Library library, Station here) {
    super(6);
    this.library = library;
    this.here = here;
    setId("compared-stations");
    List<Station> others =
        library.stations().values().stream().filter(s -> !s.id().equals(here.id())).toList();
    ComboBox<Station> other = new ComboBox<>();
    other.setId("compare-station");
    other.setAccessibleText(Ui.text("places.compare"));
    Parts.shows(other, Station::name);
    other.getItems().setAll(others);
    other.setValue(others.getFirst());
    Parts.onChosen(other, () -> show(other.getValue()));
    getChildren().addAll(other, rows);
    show(others.getFirst());
  }

  private void show(Station other) {
    rows.getChildren().clear();
    for (StationDifference d : StationDifference.between(here, other)) {
      HBox row =
          Parts.fact(
              Ui.text("differs." + d.what(), name(d)),
              Parts.wrapped(Ui.text("differs.values", said(d.here()), said(d.there()))));
      row.getStyleClass().add("why-row");
      rows.getChildren().add(row);
    }
    if (rows.getChildren().isEmpty()) {
      rows.getChildren().add(Parts.label(Ui.text("differs.nothing"), "soft"));
    }
  }

  private String name(StationDifference d) {
    Surface device = library.surfaces().get(d.about());
    Application a = library.applications().get(d.about());
    return switch (d.what()) {
      case DEVICE -> device == null ? d.about() : device.name();
      case INSTALLED -> a == null ? d.about() : a.name();
      case LAYOUT, SHAPE, PLATFORM, RESERVED -> d.about();
    };
  }

  private static String said(String value) {
    return value.isEmpty() ? Ui.text("differs.not") : value;
  }
}
