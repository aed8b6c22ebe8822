package foldtwice.desktop.parts;

import java.util.List;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.ListView;

/**
 * Rows for a pane: each by itself while they are few; many in a list that makes only those that are
 * seen. A run may have a hundred thousand, and each that is laid out takes its time.
 */
public final class FewOrMany {

  /** More are put into a list. */
  static final int FEW = 120;

  /** How high the list is, in pixels. */
  private static final double HIGH = 340;

  private FewOrMany() {}

  /**
   * @param row makes the row of one, when it is to be seen
   * @param says what they are, for screen readers
   */
  public static <T> List<Node> rows(List<T> all, Function<T, Node> row, String says) {
    if (all.size() <= FEW) {
      return all.stream().map(row).toList();
    }
    ListView<T> list = new ListView<>();
    list.getStyleClass().add("plain-rows");
    list.setAccessibleText(says);
    list.setMinHeight(HIGH);
    list.setPrefHeight(HIGH);
    list.setCellFactory(l -> Skins.on(new Cell<>(row)));
    list.getItems().setAll(all);
    return List.of(list);
  }

  private static final class Cell<T> extends WrappingCell<T> {

    private final Function<T, Node> row;

    Cell(Function<T, Node> row) {
      this.row = row;
    }

    @Override
    protected void updateItem(T item, boolean empty) {
      super.updateItem(item, empty);
      setGraphic(empty || item == null ? null : row.apply(item));
    }
  }
}
