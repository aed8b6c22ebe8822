package foldtwice.desktop.frame;

import foldtwice.conflict.Weight;
import foldtwice.desktop.atlas.AtlasView;
import foldtwice.desktop.bind.BindView;
import foldtwice.desktop.collect.CollectView;
import foldtwice.desktop.conflicts.ConflictsView;
import foldtwice.desktop.parts.Mark;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Theme;
import foldtwice.desktop.places.PlacesView;
import foldtwice.desktop.session.HeldKeys;
import foldtwice.desktop.session.OwnKeys;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.standin.StandInWindow;
import foldtwice.desktop.trying.TryView;
import foldtwice.library.file.Backups;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Press;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** The whole window: strip above, tabs at the left, the view, the foot. */
public final class Frame extends StackPane implements Finder.Targets {

  /** Below this width what can be guessed is left out. */
  private static final double NARROW = 1150;

  private final Session session;
  private final HeldKeys held = new HeldKeys();
  private final Theme theme;
  private final BindView bind;
  private CollectView collect;
  private TryView trying;
  private PlacesView places;
  private AtlasView atlas;
  private ConflictsView conflicts;
  private final StackPane sheet = new StackPane();
  private final ToggleButton placesTab = tab("places");
  private final ToggleButton collectTab = tab("collect");
  private final ToggleButton bindTab = tab("bind");
  private final ToggleButton atlasTab = tab("atlas");
  private final ToggleButton conflictsTab = tab("conflicts");
  private final ToggleButton tryTab = tab("try");
  private final LookUp lookUp;
  private final TroubleBar trouble;
  private final Button undo;
  private final Button redo;
  private final Button night;
  private final ComboBox<Station> station = new ComboBox<>();
  private final Label bindings = Parts.label("", "number");
  private final Label blocks = Parts.label("", "number", "blocks");
  private final Label costs = Parts.label("", "number", "costs");
  private final Label checking = Parts.label("");
  private final Label recording = Parts.label("", "costs");
  private final Label said = Parts.label("");

  public Frame(Session session, Theme theme) {
    this.session = session;
    this.theme = theme;
    bind = new BindView(session);
    Pane overlay = new Pane();
    lookUp = new LookUp(session, this, overlay);
    undo = Parts.icon("undo", new FontIcon(Feather.CORNER_UP_LEFT), Ui.text("undo"), session::undo);
    redo =
        Parts.icon("redo", new FontIcon(Feather.CORNER_UP_RIGHT), Ui.text("redo"), session::redo);
    night = Parts.icon("day-night", new FontIcon(Feather.MOON), Ui.text("night"), this::turnSheet);
    BorderPane root = new BorderPane();
    trouble = new TroubleBar(session);
    root.setTop(new VBox(strip(), trouble));
    root.setLeft(tabs());
    sheet.getStyleClass().add("sheet");
    sheet.setMinSize(0, 0);
    BorderPane.setMargin(sheet, new javafx.geometry.Insets(0, 10, 0, 0));
    root.setCenter(sheet);
    root.setBottom(foot());
    getChildren().addAll(root, overlay);
    session.nowProperty().addListener((o, a, now) -> show(now));
    show(session.now());
    go(bindTab);
    sceneProperty()
        .addListener(
            (o, a, scene) -> {
              if (scene != null) {
                scene.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
                scene.addEventFilter(KeyEvent.KEY_RELEASED, held::follow);
                Platform.runLater(bind::focusRegister);
              }
            });
  }

  private Node strip() {
    Label name = Parts.label(Ui.text("app.name"), "brand");
    name.setMinWidth(USE_PREF_SIZE);
    Label library = Parts.label(session.now().library().name(), "strong");
    library.setMinWidth(0);
    Label kept = Parts.label("", "soft");
    kept.setId("kept");
    kept.setMinWidth(USE_PREF_SIZE);
    kept.textProperty().bind(session.disk().keptProperty());
    station.setId("station");
    station.setAccessibleText(Ui.text("station"));
    station.getItems().setAll(session.now().library().stations().values());
    Parts.shows(
        station,
        s -> s.name() + "   " + s.layout().toUpperCase(Locale.ROOT) + " \u00b7 " + s.shape());
    station.setValue(session.now().station());
    station.setOnAction(
        e -> {
          if (station.getValue() != null) {
            session.choose(station.getValue());
          }
        });
    station.setMinWidth(USE_PREF_SIZE);
    Label stationName = Parts.label(Ui.text("station"), "soft");
    stationName.setMinWidth(USE_PREF_SIZE);
    stationName.setLabelFor(station);
    stationName.visibleProperty().bind(widthProperty().greaterThan(NARROW));
    stationName.managedProperty().bind(stationName.visibleProperty());
    HBox strip =
        new HBox(
            new Mark(),
            name,
            library,
            kept,
            Parts.gap(),
            lookUp.bar(),
            Parts.gap(),
            stationName,
            station,
            undo,
            redo,
            night);
    strip.getStyleClass().add("strip");
    return strip;
  }

