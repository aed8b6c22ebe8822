package foldtwice.desktop.parts;

import java.util.List;
import javafx.scene.Node;

/**
 * Style classes that follow what is shown. What a node has already is left alone: taking a class
 * away and giving it back has everything inside it matched with all styles again.
 */
public final class Styles {

  private Styles() {}

  /** The node has the class, or has it not. */
  public static void set(Node node, String style, boolean has) {
    if (has != node.getStyleClass().contains(style)) {
      if (has) {
        node.getStyleClass().add(style);
      } else {
        node.getStyleClass().remove(style);
      }
    }
  }

  /** The node has these classes and no other. */
  public static void only(Node node, List<String> styles) {
    if (!node.getStyleClass().equals(styles)) {
      node.getStyleClass().setAll(styles);
    }
  }

  /** Of these classes the node has one. */
  public static void one(Node node, String style, List<String> of) {
    of.forEach(each -> set(node, each, each.equals(style)));
  }
}
