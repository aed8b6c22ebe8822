package foldtwice.desktop.parts;

import javafx.scene.Node;
import javafx.scene.control.ListCell;

/** A cell as wide as its list, and as high as the texts in its graphic need at that width. */
public abstract class WrappingCell<T> extends ListCell<T> {

  protected WrappingCell() {
    setPrefWidth(0);
  }

  @Override
  protected double computeMinHeight(double width) {
    return computePrefHeight(width);
  }

  @Override
  protected double computePrefHeight(double width) {
    Node graphic = getGraphic();
    if (graphic == null || width < 0) {
      return super.computePrefHeight(width);
    }
    return graphic.prefHeight(width - snappedLeftInset() - snappedRightInset())
        + snappedTopInset()
        + snappedBottomInset();
  }
}