  private static ToggleButton tab(String name) {
    ToggleButton tab = new ToggleButton(Ui.text("tab." + name));
    tab.setId("tab-" + name);
    tab.getStyleClass().add("tab-leaf");
    return tab;
  }

  private Node tabs() {
    ToggleGroup group = new ToggleGroup();
    for (ToggleButton tab :
        List.of(placesTab, collectTab, bindTab, atlasTab, conflictsTab, tryTab)) {
      tab.setToggleGroup(group);
      tab.setOnAction(e -> go(tab));
    }
    VBox tabs = new VBox(placesTab, collectTab, bindTab, atlasTab, conflictsTab, tryTab);
    tabs.getStyleClass().add("tabs");
    return tabs;
  }

  private Node foot() {
    said.setId("said");
    recording.setId("foot-recording");
    session.recorder().heardProperty().addListener((o, a, b) -> showRecording());
    showRecording();
    said.textProperty().bind(session.saidProperty());
    bindings.setId("foot-bindings");
    HBox foot =
        new HBox(
            new HBox(4, bindings, Parts.label(Ui.text("foot.bindings"))),
            new HBox(4, blocks, Parts.label(Ui.text("foot.block"))),
            new HBox(4, costs, Parts.label(Ui.text("foot.cost"))),
            foldsBox(),
            checking,
            recording,
            said);
    foot.getStyleClass().add("foot");
    foot.setAlignment(Pos.CENTER_LEFT);
    return foot;
  }

  /** How many folds are proposed. */
  private Node foldsBox() {
    Label folds = Parts.label("", "strong");
    folds.setId("foot-folds");
    HBox box = new HBox(4, folds, Parts.label(Ui.text("foot.folds")));
    Runnable show =
        () -> {
          int many = session.proposals().allProperty().get().size();
          folds.setText(Integer.toString(many));
          box.setVisible(many > 0);
          box.setManaged(many > 0);
        };
    session.proposals().allProperty().addListener((o, a, b) -> show.run());
    show.run();
    return box;
  }

  /** That a recording is on is seen from every view. */
  private void showRecording() {
    boolean on = session.recorder().isOn();
    recording.setText(on ? Ui.text("record.on", session.recorder().program()) : "");
    recording.setVisible(on);
    recording.setManaged(on);
  }

  /** The stations as they are now, the one in view chosen, however it came into view. */
  private void showStations(Snapshot now) {
    List<Station> all = List.copyOf(now.library().stations().values());
    if (!all.equals(station.getItems())) {
      station.getItems().setAll(all);
    }
    if (!now.station().equals(station.getValue())) {
      station.setValue(now.station());
    }
  }

  private void show(Snapshot now) {
    showStations(now);
    undo.setDisable(now.undoable().isEmpty());
    redo.setDisable(now.redoable().isEmpty());
    bindings.setText(Integer.toString(now.library().bindings().size()));
    blocks.setText(Long.toString(now.count(Weight.BLOCKS)));
    costs.setText(Long.toString(now.count(Weight.COSTS)));
    checking.setText(now.audited() ? "" : Ui.text("foot.auditing"));
  }

  /** Try, made when it is first gone to: most of a start is making what is shown. */
  private TryView trying() {
    if (trying == null) {
      trying =
          new TryView(
              session,
              id -> {
                go(collectTab);
                collect().choose(id);
              });
    }
    return trying;
  }

