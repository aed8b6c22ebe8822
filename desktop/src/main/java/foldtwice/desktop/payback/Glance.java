package foldtwice.desktop.payback;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.effort.Payback;
import foldtwice.effort.Span;
import foldtwice.words.EffortWords;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;

/** What is saved week by week, with its band, against what was spent; and where they meet. */
final class Glance extends VBox {

  /** As far as is drawn where nothing tells more, in weeks. */
  private static final double FEW = 12;

  private static final double MANY = 260;
  private static final double LEFT = 52;
  private static final double FOOT = 22;

  private final Label title = Parts.label("", "title");
  private final Label between = Parts.label("", "soft");
  private final Label spentSays = Parts.wrapped("", "soft");
  private final Pane curve = new Pane();
  private Span saved = Span.NONE;
  private double spent;

  Glance() {
    super(6);
    getStyleClass().add("payback-card");
    title.setId("payback-title");
    between.setId("payback-between");
    spentSays.setId("payback-spent");
    FlowPane head = new FlowPane(10, 2, title, between);
    curve.setId("payback-curve");
    curve.setMinSize(100, 60);
    curve.setPrefSize(100, 100);
    Rectangle clip = new Rectangle();
    clip.widthProperty().bind(curve.widthProperty());
    clip.heightProperty().bind(curve.heightProperty());
    curve.setClip(clip);
    curve.widthProperty().addListener((o, a, b) -> draw());
    curve.heightProperty().addListener((o, a, b) -> draw());
    VBox.setVgrow(curve, Priority.ALWAYS);
    getChildren().addAll(head, curve, spentSays);
  }

  /**
   * Shows what is saved and spent.
   *
   * @param of what it is about, as a heading has it; empty for the whole library
   */
  void show(String of, Span savedAWeek, Payback.Spent onIt) {
    saved = savedAWeek;
    spent = onIt.seconds();
    Optional<Span> weeks = Payback.weeks(spent, saved);
    String name = of.isEmpty() ? "" : of + ": ";
    if (spent > 0 && weeks.isPresent()) {
      title.setText(name + Ui.text("payback.after", EffortWords.weeks(weeks.get().mid())));
      between.setText(
          Ui.text(
              "payback.afterbetween",
              EffortWords.weeks(weeks.get().low()),
              EffortWords.weeks(weeks.get().high()),
              EffortWords.span(saved)));
    } else if (spent > 0) {
      title.setText(name + Ui.text("payback.notpaid"));
      between.setText(EffortWords.span(saved));
    } else {
      title.setText(name + Ui.text("payback.saves", EffortWords.time(saved.mid())));
      between.setText(EffortWords.range(saved));
    }
    String told =
        spent > 0 ? Ui.text("payback.spent", EffortWords.time(spent)) : Ui.text("payback.notspent");
    spentSays.setText(
        onIt.untold().isEmpty()
            ? told
            : told + " " + Ui.text("payback.untold", onIt.untold().size()));
    curve.setAccessibleText(title.getText() + " " + between.getText());
    draw();
  }

  private void draw() {
    curve.getChildren().clear();
    double w = curve.getWidth() - LEFT - 12;
    double h = curve.getHeight() - FOOT - 8;
    if (w < 40 || h < 30) {
      return;
    }
    double meet = Payback.weeks(spent, saved).map(Span::mid).orElse(Double.POSITIVE_INFINITY);
    double weeks =
        Math.ceil(Double.isFinite(meet) && spent > 0 ? Math.clamp(meet * 1.8, FEW, MANY) : FEW);
    double top = Math.max(Math.max(spent * 1.15, saved.high() * weeks), 3600);
    double step = step(top / 3600) * 3600;
    for (double at = 0; at <= top; at += step) {
      double y = y(at, top, h);
      Line grid = new Line(LEFT, y, LEFT + w, y);
      grid.getStyleClass().add("payback-grid");
      Text says = new Text(Ui.text("payback.hours", Math.round(at / 3600)));
      says.getStyleClass().add("payback-axis");
      says.setTextOrigin(VPos.CENTER);
      says.setX(LEFT - 8 - says.getLayoutBounds().getWidth());
      says.setY(y);
      curve.getChildren().addAll(grid, says);
    }
    for (double at : new double[] {0, Math.round(weeks / 2), weeks}) {
      Text says = new Text(at == 0 ? Ui.text("payback.today") : EffortWords.weeks(at));
      says.getStyleClass().add("payback-axis");
      says.setY(h + 8 + 16);
      double width = says.getLayoutBounds().getWidth();
      says.setX(Math.min(LEFT + w * at / weeks - (at == 0 ? 0 : width / 2), LEFT + w - width));
      curve.getChildren().add(says);
    }
    double end = LEFT + w;
    Polygon band =
        new Polygon(
            LEFT, y(0, top, h),
            end, y(Math.max(0, saved.high() * weeks), top, h),
            end, y(Math.max(0, saved.low() * weeks), top, h));
    band.getStyleClass().add("payback-band");
    Line line = new Line(LEFT, y(0, top, h), end, y(Math.max(0, saved.mid() * weeks), top, h));
    line.getStyleClass().add("payback-saved");
    curve.getChildren().addAll(band, line);
    named(Ui.text("payback.bysaving"), "payback-saved-text", end, line.getEndY() - 10);
    if (spent > 0) {
      double y = y(spent, top, h);
      Line dashed = new Line(LEFT, y, end, y);
      dashed.getStyleClass().add("payback-spent-line");
      curve.getChildren().add(dashed);
      named(Ui.text("payback.byspending"), "payback-spent-text", end, y + 14);
      if (meet <= weeks) {
        double x = LEFT + w * meet / weeks;
        Line down = new Line(x, y, x, y(0, top, h));
        down.getStyleClass().add("payback-down");
        Circle dot = new Circle(x, y, 5);
        dot.getStyleClass().add("payback-dot");
        curve.getChildren().addAll(down, dot);
      }
    }
  }

  private void named(String what, String style, double end, double y) {
    Text says = new Text(what);
    says.getStyleClass().add(style);
    says.setX(end - 6 - says.getLayoutBounds().getWidth());
    says.setY(Math.max(14, y));
    curve.getChildren().add(says);
  }

  private static double y(double seconds, double top, double h) {
    return 8 + h - Math.min(1, seconds / top) * h;
  }

  /** Hours from one line of the grid to the next: 1, 2 or 5, times a power of ten. */
  private static double step(double hours) {
    double rough = hours / 5;
    double power = Math.pow(10, Math.floor(Math.log10(Math.max(rough, 0.2))));
    for (double nice : new double[] {1, 2, 5, 10}) {
      if (nice * power >= rough) {
        return Math.max(1, nice * power);
      }
    }
    return Math.max(1, 10 * power);
  }
}
