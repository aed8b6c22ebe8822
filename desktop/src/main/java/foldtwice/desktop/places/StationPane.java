package foldtwice.desktop.places;

import foldtwice.describe.Description;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.place.AddOn;
import foldtwice.place.Application;
import foldtwice.place.Desktops;
import foldtwice.place.Labels;
import foldtwice.place.Station;
import foldtwice.surface.Device;
import foldtwice.text.Blanks;
import foldtwice.trigger.Layouts;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Platform;
import foldtwice.trigger.Shape;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** A station: its keyboard, what is plugged in, what its desktop keeps, what is installed. */
final class StationPane extends VBox {

  private final Session session;
  private final TextField name = Skins.on(new TextField());
  private Station station;

  StationPane(Session session) {
    this.session = session;
    setId("station-pane");
    setSpacing(8);
    getStyleClass().add("collect-middle");
    name.setId("station-name");
    name.setAccessibleText(Ui.text("names.station"));
    name.getStyleClass().add("title-field");
    Parts.onKept(
        name,
        () -> {
          String named = name.getText().strip();
          if (!named.isEmpty() && !named.equals(station.name())) {
            put(s -> s.named(named));
          }
        });
  }

  /** Gives the keys to its name, to be typed over. */
  void takeName() {
    Parts.retype(name);
  }

  void show(Snapshot now, Station of) {
    if (of.equals(station) && getChildren().size() > 1) {
      return;
    }
    if (Parts.hasKeys(this)) {
      requestFocus(); // before the node that has the keys is gone
    }
    station = of;
    name.setText(of.name());
    getChildren().setAll(name);
    heading("places.keyboard");
    HBox keyboard =
        new HBox(
            10,
            choice(
                "station-layout",
                Layouts.IDS,
                of.layout(),
                l -> put(s -> s.withKeyboard(l, s.shape(), s.platform()))),
            choice(
                "station-shape",
                List.of(Shape.values()),
                of.shape(),
                shape -> put(s -> s.withKeyboard(s.layout(), shape, s.platform()))),
            choice(
                "station-platform",
                List.of(Platform.values()),
                of.platform(),
                p -> Ui.text("platform." + p),
                p -> put(s -> s.withKeyboard(s.layout(), s.shape(), p))));
    getChildren().add(keyboard);
    if (of.platform() != Platform.CONTROL) {
      getChildren().add(new MappingFacts(session, of));
    }
    heading("places.devices");
    FlowPane devices = new FlowPane(14, 6);
    for (Device d : now.library().devices()) {
      CheckBox plugged = Skins.on(new CheckBox(d.name()));
      plugged.setId("plugged-" + d.id());
      plugged.setSelected(of.devices().contains(d.id()));
      plugged.setOnAction(e -> plug(d.id(), plugged.isSelected()));
      devices.getChildren().add(plugged);
    }
    getChildren().add(devices);
    heading("places.reserved");
    getChildren().add(desktops());
    for (Station.Reserved r : of.reserved()) {
      HBox row =
          new HBox(
              10,
              KeyCaps.of(r.trigger(), now.words()),
              Parts.label(r.what()),
              Parts.gap(),
              Parts.button(
                  "free-" + Notation.write(r.trigger()),
                  Ui.text("places.free"),
                  () -> free(r),
                  "link"));
      row.setAlignment(Pos.CENTER_LEFT);
      row.getStyleClass().add("why-row");
      getChildren().add(row);
    }
    getChildren().add(reserve());
    heading("places.installed");
    for (Application a : now.library().applications().values()) {
      installed(a);
    }
    if (now.library().stations().size() > 1) {
      heading("places.compare");
      getChildren().add(new ComparedStations(now.library(), of));
    }
  }

  /** The version and the add-ons of an application here; an empty version is the library's. */
  private void installed(Application a) {
    Optional<Station.Installed> here =
        station.installed().stream().filter(i -> i.application().equals(a.id())).findFirst();
    TextField version = Skins.on(new TextField(here.map(Station.Installed::version).orElse("")));
    version.setId("installed-" + a.id());
    Parts.prompt(version, a.version());
    version.setPrefColumnCount(5);
    version.getStyleClass().add("value");
    TextField addOns = Skins.on(new TextField(here.map(i -> Words.addOns(i.addOns())).orElse("")));
    addOns.setId("addons-" + a.id());
    Parts.prompt(addOns, Ui.text("places.addons.hint"));
    HBox.setHgrow(addOns, Priority.ALWAYS);
    ComboBox<String> language = language(a, here.map(Station.Installed::language).orElse(""));
    Runnable keep =
        () ->
            install(
                a,
                version.getText().strip(),
                readAddOns(addOns.getText()),
                language.getEditor().getText().strip());
    Parts.onKept(version, keep);
    Parts.onKept(addOns, keep);
    Parts.onKept(language.getEditor(), keep);
    Parts.onChosen(language, keep);
    HBox row = Parts.fact(a.name(), version, language, addOns);
    row.setMaxWidth(700);
    row.getStyleClass().add("why-row");
    getChildren().add(row);
  }

