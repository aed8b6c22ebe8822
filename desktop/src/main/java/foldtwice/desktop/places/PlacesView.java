package foldtwice.desktop.places;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Acts;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.desktop.view.View;
import foldtwice.library.Edit;
import foldtwice.library.Ids;
import foldtwice.library.file.DeviceFile;
import foldtwice.library.file.FormatException;
import foldtwice.place.Application;
import foldtwice.place.Station;
import foldtwice.surface.Device;
import foldtwice.surface.Summoned;
import foldtwice.surface.Surface;
import foldtwice.surface.Toolbar;
import foldtwice.table.Part;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The applications and stations at the left, the chosen one beside them. */
public final class PlacesView extends BorderPane implements View {

  public static final List<Act<PlacesView>> ACTS =
      List.of(
          new Act<>("new-application", v -> v.session.mayWrite(), PlacesView::newApplication),
          new Act<>("add-application", v -> v.session.mayWrite(), PlacesView::importList),
          new Act<>(
              "describe-program",
              v -> v.application().isPresent() && v.session.mayWrite(),
              v -> v.application.describe(Part.COMMANDS)),
          new Act<>(
              "save-program",
              v -> v.application().isPresent(),
              v -> v.makes.save(v.application().orElseThrow(), v.getScene().getWindow())),
          new Act<>("new-station", v -> v.session.mayWrite(), PlacesView::newStation),
          new Act<>(
              "remove-place",
              v ->
                  v.session.mayWrite()
                      && (v.application().isPresent()
                          || (v.station().isPresent() && v.makes.canRemoveStation())),
              PlacesView::remove),
          new Act<>("add-device", v -> v.session.mayWrite(), PlacesView::importDevice),
          new Act<>("new-toolbar", PlacesView::canLay, v -> v.lay(v.makes::newToolbar)),
          new Act<>("new-radial", PlacesView::canLay, v -> v.lay(v.makes::newRadial)),
          new Act<>("new-offering", PlacesView::canLay, v -> v.lay(v.makes::newOffering)));

  /** A row of the list. */
  private sealed interface Entry {
    record Heading(String text) implements Entry {}

    record Of(Application application) implements Entry {}

    record At(Station station) implements Entry {}

    record On(Surface surface) implements Entry {}

    /** This application itself. */
    record Own() implements Entry {}
  }

  private final Session session;
  private final Acts<PlacesView> acts = new Acts<>(this, ACTS);
  private final PlaceActs makes;
  private final ListView<Entry> list = new ListView<>();
  private final ApplicationPane application;
  private final StationPane station;
  private final DevicePane device;
  private final ToolbarPane toolbar;
  private final SummonedPane summoned;
  private final OwnKeysPane own;
  private final ScrollPane deviceScroll;
  private final ScrollPane toolbarScroll;
  private final ScrollPane summonedScroll;
  private final ImportPane importing;
  private final ScrollPane stationScroll;
  private final ScrollPane ownScroll;
  private final ScrollPane importScroll;
  private String chosen = "";
  private boolean filling;

