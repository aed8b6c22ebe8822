package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Lists;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.routine.Routine;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The routines under their headings, found as typed. */
final class RoutineList extends VBox {

  /** A heading, or a routine under it. */
  private sealed interface Item {
    record Heading(String text) implements Item {}

    /** The place of a routine; what is told of its bindings may become other while it is shown. */
    final class One implements Item {
      private RoutineOrder.Entry entry;
      private final String figure;

      One(RoutineOrder.Entry entry, String figure) {
        this.entry = entry;
        this.figure = figure;
      }

      String id() {
        return entry.routine().id();
      }

      /** Takes an entry that is shown in the same way but for triggers; false where it is not. */
      boolean takes(RoutineOrder.Entry other, String itsFigure) {
        if (!Question.Same.is(entry.routine(), other.routine()) || !figure.equals(itsFigure)) {
          return false;
        }
        entry = other;
        return true;
      }
    }
  }

  private final TextField filter = Skins.on(new TextField());
  private final ListView<Item> list = new ListView<>();
  private final ComboBox<RoutineOrder.Shown> shown =
      chooser("routine-show", RoutineOrder.Shown.values());
  private final ComboBox<RoutineOrder.By> by = chooser("routine-by", RoutineOrder.By.values());
  private final RoutineEntries entries = new RoutineEntries();
  private final List<Cell> cells = new ArrayList<>();
  private Map<String, Item.One> ones = Map.of();
  private final Label nothing = Parts.wrapped("", "soft");
  private Snapshot now;
  private String chosen = "";
  private boolean filling;

  private final Consumer<String> onChosen;

