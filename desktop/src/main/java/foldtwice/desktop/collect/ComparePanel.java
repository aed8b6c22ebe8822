package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.parts.WrappingCell;
import foldtwice.desktop.session.Background;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Ui;
import foldtwice.outline.Comparison;
import foldtwice.routine.Routine;
import foldtwice.words.RoutineRows;
import foldtwice.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Two routines of any kind, or two states of one, side by side; what differs is marked. */
final class ComparePanel extends VBox {

  /** A routine as it is or was. */
  record State(String name, Routine routine) {}

  private final Words words;
  private final Question<List<Comparison.Pair<RoutineRows.Row>>> question;
  private final Label count = Parts.label("", "soft");
  private final ListView<Comparison.Pair<RoutineRows.Row>> rows = new ListView<>();
  private final ComboBox<State> left = new ComboBox<>();
  private final ComboBox<State> right = new ComboBox<>();

  /**
   * @param states what can be held against each other, the one in view first, then the nearest
   */
  ComparePanel(List<State> states, Words words, Background background, Runnable close) {
    this.words = words;
    question = background.question(Background.Lane.WORK, this::show, count::setText);
    setId("compare");
    setSpacing(8);
    side(left, "compare-left", "compare.left", states);
    side(right, "compare-with", "compare.right", states);
    left.setValue(states.getFirst());
    right.setValue(states.get(Math.min(1, states.size() - 1)));
    Label beside = Parts.label(Ui.text("compare.with"), "soft");
    beside.setMinWidth(USE_PREF_SIZE);
    HBox head =
        new HBox(
            8,
            left,
            beside,
            right,
            Parts.gap(),
            Parts.button("compare-close", Ui.text("compare.close"), close));
    head.setAlignment(Pos.CENTER_LEFT);
    count.setId("compare-count");
    rows.setId("compared");
    rows.getStyleClass().add("plain-rows");
    rows.setAccessibleText(Ui.text("compare.rows"));
    rows.setCellFactory(list -> Skins.on(new Cell()));
    VBox.setVgrow(rows, Priority.ALWAYS);
    getChildren().addAll(head, count, rows);
    compare();
  }

  private void side(ComboBox<State> box, String id, String says, List<State> states) {
    box.setId(id);
    box.setAccessibleText(Ui.text(says));
    box.getItems().setAll(states);
    box.setMinWidth(90);
    box.setMaxWidth(230);
    Parts.shows(box, State::name);
    Parts.onChosen(box, this::compare);
  }

  private void compare() {
    Routine one = left.getValue().routine();
    Routine other = right.getValue().routine();
    question.ask(
        List.of(new Question.Same(one), new Question.Same(other)),
        () ->
            Comparison.of(
                RoutineRows.of(one, words), RoutineRows.of(other, words), RoutineRows.Row::kind));
  }

  private void show(List<Comparison.Pair<RoutineRows.Row>> pairs) {
    long differing = pairs.stream().filter(p -> !p.same()).count();
    count.setText(differing == 0 ? Ui.text("compare.same") : Ui.text("compare.differ", differing));
    rows.getItems().setAll(pairs);
  }

  /** A row of one beside its counterpart; as high as the longer text. */
  private static final class Cell extends WrappingCell<Comparison.Pair<RoutineRows.Row>> {

    private final Label one = side();
    private final Label other = side();
    private final GridPane both = new GridPane(8, 0);

    Cell() {
      both.getStyleClass().add("why-row");
      ColumnConstraints half = new ColumnConstraints();
      half.setPercentWidth(50);
      both.getColumnConstraints().addAll(half, half);
      both.addRow(0, one, other);
    }

    private static Label side() {
      Label label = Parts.wrapped("");
      label.setMaxWidth(Double.MAX_VALUE);
      return label;
    }

    @Override
    protected void updateItem(Comparison.Pair<RoutineRows.Row> pair, boolean empty) {
      super.updateItem(pair, empty);
      if (empty || pair == null) {
        setGraphic(null);
        setAccessibleText(null);
        return;
      }
      fill(one, pair.left(), pair.same());
      fill(other, pair.right(), pair.same());
      setAccessibleText(
          pair.same() ? one.getText() : Ui.text("compare.row", one.getText(), other.getText()));
      setGraphic(both);
    }

    private static void fill(Label label, Optional<RoutineRows.Row> row, boolean same) {
      label.setText(row.map(RoutineRows.Row::shown).orElse(""));
      Styles.set(label, "differs", !same && row.isPresent());
      Styles.set(label, "absent", !same && row.isEmpty());
    }
  }
}
