package foldtwice.desktop.payback;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Ui;
import foldtwice.effort.Operator;
import foldtwice.effort.Timed;
import foldtwice.effort.Timing;
import foldtwice.words.EffortWords;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;

/** A route as a bar: each operator as wide as it takes, in the order it is done. */
final class OperatorBar extends HBox {

  /** More operators than this are drawn as one. */
  private static final int MOST = 60;

  /**
   * A bar.
   *
   * @param perSecond pixels
   */
  OperatorBar(Timing timing, double perSecond) {
    setAlignment(Pos.CENTER_LEFT);
    getStyleClass().add("operators");
    List<Timed> parts = timing.parts();
    for (Timed t : parts.subList(0, Math.min(MOST, parts.size()))) {
      getChildren().add(box(t, t.seconds().mid() * t.share() * perSecond));
    }
    if (parts.size() > MOST) {
      getChildren().add(Parts.label(Ui.text("payback.moreoperators", parts.size() - MOST), "soft"));
    }
    setAccessibleText(Ui.text("payback.routesays", parts.size(), EffortWords.span(timing.total())));
  }

  private static Region box(Timed t, double width) {
    String letter =
        t.operator() == Operator.K && t.count() > 1 ? "K" + t.count() : t.operator().name();
    Label box = Parts.label(width >= 9.0 * letter.length() ? letter : "", "operator");
    box.getStyleClass().add("operator-" + t.operator());
    if (t.share() < 1) {
      box.getStyleClass().add("operator-slip");
    }
    box.setMinWidth(Math.max(3, width));
    box.setMaxWidth(Math.max(3, width));
    box.setAlignment(Pos.CENTER);
    Tips.on(box, says(t));
    return box;
  }

  /** What an operator is, what it takes and why it is there. */
  static String says(Timed t) {
    return Ui.text(
        "payback.operator",
        EffortWords.operator(t.operator()),
        EffortWords.span(t.seconds()),
        EffortWords.why(t));
  }
}
