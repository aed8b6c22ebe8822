package foldtwice.desktop.parts;

import javafx.scene.layout.Pane;
import javafx.scene.shape.Polygon;

/** The product's mark: a sheet with its corner folded, and folded again. */
public final class Emblem extends Pane {

  public Emblem() {
    Polygon sheet = new Polygon(2, 2, 16, 2, 24, 10, 24, 24, 2, 24);
    sheet.getStyleClass().add("mark-back");
    Polygon corner = new Polygon(16, 2, 24, 10, 16, 10);
    corner.getStyleClass().add("mark-fold");
    Polygon second = new Polygon(2, 16, 10, 24, 2, 24);
    second.getStyleClass().add("mark-hole");
    Polygon flap = new Polygon(2, 16, 10, 16, 10, 24);
    flap.getStyleClass().add("mark-fold");
    getChildren().addAll(sheet, corner, second, flap);
    setMinSize(26, 26);
    setMaxSize(26, 26);
  }
}
