package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Lists;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.transformation.FilteredList;
import javafx.collections.transformation.SortedList;
import javafx.scene.control.Label;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;

/** The table of bindings. Filter, order and selection stay when the library changes. */
final class Register extends TableView<Seat> {

  private final Rows rows = new Rows(this::moves);
  private final FilteredList<Seat> filtered = new FilteredList<>(rows.all());
  private final ReadOnlyObjectWrapper<String> chosen = new ReadOnlyObjectWrapper<>("");
  private final Label nothing = Parts.wrapped("", "soft");
  private Snapshot shown;

  private final List<RowCell> cells = new ArrayList<>();

  private String application = "";
  private String filter = "";
  private boolean filling;
  private Runnable onHidden = () -> {};

  Register() {
    setId("register");
    setAccessibleText(Ui.text("bind.register"));
    SortedList<Seat> sorted = new SortedList<>(filtered);
    sorted
        .comparatorProperty()
        .bind(
            comparatorProperty()
                .map(
                    order ->
                        order.thenComparing(Comparator.comparingInt(s -> rows.place(s.row())))));
    setSortPolicy(table -> true); // what is alike stands in the order of the library
    setItems(sorted);
    setFixedCellSize(29);
    setPlaceholder(nothing);
    setColumnResizePolicy(CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
    getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
    column("trigger", 232, Comparator.comparing(Row::trigger), RowCell.Triggers::new)
        .setMinWidth(190);
    column("does", 276, Comparator.comparing(r -> r.routine() + r.arguments()), RowCell.Does::new);
    column("where", 170, Comparator.comparing(Row::place), () -> new RowCell.Plain(Row::place));
    column("readiness", 90, Comparator.comparing(Row::readiness), RowCell.Ready::new);
    column(
        "conflict",
        260,
        Comparator.comparing(this::severity),
        () -> new RowCell.Trouble(rows::trouble));
    TableColumn<Seat, Seat> used =
        column(
            "used",
            96,
            Comparator.comparing(r -> r.binding().usesPerWeek()),
            () -> new RowCell.Plain(r -> Words.number(r.binding().usesPerWeek())));
    used.getStyleClass().add("number");
    used.setSortType(TableColumn.SortType.DESCENDING);
    getSortOrder().add(used);
    getSelectionModel()
        .selectedItemProperty()
        .addListener(
            (o, old, seat) -> {
              if (!filling && seat != null) {
                chosen.set(seat.id());
              }
            });
  }

  private int severity(Row row) {
    return rows.worst(row).map(c -> c.weight().ordinal()).orElse(9);
  }

  private TableColumn<Seat, Seat> column(
      String name, double width, Comparator<Row> order, Supplier<RowCell> cell) {
    TableColumn<Seat, Seat> column = new TableColumn<>(Ui.text("col." + name));
    column.setId("col-" + name);
    column.setPrefWidth(width);
    column.setMinWidth(60);
    column.setComparator(Comparator.comparing(Seat::row, order));
    column.setReorderable(false);
    column.setCellValueFactory(c -> new SimpleObjectProperty<>(c.getValue()));
    column.setCellFactory(
        c -> {
          RowCell made = Skins.on(cell.get());
          made.on(() -> shown);
          cells.add(made);
          return made;
        });
    getColumns().add(column);
    return column;
  }

  /** Shows the bindings of a library. */
  void show(Snapshot now) {
    boolean toldAnew =
        shown == null || !Lists.isSame(shown.conflictsByBinding(), now.conflictsByBinding());
    shown = now;
    filling = true;
    try {
      if (rows.show(now)) {
        sort();
      }
      if (toldAnew) {
        tell();
      }
      cells.forEach(RowCell::look);
      nothing.setText(Ui.text(rows.all().isEmpty() ? "bind.nothing" : "bind.empty"));
      select(chosen.get());
    } finally {
      filling = false;
    }
  }

  /** What is wrong is part of no row, but may decide where it stands, and whether. */
  private void tell() {
    if (!filter.isEmpty()) {
      refilter();
    }
    if (getSortOrder().stream().anyMatch(c -> c.getId().equals("col-conflict"))) {
      sort();
    }
  }

  private void refilter() {
    filtered.setPredicate(seat -> passes(seat.row()));
  }

  private boolean passes(Row r) {
    return r.isIn(application)
        && (filter.isEmpty()
            || r.matches(filter, rows.trouble(r).map(Row.Trouble::says).orElse("")));
  }

  /** True when a row stands elsewhere than the one before it did, or only one of them is shown. */
  private boolean moves(Row was, Row is) {
    Comparator<Seat> order = getComparator();
    return passes(was) != passes(is)
        || (order != null && order.compare(new Seat(was), new Seat(is)) != 0);
  }

  /** True for a binding that is there, but that the filter hides. */
  private boolean hides(String id) {
    return rows.has(id) && getItems().stream().noneMatch(s -> s.id().equals(id));
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
    int now = getSelectionModel().getSelectedIndex();
    if (getSelectionModel().getSelectedItems().size() == 1 && isAt(now, id)) {
      return;
    }
    for (int i = 0; i < getItems().size(); i++) {
      if (isAt(i, id)) {
        getSelectionModel().clearAndSelect(i);
        return;
      }
    }
    getSelectionModel().clearSelection();
  }

  private boolean isAt(int row, String id) {
    return row >= 0 && row < getItems().size() && getItems().get(row).id().equals(id);
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
      choose(getItems().getFirst().id());
    }
  }

  /** Shows only the bindings of an application (all when empty) that match the words. */
  void filter(String application, String words) {
    this.application = application;
    this.filter = words.strip();
    filling = true;
    try {
      refilter();
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

  /** What is chosen, all of it; the one that is shown beside, where the filter hides it. */
  List<Binding> selected() {
    List<Binding> selected =
        new ArrayList<>(getSelectionModel().getSelectedItems())
            .stream().filter(Objects::nonNull).map(Seat::binding).toList();
    return selected.isEmpty()
        ? rows.of(chosen.get()).map(Row::binding).stream().toList()
        : selected;
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
                ? Optional.of(getItems().get(i).id())
                : Optional.empty();
    return at.apply(last + 1).or(() -> at.apply(last - indices.size()));
  }
}
