package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.source.Turned;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What would be lost if a routine became one of another kind; the person decides. */
final class TurnPanel extends VBox {

  private static final int MOST = 40;

  /**
   * @param toMacro true when it would become a macro
   */
  TurnPanel(Turned turned, boolean toMacro, Runnable anyway, Runnable leave) {
    super(8);
    setId("turn");
    int kind = toMacro ? 1 : 0;
    getChildren()
        .addAll(
            Parts.label(Ui.text("turn.title", turned.routine().name(), kind), "title"),
            Parts.label(Ui.text("turn.lost", turned.lost().size()), "costs"));
    for (Turned.Loss loss : turned.lost().subList(0, Math.min(MOST, turned.lost().size()))) {
      Label row =
          Parts.wrapped(
              Ui.text(toMacro ? "turn.where.line" : "turn.where.step", loss.where(), loss.what()));
      row.getStyleClass().add("turn-row");
      getChildren().add(row);
    }
    if (turned.lost().size() > MOST) {
      getChildren()
          .add(Parts.label(Ui.text("source.moremarks", turned.lost().size() - MOST), "soft"));
    }
    getChildren()
        .add(
            new HBox(
                8,
                Parts.button("turn-leave", Ui.text("turn.leave"), leave),
                Parts.button("turn-anyway", Ui.text("turn.anyway"), anyway, "quiet")));
  }
}
