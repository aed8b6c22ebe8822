package foldtwice.desktop.standin;

import foldtwice.desktop.parts.Skins;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Value.Length;
import foldtwice.standin.tagpress.Box;
import foldtwice.standin.tagpress.Sheet;
import foldtwice.standin.tagpress.Tagpress;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;

/** A label sheet, drawn to scale, with rulers in the program's unit. */
final class SheetPicture extends Picture {

  private static final double RULER = 20;

  /** Small marks from one numbered mark of a ruler to the next. */
  private static final int PARTS = 5;

  /** A box lower than this shows a bar in place of its text. */
  private static final double READABLE = 14;

  /** How much of a sheet a preview shows across. */
  private static final double NEAR_MM = 105;

  /** And at least how much down. */
  private static final double NEAR_DOWN_MM = 38;

  private final Tagpress program;
  private final boolean rulers;
  private Sheet before;

  SheetPicture(Tagpress program, boolean rulers) {
    this.program = program;
    this.rulers = rulers;
    getStyleClass().add("label-desk");
  }

  /** Draws the sheet as it is, with dashed outlines where boxes were. */
  void show(Sheet previous) {
    before = previous;
    redraw();
  }

  @Override
  protected void draw() {
    double edge = rulers ? RULER : 8;
    double perMm =
        Math.min(
            (getWidth() - edge - 12) / Sheet.WIDTH_MM, (getHeight() - edge - 12) / Sheet.HEIGHT_MM);
    if (perMm <= 0) {
      return;
    }
    perMm *= rulers ? program.zoom() / 100.0 : 1;
    double left = Math.max(edge, edge + (getWidth() - edge - Sheet.WIDTH_MM * perMm) / 2);
    double top = edge + 4;
    Optional<Box> focus = program.document().selectedBoxes().stream().findFirst();
    if (!rulers && focus.isPresent()) { // close to what is selected
      perMm = Math.min(getWidth() / NEAR_MM, getHeight() / NEAR_DOWN_MM);
      left = Math.min(edge, 24 - (mm(focus.get().x()) - 8) * perMm);
      top = Math.min(edge, getHeight() / 2 - (mm(focus.get().y()) + 6) * perMm);
    }
    Rectangle paper = new Rectangle(left, top, Sheet.WIDTH_MM * perMm, Sheet.HEIGHT_MM * perMm);
    paper.getStyleClass().add("label-paper");
    clickable(paper, "");
    getChildren().add(paper);
    double right = left + Sheet.WIDTH_MM * perMm;
    double bottom = top + Sheet.HEIGHT_MM * perMm;
    cut(new Line((left + right) / 2, top, (left + right) / 2, bottom));
    cut(new Line(left, (top + bottom) / 2, right, (top + bottom) / 2));
    Sheet sheet = program.document();
    for (Box box : sheet.boxes()) {
      Optional<Box> was = before == null ? Optional.empty() : before.box(box.number());
      if (was.isPresent() && !was.get().equals(box)) {
        getChildren().add(outline(was.get(), left, top, perMm, "was"));
      }
    }
    for (Box box : sheet.boxes()) {
      draw(box, sheet.selected().contains(box.number()), left, top, perMm);
    }
    if (rulers) {
      rulers(left, top, perMm);
    } else if (focus.isPresent() && before != null) {
      Box now = focus.get();
      double x = left + mm(now.x()) * perMm;
      double y = top + mm(now.y()) * perMm;
      before.box(now.number()).ifPresent(was -> tell(was, now, x, y));
    }
  }

  /** Writes above a box where it came from. */
  private void tell(Box was, Box now, double x, double y) {
    LengthUnit unit = program.unit();
    List<String> moves = new ArrayList<>();
    if (was.x().compareTo(now.x()) != 0) {
      moves.add(move("x", was.left(unit), now.left(unit)));
    }
    if (was.y().compareTo(now.y()) != 0) {
      moves.add(move("y", was.top(unit), now.top(unit)));
    }
    if (!moves.isEmpty()) {
      Text text = new Text(x, y - 5, String.join("   ", moves) + " " + unit.symbol());
      add(text, "moved-text");
    }
  }