  /** Collect, made when it is first gone to. */
  private CollectView collect() {
    if (collect == null) {
      collect =
          new CollectView(
              session,
              new CollectView.Ways() {
                @Override
                public void toBinding(String id) {
                  binding(id);
                }

                @Override
                public void toRecording(String application) {
                  go(tryTab);
                  if (!session.recorder().isOn()) {
                    trying().go(application);
                    trying().record();
                  }
                }
              });
    }
    return collect;
  }

  /** Places, made when it is first gone to. */
  private PlacesView places() {
    if (places == null) {
      places = new PlacesView(session);
    }
    return places;
  }

  /** Conflicts, made when it is first gone to. */
  private ConflictsView conflicts() {
    if (conflicts == null) {
      conflicts = new ConflictsView(session, this::binding);
    }
    return conflicts;
  }

  /** The atlas, made when it is first gone to. */
  private AtlasView atlas() {
    if (atlas == null) {
      atlas =
          new AtlasView(
              session,
              this::binding,
              c -> {
                go(conflictsTab);
                conflicts().choose(c);
              });
    }
    return atlas;
  }

  private void go(ToggleButton tab) {
    tab.setSelected(true);
    if (tab == placesTab) {
      sheet.getChildren().setAll(places());
      places().focusList();
      return;
    }
    if (tab == atlasTab) {
      sheet.getChildren().setAll(atlas());
      atlas().focusKeys();
      return;
    }
    if (tab == conflictsTab) {
      sheet.getChildren().setAll(conflicts());
      conflicts().focusList();
      return;
    }
    sheet.getChildren().setAll(tab == bindTab ? bind : tab == collectTab ? collect() : trying());
    if (tab == bindTab) {
      bind.focusRegister();
    } else if (tab == collectTab) {
      collect().focusList();
    } else {
      trying().refresh();
      trying().focusWindow();
    }
  }

  /** From the day sheet to the night sheet, and back; the choice is kept for the next start. */
  private void turnSheet() {
    showSheet(!theme.isNight());
    Theme.remember(theme.isNight());
  }

  /** Lays the night sheet over the window, or the day sheet, for now. */
  public void showSheet(boolean atNight) {
    theme.turn(getScene(), atNight);
    night.setGraphic(new FontIcon(theme.isNight() ? Feather.SUN : Feather.MOON));
    night.setAccessibleText(Ui.text(theme.isNight() ? "day" : "night"));
    night.getTooltip().setText(night.getAccessibleText());
  }

  /**
   * The application's own shortcuts; a stand-in with the keys, and text being typed, go before
   * most.
   */
  private void key(KeyEvent e) {
    if (bind.isCapturing()) {
      return; // every key is the person's answer, ours too
    }
    held.follow(e);
    Keymap keymap = session.now().keymap();
    Optional<Press> press = held.press(e, keymap.layout());
    if (press.isEmpty()) {
      return;
    }
    boolean inWindow =
        inside(e.getTarget(), StandInWindow.class) || AtlasView.looksUp(e.getTarget());
    boolean inText = e.getTarget() instanceof TextInputControl;
    for (OwnKeys own : OwnKeys.values()) {
      boolean everywhere = own == OwnKeys.LOOK_UP || own == OwnKeys.NEXT_AREA;
      boolean texts = own == OwnKeys.UNDO || own == OwnKeys.REDO;
      if ((everywhere || (!inWindow && !(inText && texts)))
          && keymap.paths(own.trigger()).contains(List.of(press.get()))) {
        action(own);
        e.consume();
        return;
      }
    }
  }

  private static boolean inside(Object target, Class<?> type) {
    Node node = target instanceof Node n ? n : null;
    while (node != null && !type.isInstance(node)) {
      node = node.getParent();
    }
    return node != null;
  }

  @Override
  public void action(OwnKeys own) {
    switch (own) {
      case LOOK_UP -> lookUp.open();
      case NEXT_AREA -> nextArea();
      case UNDO -> session.undo();
      case REDO -> session.redo();
      case PLACES_VIEW -> go(placesTab);
      case COLLECT_VIEW -> go(collectTab);
      case CHECK_PRESSES -> {
        go(tryTab);
        trying().check();
      }
      case RECORD -> {
        go(tryTab);
        trying().record();
      }
      case STEP -> {
        toCollect();
        collect().stepOnce();
      }
      case RUN -> {
        toCollect();
        collect().runAll();
      }
      case BIND_VIEW -> go(bindTab);
      case ATLAS_VIEW -> go(atlasTab);
      case CONFLICTS_VIEW -> go(conflictsTab);
      case TRY_VIEW -> go(tryTab);
      case PRESS_KEYS -> {
        go(bindTab);
        bind.pressKeys();
      }
      case FIRE -> {
        go(bindTab);
        bind.fire();
      }
      case NEW_BINDING -> {
        go(bindTab);
        bind.addNew();
      }
      case FILTER -> {
        go(bindTab);
        bind.focusFilter();
      }
      case DAY_NIGHT -> turnSheet();
    }
  }

