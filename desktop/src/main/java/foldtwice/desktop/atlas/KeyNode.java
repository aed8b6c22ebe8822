package foldtwice.desktop.atlas;

import foldtwice.atlas.Key;
import foldtwice.conflict.Weight;
import foldtwice.desktop.parts.Corners;
import foldtwice.desktop.parts.Fitting;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Shape;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Polygon;
import javafx.scene.text.Font;

/**
 * A key of the atlas: its legend, what it does, whose it is by its corner, what is wrong by
 * another.
 */
final class KeyNode extends Pane {

  private static final double EAR = 12;

  /** The height of a line of what a key does, in pixels. */
  private static final double LINE = 14.5;

  private static final Fitting FITTING = new Fitting(Font.font("Hanken Grotesk", 11));

  final Shape.Cap cap;
  private final Label legend = new Label();
  private final Label does = new Label();
  private final Polygon ear = Corners.ear(EAR, "yours");
  private final Polygon second = Corners.second(EAR, Weight.COSTS);
  private final Tooltip tooltip = new Tooltip();
  private Key key;
  private String fits = "";

  KeyNode(Shape.Cap cap) {
    this.cap = cap;
    setId("atlas-" + cap.code().code());
    getStyleClass().add("atlas-key");
    legend.getStyleClass().add("atlas-legend");
    legend.setMouseTransparent(true);
    does.getStyleClass().add("atlas-does");
    does.setMouseTransparent(true);
    getChildren().addAll(ear, second, legend, does);
    Tooltip.install(this, tooltip);
  }

  KeyCode code() {
    return cap.code();
  }

  Key key() {
    return key;
  }

  /**
   * Shows what it is for.
   *
   * @param tint a style class of how much, by use or effort; empty for none
   */
  void show(Key shown, String printed, String label, String says, boolean held, String tint) {
    key = shown;
    legend.setText(printed);
    fits = label;
    requestLayout();
    tooltip.setText(says);
    setAccessibleText(says);
    List<String> styles = new ArrayList<>(4);
    styles.add("atlas-key");
    styles.add("part-" + shown.part().name().toLowerCase(Locale.ROOT));
    if (held) {
      styles.add("held");
    }
    if (!tint.isEmpty()) {
      styles.add(tint);
    }
    style(this, styles);
    ear.setVisible(
        shown.part() != Key.Part.FREE
            && shown.part() != Key.Part.TYPES
            && shown.part() != Key.Part.MODIFIER);
    style(ear, List.of("ear-" + whose(shown.part()) + "-shape"));
    Optional<Weight> worst = shown.trouble().filter(w -> w != Weight.NOTE);
    second.setVisible(worst.isPresent());
    worst.ifPresent(w -> style(second, List.of(Corners.style(w))));
  }

  /** Only what is other is styled anew: with each modifier all keys are shown. */
  private static void style(Node node, List<String> styles) {
    if (!node.getStyleClass().equals(styles)) {
      node.getStyleClass().setAll(styles);
    }
  }

  /** Whose a key is, as its corner says. */
  static String whose(Key.Part part) {
    return switch (part) {
      case NATIVE -> "native";
      case DESKTOP -> "desktop";
      default -> "yours";
    };
  }

  void choose(boolean chosen) {
    pseudoClassStateChanged(javafx.css.PseudoClass.getPseudoClass("chosen"), chosen);
  }

  @Override
  protected void layoutChildren() {
    double w = getWidth();
    double h = getHeight();
    ear.relocate(w - EAR - 1, 1);
    second.relocate(1, h - EAR - 1);
    legend.resizeRelocate(5, 2, w - 6 - (ear.isVisible() ? EAR - 4 : 0), 15);
    double high = second.isVisible() ? h - 17 - EAR + 5 : h - 19;
    does.setText(
        fits.isEmpty() ? "" : FITTING.lines(fits, w - 8, Math.max(2, (int) (high / LINE))));
    does.resizeRelocate(4, 17, w - 5, high);
  }
}
