package foldtwice.desktop.standin;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Ui;
import foldtwice.standin.muniment.Answer;
import foldtwice.standin.muniment.Muniment;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;

/** A console: what is typed above, the answer as a table below. */
final class ConsolePicture extends Picture {

  private static final double ROW = 24;
  private static final double HEAD = 26;
  private static final double LETTER = 7.6;
  private static final int WIDEST = 34;

  private final Muniment program;
  private final boolean whole;

  /**
   * @param whole with the console; else the answer only
   */
  ConsolePicture(Muniment program, boolean whole) {
    this.program = program;
    this.whole = whole;
  }

  @Override
  protected void draw() {
    double top = whole ? Math.max(90, getHeight() * 0.3) : 0;
    if (whole) {
      boolean keys = !program.inAnswer();
      Label text = Skins.on(new Label(program.document().text() + (keys ? "\u2502" : "")));
      text.setId("console-text");
      text.getStyleClass().addAll("console-text", keys ? "keys-here" : "quiet-keys");
      text.setWrapText(true);
      clickable(text, "");
      place(text, 0, 0, getWidth(), top);
      Label schema = Parts.label(program.schema(), "schema");
      schema.setId("console-schema");
      HBox corner = new HBox(6, Parts.label(Ui.text("standin.schema"), "soft"), schema);
      corner.setMouseTransparent(true);
      corner.getStyleClass().add("corner");
      corner.autosize();
      getChildren().add(corner);
      corner.applyCss();
      double wide = corner.prefWidth(-1);
      corner.resizeRelocate(getWidth() - wide - 10, 8, wide, corner.prefHeight(-1));
    }
    Answer answer = program.document().answer();
    boolean runs = program.work().isPresent();
    if (answer.columns().isEmpty() || runs) {
      String quiet = answer.said().isEmpty() ? Ui.text("standin.noanswer") : answer.said();
      Label said = Parts.wrapped(runs ? Ui.text("standin.runs") : quiet, "soft");
      said.setId("console-said");
      said.setTextAlignment(javafx.scene.text.TextAlignment.CENTER);
      StackPane middle = new StackPane(said);
      middle.setPadding(new javafx.geometry.Insets(8));
      clickable(middle, "");
      place(middle, 0, top, getWidth(), getHeight() - top);
      return;
    }
    table(answer, top);
  }

  private void table(Answer answer, double top) {
    List<Integer> selected = program.document().selected();
    int fit = Math.max(1, (int) ((getHeight() - top - HEAD) / ROW));
    int last = selected.isEmpty() ? 1 : selected.getLast();
    int first = Math.clamp(last - fit, 0, Math.max(0, answer.rows().size() - fit));
    double x = 0;
    for (int c = 0; c < answer.columns().size() && x < getWidth(); c++) {
      boolean end = c == answer.columns().size() - 1;
      double wide = end ? Math.max(60, getWidth() - x) : width(answer, c);
      Label head = Skins.on(new Label(answer.columns().get(c)));
      head.getStyleClass().add("grid-head");
      place(head, x, top, wide, HEAD);
      for (int r = first; r < Math.min(answer.rows().size(), first + fit); r++) {
        Label cell = Skins.on(new Label(answer.rows().get(r).get(c)));
        cell.getStyleClass().addAll("grid-cell", "mono");
        if (selected.contains(r + 1)) {
          cell.getStyleClass().add("selected");
        }
        cell.setId("answer-" + (r + 1) + "-" + c);
        clickable(cell, "row " + (r + 1));
        place(cell, x, top + HEAD + (r - first) * ROW, wide, ROW);
      }
      x += wide;
    }
  }

  private static double width(Answer answer, int column) {
    int letters = answer.columns().get(column).length();
    for (List<String> row : answer.rows()) {
      letters = Math.max(letters, row.get(column).length());
    }
    return Math.min(WIDEST, letters) * LETTER + 22;
  }
}