  RoutineList(Consumer<String> onChosen) {
    this.onChosen = onChosen;
    getStyleClass().add("routine-list");
    filter.setId("routine-filter");
    Parts.prompt(filter, Ui.text("collect.filter"));
    filter.textProperty().addListener((o, a, b) -> fill());
    filter.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.DOWN || e.getCode() == KeyCode.ENTER) {
            list.requestFocus();
            list.getSelectionModel().select(firstRoutine());
            list.scrollTo(0);
            pick(); // it may have been selected before, as another one
            e.consume();
          }
        });
    list.setId("routines");
    list.setAccessibleText(Ui.text("collect.routines"));
    list.setPlaceholder(nothing);
    list.setFixedCellSize(27);
    list.setCellFactory(
        v -> {
          Cell cell = Skins.on(new Cell());
          cells.add(cell);
          return cell;
        });
    list.getSelectionModel().selectedItemProperty().addListener((o, a, item) -> pick());
    VBox.setVgrow(list, Priority.ALWAYS);
    shown.setAccessibleText(Ui.text("collect.show"));
    by.setAccessibleText(Ui.text("collect.by"));
    HBox choosers = new HBox(6, shown, by);
    getChildren().addAll(filter, choosers, list);
  }

  private <T> ComboBox<T> chooser(String id, T[] values) {
    ComboBox<T> box = new ComboBox<>();
    box.setId(id);
    box.getItems().setAll(values);
    box.setValue(values[0]);
    box.setMinWidth(0);
    box.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(box, Priority.ALWAYS);
    box.valueProperty().addListener((o, a, b) -> fill());
    return box;
  }

  /** Shows the routines there are. */
  void show(Snapshot snapshot) {
    boolean same =
        now != null
            && now.library().routines() == snapshot.library().routines()
            && now.library().bindings() == snapshot.library().bindings();
    now = snapshot;
    if (!same) {
      nothing.setText(
          Ui.text(now.library().routines().isEmpty() ? "collect.nothing" : "collect.nonefound"));
      fill();
    }
  }

  /** Chooses a routine, showing all if the filter hides it. */
  void choose(String id) {
    chosen = id;
    if (now != null && now.library().routines().containsKey(id) && indexOf(id) < 0) {
      filter.clear();
      shown.setValue(RoutineOrder.Shown.EVERYTHING);
    }
    select();
  }

  void focusList() {
    list.requestFocus();
  }

  void focusFilter() {
    filter.requestFocus();
  }

  void filter(String text) {
    filter.setText(text);
  }

  private void pick() {
    if (!filling
        && list.getSelectionModel().getSelectedItem() instanceof Item.One one
        && !one.id().equals(chosen)) {
      chosen = one.id();
      onChosen.accept(chosen);
    }
  }

  private int firstRoutine() {
    for (int i = 0; i < list.getItems().size(); i++) {
      if (list.getItems().get(i) instanceof Item.One) {
        return i;
      }
    }
    return -1;
  }

  private int indexOf(String id) {
    for (int i = 0; i < list.getItems().size(); i++) {
      if (list.getItems().get(i) instanceof Item.One one && one.id().equals(id)) {
        return i;
      }
    }
    return -1;
  }

  private void select() {
    int at = indexOf(chosen);
    if (at >= 0 && list.getSelectionModel().getSelectedIndex() != at) {
      list.getSelectionModel().select(at);
      list.scrollTo(Math.max(0, at - 6));
    }
  }

  private void fill() {
    List<Item> items = new ArrayList<>();
    Map<String, Item.One> before = ones;
    ones = new HashMap<>();
    RoutineOrder.of(
            entries.of(now), now.library(), filter.getText(), shown.getValue(), by.getValue())
        .forEach(
            (heading, entries) -> {
              if (!heading.isEmpty()) {
                items.add(new Item.Heading(heading));
              }
              entries.forEach(e -> items.add(one(e, before)));
            });
    filling = true;
    Lists.follow(list.getItems(), items);
    select();
    filling = false;
    cells.forEach(Cell::follow);
  }

  private Item.One one(RoutineOrder.Entry entry, Map<String, Item.One> before) {
    Item.One was = before.get(entry.routine().id());
    String figure = figure(entry);
    Item.One is = was != null && was.takes(entry, figure) ? was : new Item.One(entry, figure);
    ones.put(is.id(), is);
    return is;
  }

  /** What the list is ordered by, where that is a figure; else how many bindings. */
  private String figure(RoutineOrder.Entry e) {
    return by.getValue() == RoutineOrder.By.USES
        ? Words.number(e.usesPerWeek())
        : Integer.toString(e.bindings());
  }

  /** The first trigger of a routine is shown that is no longer than this; all are in the tip. */
  private static final int LONGEST = 12;

  private static final class Cell extends ListCell<Item> {

    private RoutineOrder.Entry shown;

    /** The trigger that is shown. */
    private Optional<String> key = Optional.empty();

    /** Shows another trigger where the one of its routine is another now. */
    void follow() {
      if (!isEmpty() && getItem() instanceof Item.One one && !one.entry.equals(shown)) {
        shown = one.entry;
        if (!shown.key(LONGEST).equals(key)) {
          show(one);
        }
      }
    }

    private void show(Item.One one) {
      shown = one.entry;
      key = shown.key(LONGEST);
      setGraphic(row(one));
    }

    @Override
    protected void updateItem(Item item, boolean empty) {
      super.updateItem(item, empty);
      setText(null);
      setGraphic(null);
      setDisable(false);
      setPrefWidth(0); // as wide as the list, never wider
      Styles.set(this, "routine-heading", item instanceof Item.Heading);
      if (empty || item == null) {
        return;
      }
      switch (item) {
        case Item.Heading(String text) -> {
          setGraphic(Parts.label(text, "heading"));
          setDisable(true);
        }
        case Item.One one -> show(one);
      }
    }

    private HBox row(Item.One one) {
      Routine r = one.entry.routine();
      Label name = Parts.label(r.name(), r.card().off() || r.card().setAside() ? "soft" : "plain");
      name.setMinWidth(0);
      Tips.on(name, () -> Ui.text("collect.rowsays", r.name(), keys(one.entry)));
      HBox row = new HBox(6, KindMarks.of(r), name, Parts.gap());
      flag(r)
          .ifPresent(
              f -> {
                Label flag = Parts.label(f, "soft", "small");
                flag.setMinWidth(USE_PREF_SIZE);
                row.getChildren().add(flag);
              });
      key.ifPresent(
          k -> {
            Label first = Parts.label(k, "mono", "soft", "small");
            first.setMinWidth(USE_PREF_SIZE);
            row.getChildren().add(first);
          });
      Label count = Parts.label(one.figure, "mono", "soft");
      count.setMinWidth(USE_PREF_SIZE);
      row.getChildren().add(count);
      row.setAlignment(Pos.CENTER_LEFT);
      return row;
    }

    private static String keys(RoutineOrder.Entry entry) {
      return entry.keys().isEmpty() ? Ui.text("notrigger") : String.join(", ", entry.keys());
    }

    private static Optional<String> flag(Routine r) {
      if (r.card().off()) {
        return Optional.of(Ui.text("collect.off"));
      }
      if (r.card().pinned()) {
        return Optional.of(Ui.text("collect.pinned"));
      }
      return r.card().setAside() ? Optional.of(Ui.text("collect.aside")) : Optional.empty();
    }
  }
}
