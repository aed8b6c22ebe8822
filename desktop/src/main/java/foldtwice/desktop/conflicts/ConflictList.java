package foldtwice.desktop.conflicts;

import foldtwice.conflict.Conflict;
import foldtwice.desktop.parts.Batched;
import foldtwice.desktop.parts.Lists;
import foldtwice.desktop.parts.Marks;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.SelectionMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The conflicts, ranked, in groups with a heading each. */
final class ConflictList extends ListView<ConflictList.Row> {

  /** Room for a long sentence, in pixels. */
  private static final double TWO_LINES = 36;

  /** A row: a heading, or a conflict. */
  sealed interface Row {
    record Heading(String text, int count) implements Row {}

    record One(Conflict conflict) implements Row {}
  }

  /** Kept for the bar that scrolls, in pixels. */
  private static final double BAR = 16;

  /** So many are held against each other. */
  private static final int FEW = 8;

  private Snapshot now;
  private Optional<Filled> filled = Optional.empty();

  ConflictList() {
    setId("conflicts");
    setAccessibleText(Ui.text("tab.conflicts"));
    setItems(new Batched<>());
    getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
    setCellFactory(v -> Skins.on(new Cell()));
    setPlaceholder(Parts.wrapped(Ui.text("conflicts.none"), "soft"));
    widthProperty().addListener(o -> refresh()); // as high as it is wide
  }

  /** Shows conflicts, keeping those chosen that are still there. Costs a pass over them. */
  void show(Snapshot snapshot, List<Conflict> conflicts, Grouping grouping, String filter) {
    List<Conflict> chosen = chosen();
    boolean same = filled.isPresent() && filled.get().isSame(snapshot, conflicts, grouping, filter);
    boolean sameNames =
        now != null
            && Question.Same.is(now.library(), snapshot.library())
            && Question.Same.is(now.keymap().layout(), snapshot.keymap().layout());
    now = snapshot;
    filled = Optional.of(new Filled(snapshot.library(), conflicts, grouping, filter));
    if (!same) {
      fill(rows(conflicts, grouping, filter), chosen);
    }
    if (!sameNames) {
      refresh();
    }
  }

  /** What the rows were made from. */
  private record Filled(
      Library library, List<Conflict> conflicts, Grouping grouping, String filter) {

    /** True when other names of bindings at most would make them otherwise. */
    boolean isSame(Snapshot now, List<Conflict> other, Grouping by, String typed) {
      return conflicts == other
          && grouping == by
          && by != Grouping.ROUTINE
          && filter.isBlank()
          && typed.isBlank()
          && library.applications() == now.library().applications()
          && library.routines() == now.library().routines()
          && library.surfaces() == now.library().surfaces();
    }
  }

  private List<Row> rows(List<Conflict> conflicts, Grouping grouping, String filter) {
    Function<Conflict, String> group = grouping.of(now);
    Map<String, List<Row>> groups = new LinkedHashMap<>();
    for (Conflict c : conflicts) {
      if (matches(c, filter)) {
        groups.computeIfAbsent(group.apply(c), g -> new ArrayList<>()).add(new Row.One(c));
      }
    }
    List<Row> rows = new ArrayList<>();
    groups.forEach(
        (name, some) -> {
          rows.add(new Row.Heading(name, some.size()));
          rows.addAll(some);
        });
    return rows;
  }

  /** Tells whether the trouble was chosen; a few are held against each, many looked up. */
  private static Predicate<Conflict> stays(List<Conflict> chosen) {
    if (chosen.size() <= FEW) {
      return c -> isTopicOfAny(c, chosen);
    }
    Set<Object> topics = chosen.stream().map(Conflict::topic).collect(Collectors.toSet());
    return c -> topics.contains(c.topic());
  }

  private static boolean isTopicOfAny(Conflict one, List<Conflict> some) {
    for (Conflict c : some) {
      if (one.isTopicOf(c)) {
        return true;
      }
    }
    return false;
  }

  private void fill(List<Row> rows, List<Conflict> chosen) {
    getSelectionModel().clearSelection();
    Lists.follow(getItems(), rows);
    if (!chosen.isEmpty()) {
      Predicate<Conflict> stays = stays(chosen);
      for (int i = 0; i < rows.size(); i++) {
        if (rows.get(i) instanceof Row.One(Conflict c) && stays.test(c)) {
          getSelectionModel().select(i);
        }
      }
    }
    if (getSelectionModel().isEmpty() && rows.size() > 1) {
      getSelectionModel().select(1);
    }
  }

