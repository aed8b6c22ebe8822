package foldtwice.desktop.plan;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.session.Ui;
import foldtwice.plan.Plan;
import foldtwice.plan.Planning;
import foldtwice.words.EffortWords;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;

/** What a plan gains, and how much of what can be gained at all that is. */
final class Gauge extends HBox {

  private static final double WIDE = 280;

  private final Label gain = Parts.label("", "title", "good");
  private final Label says = Parts.wrapped("", "soft");
  private final Label proof = Parts.wrapped("", "costs");
  private final Pane bar = new Pane();

  Gauge() {
    super(18);
    getStyleClass().add("payback-card");
    setAlignment(Pos.CENTER_LEFT);
    gain.setId("plan-gain");
    gain.setMinWidth(USE_PREF_SIZE);
    says.setId("plan-says");
    proof.setId("plan-proof");
    bar.setMinSize(WIDE, 40);
    bar.setMaxSize(WIDE, 40);
    HBox.setHgrow(says, Priority.ALWAYS);
    VBox right = new VBox(proof);
    right.setAlignment(Pos.CENTER_RIGHT);
    right.setMinWidth(200);
    right.setMaxWidth(300);
    getChildren().addAll(gain, says, bar, right);
    nothing(Ui.text("plan.begin"));
  }

  /** There is no plan yet, or one is being made. */
  void nothing(String why) {
    gain.setText("");
    says.setText(why);
    Styles.only(says, List.of("label", "soft"));
    proof.setText("");
    bar.getChildren().clear();
  }

  /** What has been found so far. */
  void soFar(double cost, double bound, double today) {
    gain.setText(EffortWords.time(today - cost));
    says.setText(Ui.text("plan.sofar"));
    draw(today, cost, bound);
  }

  void show(Plan plan, boolean outOfDate) {
    double less = plan.today() - plan.planned();
    gain.setText(EffortWords.time(less));
    says.setText(
        (plan.moved().isEmpty()
                ? Ui.text("plan.nothingbetter", plan.looked())
                : Ui.text("plan.less", plan.moved().size(), plan.displaced().size()))
            + (outOfDate ? " " + Ui.text("plan.outofdate") : ""));
    proof.setText(
        plan.gap().isPresent()
            ? Ui.text(
                "plan.proven",
                EffortWords.time(plan.gap().getAsDouble()),
                EffortWords.time(plan.seconds()),
                plan.looked(),
                plan.options())
            : Ui.text(Planning.proves() ? "plan.notyetproven" : "plan.unproven"));
    Styles.only(says, List.of("label", outOfDate ? "costs" : "soft"));
    String proven = outOfDate ? "soft" : "good";
    Styles.only(proof, List.of("label", plan.gap().isPresent() ? proven : "costs"));
    draw(plan.today(), plan.planned(), plan.bound().orElse(Double.NEGATIVE_INFINITY));
  }

  /** From today at the left to the best possible at the right. */
  private void draw(double today, double planned, double bound) {
    bar.getChildren().clear();
    double whole = Double.isFinite(bound) ? today - bound : today - planned;
    if (whole <= 1e-9) {
      return;
    }
    double x = Math.clamp((today - planned) / whole, 0, 1) * (WIDE - 8);
    Rectangle all = new Rectangle(0, 12, WIDE - 8, 12);
    all.getStyleClass().add("plan-whole");
    Rectangle done = new Rectangle(0, 12, Math.max(1, x), 12);
    done.getStyleClass().add("plan-done");
    Line mark = new Line(x, 8, x, 28);
    mark.getStyleClass().add("plan-mark");
    Label here = Parts.label(Ui.text("plan.today.word"), "plan-small");
    here.relocate(0, 25);
    Label best = Parts.label(Ui.text("plan.best"), "plan-small");
    best.setMinWidth(WIDE - 8);
    best.setAlignment(Pos.CENTER_RIGHT);
    best.relocate(0, 25);
    bar.getChildren().addAll(all, done, mark, here);
    if (Double.isFinite(bound)) {
      bar.getChildren().add(best);
    }
  }
}
