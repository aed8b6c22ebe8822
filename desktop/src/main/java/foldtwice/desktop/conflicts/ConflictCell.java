package foldtwice.desktop.conflicts;

import foldtwice.conflict.Conflict;
import foldtwice.conflict.Weight;
import foldtwice.desktop.parts.Marks;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Ui;
import foldtwice.words.Words;
import java.util.function.Supplier;
import java.util.function.ToIntFunction;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * A row of the list of conflicts. Its nodes are made once and show one row after the other: to
 * style new ones takes longer than all the rest.
 */
final class ConflictCell extends ListCell<ConflictList.Row> {

  /** Room for a long sentence, in pixels. */
  private static final double TWO_LINES = 36;

  private final Supplier<Words> words;
  private final ToIntFunction<ConflictList.Row.Heading> counts;
  private final Label group = Parts.label("", "heading");
  private final Label count = Parts.label("", "soft");
  private final VBox heading = new VBox(1, group, count);
  private final StackPane mark = new StackPane();
  private final Label kind = Parts.label("", "strong");
  private final Label says = Parts.label("", "soft");
  private final HBox one;
  private Weight marked;

  /**
   * @param words those of the moment that is shown
   * @param counts how many are under a heading
   */
  ConflictCell(Supplier<Words> words, ToIntFunction<ConflictList.Row.Heading> counts) {
    this.words = words;
    this.counts = counts;
    heading.setAlignment(Pos.BOTTOM_LEFT);
    mark.setMinWidth(16);
    mark.setAlignment(Pos.TOP_CENTER);
    mark.setTranslateY(4);
    says.setWrapText(true);
    says.setMinWidth(0);
    says.setMaxHeight(TWO_LINES);
    VBox text = new VBox(1, kind, says);
    text.setMinWidth(0);
    HBox.setHgrow(text, Priority.ALWAYS);
    one = new HBox(8, mark, text);
    setPrefWidth(0); // as wide as the list
  }

  @Override
  protected void updateItem(ConflictList.Row row, boolean empty) {
    super.updateItem(row, empty);
    show(row);
  }

  /** Says what it shows in the words of now. */
  void look() {
    show(getItem());
  }

  private void show(ConflictList.Row row) {
    boolean isHeading = row instanceof ConflictList.Row.Heading;
    Styles.set(this, "group-heading", isHeading);
    setDisable(isHeading);
    switch (row) {
      case null -> setGraphic(null);
      case ConflictList.Row.Heading of -> {
        group.setText(of.text());
        count.setText(Ui.text("conflicts.ofgroup", counts.applyAsInt(of)));
        setGraphic(heading);
      }
      case ConflictList.Row.One(Conflict c) -> {
        fill(c);
        setGraphic(one);
      }
    }
  }

  private void fill(Conflict c) {
    if (c.weight() != marked) {
      marked = c.weight();
      mark.getChildren().setAll(Marks.of(marked));
    }
    kind.setText(Words.kind(c.kind()));
    says.setText(words.get().sentence(c));
    Tips.on(says, says.getText());
    one.setAccessibleText(Words.weight(c.weight()) + ": " + kind.getText() + ", " + says.getText());
  }
}
