package foldtwice.desktop.standin;

import foldtwice.desktop.parts.Skins;
import foldtwice.standin.vasculum.Register;
import foldtwice.standin.vasculum.Register.Cell;
import foldtwice.standin.vasculum.Register.Cells;
import foldtwice.standin.vasculum.RegisterWords;
import foldtwice.standin.vasculum.Vasculum;
import javafx.scene.control.Label;

/** A register as a grid of cells; scrolls so that the selection is in view. */
final class RegisterPicture extends Picture {

  private static final double[] WIDTHS = {80, 149, 103, 72, 84, 87, 68, 85, 88};
  private static final double ROW = 27;

  /** Columns give way to a narrow window as far as this, then they are cut off. */
  private static final double NARROWEST = 0.85;

  private final Vasculum program;
  private final double scale;
  private Cells before;

  RegisterPicture(Vasculum program, double scale) {
    this.program = program;
    this.scale = scale;
  }

  /** Draws the register as it is, with a dashed outline where the selection was. */
  void show(Cells previous) {
    before = previous;
    redraw();
  }

  private double width(int column) {
    double all = java.util.Arrays.stream(WIDTHS).sum();
    return WIDTHS[column] * (scale < 1 ? scale : Math.max(NARROWEST, getWidth() / all));
  }

  @Override
  protected void draw() {
    Register register = program.document();
    Cells selection = register.selection();
    double row = ROW * scale;
    int rows = Math.max(1, (int) ((getHeight() - row) / row));
    int firstRow =
        first(selection.isEmpty() ? 0 : selection.bottom(), rows, register.rows().size());
    int firstColumn = firstColumn(selection);
    double x = 0;
    for (int c = firstColumn; c < WIDTHS.length && x < getWidth(); c++) {
      boolean keysHere = program.inHeader() && selection.left() == c;
      place(head(c, keysHere), x, 0, width(c), row);
      for (int r = firstRow;
          r < register.rows().size() && (r - firstRow + 1) * row < getHeight();
          r++) {
        place(cell(register, r, c), x, (r - firstRow + 1) * row, width(c), row);
      }
      x += width(c);
    }
  }

  private static int first(int needed, int fit, int size) {
    return Math.clamp(needed - fit + 1, 0, Math.max(0, size - fit));
  }

  /** The first column to draw, so that the selected ones are in view. */
  private int firstColumn(Cells selection) {
    int first = 0;
    if (!selection.isEmpty()) {
      double room = 0;
      for (int c = 0; c <= selection.right(); c++) {
        room += width(c);
      }
      while (room > getWidth() && first < selection.left()) {
        room -= width(first++);
      }
    }
    return first;
  }

  private static Label head(int column, boolean keysHere) {
    Label head = Skins.on(new Label(Register.COLUMNS.get(column)));
    head.getStyleClass().add("grid-head");
    if (keysHere) {
      head.getStyleClass().add("keys-here");
    }
    return head;
  }

  private Label cell(Register register, int row, int column) {
    Cell at = new Cell(row, column);
    boolean editing = program.editing().filter(at::equals).isPresent();
    Label cell =
        Skins.on(new Label(editing ? program.typed() + "\u2502" : register.text(row, column)));
    cell.getStyleClass().add("grid-cell");
    String flag = register.flags().get(at);
    if (flag != null) {
      cell.getStyleClass().add("flag-" + flag);
    }
    if (editing) {
      cell.getStyleClass().add("editing");
    } else if (register.selection().has(row, column)) {
      cell.getStyleClass().add("selected");
      if (flag != null) {
        cell.setStyle("-fx-background-color: -" + flag + ";");
      }
    } else if (before != null && before.has(row, column)) {
      cell.getStyleClass().add("was");
    }
    cell.setId("cell-" + row + "-" + column);
    clickable(cell, RegisterWords.name(at));
    return cell;
  }
}
