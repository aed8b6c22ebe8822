package foldtwice.desktop.collect;

import foldtwice.routine.Card;
import foldtwice.routine.Routine;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Polyline;

/** Small marks for the kinds of routine, folded out of one sheet. */
final class KindMarks {

  private KindMarks() {}

  /** The mark of a routine's kind, in the colour of its card. */
  static Node of(Routine routine) {
    Node shape =
        switch (routine) {
          case Routine.Macro m -> sheet();
          case Routine.Script s -> page();
          case Routine.PluginAction p -> tab();
          case Routine.Stored c -> envelope();
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

  /** A written page with its corner turned. */
  private static Node page() {
    Polygon sheet = new Polygon(2, 1, 9, 1, 12, 4, 12, 13, 2, 13);
    sheet.getStyleClass().add("kind-shape");
    return new javafx.scene.Group(
        sheet, crease(9, 1, 9, 4, 12, 4), crease(4, 7, 10, 7), crease(4, 10, 9, 10));
  }

  /** A sheet that another one is slipped onto. */
  private static Node tab() {
    Polygon sheet = new Polygon(1, 4, 9, 4, 9, 13, 1, 13);
    sheet.getStyleClass().add("kind-shape");
    Polygon slip = new Polygon(6, 1, 13, 1, 13, 9, 6, 9);
    slip.getStyleClass().add("kind-shape");
    return new javafx.scene.Group(sheet, slip);
  }

  /** A letter ready to be sent. */
  private static Node envelope() {
    Polygon letter = new Polygon(1, 3, 13, 3, 13, 12, 1, 12);
    letter.getStyleClass().add("kind-shape");
    return new javafx.scene.Group(letter, crease(1, 3, 7, 8, 13, 3));
  }

  private static Node crease(double... points) {
    Polyline crease = new Polyline(points);
    crease.getStyleClass().add("kind-crease");
    return crease;
  }

  /** A strip folded in three: steps one after the other. */
  private static Node sheet() {
    Polygon strip = new Polygon(1, 3, 5, 1, 9, 3, 13, 1, 13, 11, 9, 13, 5, 11, 1, 13);
    strip.getStyleClass().add("kind-shape");
    return new javafx.scene.Group(strip, crease(5, 1, 5, 11), crease(9, 3, 9, 13));
  }
}
