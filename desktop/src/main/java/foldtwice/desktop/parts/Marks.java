package foldtwice.desktop.parts;

import foldtwice.conflict.Weight;
import javafx.scene.Node;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;

/** The marks of the three weights, told apart by shape as well as by colour. */
public final class Marks {

  private Marks() {}

  public static Node of(Weight weight) {
    return switch (weight) {
      case BLOCKS -> styled(new Rectangle(10, 10), "mark-blocks");
      case COSTS -> styled(new Polygon(0, 0, 11, 10, 0, 10), "mark-costs");
      case NOTE -> styled(new Circle(5, 5, 4.5), "mark-note");
    };
  }

  /** The style class of texts of this weight. */
  public static String style(Weight weight) {
    return weight.id();
  }

  private static Node styled(Node node, String style) {
    node.getStyleClass().add(style);
    return node;
  }
}
