package foldtwice.desktop.atlas;

import foldtwice.atlas.Key;
import foldtwice.conflict.Weight;
import foldtwice.desktop.parts.Corners;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Tips;
import java.util.Locale;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Polygon;

/** A button, a choice or a movement on a page of the atlas, with the corners keys have. */
final class SpotNode extends Pane {

  static final double WIDTH = 104;
  static final double HEIGHT = 42;

  private static final double EAR = 10;
  private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

  /**
   * @param legend what is on it, or which way it goes
   * @param does what it does, short; empty for nothing
   * @param says the same in a sentence
   */
  SpotNode(String id, Key key, String legend, String does, String says, boolean chosen) {
    Button press = Skins.on(new Button(does.isEmpty() ? legend : legend + "\n" + does));
    press.setId(id);
    String part = "part-" + key.part().name().toLowerCase(Locale.ROOT);
    press.getStyleClass().setAll("atlas-key", "spot", part);
    press.setMinSize(WIDTH, HEIGHT);
    press.setMaxSize(WIDTH, HEIGHT);
    press.setAccessibleText(says);
    Tips.on(press, says);
    press.pseudoClassStateChanged(CHOSEN, chosen);
    getChildren().add(press);
    if (key.part() != Key.Part.FREE) {
      corner(Corners.ear(EAR, KeyNode.whose(key.part())), WIDTH - EAR - 1, 1);
    }
    key.trouble()
        .filter(w -> w != Weight.NOTE)
        .ifPresent(w -> corner(Corners.second(EAR, w), 1, HEIGHT - EAR - 1));
    setMinSize(WIDTH, HEIGHT);
    setMaxSize(WIDTH, HEIGHT);
  }

  private void corner(Polygon corner, double x, double y) {
    corner.relocate(x, y);
    getChildren().add(corner);
  }

  Button button() {
    return (Button) getChildren().getFirst();
  }
}