  /** The language of its labels here: one in which it is described, or any other. */
  private ComboBox<String> language(Application a, String here) {
    Description said = session.now().library().description(a.id());
    ComboBox<String> box = new ComboBox<>();
    box.setId("language-" + a.id());
    box.setEditable(true);
    box.setAccessibleText(Ui.text("places.installed.language", a.name()));
    box.getItems().add(said.language());
    said.labels().forEach(l -> box.getItems().add(l.language()));
    box.setValue(here);
    box.getEditor().setPrefColumnCount(3);
    Parts.prompt(
        box, said.language().isEmpty() ? Ui.text("places.language.hint") : said.language());
    box.setPrefWidth(110);
    box.setMinWidth(110);
    return box;
  }

  /** Names with an optional version at their end, parted by commas. */
  private static List<AddOn> readAddOns(String text) {
    List<AddOn> all = new ArrayList<>();
    for (String part : text.split(",")) {
      String[] f = Blanks.single(part).split(" (?=\\d\\S*$)", 2);
      if (!f[0].isEmpty()) {
        all.add(new AddOn(f[0], f.length > 1 ? f[1] : ""));
      }
    }
    return all;
  }

  private void install(Application a, String version, List<AddOn> addOns, String typed) {
    if (!typed.isEmpty() && !Labels.isTag(typed)) {
      session.say(Ui.text("places.language.wrong", typed));
      return;
    }
    boolean described = typed.equals(session.now().library().description(a.id()).language());
    String language = described ? "" : typed;
    List<Station.Installed> next = new ArrayList<>();
    boolean found = false;
    Station.Installed fresh =
        new Station.Installed(a.id(), version.isEmpty() ? a.version() : version, addOns, language);
    boolean said = !version.isEmpty() || !addOns.isEmpty() || !language.isEmpty();
    for (Station.Installed i : station.installed()) {
      boolean its = i.application().equals(a.id());
      found |= its;
      if (!its) {
        next.add(i);
      } else if (said) {
        next.add(fresh);
      }
    }
    if (!found && said) {
      next.add(fresh);
    }
    if (!next.equals(station.installed())) {
      put(s -> s.withInstalled(next));
    }
  }

  /** What kinds of desktops keep, to be taken in one go. */
  private Node desktops() {
    ComboBox<Desktops.Kind> kinds = new ComboBox<>();
    kinds.setId("station-desktop");
    Parts.prompt(kinds, Ui.text("places.desktops"));
    kinds.getItems().setAll(Desktops.ALL);
    Parts.shows(kinds, k -> Ui.text("places.desktop", k.name(), k.reserved().size()));
    Parts.onChosen(
        kinds,
        () -> {
          if (kinds.getValue() != null) {
            put(kinds.getValue()::on);
          }
        });
    return kinds;
  }

  private Node reserve() {
    TextField keys = Skins.on(new TextField());
    keys.setId("reserve-keys");
    Parts.prompt(keys, Ui.text("places.reserve.keys"));
    keys.setPrefColumnCount(11);
    TextField what = Skins.on(new TextField());
    what.setId("reserve-what");
    Parts.prompt(what, Ui.text("places.reserve.what"));
    Label wrong = Parts.wrapped("", "blocks");
    wrong.setId("reserve-wrong");
    Runnable take =
        () -> {
          try {
            Station.Reserved fresh =
                new Station.Reserved(Notation.read(keys.getText()), what.getText().strip());
            List<Station.Reserved> all = new ArrayList<>(station.reserved());
            all.add(fresh);
            put(s -> s.withReserved(all));
          } catch (NotationException e) {
            wrong.setText(e.getMessage());
          }
        };
    what.setOnAction(e -> take.run());
    keys.setOnAction(e -> what.requestFocus());
    HBox row = new HBox(8, keys, what, Parts.button("reserve", Ui.text("places.reserve"), take));
    row.setPadding(new Insets(4, 0, 0, 0));
    return new VBox(4, row, wrong);
  }

  private void free(Station.Reserved gone) {
    List<Station.Reserved> rest = new ArrayList<>(station.reserved());
    rest.remove(gone);
    put(s -> s.withReserved(rest));
  }

  private void plug(String device, boolean in) {
    List<String> devices = new ArrayList<>(station.devices());
    devices.remove(device);
    if (in) {
      devices.add(device);
    }
    put(s -> s.withDevices(devices));
  }

  private void put(UnaryOperator<Station> change) {
    Station next = change.apply(station);
    session.make(new Edit.PutStation(next), Ui.text("said.changed", next.name()));
  }

  private <T> ComboBox<T> choice(String id, List<T> of, T now, Consumer<T> onChosen) {
    return choice(id, of, now, v -> v.toString().toUpperCase(Locale.ROOT), onChosen);
  }

  private <T> ComboBox<T> choice(
      String id, List<T> of, T now, Function<T, String> says, Consumer<T> onChosen) {
    ComboBox<T> box = new ComboBox<>();
    box.setAccessibleText(Ui.text("names." + id.replace("station-", "")));
    box.setId(id);
    box.getItems().setAll(of);
    box.setValue(now);
    Parts.shows(box, says);
    Parts.onChosen(
        box,
        () -> {
          if (box.getValue() != null && !box.getValue().equals(now)) {
            onChosen.accept(box.getValue());
          }
        });
    return box;
  }

  private void heading(String key) {
    Label heading = Parts.label(Ui.text(key), "heading");
    heading.setPadding(new Insets(8, 0, 0, 0));
    getChildren().add(heading);
  }
}
