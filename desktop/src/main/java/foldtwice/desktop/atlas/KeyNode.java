package foldtwice.desktop.atlas;

import foldtwice.atlas.Key;
import foldtwice.conflict.Weight;
import foldtwice.desktop.parts.Corners;
import foldtwice.desktop.parts.Fitting;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.parts.Tips;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Shape;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Polygon;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/**
 * A key of the atlas: its legend, what it does, whose it is by its corner, what is wrong by
 * another.
 */
final class KeyNode extends Pane {

  private static final double EAR = 12;

  /** The height of a line of what a key does, in pixels. */
  private static final double LINE = 14.5;

  private static final Fitting FITTING = new Fitting(Font.font("Hanken Grotesk", 11));
  private static final Fitting PRINTED = new Fitting(Font.font("CommitMono", 12));

  final Shape.Cap cap;
  private final Text legend = new Text();
  private final Text does = new Text();
  private final Polygon ear = Corners.ear(EAR, "yours");
  private final Polygon second = Corners.second(EAR, Weight.COSTS);
  private Key key;
  private String prints = "";
  private String fits = "";

  KeyNode(Shape.Cap cap) {
    this.cap = cap;
    setId("atlas-" + cap.code().code());
    getStyleClass().add("atlas-key");
    legend.getStyleClass().add("atlas-legend");
    does.getStyleClass().add("atlas-does");
    for (Text text : List.of(legend, does)) {
      text.setMouseTransparent(true);
      text.setTextOrigin(VPos.TOP);
    }
    getChildren().addAll(ear, second, legend, does);
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
    boolean ears = isMarked(shown.part());
    Optional<Weight> worst = shown.trouble().filter(w -> w != Weight.NOTE);
    if (!printed.equals(prints)
        || !label.equals(fits)
        || ears != ear.isVisible()
        || worst.isPresent() != second.isVisible()) {
      prints = printed;
      fits = label;
      requestLayout();
    }
    Tips.on(this, says);
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
    Styles.only(this, styles);
    ear.setVisible(ears);
    Styles.only(ear, List.of("ear-" + whose(shown.part()) + "-shape"));
    second.setVisible(worst.isPresent());
    worst.ifPresent(w -> Styles.only(second, List.of(Corners.style(w))));
  }

  private static boolean isMarked(Key.Part part) {
    return part != Key.Part.FREE && part != Key.Part.TYPES && part != Key.Part.MODIFIER;
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
    legend.setText(PRINTED.lines(prints, w - 8 - (ear.isVisible() ? EAR - 4 : 0), 1));
    legend.relocate(5, 2);
    double high = second.isVisible() ? h - 17 - EAR + 5 : h - 19;
    does.setText(
        fits.isEmpty() ? "" : FITTING.lines(fits, w - 8, Math.max(2, (int) (high / LINE))));
    does.relocate(4, 17);
  }
}
