package foldtwice.desktop.standin;

import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;

/** What a stand-in shows, drawn anew whenever it is another or its size is. */
abstract class Picture extends Pane {

  /** Takes a click on an object, by its name. */
  interface OnObject {
    void clicked(String name, boolean adding, boolean twice);
  }

  private boolean waiting;
  private OnObject onObject = (name, adding, twice) -> {};
  private Consumer<String> onPointer = name -> {};

  Picture() {
    setMinSize(0, 0);
    setPrefSize(100, 100); // what is drawn does not ask for room
    Rectangle clip = new Rectangle();
    clip.widthProperty().bind(widthProperty());
    clip.heightProperty().bind(heightProperty());
    setClip(clip);
    widthProperty().addListener((o, a, b) -> redrawLater());
    heightProperty().addListener((o, a, b) -> redrawLater());
  }

  /** Once the layout is done that gave it its size: what is added in its midst is not styled. */
  private void redrawLater() {
    if (!waiting) {
      waiting = true;
      Platform.runLater(
          () -> {
            waiting = false;
            redraw();
          });
    }
  }

  void setOnObject(OnObject action) {
    onObject = action;
  }

  /** Hears what the pointer is over: an object's name, or an empty one. */
  void setOnPointer(Consumer<String> action) {
    onPointer = action;
  }

  /** Tells what the pointer is over now. */
  protected final void pointed(String name) {
    onPointer.accept(name);
  }

  /** Draws it as it is. */
  final void redraw() {
    getChildren().clear();
    if (getWidth() > 0 && getHeight() > 0) {
      draw();
    }
  }

  protected abstract void draw();

  /** Lets a node be clicked as an object; an empty name is what lies behind them all. */
  protected final void clickable(Node node, String name) {
    node.setOnMouseEntered(e -> onPointer.accept(name));
    node.setOnMousePressed(
        e -> {
          onObject.clicked(name, e.isShiftDown() || e.isControlDown(), e.getClickCount() == 2);
          e.consume();
        });
  }

  protected final void place(Region node, double x, double y, double width, double height) {
    node.setMinSize(width, height);
    node.setMaxSize(width, height);
    node.resizeRelocate(x, y, width, height);
    getChildren().add(node);
  }
}
