package foldtwice.desktop.parts;

import foldtwice.conflict.Advice;
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
import javafx.scene.layout.Pane;
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
    advice.conflicts().forEach(c -> lines.add(said(c.weight(), words.sentence(c))));
    return lines;
  }

  /** The same in a pane, which stays as it is where it would say the same again. */
  public static void show(Pane pane, Advice advice, Words words) {
    List<List<Object>> said =
        advice.conflicts().stream()
            .map(c -> List.<Object>of(c.weight(), words.sentence(c)))
            .toList();
    Refill.with(pane, List.of(advice.isFree(), said), () -> of(advice, words));
  }

  /** True when somebody would lose something by it, or it would not be heard. */
  public static boolean isSerious(Advice advice) {
    Optional<Weight> weight = advice.weight();
    return weight.isPresent() && weight.get() != Weight.NOTE;
  }

  private static Node said(Weight of, String sentence) {
    Label text = Parts.wrapped(sentence);
    HBox.setHgrow(text, Priority.ALWAYS);
    Node mark = Marks.of(of);
    Label weight = Parts.label(Words.weight(of), Marks.style(of));
    weight.setMinWidth(Region.USE_PREF_SIZE);
    HBox row = new HBox(7, mark, weight, text);
    HBox.setMargin(mark, new Insets(3, 0, 0, 0));
    row.getStyleClass().addAll("said", Marks.style(of));
    return row;
  }
}
