package foldtwice.desktop.parts;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.layout.Pane;

/**
 * What is in a pane, one thing after another. A node that would be made from the same again stays
 * where it is: nodes cost more than data, and what is not touched is not painted.
 */
public final class Contents {

  private final Pane pane;
  private Map<Object, Node> made = Map.of();
  private Map<Object, Node> next = new HashMap<>();
  private final List<Node> nodes = new ArrayList<>();

  /**
   * @param pane filled by this alone
   */
  public Contents(Pane pane) {
    this.pane = pane;
  }

  /**
   * One more thing.
   *
   * @param of all that its node is made from
   */
  public void add(Object of, Supplier<? extends Node> node) {
    Object key = of;
    for (int n = 2; next.containsKey(key); n++) {
      key = List.of(of, n); // the same twice
    }
    Node there = made.get(key);
    Node is = there == null ? node.get() : there;
    next.put(key, is);
    nodes.add(is);
  }

  /** Shows what was added since it was shown last, and nothing else. */
  public void show() {
    Children.follow(pane.getChildren(), nodes, n -> 1);
    made = next;
    next = new HashMap<>();
    nodes.clear();
  }
}
