package foldtwice.desktop.parts;

import foldtwice.desktop.session.Ui;
import foldtwice.trigger.Key;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** A trigger as key caps. */
public final class KeyCaps extends HBox {

  /** One label of it: a cap, what stands between two, or a tag. */
  private record Piece(String text, double least, List<String> styles) {

    static Piece of(String text, double least, String... styles) {
      return new Piece(text, least, List.of(styles));
    }

    Label label() {
      Label label = Skins.on(new Label(text));
      label.getStyleClass().addAll(styles);
      label.setMinWidth(least);
      return label;
    }

    boolean isLike(Node there) {
      return there instanceof Label l
          && l.getStyleClass().subList(1, l.getStyleClass().size()).equals(styles);
    }
  }

  public KeyCaps() {
    setSpacing(3);
    setAlignment(Pos.CENTER_LEFT);
  }

  /** Keys as caps; anything else as a tag that names it. */
  public static KeyCaps of(Trigger trigger, Words words) {
    KeyCaps caps = new KeyCaps();
    caps.show(trigger, words);
    return caps;
  }

  public static KeyCaps of(List<Stroke> strokes) {
    KeyCaps caps = new KeyCaps();
    caps.setMinWidth(USE_PREF_SIZE);
    caps.lay(pieces(strokes, Notation::caps));
    return caps;
  }

  /** Shows another trigger, with the same labels as far as they go. */
  public void show(Trigger trigger, Words words) {
    List<Piece> pieces =
        switch (trigger) {
          case Trigger.Keys(List<Stroke> strokes) -> pieces(strokes, words::caps);
          case Trigger.Held(Stroke stroke, Trigger.Edge edge) -> {
            List<Piece> held = pieces(List.of(stroke), words::caps);
            held.add(joint(Ui.text("held." + edge)));
            yield held;
          }
          default -> List.of(Piece.of(words.trigger(trigger), 0, "tag"));
        };
    setMinWidth(pieces.getFirst().least());
    lay(pieces);
    setAccessibleText(words.trigger(trigger));
  }

  /** Caps large enough to head a leaf. */
  public KeyCaps large() {
    getStyleClass().add("caps-large");
    setSpacing(6);
    return this;
  }

  private void lay(List<Piece> pieces) {
    List<Node> there = getChildren();
    for (int i = 0; i < pieces.size(); i++) {
      Piece piece = pieces.get(i);
      if (i == there.size()) {
        there.add(piece.label());
      } else if (piece.isLike(there.get(i))) {
        ((Label) there.get(i)).setText(piece.text());
      } else {
        there.set(i, piece.label());
      }
    }
    there.subList(pieces.size(), there.size()).clear();
  }

  private static List<Piece> pieces(List<Stroke> strokes, Function<Stroke, List<String>> on) {
    List<Piece> pieces = new ArrayList<>();
    for (Stroke stroke : strokes) {
      if (!pieces.isEmpty()) {
        pieces.add(joint(Ui.text("then")));
      }
      List<String> caps = on.apply(stroke);
      for (int j = 0; j < caps.size(); j++) {
        if (j > 0) {
          pieces.add(joint("+"));
        }
        boolean position = j == caps.size() - 1 && stroke.key() instanceof Key.At;
        pieces.add(
            position
                ? Piece.of(caps.get(j), USE_PREF_SIZE, "cap", "cap-position")
                : Piece.of(caps.get(j), USE_PREF_SIZE, "cap"));
      }
    }
    return pieces;
  }

  private static Piece joint(String text) {
    return Piece.of(text, USE_PREF_SIZE, "caps-joint");
  }
}