  private boolean matches(Conflict c, String filter) {
    if (filter.isBlank()) {
      return true;
    }
    String all =
        (Words.kind(c.kind()) + " " + now.words().sentence(c) + " " + Words.weight(c.weight()))
            .toLowerCase(Locale.ROOT);
    for (String word : filter.toLowerCase(Locale.ROOT).strip().split("\\s+")) {
      if (!all.contains(word)) {
        return false;
      }
    }
    return true;
  }

  /** Those that are chosen, in the order of the list. */
  List<Conflict> chosen() {
    return getSelectionModel().getSelectedItems().stream()
        .flatMap(r -> r instanceof Row.One(Conflict c) ? Stream.of(c) : Stream.empty())
        .toList();
  }

  /** Those in the list that come from the same trigger of the same owner as one of them. */
  List<Conflict> ofOneCause(Conflict one) {
    List<Conflict> all = new ArrayList<>();
    for (Row r : getItems()) {
      if (r instanceof Row.One(Conflict c) && c.hasCauseOf(one)) {
        all.add(c);
      }
    }
    return all;
  }

  /** Chooses all of these that are in the list. */
  void chooseAll(List<Conflict> some) {
    Set<Object> topics = some.stream().map(Conflict::topic).collect(Collectors.toSet());
    int[] rows =
        IntStream.range(0, getItems().size())
            .filter(
                i -> getItems().get(i) instanceof Row.One(Conflict c) && topics.contains(c.topic()))
            .toArray();
    if (rows.length > 0) {
      getSelectionModel().clearSelection();
      getSelectionModel().selectIndices(rows[0], rows);
    }
  }

  /** True when the conflict with this trouble is in the list. */
  boolean shows(Object topic) {
    return getItems().stream()
        .anyMatch(r -> r instanceof Row.One(Conflict c) && c.topic().equals(topic));
  }

  /** Chooses the conflict with this trouble, if it is in the list. */
  void choose(Object topic) {
    for (int i = 0; i < getItems().size(); i++) {
      if (getItems().get(i) instanceof Row.One(Conflict c) && c.topic().equals(topic)) {
        getSelectionModel().clearAndSelect(i);
        scrollTo(Math.max(0, i - 2));
      }
    }
  }

  private final class Cell extends ListCell<Row> {
    @Override
    protected void updateItem(Row row, boolean empty) {
      super.updateItem(row, empty);
      setText(null);
      setGraphic(null);
      Styles.set(this, "group-heading", row instanceof Row.Heading);
      setDisable(row instanceof Row.Heading);
      if (empty || row == null) {
        return;
      }
      switch (row) {
        case Row.Heading(String text, int count) -> {
          setGraphic(
              new HBox(
                  8, Parts.label(text, "heading"), Parts.label(Integer.toString(count), "soft")));
        }
        case Row.One(Conflict c) -> setGraphic(one(c));
      }
    }

    /** As high as what it says is at the width of the list, which a list does not ask for. */
    @Override
    protected double computePrefHeight(double width) {
      if (!(getGraphic() instanceof HBox box)) {
        return super.computePrefHeight(width);
      }
      double room = getListView().getWidth() - snappedLeftInset() - snappedRightInset() - BAR;
      return snappedTopInset() + snapSizeY(box.prefHeight(room)) + snappedBottomInset();
    }

    private HBox one(Conflict c) {
      StackPane mark = new StackPane(Marks.of(c.weight()));
      mark.setMinWidth(16);
      mark.setAlignment(Pos.TOP_CENTER);
      mark.setTranslateY(4);
      Label kind = Parts.label(Words.kind(c.kind()), "strong");
      Label says = Parts.label(now.words().sentence(c), "soft");
      says.setWrapText(true);
      says.setMinWidth(0);
      says.setMaxHeight(TWO_LINES);
      Tips.on(says, says.getText());
      VBox text = new VBox(1, kind, says);
      text.setMinWidth(0);
      HBox.setHgrow(text, Priority.ALWAYS);
      HBox box = new HBox(8, mark, text);
      box.setPrefWidth(0);
      box.setAccessibleText(
          Words.weight(c.weight()) + ": " + kind.getText() + ", " + says.getText());
      return box;
    }
  }
}
