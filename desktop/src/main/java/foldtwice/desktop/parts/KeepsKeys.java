package foldtwice.desktop.parts;

/** A node in which keys are its own affair: of the application's own, only the ways out work. */
public interface KeepsKeys {

  /** True when this node, or one it stands in, keeps keys. */
  static boolean at(Object target) {
    javafx.scene.Node node = target instanceof javafx.scene.Node n ? n : null;
    while (node != null && !(node instanceof KeepsKeys)) {
      node = node.getParent();
    }
    return node != null;
  }
}
