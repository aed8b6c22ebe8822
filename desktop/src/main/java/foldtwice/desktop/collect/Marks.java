package foldtwice.desktop.collect;

import foldtwice.routine.Card;
import foldtwice.routine.Routine;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Polyline;

/** Small marks for the kinds of routine, folded out of one sheet. */
final class Marks {

  private Marks() {}

  /** The mark of a routine's kind, in the colour of its card. */
  static Node of(Routine routine) {
    Node shape =
        switch (routine) {
          case Routine.Macro m -> sheet();
        };
    StackPane mark = new StackPane(shape);
    mark.setMinSize(15, 15);
    mark.setMaxSize(15, 15);
    String colour = routine.card().colour();
    mark.getStyleClass().add("kind-mark");
    if (Card.COLOURS.contains(colour)) {
      mark.getStyleClass().add("card-" + colour);
    }
    return mark;
  }

  /** A strip folded in three: steps one after the other. */
  private static Node sheet() {
    Polygon strip = new Polygon(1, 3, 5, 1, 9, 3, 13, 1, 13, 11, 9, 13, 5, 11, 1, 13);
    strip.getStyleClass().add("kind-shape");
    Polyline creases = new Polyline(5, 1, 5, 11);
    creases.getStyleClass().add("kind-crease");
    Polyline second = new Polyline(9, 3, 9, 13);
    second.getStyleClass().add("kind-crease");
    return new javafx.scene.Group(strip, creases, second);
  }
}
