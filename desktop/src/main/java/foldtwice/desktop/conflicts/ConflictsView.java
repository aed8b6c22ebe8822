package foldtwice.desktop.conflicts;

import foldtwice.cli.Sarif;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Weight;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Saving;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Acts;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.desktop.view.View;
import foldtwice.library.file.Json;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What is wrong: on the station in view, on all of them, or accepted. */
public final class ConflictsView extends BorderPane implements View {

  public static final List<Act<ConflictsView>> ACTS =
      List.of(
          new Act<>("settle", v -> v.session.mayWrite(), ConflictsView::settle),
          new Act<>("same-cause", v -> !v.list.chosen().isEmpty(), ConflictsView::sameCause),
          new Act<>(
              "settle-chosen",
              v -> v.session.mayWrite() && !v.list.chosen().isEmpty(),
              v -> v.settle(v.list.chosen())),
          new Act<>("conflicts-here", v -> v.look(Scope.HERE)),
          new Act<>("conflicts-stations", ConflictsView::showStations),
          new Act<>("conflicts-accepted", v -> v.look(Scope.ACCEPTED)),
          new Act<>("conflicts-sarif", ConflictsView::saveSarif),
          new Act<>("find-conflict", v -> v.filter.requestFocus()));

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
  private final Acts<ConflictsView> acts = new Acts<>(this, ACTS);
  private final ConflictList list;
  private final ConflictPane conflict;
  private final Stations stations;
  private final Settling settling;
  private final ScrollPane scroll = Skins.on(new ScrollPane());
  private final TextField filter = Skins.on(new TextField());
  private final Label counts = Parts.label("", "soft");
  private final HBox groups = new HBox(5);
  private final Map<Scope, ToggleButton> scopes;
  private Scope scope = Scope.HERE;
  private Grouping grouping = Grouping.WEIGHT;

  /** One that is gone to as soon as its station is looked through. */
  private Optional<Target.Conflict> wanted = Optional.empty();

  /** A view of the session's conflicts. */
  public ConflictsView(Session session, Going going) {
    this.session = session;
    conflict =
        new ConflictPane(
            session,
            id -> going.to(new Target.Binding(id)),
            acts.button("same-cause", "link"),
            acts.button("settle-chosen"));
    list = new ConflictList(session.background(), this::laid, conflict::alike);
    stations = new Stations(session, (s, c) -> going.to(new Target.Conflict(s.id(), c.topic())));
    settling = new Settling(session, this::closeSettling);
    filter.setId("conflict-filter");
    Parts.prompt(filter, Ui.text("conflicts.filter"));
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
    groups.getChildren().addAll(Parts.gap(), acts.button("conflicts-sarif", "link"));
    HBox first = new HBox(6);
    first.setAlignment(Pos.CENTER_LEFT);
    first.getChildren().addAll(scopes.values());
    first.getChildren().addAll(Parts.gap(), counts, filter, acts.button("settle"));
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
                  if (!list.isFilling()) {
                    showChosen(session.now());
                  }
                });
    list.setPrefWidth(420);
    list.setMinWidth(300);
    list.getStyleClass().add("conflict-list");
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public Target here() {
    return list.chosen().isEmpty()
        ? new Target.Sheet("conflicts")
        : new Target.Conflict(session.now().station().id(), list.chosen().getFirst().topic());
  }

  @Override
  public void show(Snapshot now) {
    acts.refresh();
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
    list.show(now, all, grouping, filter.getText());
  }

  /** What was to be shown is in the list. */
  private void laid() {
    Snapshot now = session.now();
    showChosen(now);
    arrive(now);
  }

  private void showChosen(Snapshot now) {
    boolean hadKeys = Parts.hasKeys(conflict);
    conflict.show(now, list.chosen());
    list.countAlike();
    acts.refresh();
    if (hadKeys && !Parts.hasKeys(conflict)) {
      list.requestFocus(); // what had the keys is gone
    }
  }

  @Override
  public void takeKeys() {
    (scope == Scope.STATIONS ? stations : list).requestFocus();
  }

  /** Goes to a conflict, on its station. */
  @Override
  public void open(Target target) {
    if (target instanceof Target.Conflict to) {
      wanted = Optional.of(to);
      Optional.ofNullable(session.now().library().stations().get(to.station()))
          .ifPresent(session::choose);
      look(Scope.HERE);
    }
  }

  /** Chooses what was gone to, once its station has been looked through and it is in the list. */
  private void arrive(Snapshot now) {
    if (list.isLaying()
        || wanted.filter(w -> now.audited() && w.station().equals(now.station().id())).isEmpty()) {
      return;
    }
    Object topic = wanted.get().topic();
    if (!list.shows(topic) && !filter.getText().isEmpty()) {
      filter.clear(); // it would hide what was gone to; there will be other rows
      return;
    }
    wanted = Optional.empty();
    list.choose(topic);
    list.requestFocus();
  }

  private void look(Scope at) {
    scope = at;
    scopes.get(at).setSelected(true);
    show(session.now());
  }

  /** Shows all stations. */
  public void showStations() {
    look(Scope.STATIONS);
  }

  /** Chooses all that come from the same trigger as the first that is chosen. */
  private void sameCause() {
    List<Conflict> chosen = list.chosen();
    if (!chosen.isEmpty()) {
      list.chooseAll(list.ofOneCause(chosen.getFirst()));
      list.requestFocus();
    }
  }

  /** Writes what is wrong on the station, accepted or not, for programs that read it. */
  private void saveSarif() {
    Snapshot now = session.now();
    List<Conflict> all =
        Stream.concat(now.allConflicts().stream(), now.accepted().stream()).toList();
    Saving.text(
        session,
        getScene().getWindow(),
        Ui.text("act.conflicts-sarif"),
        now.station().id() + ".sarif",
        () -> Json.print(Sarif.of(now.library(), now.station(), all)));
  }

  private void settle() {
    settle(session.now().allConflicts().stream().filter(c -> c.weight() != Weight.BLOCKS).toList());
  }

  private void settle(List<Conflict> some) {
    if (scope == Scope.STATIONS) {
      scopes.get(Scope.HERE).fire();
    }
    scroll.setContent(settling);
    settling.look(some);
  }

  private void closeSettling() {
    list.requestFocus();
    scroll.setContent(conflict);
  }
}
