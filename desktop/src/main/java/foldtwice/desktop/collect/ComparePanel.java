package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.outline.Comparison;
import foldtwice.outline.Outline;
import foldtwice.routine.Routine;
import foldtwice.words.StepWords;
import foldtwice.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** Two macros side by side, what differs marked. */
final class ComparePanel extends VBox {

  private final Routine.Macro left;
  private final Words words;
  private final VBox rows = new VBox();

  /**
   * @param others what it can be compared with, the nearest first; one may be an earlier version
   */
  ComparePanel(Routine.Macro left, List<Routine.Macro> others, Words words, Runnable close) {
    this.left = left;
    this.words = words;
    setId("compare");
    setSpacing(8);
    ComboBox<Routine.Macro> with = new ComboBox<>();
    with.setId("compare-with");
    with.getItems().setAll(others);
    with.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(Routine.Macro m) {
            if (m == null) {
              return "";
            }
            return m.id().equals(left.id()) ? Ui.text("compare.before") : m.name();
          }

          @Override
          public Routine.Macro fromString(String text) {
            return with.getValue();
          }
        });
    with.setOnAction(e -> show(with.getValue()));
    HBox head =
        new HBox(
            8,
            Parts.label(left.name(), "strong"),
            Parts.label(Ui.text("compare.with"), "soft"),
            with,
            Parts.gap(),
            Parts.button("compare-close", Ui.text("compare.close"), close));
    head.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    getChildren().addAll(head, rows);
    if (!others.isEmpty()) {
      with.setValue(others.getFirst());
      show(others.getFirst());
    }
  }

  private void show(Routine.Macro right) {
    rows.getChildren().clear();
    int differing = 0;
    for (Comparison.Pair pair : Comparison.of(left.steps(), right.steps())) {
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

  private Node side(Optional<Outline.Row> row, boolean same) {
    Label label =
        Parts.wrapped(
            row.map(
                    r ->
                        r.number()
                            + "  "
                            + StepWords.verb(r.line().step())
                            + " "
                            + words.step(r.line().step()))
                .orElse(""));
    label.setMaxWidth(Double.MAX_VALUE);
    label.setPrefWidth(100);
    HBox.setHgrow(label, Priority.ALWAYS);
    if (!same) {
      label.getStyleClass().add(row.isPresent() ? "differs" : "absent");
    }
    return label;
  }
}
