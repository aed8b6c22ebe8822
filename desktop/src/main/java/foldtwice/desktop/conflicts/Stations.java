package foldtwice.desktop.conflicts;

import foldtwice.conflict.Auditor;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Weight;
import foldtwice.desktop.parts.Marks;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.ready.Setup;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import javafx.beans.property.SimpleObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;

/** What breaks where: a row for each trouble, a column for each station. */
final class Stations extends TableView<Stations.Trouble> {

  /**
   * One trouble.
   *
   * @param on by station, the conflict as it is there
   */
  record Trouble(Conflict worst, Map<String, Conflict> on) {}

  private final Session session;
  private final BiConsumer<Station, Conflict> onChosen;
  private Library shown;
  private final Question<List<Trouble>> question;

  /**
   * Empty.
   *
   * @param onChosen called with a station and its conflict, to go there
   */
  Stations(Session session, BiConsumer<Station, Conflict> onChosen) {
    this.session = session;
    question = session.background().question(Lane.TRIAL, this::show);
    this.onChosen = onChosen;
    setId("stations-matrix");
    setFixedCellSize(30);
    setColumnResizePolicy(CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
    setPlaceholder(Parts.label(Ui.text("stations.looking"), "soft"));
    setOnMouseClicked(
        e -> {
          if (e.getClickCount() == 2) {
            go();
          }
        });
    setOnKeyPressed(
        e -> {
          if (e.getCode() == javafx.scene.input.KeyCode.ENTER) {
            go();
          }
        });
  }

  /** To the worst of the chosen row, or the one in the chosen column. */
  private void go() {
    Trouble t = getSelectionModel().getSelectedItem();
    if (t != null && !getSelectionModel().getSelectedCells().isEmpty()) {
      Object id = getSelectionModel().getSelectedCells().getFirst().getTableColumn().getUserData();
      Map.Entry<String, Conflict> at =
          t.on().containsKey(id)
              ? Map.entry((String) id, t.on().get(id))
              : t.on().entrySet().iterator().next();
      onChosen.accept(session.now().library().stations().get(at.getKey()), at.getValue());
    }
  }

  /** Looks at every station, off the interface thread; what is accepted is left out. */
  void show(Snapshot now) {
    if (now.library().equals(shown)) {
      return;
    }
    shown = now.library();
    columns(now.library(), now.words());
    Map<String, Setup> setups = session.setups();
    question.ask(new Question.Same(now.library()), asked -> troubles(now.library(), setups, asked));
  }

  private void show(List<Trouble> found) {
    getItems().setAll(found);
    getColumns().stream().skip(1).forEach(c -> c.setText(counted(c, found)));
  }

  /** A station's name, and how much blocks there. */
  private String counted(TableColumn<Trouble, ?> column, List<Trouble> found) {
    String id = (String) column.getUserData();
    long blocks =
        found.stream()
            .filter(t -> t.on().containsKey(id) && t.on().get(id).weight() == Weight.BLOCKS)
            .count();
    return Ui.text("stations.counted", session.now().library().stations().get(id).name(), blocks);
  }

  private static List<Trouble> troubles(
      Library library, Map<String, Setup> setups, Question.Asked asked) {
    Map<Object, Map<String, Conflict>> by = new LinkedHashMap<>();
    for (Station s : library.stations().values()) {
      if (!asked.isWanted()) {
        break; // nobody looks at it any more
      }
      for (Conflict c : Auditor.audit(Session.subject(library, s, setups.get(s.id())))) {
        if (!c.isAccepted(library)) {
          by.computeIfAbsent(c.topic(), t -> new LinkedHashMap<>()).put(s.id(), c);
        }
      }
    }
    List<Trouble> all = new ArrayList<>();
    by.values()
        .forEach(
            on ->
                all.add(
                    new Trouble(
                        on.values().stream()
                            .min(Comparator.comparing(Conflict::weight))
                            .orElseThrow(),
                        on)));
    all.sort(
        Comparator.comparing((Trouble t) -> t.worst().weight())
            .thenComparing(Comparator.comparingDouble((Trouble t) -> sum(t.on())).reversed()));
    return all;
  }

  private static double sum(Map<String, Conflict> on) {
    return on.values().stream().mapToDouble(c -> c.loss().value()).sum();
  }

  private void columns(Library library, Words words) {
    getColumns().clear();
    getSelectionModel().setCellSelectionEnabled(true);
    TableColumn<Trouble, Trouble> what = new TableColumn<>(Ui.text("stations.what"));
    what.setPrefWidth(430);
    what.setCellValueFactory(c -> new SimpleObjectProperty<>(c.getValue()));
    what.setCellFactory(
        c ->
            new TableCell<>() {
              @Override
              protected void updateItem(Trouble t, boolean empty) {
                super.updateItem(t, empty);
                setGraphic(empty || t == null ? null : named(t, words));
              }
            });
    getColumns().add(what);
    for (Station s : library.stations().values()) {
      TableColumn<Trouble, Conflict> on = new TableColumn<>(s.name());
      on.setUserData(s.id());
      on.setPrefWidth(180);
      on.setCellValueFactory(c -> new SimpleObjectProperty<>(c.getValue().on().get(s.id())));
      on.setComparator(Comparator.comparing(Stations::rank));
      on.setCellFactory(
          c ->
              new TableCell<>() {
                @Override
                protected void updateItem(Conflict conflict, boolean empty) {
                  super.updateItem(conflict, empty);
                  setGraphic(empty || conflict == null ? null : brief(conflict, words));
                  Tips.on(this, () -> empty || conflict == null ? "" : words.sentence(conflict));
                }
              });
      getColumns().add(on);
    }
  }

  private static int rank(Conflict c) {
    return c == null ? Weight.values().length : c.weight().ordinal();
  }

  private static Node named(Trouble t, Words words) {
    Label kind = Parts.label(Words.kind(t.worst().kind()), "strong");
    kind.setMinWidth(USE_PREF_SIZE);
    Label says = Parts.label(words.sentence(t.worst()), "soft");
    Tips.on(says, says.getText());
    HBox box = new HBox(10, kind, says);
    box.setAlignment(Pos.CENTER_LEFT);
    return box;
  }

  /** How heavy it is there, and why. */
  private static Node brief(Conflict c, Words words) {
    Label why = Parts.label(words.brief(c), Marks.style(c.weight()));
    HBox box = new HBox(6, new StackPane(Marks.of(c.weight())), why);
    box.setAlignment(Pos.CENTER_LEFT);
    box.setAccessibleText(Words.weight(c.weight()) + ": " + why.getText());
    return box;
  }
}
