package foldtwice.desktop.parts;

import foldtwice.desktop.session.Ui;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** A trigger as key caps. */
public final class KeyCaps extends HBox {

  private KeyCaps() {
    setSpacing(3);
    setAlignment(Pos.CENTER_LEFT);
    setMinWidth(USE_PREF_SIZE);
  }

  public static KeyCaps of(Trigger trigger) {
    KeyCaps caps = new KeyCaps();
    switch (trigger) {
      case Trigger.Keys(List<Stroke> strokes) -> caps.add(strokes);
    }
    caps.setAccessibleText(Notation.write(trigger));
    return caps;
  }

  public static KeyCaps of(List<Stroke> strokes) {
    KeyCaps caps = new KeyCaps();
    caps.add(strokes);
    return caps;
  }

  /** Caps large enough to head a leaf. */
  public KeyCaps large() {
    getStyleClass().add("caps-large");
    setSpacing(6);
    return this;
  }

  private void add(List<Stroke> strokes) {
    for (int i = 0; i < strokes.size(); i++) {
      if (i > 0) {
        getChildren().add(joint(Ui.text("then")));
      }
      List<String> words = Notation.caps(strokes.get(i));
      for (int j = 0; j < words.size(); j++) {
        if (j > 0) {
          getChildren().add(joint("+"));
        }
        Label cap = new Label(words.get(j));
        cap.getStyleClass().add("cap");
        cap.setMinWidth(USE_PREF_SIZE);
        getChildren().add(cap);
      }
    }
  }

  private static Label joint(String text) {
    Label joint = new Label(text);
    joint.getStyleClass().add("caps-joint");
    joint.setMinWidth(USE_PREF_SIZE);
    return joint;
  }
}
