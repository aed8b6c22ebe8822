package foldtwice.desktop.parts;

import foldtwice.conflict.Advice;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Weight;
import foldtwice.desktop.session.Ui;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** What would follow if somebody had a trigger, a line each. */
public final class AdviceLines {

  private AdviceLines() {}

  /** That nobody has it, if so; then every conflict there would be. */
  public static List<Node> of(Advice advice, Words words) {
    List<Node> lines = new ArrayList<>();
    if (advice.isFree()) {
      lines.add(Parts.label(Ui.text("sets.free"), "good"));
    }
    advice.conflicts().forEach(c -> lines.add(said(c, words)));
    return lines;
  }

  /** True when somebody would lose something by it, or it would not be heard. */
  public static boolean isSerious(Advice advice) {
    Optional<Weight> weight = advice.weight();
    return weight.isPresent() && weight.get() != Weight.NOTE;
  }

  private static Node said(Conflict c, Words words) {
    Label text = Parts.wrapped(words.sentence(c));
    HBox.setHgrow(text, Priority.ALWAYS);
    Node mark = Marks.of(c.weight());
    Label weight = Parts.label(Words.weight(c.weight()), Marks.style(c.weight()));
    weight.setMinWidth(Region.USE_PREF_SIZE);
    HBox row = new HBox(7, mark, weight, text);
    HBox.setMargin(mark, new Insets(3, 0, 0, 0));
    row.getStyleClass().addAll("said", Marks.style(c.weight()));
    return row;
  }
}
