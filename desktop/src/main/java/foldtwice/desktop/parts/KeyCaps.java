package foldtwice.desktop.parts;

import foldtwice.desktop.session.Ui;
import foldtwice.trigger.Key;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.List;
import java.util.function.Function;
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

  /** Keys as caps; anything else as a tag that names it. */
  public static KeyCaps of(Trigger trigger, Words words) {
    KeyCaps caps = new KeyCaps();
    switch (trigger) {
      case Trigger.Keys(List<Stroke> strokes) -> caps.add(strokes, words::caps);
      case Trigger.Held(Stroke stroke, Trigger.Edge edge) -> {
        caps.add(List.of(stroke), words::caps);
        caps.getChildren().add(joint(Ui.text("held." + edge)));
      }
      default -> {
        Label tag = Parts.label(words.trigger(trigger), "tag");
        tag.setMinWidth(0);
        caps.setMinWidth(0);
        caps.getChildren().add(tag);
      }
    }
    caps.setAccessibleText(words.trigger(trigger));
    return caps;
  }

  public static KeyCaps of(List<Stroke> strokes) {
    KeyCaps caps = new KeyCaps();
    caps.add(strokes, Notation::caps);
    return caps;
  }

  /** Caps large enough to head a leaf. */
  public KeyCaps large() {
    getStyleClass().add("caps-large");
    setSpacing(6);
    return this;
  }

  private void add(List<Stroke> strokes, Function<Stroke, List<String>> on) {
    for (int i = 0; i < strokes.size(); i++) {
      if (i > 0) {
        getChildren().add(joint(Ui.text("then")));
      }
      List<String> words = on.apply(strokes.get(i));
      for (int j = 0; j < words.size(); j++) {
        if (j > 0) {
          getChildren().add(joint("+"));
        }
        Label cap = new Label(words.get(j));
        cap.getStyleClass().add("cap");
        cap.setMinWidth(USE_PREF_SIZE);
        if (j == words.size() - 1 && strokes.get(i).key() instanceof Key.At) {
          cap.getStyleClass().add("cap-position");
        }
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
