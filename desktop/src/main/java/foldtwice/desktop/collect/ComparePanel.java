package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.outline.Comparison;
import foldtwice.routine.Routine;
import foldtwice.words.RoutineRows;
import foldtwice.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Two routines of any kind, or two states of one, side by side; what differs is marked. */
final class ComparePanel extends VBox {

  /** A routine as it is or was. */
  record State(String name, Routine routine) {}

  private final Words words;
  private final VBox rows = new VBox();
  private final ComboBox<State> left = new ComboBox<>();
  private final ComboBox<State> right = new ComboBox<>();

  /**
   * @param states what can be held against each other, the one in view first, then the nearest
   */
  ComparePanel(List<State> states, Words words, Runnable close) {
    this.words = words;
    setId("compare");
    setSpacing(8);
    side(left, "compare-left", "compare.left", states);
    side(right, "compare-with", "compare.right", states);
    left.setValue(states.getFirst());
    right.setValue(states.get(Math.min(1, states.size() - 1)));
    HBox head =
        new HBox(
            8,
            left,
            Parts.label(Ui.text("compare.with"), "soft"),
            right,
            Parts.gap(),
            Parts.button("compare-close", Ui.text("compare.close"), close));
    head.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(head, rows);
    show();
  }

  private void side(ComboBox<State> box, String id, String says, List<State> states) {
    box.setId(id);
    box.setAccessibleText(Ui.text(says));
    box.getItems().setAll(states);
    box.setMaxWidth(230);
    Parts.shows(box, State::name);
    Parts.onChosen(box, this::show);
  }

  private void show() {
    rows.getChildren().clear();
    int differing = 0;
    List<Comparison.Pair<RoutineRows.Row>> pairs =
        Comparison.of(
            RoutineRows.of(left.getValue().routine(), words),
            RoutineRows.of(right.getValue().routine(), words),
            RoutineRows.Row::isLike);
    for (Comparison.Pair<RoutineRows.Row> pair : pairs) {
      differing += pair.same() ? 0 : 1;
      HBox row = new HBox(8, side(pair.left(), pair.same()), side(pair.right(), pair.same()));
      row.getStyleClass().add("why-row");
      rows.getChildren().add(row);
    }
    Label count =
        Parts.label(
            differing == 0 ? Ui.text("compare.same") : Ui.text("compare.differ", differing),
            "soft");
    count.setId("compare-count");
    rows.getChildren().addFirst(count);
  }

  private static Node side(Optional<RoutineRows.Row> row, boolean same) {
    Label label = Parts.wrapped(row.map(RoutineRows.Row::shown).orElse(""));
    label.setMaxWidth(Double.MAX_VALUE);
    label.setPrefWidth(100);
    HBox.setHgrow(label, Priority.ALWAYS);
    if (!same) {
      label.getStyleClass().add(row.isPresent() ? "differs" : "absent");
    }
    return label;
  }
}