  private static String move(String axis, Length was, Length now) {
    return axis + " " + Tagpress.shown(was) + " \u2192 " + Tagpress.shown(now);
  }

  /** Where the labels are cut apart. */
  private void cut(Line line) {
    line.getStrokeDashArray().setAll(2.0, 4.0);
    add(line, "ruler");
  }

  private void draw(Box box, boolean selected, double left, double top, double perMm) {
    Rectangle outline = outline(box, left, top, perMm, selected ? "selected" : "plain");
    outline.setId("box-" + box.number());
    clickable(outline, "box " + box.number());
    getChildren().add(outline);
    boolean editing = program.editing().filter(n -> n == box.number()).isPresent();
    if (outline.getHeight() < READABLE) {
      Rectangle bar =
          new Rectangle(
              outline.getX() + 4,
              outline.getY() + outline.getHeight() / 2 - 1.5,
              Math.max(4, outline.getWidth() * 0.6),
              3);
      bar.setMouseTransparent(true); // it stands for the text; the box is clicked
      add(bar, "text-bar");
    } else {
      Label text =
          Skins.on(
              new Label(
                  box.text() + (editing ? "\u2502" : "") + (box.locked() ? "  (locked)" : "")));
      text.getStyleClass().add("box-text");
      text.setMouseTransparent(true);
      text.relocate(
          outline.getX() + 4, outline.getY() + Math.max(0, (outline.getHeight() - 15) / 2));
      text.setMaxWidth(Math.max(10, outline.getWidth() - 6));
      getChildren().add(text);
    }
  }

  private static Rectangle outline(Box box, double left, double top, double perMm, String style) {
    Rectangle r =
        new Rectangle(
            left + mm(box.x()) * perMm,
            top + mm(box.y()) * perMm,
            mm(box.width()) * perMm,
            mm(box.height()) * perMm);
    r.getStyleClass().addAll("box", style);
    return r;
  }

  private static double mm(BigDecimal grid) {
    return Length.ofGrid(grid, LengthUnit.MM).amount().doubleValue();
  }

  private void rulers(double left, double top, double perMm) {
    LengthUnit unit = program.unit();
    double perUnit =
        perMm * new Length(BigDecimal.ONE, unit).in(LengthUnit.MM).amount().doubleValue();
    int step = 1;
    for (int factor : new int[] {1, 2, 5, 10, 20, 50, 100, 200}) {
      step = factor;
      if (perUnit * factor >= 40) {
        break;
      }
    }
    double part = step * perUnit / PARTS;
    for (int i = 0; i * part <= Sheet.WIDTH_MM * perMm + 0.5; i++) {
      add(new Line(left + i * part, top - 3, left + i * part, top - 1), "ruler");
    }
    for (int i = 0; i * part <= Sheet.HEIGHT_MM * perMm + 0.5; i++) {
      add(new Line(left - 3, top + i * part, left - 1, top + i * part), "ruler");
    }
    for (int i = 0; i * perUnit <= Sheet.WIDTH_MM * perMm + 0.5; i += step) {
      double x = left + i * perUnit;
      add(new Line(x, top - 6, x, top - 1), "ruler");
      Text number = new Text(x + 3, top - 7, Integer.toString(i));
      add(number, "ruler-text");
    }
    for (int i = step; i * perUnit <= Sheet.HEIGHT_MM * perMm + 0.5; i += step) {
      double y = top + i * perUnit;
      add(new Line(left - 6, y, left - 1, y), "ruler");
      Text number = new Text(0, 0, Integer.toString(i));
      number.getStyleClass().add("ruler-text");
      number.relocate(left - 9 - 7.0 * number.getText().length(), y - 8);
      getChildren().add(number);
    }
  }

  private void add(Node node, String style) {
    node.getStyleClass().add(style);
    getChildren().add(node);
  }
}
