package foldtwice.desktop.payback;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Ui;
import foldtwice.effort.Span;
import foldtwice.words.EffortWords;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;

/** What saves most, as bars; what costs time goes the other way. */
final class Shares extends VBox {

  private static final double BAR = 84;

  /** In less, the note gives way to the name, in pixels. */
  private static final double NARROW = 400;

  private final ListView<Entry> list = new ListView<>();
  private final Label heading = Parts.label("", "heading");
  private double most = 1;
  private boolean filling;

  Shares(Consumer<Entry> onChosen) {
    super(6);
    getStyleClass().add("payback-card");
    list.setId("payback-shares");
    list.setAccessibleText(Ui.text("payback.most"));
    list.setFixedCellSize(30);
    list.setCellFactory(v -> Skins.on(new Cell()));
    list.setPlaceholder(Parts.wrapped(Ui.text("payback.nothing"), "soft"));
    list.getSelectionModel()
        .selectedItemProperty()
        .addListener(
            (o, was, is) -> {
              if (is != null && !filling) {
                onChosen.accept(is);
              }
            });
    VBox.setVgrow(list, Priority.ALWAYS);
    getChildren().addAll(heading, list);
  }

  void takeKeys() {
    list.requestFocus();
  }

  Optional<Entry> chosen() {
    return Optional.ofNullable(list.getSelectionModel().getSelectedItem());
  }

  /** Shows other lines; the one that was chosen stays so. */
  void show(Entry.By by, List<Entry> entries) {
    heading.setText(Ui.text("payback.by." + by));
    most =
        Math.max(
            1,
            entries.stream()
                .flatMap(e -> e.aWeek().stream())
                .mapToDouble(s -> Math.abs(s.mid()))
                .max()
                .orElse(1));
    Optional<String> was = chosen().map(e -> e.by() + e.id());
    filling = true;
    list.getItems().setAll(entries);
    int at = 0;
    for (int i = 0; i < entries.size(); i++) {
      if (was.equals(Optional.of(entries.get(i).by() + entries.get(i).id()))) {
        at = i;
      }
    }
    filling = false;
    if (!entries.isEmpty()) {
      list.getSelectionModel().clearAndSelect(at);
    }
  }

  /** Chooses one by its id. */
  void choose(String id) {
    list.getItems().stream()
        .filter(e -> e.id().equals(id))
        .findFirst()
        .ifPresent(
            e -> {
              list.getSelectionModel().select(e);
              list.scrollTo(e);
            });
  }

  private final class Cell extends ListCell<Entry> {
    @Override
    protected void updateItem(Entry e, boolean empty) {
      super.updateItem(e, empty);
      setText(null);
      if (empty || e == null) {
        setGraphic(null);
        return;
      }
      Label name = Parts.label(e.name());
      name.setMinWidth(0);
      name.setMaxWidth(Double.MAX_VALUE);
      HBox.setHgrow(name, Priority.ALWAYS);
      Label time = Parts.label(e.aWeek().map(s -> EffortWords.time(s.mid())).orElse("?"), "mono");
      time.setMinWidth(76);
      time.setAlignment(Pos.CENTER_RIGHT);
      Label note = Parts.label(e.note(), "soft");
      note.setMinWidth(84);
      note.setAlignment(Pos.CENTER_RIGHT);
      note.managedProperty().bind(note.visibleProperty());
      note.visibleProperty().bind(list.widthProperty().greaterThan(NARROW));
      HBox row = new HBox(8, name, e.aWeek().map(this::bar).orElseGet(Pane::new), time, note);
      row.setAlignment(Pos.CENTER_LEFT);
      row.setPrefWidth(100);
      setGraphic(row);
      setAccessibleText(
          Ui.text(
              "payback.row",
              e.name(),
              e.aWeek().map(EffortWords::span).orElse(Ui.text("payback.unknown")),
              e.note()));
    }

    /** As long as what it saves, with an edge where its least and most lie. */
    private Pane bar(Span s) {
      Pane pane = new Pane();
      pane.setMinSize(BAR, 16);
      pane.setMaxSize(BAR, 16);
      double x = Math.abs(s.mid()) / most * (BAR - 4);
      Rectangle wash = new Rectangle(0, 2, Math.max(1, x), 12);
      Line edge = new Line(Math.max(1, x), 0, Math.max(1, x), 16);
      boolean costs = s.mid() < 0;
      wash.getStyleClass().add(costs ? "payback-bar-costs" : "payback-bar");
      edge.getStyleClass().add(costs ? "payback-edge-costs" : "payback-edge");
      pane.getChildren().addAll(wash, edge);
      return pane;
    }
  }
}
