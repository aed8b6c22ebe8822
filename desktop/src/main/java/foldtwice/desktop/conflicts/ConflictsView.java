package foldtwice.desktop.conflicts;

import foldtwice.conflict.Conflict;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.place.Station;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What is wrong: on the station in view, on all of them, or accepted. */
public final class ConflictsView extends BorderPane {

  /** What is looked at. */
  private enum Scope {
    HERE,
    STATIONS,
    ACCEPTED;

    String id() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  private final Session session;
  private final ConflictList list = new ConflictList();
  private final ConflictPane conflict;
  private final Stations stations;
  private final Settling settling;
  private final ScrollPane scroll = new ScrollPane();
  private final TextField filter = new TextField();
  private final Label counts = Parts.label("", "soft");
  private final HBox groups = new HBox(5);
  private final Map<Scope, ToggleButton> scopes;
  private Scope scope = Scope.HERE;
  private Grouping grouping = Grouping.WEIGHT;
  private boolean filling;

  /**
   * A view of the session's conflicts.
   *
   * @param toBinding goes to a binding
   */
  public ConflictsView(Session session, Consumer<String> toBinding) {
    this.session = session;
    conflict = new ConflictPane(session, toBinding);
    stations = new Stations(session, this::go);
    settling = new Settling(session, this::closeSettling);
    filter.setId("conflict-filter");
    filter.setPromptText(Ui.text("conflicts.filter"));
    filter.setPrefWidth(200);
    filter.textProperty().addListener((o, a, b) -> fill());
    scopes =
        Parts.chips(
            Scope.class,
            "scope-",
            s -> Ui.text("conflicts.scope." + s.id()),
            s -> {
              scope = s;
              show(session.now());
            });
    scopes.get(Scope.HERE).setSelected(true);
    Map<Grouping, ToggleButton> chips =
        Parts.chips(
            Grouping.class,
            "group-",
            g -> Ui.text("conflicts.by." + g.name().toLowerCase(Locale.ROOT)),
            g -> {
              grouping = g;
              fill();
            });
    chips.get(Grouping.WEIGHT).setSelected(true);
    groups.setAlignment(Pos.CENTER_LEFT);
    groups.getChildren().add(Parts.label(Ui.text("conflicts.by"), "soft"));
    groups.getChildren().addAll(chips.values());
    HBox first = new HBox(6);
    first.setAlignment(Pos.CENTER_LEFT);
    first.getChildren().addAll(scopes.values());
    first
        .getChildren()
        .addAll(
            Parts.gap(),
            counts,
            filter,
            Parts.button("settle", Ui.text("conflicts.settle"), this::settle));
    counts.setMinWidth(Region.USE_PREF_SIZE);
    VBox top = new VBox(8, first, groups);
    top.getStyleClass().add("view-top");
    groups.managedProperty().bind(groups.visibleProperty());
    setTop(top);
    scroll.setFitToWidth(true);
    scroll.setFocusTraversable(false);
    list.getSelectionModel()
        .getSelectedItems()
        .addListener(
            (ListChangeListener<ConflictList.Row>)
                c -> {
                  if (!filling) {
                    conflict.show(session.now(), list.chosen());
                  }
                });
    list.setPrefWidth(420);
    list.setMinWidth(300);
    list.getStyleClass().add("conflict-list");
    session.nowProperty().addListener((o, a, now) -> show(now));
    show(session.now());
  }

  private void show(Snapshot now) {
    counts.setText(
        now.audited()
            ? Ui.text(
                "conflicts.counts",
                now.allConflicts().size(),
                now.station().name(),
                now.accepted().size())
            : Ui.text("foot.auditing"));
    scopes
        .get(Scope.ACCEPTED)
        .setText(Ui.text("conflicts.scope.accepted") + " " + now.accepted().size());
    if (getScene() == null && getCenter() != null) {
      return; // shown again when it is gone to
    }
    boolean listHadKeys = Parts.hasKeys(this);
    groups.setVisible(scope != Scope.STATIONS);
    if (scope == Scope.STATIONS) {
      setLeft(null);
      setCenter(stations);
      stations.show(now);
      if (listHadKeys && !Parts.hasKeys(this)) {
        stations.requestFocus(); // what had the keys is gone now
      }
    } else {
      setLeft(list);
      setCenter(scroll);
      if (scroll.getContent() != settling) {
        scroll.setContent(conflict);
      }
      fill();
    }
  }

  private void fill() {
    Snapshot now = session.now();
    List<Conflict> all = scope == Scope.ACCEPTED ? now.accepted() : now.allConflicts();
    boolean hadKeys = Parts.hasKeys(conflict);
    filling = true;
    list.show(now, all, grouping, filter.getText());
    filling = false;
    conflict.show(now, list.chosen());
    if (hadKeys) {
      list.requestFocus(); // what had the keys may be gone
    }
  }

  /** Shows what there is now, and gives the list the keys. */
  public void focusList() {
    show(session.now());
    (scope == Scope.STATIONS ? stations : list).requestFocus();
  }

  private void go(Station station, Conflict c) {
    scope = Scope.HERE;
    scopes.get(Scope.HERE).setSelected(true);
    session.choose(station);
    show(session.now());
    choose(c);
  }

  /** Chooses a conflict of the station in view. */
  public void choose(Conflict c) {
    list.choose(c.topic());
    list.requestFocus();
  }

  /** Shows all stations, for pictures. */
  public void showStations() {
    scopes.get(Scope.STATIONS).fire();
  }

  private void settle() {
    if (scope == Scope.STATIONS) {
      scopes.get(Scope.HERE).fire();
    }
    scroll.setContent(settling);
    settling.look();
  }

  private void closeSettling() {
    list.requestFocus();
    scroll.setContent(conflict);
  }
}
