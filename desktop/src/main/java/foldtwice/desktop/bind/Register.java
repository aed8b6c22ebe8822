package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.conflict.Conflict;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Lists;
import foldtwice.desktop.parts.Marks;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.ready.Outlook;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.function.Predicate;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.collections.transformation.FilteredList;
import javafx.collections.transformation.SortedList;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;

/** The table of bindings. Filter, order and selection stay when the library changes. */
final class Register extends TableView<Row> {

  private final ObservableList<Row> rows = FXCollections.observableArrayList();
  private final FilteredList<Row> filtered = new FilteredList<>(rows);
  private final ReadOnlyObjectWrapper<String> chosen = new ReadOnlyObjectWrapper<>("");
  private Map<String, Row> byId = Map.of();
  private Snapshot shown;

  /** Those that have a numbered slot: it depends on the bindings before them. */
  private Set<String> inSlots = Set.of();

  private String application = "";
  private String filter = "";
  private boolean filling;
  private Runnable onHidden = () -> {};

  Register() {
    setId("register");
    setAccessibleText(Ui.text("bind.register"));
    SortedList<Row> sorted = new SortedList<>(filtered);
    sorted.comparatorProperty().bind(comparatorProperty());
    setItems(sorted);
    setFixedCellSize(29);
    setColumnResizePolicy(CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
    getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
    setPlaceholder(Parts.label(Ui.text("bind.empty"), "soft"));
    column(
            "trigger",
            232,
            Comparator.comparing(Row::trigger),
            (row, cell) -> {
              cell.setGraphic(triggers(row));
              cell.setTooltip(row.trigger().isEmpty() ? null : new Tooltip(row.trigger()));
            })
        .setMinWidth(190);
    column(
        "does",
        276,
        Comparator.comparing(r -> r.routine() + r.arguments()),
        (row, cell) -> cell.setGraphic(does(row)));
    column("where", 170, Comparator.comparing(Row::place), (row, cell) -> text(cell, row.place()));
    column(
        "readiness",
        90,
        Comparator.comparing(Row::readiness),
        (row, cell) -> cell.setGraphic(readiness(row)));
    column(
        "conflict",
        260,
        Comparator.comparing(Register::severity),
        (row, cell) -> cell.setGraphic(conflict(row)));
    TableColumn<Row, Row> used =
        column(
            "used",
            96,
            Comparator.comparing(r -> r.binding().usesPerWeek()),
            (row, cell) -> text(cell, Words.number(row.binding().usesPerWeek())));
    used.getStyleClass().add("number");
    used.setSortType(TableColumn.SortType.DESCENDING);
    getSortOrder().add(used);
    getSelectionModel()
        .selectedItemProperty()
        .addListener(
            (o, old, row) -> {
              if (!filling && row != null) {
                chosen.set(row.binding().id());
              }
            });
  }

  private static int severity(Row row) {
    return row.conflict().map(c -> c.weight().ordinal()).orElse(9);
  }

  private TableColumn<Row, Row> column(
      String name, double width, Comparator<Row> order, BiConsumer<Row, TableCell<Row, Row>> fill) {
    TableColumn<Row, Row> column = new TableColumn<>(Ui.text("col." + name));
    column.setId("col-" + name);
    column.setPrefWidth(width);
    column.setMinWidth(60);
    column.setComparator(order);
    column.setReorderable(false);
    column.setCellValueFactory(c -> new SimpleObjectProperty<>(c.getValue()));
    column.setCellFactory(
        c ->
            new TableCell<>() {
              @Override
              protected void updateItem(Row row, boolean empty) {
                super.updateItem(row, empty);
                setText(null);
                setGraphic(null);
                setTooltip(null);
                if (!empty && row != null) {
                  fill.accept(row, this);
                }
              }
            });
    getColumns().add(column);
    return column;
  }

  private static void text(TableCell<Row, Row> cell, String text) {
    cell.setText(text);
  }

  private Node triggers(Row row) {
    if (row.triggers().isEmpty()) {
      return Parts.label(Ui.text("notrigger"), "soft");
    }
    HBox all = new HBox(8);
    all.setAlignment(Pos.CENTER_LEFT);
    for (Trigger t : row.triggers()) {
      all.getChildren().add(KeyCaps.of(t, shown.words()));
    }
    all.setOpacity(row.binding().isOff() ? 0.45 : 1);
    return all;
  }

  private static Node does(Row row) {
    HBox does = new HBox(7, Parts.label(row.routine(), "strong"));
    does.setAlignment(Pos.CENTER_LEFT);
    if (!row.arguments().isEmpty()) {
      Label arguments = Parts.label(row.arguments(), "argument");
      arguments.setTooltip(new Tooltip(row.arguments()));
      does.getChildren().add(arguments);
    }
    if (!row.family().isEmpty()) {
      Label family = Parts.label(row.family().replaceFirst(":.*", ""), "soft");
      family.setMinWidth(USE_PREF_SIZE);
      family.setTooltip(new Tooltip(row.family()));
      does.getChildren().add(family);
    }
    return does;
  }

  private static Node readiness(Row row) {
    String style =
        switch (row.readiness()) {
          case PROVEN -> "good";
          case WORKING -> "strong";
          case OFF -> "soft";
          case DRAFT, PLACED, WAITING -> "costs";
        };
    return Parts.label(Ui.text("readiness." + row.readiness()), style);
  }

  private static Node conflict(Row row) {
    if (row.conflict().isEmpty()) {
      return Parts.label(Ui.text("clear"), "soft");
    }
    Label text = Parts.label(row.conflictText(), Marks.style(row.conflict().get().weight()));
    text.setTooltip(new Tooltip(row.conflictText()));
    HBox box = new HBox(6, Marks.of(row.conflict().get().weight()), text);
    box.setAlignment(Pos.CENTER_LEFT);
    return box;
  }

  /**
   * Shows the bindings of a library. Only what an edit touched is made anew, so that a library of
   * ten thousand bindings follows at once.
   */
  void show(Snapshot now) {
    Words words = now.words();
    List<Row> next = new ArrayList<>(now.library().bindings().size());
    Map<String, Row> fresh = new HashMap<>();
    boolean same = isSameAround(now);
    Map<String, String> families = new HashMap<>();
    for (Family f : now.library().families().values()) {
      for (int i = 0; i < f.members().size(); i++) {
        families.put(
            f.members().get(i), Ui.text("register.family", i + 1, f.members().size(), f.name()));
      }
    }
    Set<String> before = inSlots;
    inSlots = Outlook.inSlots(now.library());
    for (Binding b : now.library().bindings().values()) {
      Row was = byId.get(b.id());
      Row row =
          same && was != null && isCurrent(was, b, now, before)
              ? was
              : Row.of(b, families.getOrDefault(b.id(), ""), now, words);
      next.add(row);
      fresh.put(b.id(), row);
    }
    byId = fresh;
    shown = now;
    filling = true;
    try {
      Lists.follow(rows, next);
      select(chosen.get());
    } finally {
      filling = false;
    }
  }

  /** True when what every row is read against is as it was. */
  private boolean isSameAround(Snapshot now) {
    return shown != null
        && shown.station().equals(now.station())
        && shown.library().families().equals(now.library().families())
        && shown.library().routines().equals(now.library().routines())
        && shown.library().applications().equals(now.library().applications());
  }

  private boolean isCurrent(Row row, Binding b, Snapshot now, Set<String> before) {
    return Lists.isSame(row.binding(), b)
        && now.setup().isSameFor(b, shown.setup())
        && before.contains(b.id()) == inSlots.contains(b.id())
        && Objects.equals(shown.library().proofs().get(b.id()), now.library().proofs().get(b.id()))
        && areSame(shown.conflictsOf(b.id()), now.conflictsOf(b.id()));
  }

  private static boolean areSame(List<Conflict> a, List<Conflict> b) {
    if (a.size() != b.size()) {
      return false;
    }
    for (int i = 0; i < a.size(); i++) {
      if (!Lists.isSame(a.get(i), b.get(i))) {
        return false;
      }
    }
    return true;
  }

  /** True for a binding that is there, but that the filter hides. */
  private boolean hides(String id) {
    return rows.stream().anyMatch(r -> r.binding().id().equals(id))
        && getItems().stream().noneMatch(r -> r.binding().id().equals(id));
  }

  /** Chooses a binding; the filter is left when it hides it. */
  void choose(String id) {
    if (hides(id)) {
      onHidden.run();
    }
    select(id);
    scrollTo(Math.max(0, getSelectionModel().getSelectedIndex() - 3));
    chosen.set(id);
  }

  private void select(String id) {
    for (int i = 0; i < getItems().size(); i++) {
      if (getItems().get(i).binding().id().equals(id)) {
        if (getSelectionModel().getSelectedIndex() != i
            || getSelectionModel().getSelectedItems().size() != 1) {
          getSelectionModel().clearAndSelect(i);
        }
        return;
      }
    }
    getSelectionModel().clearSelection();
  }

  /** Chooses the next one that is so, from the chosen one on and round. */
  void chooseNext(Predicate<Binding> is) {
    int from = getSelectionModel().getSelectedIndex() + 1;
    for (int i = 0; i < getItems().size(); i++) {
      Binding b = getItems().get((from + i) % getItems().size()).binding();
      if (is.test(b)) {
        choose(b.id());
        return;
      }
    }
  }

  /** What leaves the filter, where a binding it hides is chosen. */
  void setOnHidden(Runnable leave) {
    onHidden = leave;
  }

  void chooseFirst() {
    if (!getItems().isEmpty()) {
      choose(getItems().getFirst().binding().id());
    }
  }

  /** Shows only the bindings of an application (all when empty) that match the words. */
  void filter(String application, String words) {
    this.application = application;
    this.filter = words.strip();
    filling = true;
    try {
      filtered.setPredicate(
          r -> r.isIn(this.application) && (filter.isEmpty() || r.matches(filter)));
      select(chosen.get());
    } finally {
      filling = false;
    }
  }

  String application() {
    return application;
  }

  /**
   * The id of the chosen binding; empty when there is none. It stays chosen while a filter hides
   * it.
   */
  ReadOnlyObjectProperty<String> chosenProperty() {
    return chosen.getReadOnlyProperty();
  }

  List<Binding> selected() {
    return new ArrayList<>(getSelectionModel().getSelectedItems())
        .stream().filter(java.util.Objects::nonNull).map(Row::binding).toList();
  }

  int shown() {
    return filtered.size();
  }

  /** The row after the selected ones, to be chosen when they go. */
  Optional<String> nextAfterSelected() {
    List<Integer> indices = getSelectionModel().getSelectedIndices();
    int last = indices.stream().mapToInt(i -> i).max().orElse(-1);
    Function<Integer, Optional<String>> at =
        i ->
            i >= 0 && i < getItems().size()
                ? Optional.of(getItems().get(i).binding().id())
                : Optional.empty();
    return at.apply(last + 1).or(() -> at.apply(last - indices.size()));
  }
}
