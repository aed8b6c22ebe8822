package foldtwice.desktop.standin;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.routine.Kind;
import foldtwice.routine.Value;
import foldtwice.run.Act;
import foldtwice.standin.copystand.Copystand;
import foldtwice.standin.copystand.Shot;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** A strip of photographs, the one selected last large above it, its values beside. */
final class StripPicture extends Picture {

  private static final double THUMB = 92;
  private static final double PANEL = 218;
  private static final double GAP = 10;

  private final Copystand program;
  private final boolean whole;
  private Consumer<Act> onAct = act -> {};

  /**
   * @param whole with strip and values; else the large photograph only
   */
  StripPicture(Copystand program, boolean whole) {
    this.program = program;
    this.whole = whole;
    getStyleClass().add("label-desk");
  }

  void setOnAct(Consumer<Act> action) {
    onAct = action;
  }

  @Override
  protected void draw() {
    boolean asTaken = program.settings().get("shown").shown().equals("as taken");
    double panel = whole ? PANEL : 0;
    double strip = whole ? THUMB + 34 : 0;
    double tall = getHeight() - 2 * GAP;
    StackPane behind = new StackPane();
    clickable(behind, "");
    place(behind, 0, 0, getWidth(), getHeight());
    double high = getHeight() - strip - 2 * GAP;
    double wide = getWidth() - panel - 2 * GAP;
    program
        .document()
        .last()
        .ifPresent(
            s -> {
              if (high > 20 && wide > 20) {
                add(Photograph.of(s, wide, high, asTaken), GAP, GAP);
              }
            });
    if (whole) {
      strip(strip, asTaken);
      if (program.document().last().isPresent()) {
        panel(program.document().last().get(), panel, tall);
      }
    }
  }

  private void add(Canvas canvas, double x, double y) {
    canvas.relocate(x, y);
    canvas.setMouseTransparent(true);
    getChildren().add(canvas);
  }

  private void strip(double high, boolean asTaken) {
    List<Shot> shots = program.document().shots();
    double wide = THUMB * 0.82;
    int fit = Math.max(1, (int) ((getWidth() - PANEL - GAP) / (wide + 8 + GAP)));
    int last = program.document().last().map(s -> shots.indexOf(s)).orElse(0);
    int first = Math.clamp(last - fit + 1, 0, Math.max(0, shots.size() - fit));
    double x = GAP;
    for (Shot shot : shots.subList(first, Math.min(shots.size(), first + fit))) {
      Canvas picture = Photograph.of(shot, wide, THUMB, asTaken);
      VBox card = new VBox(2, picture, Parts.label(shot.name(), "shot-name"));
      card.setId("shot-" + shot.name());
      card.getStyleClass().add("shot");
      if (program.document().selected().contains(shot.name())) {
        card.getStyleClass().add("selected");
      }
      clickable(card, shot.name());
      place(card, x, getHeight() - high, wide + 8, high - 6);
      x += wide + 8 + GAP;
    }
  }

  private void panel(Shot shot, double wide, double high) {
    VBox panel = new VBox(5);
    panel.getStyleClass().add("values-panel");
    Map<String, Kind.Measure> ranges = program.facts().values();
    ranges.forEach(
        (name, range) -> {
          Value.Quantity now = shot.values().get(name);
          Label amount = Parts.label(now.shown().replace('-', '\u2212'), "mono");
          HBox head = new HBox(Parts.label(name), Parts.gap(), amount);
          panel.getChildren().addAll(head, slider(name, range, now));
        });
    panel
        .getChildren()
        .add(
            Parts.label(
                Ui.text(
                    "standin.look",
                    shot.look().isEmpty() ? Ui.text("standin.none") : shot.look(),
                    shot.cropped()),
                "soft"));
    place(panel, getWidth() - wide, GAP, wide - GAP, high);
  }

  /** Let go, it sets the value; while it is dragged only the picture of the slider moves. */
  private Slider slider(String name, Kind.Measure range, Value.Quantity now) {
    Slider slider =
        new Slider(
            range.least().amount().doubleValue(),
            range.most().amount().doubleValue(),
            now.amount().doubleValue());
    slider.setId("value-" + name.replace(' ', '-'));
    slider.setFocusTraversable(false);
    slider.setAccessibleText(name);
    slider.setOnMouseReleased(
        e -> {
          BigDecimal step = range.step().amount();
          BigDecimal steps =
              BigDecimal.valueOf(slider.getValue()).divide(step, 0, RoundingMode.HALF_UP);
          onAct.accept(new Act.Adjust(name, new Value.Quantity(steps.multiply(step), now.scale())));
        });
    return slider;
  }
}
