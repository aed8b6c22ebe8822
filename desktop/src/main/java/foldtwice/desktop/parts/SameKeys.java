package foldtwice.desktop.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import javafx.beans.value.ChangeListener;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;

/**
 * Leaves the keys where they are while what is shown is made anew. Rows are often made again when
 * something changes elsewhere; the one at the same place, known by its id, is the same to whoever
 * works with the keyboard.
 */
public final class SameKeys {

  private SameKeys() {}

  /**
   * Makes a change to what a scene shows. When what had the keys is gone by that, its like gets
   * them, unless the change has given them to something that is still there where it was.
   *
   * @param within where the change takes place; nothing is done about keys outside of it
   */
  public static void during(Parent within, Runnable change) {
    Scene scene = within.getScene();
    if (scene == null || !Parts.hasKeys(within)) {
      change.run();
      return;
    }
    Node owner = scene.getFocusOwner();
    List<Parent> around = new ArrayList<>();
    for (Parent p = owner.getParent(); p != null; p = p.getParent()) {
      around.add(p);
    }
    AtomicBoolean wentOut = new AtomicBoolean();
    ChangeListener<Scene> out = (o, a, now) -> wentOut.set(true);
    owner.sceneProperty().addListener(out);
    change.run();
    owner.sceneProperty().removeListener(out);
    if (isThere(owner, scene)) {
      if (wentOut.get()) {
        owner.requestFocus();
      }
    } else {
      around.stream()
          .filter(p -> p.getScene() == scene)
          .findFirst()
          .flatMap(near -> like(owner, near))
          .ifPresent(Node::requestFocus);
    }
  }

  private static Optional<Node> like(Node gone, Parent near) {
    Scene scene = near.getScene();
    return under(near)
        .filter(n -> n.getClass().equals(gone.getClass()) && isNamedLike(gone, n))
        .filter(n -> n.isFocusTraversable() && isThere(n, scene))
        .findFirst();
  }

  /** Whether two go by the same name. */
  static boolean isNamedLike(Node one, Node other) {
    return one.getId() != null
        ? one.getId().equals(other.getId())
        : one.getAccessibleText() != null
            && Objects.equals(one.getAccessibleText(), other.getAccessibleText());
  }

  private static boolean isThere(Node node, Scene scene) {
    return node.getScene() == scene && !node.isDisabled() && Parts.isSeen(node);
  }

  private static Stream<Node> under(Parent parent) {
    return parent.getChildrenUnmodifiable().stream()
        .flatMap(n -> n instanceof Parent p ? Stream.concat(Stream.of(n), under(p)) : Stream.of(n));
  }
}
