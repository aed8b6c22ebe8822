package foldtwice.desktop.parts;

import foldtwice.conflict.Weight;
import javafx.scene.shape.Polygon;

/**
 * The folded corners of keys: whose a key is at the top right, what is wrong at the bottom left.
 */
public final class Corners {

  private Corners() {}

  /**
   * The corner that says whose a key is.
   *
   * @param size of its sides, in px
   * @param whose {@code yours}, {@code native} or {@code desktop}
   */
  public static Polygon ear(double size, String whose) {
    return styled(new Polygon(0, 0, size, 0, size, size), "ear-" + whose + "-shape");
  }

  /** The second fold, of a key with trouble. */
  public static Polygon second(double size, Weight weight) {
    return styled(new Polygon(0, 0, 0, size, size, size), style(weight));
  }

  /** The style class of a second fold. */
  public static String style(Weight weight) {
    return "fold-" + weight.id();
  }

  private static Polygon styled(Polygon corner, String style) {
    corner.getStyleClass().add(style);
    corner.setMouseTransparent(true);
    return corner;
  }
}
