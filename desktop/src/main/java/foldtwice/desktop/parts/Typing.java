package foldtwice.desktop.parts;

import java.util.Optional;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * Leaves what is being typed as it is typed while what is shown is made anew, and the keys in it.
 * What was typed is handed in at Enter and given up at Escape; from then on its field shows what
 * there is, unless it was not taken.
 */
public final class Typing {

  /** True while what is shown is made anew: a field that loses the keys by that keeps nothing. */
  private static boolean anew;

  private final Supplier<?> subject;
  private final ChangeListener<Node> onKeys = (o, was, is) -> began(is);
  private Node in;

  /** What stood there before somebody began to type. */
  private String stood = "";

  /** True when something was shown since something was handed in. */
  private boolean shown;

  /**
   * Follows what is typed in a pane, in whatever scene it is.
   *
   * @param subject what is in view: a field of the same name is the same only while that is
   */
  public Typing(Parent pane, Supplier<?> subject) {
    this.subject = subject;
    pane.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.ENTER) {
            handIn();
          } else if (e.getCode() == KeyCode.ESCAPE) {
            began(in);
          }
        });
    pane.sceneProperty()
        .addListener(
            (o, left, scene) -> {
              if (left != null) {
                left.focusOwnerProperty().removeListener(onKeys);
              }
              if (scene != null) {
                scene.focusOwnerProperty().addListener(onKeys);
                began(scene.getFocusOwner());
              }
            });
  }

  /** True while what is shown is made anew, and nobody has left a field by themselves. */
  static boolean isShownAnew() {
    return anew;
  }

  /** What is taken is shown at once; what is not shown then was not taken, and stays. */
  private void handIn() {
    Node field = in;
    String before = stood;
    began(field);
    shown = false;
    Platform.runLater(
        () -> {
          if (!shown && in == field) {
            stood = before;
          }
        });
  }

  private void began(Node field) {
    in = field;
    stood = written(field).map(TextInputControl::getText).orElse("");
  }

  /** Makes a change to what the pane shows. */
  public void during(Parent pane, Runnable change) {
    shown = true;
    Optional<TextInputControl> field = typedIn();
    if (anew || field.isEmpty()) {
      SameKeys.during(pane, change);
      began(in);
      return;
    }
    Node owner = in;
    TextInputControl typed = field.get();
    String text = typed.getText();
    int anchor = typed.getAnchor();
    int caret = typed.getCaretPosition();
    Object of = subject.get();
    anew = true;
    try {
      SameKeys.during(pane, change);
    } finally {
      anew = false;
    }
    Scene scene = pane.getScene();
    Node now = scene == null ? null : scene.getFocusOwner();
    if (now == null || !of.equals(subject.get())) {
      return;
    }
    began(now);
    written(now)
        .filter(w -> now == owner || SameKeys.isNamedLike(owner, now))
        .filter(w -> !w.getText().equals(text))
        .ifPresent(
            w -> {
              settle(now);
              w.setText(text);
              w.selectRange(anchor, caret);
            });
  }

  /** A box that was never laid out forgets what is written in it when it is. */
  private static void settle(Node field) {
    if (field instanceof ComboBox<?> box) {
      box.applyCss();
      box.layout();
    }
  }

  /** The field somebody types into just now. */
  private Optional<TextInputControl> typedIn() {
    return written(in).filter(w -> in.isFocused() && !stood.equals(w.getText()));
  }

  /** Where something can be written with the keys there. */
  private static Optional<TextInputControl> written(Node keys) {
    return switch (keys) {
      case TextInputControl text -> Optional.of(text);
      case ComboBox<?> box when box.isEditable() -> Optional.of(box.getEditor());
      case null, default -> Optional.empty();
    };
  }
}
