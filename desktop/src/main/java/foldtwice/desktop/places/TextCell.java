package foldtwice.desktop.places;

import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.parts.Tips;
import foldtwice.table.Row;
import java.util.function.IntPredicate;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** A cell of a table that is typed into; what was typed counts when it is left, but for Escape. */
final class TextCell extends TableCell<Row, String> {

  /** What the next cell that is edited begins with instead of what stands in it. */
  private static final String BEGINS = "begins";

  /** Hears where a cell was left, and whether to go on to the next one. */
  interface Left {
    void left(int row, TableColumn<Row, ?> column, boolean further);
  }

  private final IntPredicate faulty;
  private final Left after;
  private TextField field;

  /**
   * @param faulty whether what stands in a row cannot be read
   * @param after is told when it is left by the keyboard
   */
  TextCell(IntPredicate faulty, Left after) {
    this.faulty = faulty;
    this.after = after;
  }

  /**
   * Goes into a cell.
   *
   * @param begins what stands in it then; null for what it holds
   */
  static void begin(TableView<Row> table, int row, TableColumn<Row, ?> column, String begins) {
    table.getProperties().put(BEGINS, begins == null ? "" : begins);
    table.edit(row, column);
    table.getProperties().remove(BEGINS);
  }

  @Override
  public void startEdit() {
    super.startEdit();
    if (!isEditing()) {
      return;
    }
    Object begins = getTableView().getProperties().get(BEGINS);
    boolean over = begins instanceof String text && !text.isEmpty();
    field = Skins.on(new TextField(over ? (String) begins : getItem()));
    field.getStyleClass().add("cell-field");
    field.setAccessibleText(getTableColumn().getText());
    field.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
    field
        .focusedProperty()
        .addListener(
            (o, a, has) -> {
              if (!has && field != null) {
                commitEdit(field.getText());
              }
            });
    setText(null);
    setGraphic(field);
    field.applyCss(); // its skin selects all when it comes to be
    field.requestFocus();
    if (over) {
      field.end();
    } else {
      field.selectAll();
    }
  }

  private void pressed(KeyEvent e) {
    switch (e.getCode()) {
      case ESCAPE -> {
        cancelEdit();
        after.left(getIndex(), getTableColumn(), false);
        e.consume();
      }
      case ENTER, TAB -> {
        int row = getIndex();
        commitEdit(field.getText());
        after.left(row, getTableColumn(), e.getCode() == KeyCode.TAB);
        e.consume();
      }
      default -> {} // typed
    }
  }

  @Override
  public void commitEdit(String text) {
    field = null; // it loses the keys by this, which is no second time
    super.commitEdit(text);
  }

  @Override
  public void cancelEdit() {
    field = null;
    super.cancelEdit();
    setGraphic(null);
    setText(getItem());
  }

  @Override
  protected void updateItem(String text, boolean none) {
    super.updateItem(text, none);
    Styles.set(this, "faulty", false);
    Tips.on(this, none || isEditing() || text == null ? "" : text);
    if (none || isEditing()) {
      setText(null);
      setGraphic(isEditing() ? field : null);
      return;
    }
    setGraphic(null);
    setText(text);
    if (faulty.test(getIndex())) {
      getStyleClass().add("faulty");
    }
  }
}