  /** A view of the session's library. */
  public PlacesView(Session session, Going going) {
    this.session = session;
    makes = new PlaceActs(session);
    application = new ApplicationPane(session);
    station = new StationPane(session);
    importing = new ImportPane(session, id -> choose("a " + id), this::showChosen);
    device = new DevicePane(session);
    toolbar = new ToolbarPane(session);
    summoned = new SummonedPane(session);
    deviceScroll = Parts.leaf(device, true);
    toolbarScroll = Parts.leaf(toolbar, true);
    summonedScroll = Parts.leaf(summoned, true);
    stationScroll = Parts.leaf(station, true);
    own = new OwnKeysPane(session);
    ownScroll = Parts.leaf(own, true);
    importScroll = Parts.leaf(importing, true);
    list.setId("places");
    list.setAccessibleText(Ui.text("tab.places"));
    list.setFixedCellSize(30);
    list.setCellFactory(v -> Skins.on(new Cell()));
    list.getSelectionModel()
        .selectedItemProperty()
        .addListener(
            (o, a, entry) -> {
              if (!filling && entry != null && !(entry instanceof Entry.Heading)) {
                chosen = id(entry);
                showChosen();
              }
            });
    VBox.setVgrow(list, Priority.ALWAYS);
    VBox left =
        new VBox(
            8,
            list,
            acts.button("new-application"),
            acts.button("add-application"),
            acts.button("new-station"),
            acts.menu(
                "places-more",
                Ui.text("places.more"),
                "add-device",
                "new-toolbar",
                "new-radial",
                "new-offering",
                "",
                "describe-program",
                "save-program",
                "",
                "remove-place"));
    left.getStyleClass().add("routine-list");
    left.setPrefWidth(190);
    setLeft(left);
    chosen =
        session.now().library().applications().keySet().stream()
            .findFirst()
            .map(id -> "a " + id)
            .orElse("s " + session.now().station().id());
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public Target here() {
    String id = chosen.substring(2);
    return switch (chosen.charAt(0)) {
      case 'a' -> new Target.Application(id);
      case 's' -> new Target.Station(id);
      case 'd' -> new Target.Surface(id);
      default -> new Target.Own();
    };
  }

  @Override
  public void open(Target target) {
    switch (target) {
      case Target.Application(String id) -> choose("a " + id);
      case Target.Station(String id) -> choose("s " + id);
      case Target.Surface(String id) -> choose("d " + id);
      case Target.Own o -> choose("o ");
      case Target.Command(String in, String id) -> {
        choose("a " + in);
        application.chooseCommand(id);
      }
      default -> {} // this view as it was left
    }
  }

  private static String id(Entry entry) {
    return switch (entry) {
      case Entry.Heading h -> "";
      case Entry.Of(Application a) -> "a " + a.id();
      case Entry.At(Station s) -> "s " + s.id();
      case Entry.On(Surface s) -> "d " + s.id();
      case Entry.Own o -> "o ";
    };
  }

  @Override
  public void show(Snapshot now) {
    acts.refresh();
    filling = true;
    list.getItems().setAll(new Entry.Heading(Ui.text("places.applications")));
    now.library().applications().values().forEach(a -> list.getItems().add(new Entry.Of(a)));
    list.getItems().add(new Entry.Heading(Ui.text("places.stations")));
    now.library().stations().values().forEach(s -> list.getItems().add(new Entry.At(s)));
    list.getItems().add(new Entry.Heading(Ui.text("places.surfaces")));
    now.library().devices().forEach(d -> list.getItems().add(new Entry.On(d)));
    now.library().toolbars().forEach(t -> list.getItems().add(new Entry.On(t)));
    now.library().summoned().forEach(s -> list.getItems().add(new Entry.On(s)));
    list.getItems().add(new Entry.Heading(Ui.text("places.itself")));
    list.getItems().add(new Entry.Own());
    list.getItems().stream()
        .filter(e -> id(e).equals(chosen))
        .findFirst()
        .ifPresent(list.getSelectionModel()::select);
    filling = false;
    if (!importing.isShown()) {
      showChosen();
    }
  }

  private void choose(String entry) {
    chosen = entry;
    importing.close();
    show(session.now());
  }

  private void showChosen() {
    Snapshot now = session.now();
    String id = chosen.substring(2);
    if (chosen.startsWith("a ") && now.library().applications().containsKey(id)) {
      application.show(now, now.library().applications().get(id));
      show(application);
    } else if (chosen.startsWith("d ") && now.library().surfaces().get(id) instanceof Device d) {
      device.show(now, d);
      show(deviceScroll);
    } else if (chosen.startsWith("d ") && now.library().surfaces().get(id) instanceof Toolbar t) {
      toolbar.show(now, t);
      show(toolbarScroll);
    } else if (chosen.startsWith("d ") && now.library().surfaces().get(id) instanceof Summoned s) {
      summoned.show(now, s);
      show(summonedScroll);
    } else if (chosen.startsWith("s ") && now.library().stations().containsKey(id)) {
      station.show(now, now.library().stations().get(id));
      show(stationScroll);
    } else if (chosen.startsWith("o ")) {
      own.show();
      show(ownScroll);
    }
  }

  /** Takes in the description of a device. */
  private void importDevice() {
    for (Path file : session.files().files(getScene().getWindow(), Ui.text("places.adddevice"))) {
      try {
        Device read = DeviceFile.read(Files.readAllBytes(file));
        String id = Ids.free(read.id(), session.now().library().surfaces()::containsKey);
        Device fresh =
            new Device(id, read.name(), read.keys(), read.dials(), read.pages(), read.extras());
        chosen = "d " + id;
        session.make(new Edit.PutSurface(fresh), Ui.text("said.newsurface", fresh.name()));
      } catch (FormatException | IOException refused) {
        session.say(Ui.text("places.baddevice", file.getFileName(), refused.getMessage()));
      }
    }
  }

  /** The program that is chosen, if one is. */
  private Optional<Application> application() {
    return chosen.startsWith("a ")
        ? Optional.ofNullable(session.now().library().applications().get(chosen.substring(2)))
        : Optional.empty();
  }

  /** The station that is chosen, if one is. */
  private Optional<Station> station() {
    return chosen.startsWith("s ")
        ? Optional.ofNullable(session.now().library().stations().get(chosen.substring(2)))
        : Optional.empty();
  }

  private boolean canLay() {
    return session.mayWrite() && !session.now().library().applications().isEmpty();
  }

  /** Makes something for the chosen application, or the first, and shows it. */
  private void lay(Function<Application, String> make) {
    Application of =
        application()
            .orElseGet(() -> session.now().library().applications().values().iterator().next());
    choose("d " + make.apply(of));
    if (session.now().library().surfaces().get(chosen.substring(2)) instanceof Summoned) {
      summoned.takeName();
    }
  }

  private void newApplication() {
    choose("a " + makes.newApplication());
    application.takeName();
  }

  /** Like the one that is chosen, or the one that is looked at. */
  private void newStation() {
    choose("s " + makes.copy(station().orElseGet(() -> session.now().station())));
    station.takeName();
  }

  private void remove() {
    list.requestFocus();
    application().ifPresent(makes::remove);
    station().ifPresent(makes::remove);
    chosen =
        session.now().library().applications().keySet().stream()
            .findFirst()
            .map(id -> "a " + id)
            .orElse("s " + session.now().station().id());
    show(session.now());
  }

  private void importList() {
    importing.open();
    show(importScroll);
    importing.requestFocus();
  }

  /** In the middle, unless it is there: what is put there anew loses the keys. */
  private void show(Region middle) {
    if (!middle.equals(getCenter())) {
      setCenter(middle);
    }
  }

  @Override
  public void showConflicts(Snapshot now) {}

  @Override
  public void takeKeys() {
    list.requestFocus();
  }

  private final class Cell extends ListCell<Entry> {
    @Override
    protected void updateItem(Entry entry, boolean empty) {
      super.updateItem(entry, empty);
      Styles.set(this, "routine-heading", entry instanceof Entry.Heading);
      setGraphic(null);
      if (entry instanceof Entry.Heading(String text)) {
        setGraphic(Parts.label(text, "heading"));
      }
      setText(
          empty || entry == null
              ? null
              : switch (entry) {
                case Entry.Heading h -> null;
                case Entry.Of(Application a) ->
                    Ui.text(
                        session.programs().containsKey(a.id())
                            ? "places.application"
                            : "places.application.own",
                        a.name(),
                        a.commands().size());
                case Entry.At(Station s) -> s.name();
                case Entry.On(Surface s) -> s.name();
                case Entry.Own o -> Ui.text("app.name");
              });
      setDisable(entry instanceof Entry.Heading);
    }
  }
}
