package foldtwice.desktop.plan;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.plan.Plan;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Press;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.VPos;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;

/** The keyboard, each key shaded by how often a week it is pressed for what is planned. */
final class Reach extends VBox {

  private static final double GAP = 3;
  private static final double COLUMNS = 15.6;

  /** Narrower keys have no room for a number beside their legend. */
  private static final double NUMBERED = 30;

  private final Label heading = Parts.label("", "heading");
  private final Pane keys = new Pane();
  private final Map<KeyCode, Double> uses = new EnumMap<>(KeyCode.class);
  private Keymap keymap;
  private double most = 1;

  Reach(String text, String id) {
    super(6);
    getStyleClass().add("payback-card");
    setId(id);
    heading.setText(text);
    keys.setMinSize(100, 60);
    keys.setPrefSize(100, 100);
    Rectangle clip = new Rectangle();
    clip.widthProperty().bind(keys.widthProperty());
    clip.heightProperty().bind(keys.heightProperty());
    keys.setClip(clip);
    keys.widthProperty().addListener((o, a, b) -> draw());
    keys.heightProperty().addListener((o, a, b) -> draw());
    VBox.setVgrow(keys, Priority.ALWAYS);
    getChildren().addAll(heading, keys);
  }

  /**
   * Shows what the lines press.
   *
   * @param proposed true for what is proposed, false for today
   */
  void show(Plan plan, Library library, Keymap on, boolean proposed) {
    keymap = on;
    uses.clear();
    for (Plan.Line l : plan.lines()) {
      var binding = library.bindings().get(l.binding());
      if (binding == null) {
        continue;
      }
      Trigger t = proposed ? l.proposed() : l.today();
      List<List<Signal>> paths = on.paths(t);
      if (!paths.isEmpty()) {
        for (Signal s : paths.getFirst()) {
          if (s instanceof Press p) {
            uses.merge(p.code(), binding.usesPerWeek(), Double::sum);
          }
        }
      }
    }
    most = uses.values().stream().mapToDouble(Double::doubleValue).max().orElse(1);
    keys.setAccessibleText(Ui.text("plan.keys", heading.getText(), uses.size()));
    draw();
  }

  private void draw() {
    keys.getChildren().clear();
    if (keymap == null || keys.getWidth() < 120 || keys.getHeight() < 60) {
      return;
    }
    // The arrows and what lies around the space bar are never moved.
    List<Shape.Cap> caps =
        keymap.station().shape().caps().stream()
            .filter(c -> c.y() < 3.5 && c.x() + c.width() < COLUMNS)
            .toList();
    double right = caps.stream().mapToDouble(c -> c.x() + c.width()).max().orElse(1);
    double bottom = caps.stream().mapToDouble(c -> c.y() + 1).max().orElse(1);
    double unit = Math.min(keys.getWidth() / right, keys.getHeight() / bottom);
    for (Shape.Cap c : caps) {
      double used = uses.getOrDefault(c.code(), 0.0);
      Rectangle key = new Rectangle(c.x() * unit, c.y() * unit, c.width() * unit - GAP, unit - GAP);
      key.setArcWidth(6);
      key.setArcHeight(6);
      int tint =
          used <= 0 ? 0 : 1 + (int) Math.min(3, Math.floor(4 * Math.sqrt(used / most) - 1e-9));
      key.getStyleClass().addAll("plan-key", "plan-tint-" + tint);
      Text legend = new Text(c.code().isModifier() ? "" : keymap.layout().legend(c.code()));
      legend.getStyleClass().add("plan-legend");
      legend.setTextOrigin(VPos.TOP);
      legend.setX(c.x() * unit + 4);
      legend.setY(c.y() * unit);
      keys.getChildren().addAll(key, legend);
      if (width(legend) > c.width() * unit - GAP - 4) {
        legend.setText("");
      }
      if (used > 0 && unit >= NUMBERED) {
        Text number = new Text(Words.number(Math.rint(used)));
        number.getStyleClass().add("plan-number");
        keys.getChildren().add(number);
        number.setX((c.x() + c.width()) * unit - GAP - 3 - width(number));
        number.setY((c.y() + 1) * unit - GAP - 3);
      }
    }
  }

  /** As wide as it is drawn: styled before it is measured. */
  private static double width(Text text) {
    text.applyCss();
    return text.getLayoutBounds().getWidth();
  }
}