  /** To Collect, unless it is there already: the keys stay where they are. */
  private void toCollect() {
    if (!collectTab.isSelected()) {
      go(collectTab);
    }
  }

  /** From the tabs to the view to the strip, and round again. */
  private void nextArea() {
    Node owner = getScene().getFocusOwner();
    if (inside(owner, StandInWindow.class)
        || inside(owner, BindView.class)
        || inside(owner, CollectView.class)
        || inside(owner, PlacesView.class)
        || inside(owner, ConflictsView.class)
        || inside(owner, AtlasView.class)
        || inside(owner, TryView.class)) {
      selectedTab().requestFocus();
    } else if (owner instanceof ToggleButton) {
      station.requestFocus();
    } else if (bindTab.isSelected()) {
      bind.focusRegister();
    } else if (collectTab.isSelected()) {
      collect().focusList();
    } else if (placesTab.isSelected()) {
      places().focusList();
    } else if (conflictsTab.isSelected()) {
      conflicts().focusList();
    } else if (atlasTab.isSelected()) {
      atlas().focusKeys();
    } else {
      trying().focusWindow();
    }
  }

  private ToggleButton selectedTab() {
    return List.of(placesTab, collectTab, bindTab, atlasTab, conflictsTab).stream()
        .filter(ToggleButton::isSelected)
        .findFirst()
        .orElse(tryTab);
  }

  @Override
  public void binding(String id) {
    go(bindTab);
    bind.choose(id);
  }

  @Override
  public void routine(String name) {
    go(collectTab);
    session.now().library().routines().values().stream()
        .filter(r -> r.name().equals(name))
        .findFirst()
        .ifPresent(r -> collect().choose(r.id()));
  }

  @Override
  public void stand(String application) {
    if (session.programs().containsKey(application)) {
      go(tryTab);
      trying().go(application);
    } else if (session.now().library().applications().containsKey(application)) {
      go(placesTab);
      places().choose(application);
    }
  }

  /** To a native command, where it can be given other keys. */
  @Override
  public void command(String application, String id) {
    go(placesTab);
    places().choose(application);
    places().chooseCommand(id);
  }

  @Override
  public void saveElsewhere() {
    trouble.elsewhere();
  }

  @Override
  public void keepAgain() {
    trouble.again();
  }

  @Override
  public List<Backups.Backup> backups() {
    return session.disk().backups();
  }

  @Override
  public void goBackTo(Backups.Backup backup) {
    session.goBackTo(backup);
  }

  /** What the desktop keeps is a matter of the station. */
  @Override
  public void stations() {
    go(placesTab);
    places().chooseStation(session.now().station().id());
  }

  /** Goes to Try, for pictures. */
  public TryView showTry() {
    go(tryTab);
    return trying();
  }

  /** Goes to the atlas, for pictures. */
  public AtlasView showAtlas() {
    go(atlasTab);
    return atlas();
  }

  /** Goes to Conflicts, for pictures. */
  public ConflictsView showConflicts() {
    go(conflictsTab);
    return conflicts();
  }

  /** Goes to Places, for pictures. */
  public PlacesView showPlaces() {
    go(placesTab);
    return places();
  }

  /** Goes to Collect, for pictures. */
  public CollectView showCollect() {
    go(collectTab);
    return collect();
  }

  /** Goes to Bind, for pictures. */
  public BindView showBind() {
    go(bindTab);
    return bind;
  }

  /** Opens the look-up. */
  public void openLookUp() {
    lookUp.open();
  }

  /** The frame in a scene of this size. */
  public Scene scene(double width, double height) {
    Scene scene = new Scene(this, width, height);
    theme.on(scene);
    return scene;
  }
}
