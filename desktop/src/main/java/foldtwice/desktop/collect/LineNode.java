package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Children;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Ui;
import foldtwice.routine.Line;
import foldtwice.words.StepWords;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextFlow;

/**
 * A line of the outline. The same node shows one line after the other: nodes cost more than data.
 */
final class LineNode extends HBox {

  private static final double NUMBER = 34;
  private static final double VERB = 86;
  private static final double PREVIEW = 190;

  private final Label number = Parts.label("", "mono", "soft", "step-number");
  private final Label verb = Parts.label("", "strong");
  private final TextFlow text = StepText.flow();
  private final Label preview = Parts.label("", "mono", "soft");
  private final Label comment = Parts.label("", "soft", "step-comment");
  private final Label off = Parts.label(Ui.text("collect.off"), "soft", "small");
  private String says = "";

  /**
   * Shows a line.
   *
   * @param reads what it {@link OutlineRow#reads} as
   */
  LineNode(OutlineRow.Step step, List<String> reads) {
    super(8);
    number.setMinWidth(NUMBER);
    verb.setMinWidth(VERB);
    verb.setPrefWidth(VERB);
    HBox.setHgrow(text, Priority.ALWAYS);
    Tips.on(preview, Ui.text("collect.preview"));
    preview.setMinWidth(0);
    preview.setMaxWidth(PREVIEW);
    comment.setMinWidth(0);
    setAlignment(Pos.CENTER_LEFT);
    getStyleClass().add("step-row");
    show(step, reads);
  }

  /** Shows another line, with the same nodes. */
  void show(OutlineRow.Step step, List<String> reads) {
    Line line = step.row().line();
    number.setText(step.number());
    verb.setText(StepWords.verb(line.step()));
    if (!reads.getFirst().equals(says)) {
      says = reads.getFirst();
      text.getChildren().setAll(StepText.parts(says));
    }
    preview.setText(reads.getLast());
    comment.setText(line.comment());
    List<Node> parts = new ArrayList<>(List.of(number, verb, text));
    add(parts, preview, !reads.getLast().isEmpty());
    add(parts, comment, !line.comment().isEmpty());
    add(parts, off, !line.on());
    Children.follow(getChildren(), parts, part -> 1);
    Styles.set(this, "step-off", !line.on());
    setId("step-" + step.number());
    Styles.set(this, "step-inside", step.row().depth() > 0);
    OutlineRow.restyle(this, step);
    VBox.setMargin(this, new Insets(0, 0, 0, step.row().depth() * OutlineRow.INDENT));
  }

  private static void add(List<Node> parts, Node part, boolean wanted) {
    if (wanted) {
      parts.add(part);
    }
  }
}
