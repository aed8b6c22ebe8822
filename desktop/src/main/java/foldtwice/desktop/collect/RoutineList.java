package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.routine.Routine;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The routines under their headings, found as typed. */
final class RoutineList extends VBox {

  /** A heading, or a routine under it. */
  private sealed interface Item {
    record Heading(String text) implements Item {}

    record One(Routine routine, int bindings) implements Item {}
  }

  private final TextField filter = new TextField();
  private final ListView<Item> list = new ListView<>();
  private Snapshot now;
  private String chosen = "";
  private boolean filling;

  RoutineList(Consumer<String> onChosen) {
    getStyleClass().add("routine-list");
    filter.setId("routine-filter");
    filter.setPromptText(Ui.text("collect.filter"));
    filter.textProperty().addListener((o, a, b) -> fill());
    filter.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.DOWN || e.getCode() == KeyCode.ENTER) {
            list.requestFocus();
            list.getSelectionModel().select(firstRoutine());
            e.consume();
          }
        });
    list.setId("routines");
    list.setAccessibleText(Ui.text("collect.routines"));
    list.setFixedCellSize(27);
    list.setCellFactory(v -> new Cell());
    list.setPlaceholder(Parts.wrapped(Ui.text("collect.nonefound"), "soft"));
    list.getSelectionModel()
        .selectedItemProperty()
        .addListener(
            (o, a, item) -> {
              if (!filling && item instanceof Item.One(Routine r, int n)) {
                chosen = r.id();
                onChosen.accept(r.id());
              }
            });
    VBox.setVgrow(list, Priority.ALWAYS);
    getChildren().addAll(filter, list);
  }

  void show(Snapshot snapshot) {
    boolean same =
        now != null
            && now.library().routines() == snapshot.library().routines()
            && now.library().bindings() == snapshot.library().bindings();
    now = snapshot;
    if (!same) {
      fill();
    }
  }

  /** Chooses a routine, showing all if the filter hides it. */
  void choose(String id) {
    chosen = id;
    if (now != null && now.library().routines().containsKey(id) && indexOf(id) < 0) {
      filter.clear();
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
      if (list.getItems().get(i) instanceof Item.One(Routine r, int n) && r.id().equals(id)) {
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
    Library library = now.library();
    Map<String, Integer> uses = new HashMap<>();
    Map<String, StringBuilder> keys = new HashMap<>();
    library
        .bindings()
        .values()
        .forEach(
            b -> {
              uses.merge(b.routine(), 1, Integer::sum);
              StringBuilder words = keys.computeIfAbsent(b.routine(), id -> new StringBuilder());
              for (Trigger t : b.triggers()) {
                words.append(' ').append(Notation.write(t));
              }
            });
    List<Routine> found =
        library.routines().values().stream()
            .filter(r -> matches(r, keys.getOrDefault(r.id(), new StringBuilder()).toString()))
            .toList();
    Set<String> categories = new LinkedHashSet<>();
    found.forEach(r -> categories.add(r.category()));
    List<Item> items = new ArrayList<>();
    for (String category : categories) {
      items.add(new Item.Heading(category.isEmpty() ? Ui.text("collect.noheading") : category));
      found.stream()
          .filter(r -> r.category().equals(category))
          .sorted(
              Comparator.comparing((Routine r) -> !r.card().pinned())
                  .thenComparing(r -> r.card().setAside()))
          .forEach(r -> items.add(new Item.One(r, uses.getOrDefault(r.id(), 0))));
    }
    filling = true;
    list.getItems().setAll(items);
    select();
    filling = false;
  }

  /** Every word typed is in the name, the heading, the application, the tags or the triggers. */
  private boolean matches(Routine r, String keys) {
    String text =
        (r.name()
                + " "
                + r.category()
                + " "
                + r.application()
                + " "
                + String.join(" ", r.card().tags())
                + (keys.isEmpty() ? " " + Ui.text("notrigger") : keys))
            .toLowerCase(Locale.ROOT);
    for (String word : filter.getText().toLowerCase(Locale.ROOT).split("\\s+")) {
      if (!text.contains(word)) {
        return false;
      }
    }
    return true;
  }

  private static final class Cell extends ListCell<Item> {
    @Override
    protected void updateItem(Item item, boolean empty) {
      super.updateItem(item, empty);
      setText(null);
      setGraphic(null);
      setDisable(false);
      getStyleClass().remove("routine-heading");
      if (empty || item == null) {
        return;
      }
      switch (item) {
        case Item.Heading(String text) -> {
          getStyleClass().add("routine-heading");
          setGraphic(Parts.label(text, "heading"));
          setDisable(true);
        }
        case Item.One(Routine r, int bindings) -> setGraphic(row(r, bindings));
      }
    }

    private static HBox row(Routine r, int bindings) {
      Label name = Parts.label(r.name(), r.card().off() || r.card().setAside() ? "soft" : "plain");
      name.setMinWidth(0);
      name.setTooltip(new Tooltip(r.name()));
      HBox row = new HBox(6, Marks.of(r), name, Parts.gap());
      flag(r).ifPresent(f -> row.getChildren().add(Parts.label(f, "soft", "small")));
      Label count = Parts.label(Integer.toString(bindings), "mono", "soft");
      count.setMinWidth(USE_PREF_SIZE);
      row.getChildren().add(count);
      row.setAlignment(Pos.CENTER_LEFT);
      return row;
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
