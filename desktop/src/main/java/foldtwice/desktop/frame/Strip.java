package foldtwice.desktop.frame;

import foldtwice.desktop.parts.Emblem;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.LiveDesk;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Acts;
import foldtwice.place.Station;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableDoubleValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.layout.HBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** Above everything: whose library, when it was kept, the look-up, the station, undo and redo. */
final class Strip extends HBox {

  /** Below this width what can be guessed is left out. */
  private static final double NARROW = 1150;

  private final Session session;
  private final ComboBox<Station> station = new ComboBox<>();
  private boolean showing;
  private final MenuButton library = Skins.on(new MenuButton());
  private final Button undo;
  private final Button redo;
  private final Button night;

  Strip(
      Session session, Node lookUp, ObservableDoubleValue width, Deeds deeds, Libraries libraries) {
    this.session = session;
    getStyleClass().add("strip");
    undo = icon("undo", Feather.CORNER_UP_LEFT, Ui.text("undo"), deeds);
    redo = icon("redo", Feather.CORNER_UP_RIGHT, Ui.text("redo"), deeds);
    night = icon("day-night", Feather.MOON, Ui.text("night"), deeds);
    Label name = Parts.label(Ui.text("app.name"), "brand");
    name.setMinWidth(USE_PREF_SIZE);
    library.setId("library");
    library.setMinWidth(0);
    library.setMnemonicParsing(false);
    library.getStyleClass().add("library-menu");
    library.setOnShowing(e -> fill(deeds, libraries));
    library.getItems().add(new SeparatorMenuItem()); // or it would not open at all
    Label kept = Parts.label("", "soft");
    kept.setId("kept");
    kept.setMinWidth(USE_PREF_SIZE);
    kept.textProperty().bind(session.disk().keptProperty());
    station.setId("station");
    station.setAccessibleText(Ui.text("station"));
    Parts.shows(
        station,
        s -> s.name() + "   " + s.layout().toUpperCase(Locale.ROOT) + " \u00b7 " + s.shape());
    station.setOnAction(
        e -> {
          if (!showing && station.getValue() != null) {
            session.choose(station.getValue());
          }
        });
    session.chosenProperty().subscribe(() -> showStation(session.now()));
    station.setMinWidth(USE_PREF_SIZE);
    Label stationName = Parts.label(Ui.text("station"), "soft");
    stationName.setMinWidth(USE_PREF_SIZE);
    stationName.setLabelFor(station);
    Node listening = listening(session.live());
    stationName
        .visibleProperty()
        .bind(Bindings.greaterThan(width, NARROW).and(listening.visibleProperty().not()));
    stationName.managedProperty().bind(stationName.visibleProperty());
    getChildren()
        .addAll(
            new Emblem(),
            name,
            library,
            kept,
            Parts.gap(),
            lookUp,
            Parts.gap(),
            listening,
            listen(session.live()),
            stationName,
            station,
            undo,
            redo,
            night);
  }

  /** What is caught on this computer, with the stop beside it; there while keys are caught. */
  private static Node listening(LiveDesk live) {
    Label mark = Parts.label("", "listening");
    mark.setId("listening");
    mark.setMinWidth(USE_PREF_SIZE);
    Button stop =
        Parts.button("listening-stop", Ui.text("strip.stop"), live::stop, "listening-stop");
    stop.setAccessibleText(Ui.text("act.live-stop"));
    HBox both = new HBox(6, mark, stop);
    both.setAlignment(Pos.CENTER_LEFT);
    Runnable show =
        () -> {
          boolean on = live.isListening();
          mark.setText(live.state().caught().map(n -> Ui.text("strip.listening", n)).orElse(""));
          Parts.there(both, on);
        };
    live.stateProperty().addListener((o, was, is) -> show.run());
    show.run();
    return both;
  }

  /** Switches listening on and off. */
  private static Button listen(LiveDesk live) {
    Button listen =
        Parts.icon(
            "listen",
            new FontIcon(Feather.RADIO),
            Ui.text("strip.listen"),
            () -> {
              if (live.isListening()) {
                live.stop();
              } else {
                live.listen();
              }
            });
    Runnable show =
        () -> {
          String says = Ui.text(live.isListening() ? "strip.listening.off" : "strip.listen");
          listen.setAccessibleText(says);
          Tips.on(listen, says);
        };
    live.stateProperty().addListener((o, was, is) -> show.run());
    show.run();
    return listen;
  }

  /** What can be done with libraries, and those opened lately. */
  private void fill(Deeds deeds, Libraries libraries) {
    library.getItems().clear();
    for (String id : List.of("new-library", "open-library", "", "copy-library", "demo-afresh")) {
      library
          .getItems()
          .add(
              id.isEmpty()
                  ? new SeparatorMenuItem()
                  : item(Ui.text("act." + id), "library-" + id, () -> deeds.perform(id)));
    }
    List<Path> lately = libraries.lately();
    if (!lately.isEmpty()) {
      library.getItems().add(new SeparatorMenuItem());
    }
    for (int i = 0; i < lately.size(); i++) {
      Path file = lately.get(i);
      library
          .getItems()
          .add(item(file.toString(), "library-lately-" + i, () -> libraries.open(file)));
    }
  }

  private static MenuItem item(String text, String id, Runnable does) {
    MenuItem item = new MenuItem(text);
    item.setMnemonicParsing(false);
    item.setId(id);
    item.setOnAction(e -> does.run());
    return item;
  }

  private static Button icon(String id, Feather picture, String name, Deeds deeds) {
    Button button = Parts.icon(id, new FontIcon(picture), name, () -> deeds.perform(id));
    Acts.tip(button, id, name);
    return button;
  }

  void show(Snapshot now) {
    library.setText(now.library().name());
    library.setAccessibleText(Ui.text("strip.library", now.library().name()));
    showStation(now);
    undo.setDisable(now.undoable().isEmpty());
    redo.setDisable(now.redoable().isEmpty());
  }

  /** The stations, and the one that was chosen, even where it is still on its way. */
  private void showStation(Snapshot now) {
    Map<String, Station> all = now.library().stations();
    showing = true;
    if (!List.copyOf(all.values()).equals(station.getItems())) {
      station.getItems().setAll(all.values());
    }
    Station chosen = all.getOrDefault(session.chosenProperty().get(), now.station());
    if (!chosen.equals(station.getValue())) {
      station.setValue(chosen);
    }
    showing = false;
  }

  /** Tells which sheet the button leads to. */
  void showSheet(boolean isNight) {
    String to = Ui.text(isNight ? "day" : "night");
    night.setGraphic(new FontIcon(isNight ? Feather.SUN : Feather.MOON));
    night.setAccessibleText(to);
    Acts.tip(night, "day-night", to);
  }

  void takeKeys() {
    station.requestFocus();
  }
}
