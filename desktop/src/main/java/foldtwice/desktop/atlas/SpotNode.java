package foldtwice.desktop.atlas;

import foldtwice.atlas.Key;
import foldtwice.conflict.Weight;
import java.util.Locale;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
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
    Button press = new Button(does.isEmpty() ? legend : legend + "\n" + does);
    press.setId(id);
    String part = "part-" + key.part().name().toLowerCase(Locale.ROOT);
    press.getStyleClass().setAll("atlas-key", "spot", part);
    press.setMinSize(WIDTH, HEIGHT);
    press.setMaxSize(WIDTH, HEIGHT);
    press.setAccessibleText(says);
    press.setTooltip(new Tooltip(says));
    press.pseudoClassStateChanged(CHOSEN, chosen);
    getChildren().add(press);
    boolean claimed = key.part() != Key.Part.FREE;
    if (claimed) {
      Polygon ear = new Polygon(0, 0, EAR, 0, EAR, EAR);
      ear.getStyleClass()
          .add(
              switch (key.part()) {
                case NATIVE -> "ear-native-shape";
                case DESKTOP -> "ear-desktop-shape";
                default -> "ear-yours-shape";
              });
      ear.setMouseTransparent(true);
      ear.relocate(WIDTH - EAR - 1, 1);
      getChildren().add(ear);
    }
    key.trouble()
        .filter(w -> w != Weight.NOTE)
        .ifPresent(
            w -> {
              Polygon fold = new Polygon(0, 0, 0, EAR, EAR, EAR);
              fold.getStyleClass().add("fold-" + w.id());
              fold.setMouseTransparent(true);
              fold.relocate(1, HEIGHT - EAR - 1);
              getChildren().add(fold);
            });
    setMinSize(WIDTH, HEIGHT);
    setMaxSize(WIDTH, HEIGHT);
  }

  Button button() {
    return (Button) getChildren().getFirst();
  }
}
