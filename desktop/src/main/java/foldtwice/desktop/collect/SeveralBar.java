package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.outline.Several;
import foldtwice.routine.Routine;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What can be done with several chosen steps at once. */
final class SeveralBar extends VBox {

  /** What can be done with them. */
  enum Deed {
    UP,
    DOWN,
    IN,
    OUT,
    OFF,
    ON,
    COPY,
    REMOVE,
    COPY_TO,
    REPEAT,
    EACH,
    IF,
    FOLD,
    CUT_OUT
  }

  /** Does it. */
  interface Actions {
    void several(Deed deed);
  }

  private static final List<Deed> TOGETHER =
      List.of(
          Deed.UP, Deed.DOWN, Deed.IN, Deed.REPEAT, Deed.EACH, Deed.IF, Deed.FOLD, Deed.CUT_OUT);

  private final Label says = Parts.label("", "strong");
  private final FlowPane buttons = new FlowPane(8, 6);

  SeveralBar(Actions actions) {
    super(6);
    setId("several");
    getStyleClass().add("step-editor");
    for (Deed deed : Deed.values()) {
      buttons
          .getChildren()
          .add(
              Parts.button(
                  "several-" + deed,
                  Ui.text("several." + deed),
                  () -> actions.several(deed),
                  "link"));
    }
    getChildren().addAll(says, buttons);
  }

  /** Shows how many are chosen; what needs them to follow each other is left out elsewhere. */
  void show(Routine.Macro macro, List<String> numbers) {
    if (numbers.size() < 2) {
      return;
    }
    List<String> outermost = Several.outermost(macro.steps(), numbers);
    boolean together = Several.areTogether(macro.steps(), outermost);
    says.setText(Ui.text(together ? "several.chosen" : "several.apart", outermost.size()));
    for (Node button : buttons.getChildren()) {
      Deed deed = Deed.valueOf(button.getId().substring("several-".length()));
      button.setDisable(!together && TOGETHER.contains(deed));
    }
  }
}
