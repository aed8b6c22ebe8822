package foldtwice.desktop.parts;

import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;

/**
 * What is said of something while the pointer rests on it. A tooltip is a window: it is made when
 * the pointer comes there first, not for every row and key that is shown.
 */
public final class Tips {

  private static final Object KEY = new Object();

  private Tips() {}

  /** Says this of something from now on; nothing when it is empty. */
  public static void on(Node node, String says) {
    node.setAccessibleHelp(says.isEmpty() ? null : says);
    on(node, () -> says);
  }

  /** Says of something what there is to say when it is shown. */
  public static void on(Node node, Supplier<String> says) {
    if (node.getProperties().get(KEY) instanceof Tip tip) {
      tip.says = says;
    } else {
      Tip tip = new Tip(says);
      node.getProperties().put(KEY, tip);
      node.addEventHandler(MouseEvent.MOUSE_ENTERED, e -> tip.at(node));
    }
  }

  /** What is said of something now; empty when it is nothing. */
  public static String of(Node node) {
    return node.getProperties().get(KEY) instanceof Tip tip ? tip.says.get() : "";
  }

  private static final class Tip {

    private Supplier<String> says;
    private Tooltip window;

    Tip(Supplier<String> says) {
      this.says = says;
    }

    void at(Node node) {
      boolean empty = says.get().isEmpty();
      if (empty && window != null) {
        Tooltip.uninstall(node, window);
        window = null;
      } else if (!empty && window == null) {
        Tooltip made = new Tooltip();
        made.setOnShowing(e -> made.setText(says.get()));
        Tooltip.install(node, made);
        window = made;
      }
    }
  }
}
