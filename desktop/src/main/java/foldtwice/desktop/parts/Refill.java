package foldtwice.desktop.parts;

import java.util.List;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.layout.Pane;

/**
 * Fills panes, and leaves one alone that shows the very thing already: nodes cost more than data.
 */
public final class Refill {

  private static final Object KEY = new Object();

  private Refill() {}

  /**
   * Fills a pane, unless it was filled last with the same and still is.
   *
   * @param what all that the nodes are made from
   */
  public static void with(Pane pane, Object what, Supplier<? extends List<? extends Node>> nodes) {
    by(pane, what, () -> pane.getChildren().setAll(nodes.get()));
  }

  /**
   * The same for a pane that takes more than nodes.
   *
   * @param fill empties and fills it
   */
  public static void by(Pane pane, Object what, Runnable fill) {
    if (pane.getProperties().get(KEY) instanceof Filled(Object last, List<Node> there)
        && last.equals(what)
        && there.equals(pane.getChildren())) {
      return;
    }
    fill.run();
    pane.getProperties().put(KEY, new Filled(what, List.copyOf(pane.getChildren())));
  }

  private record Filled(Object what, List<Node> there) {}
}
