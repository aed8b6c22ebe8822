package foldtwice.desktop.parts;

import foldtwice.surface.Face;
import foldtwice.surface.IconShape;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.FillRule;
import javafx.scene.shape.SVGPath;
import javafx.scene.transform.Scale;
import javafx.scene.transform.Translate;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** Icons by their names, and shapes of one's own. */
public final class Icons {

  private static final String SET = "fth-";

  private Icons() {}

  /** The names of a set that have these words in them. */
  public static List<String> named(String words) {
    String[] all = words.toLowerCase(Locale.ROOT).strip().split("\\s+");
    return Arrays.stream(Feather.values())
        .map(f -> f.getDescription().substring(SET.length()))
        .filter(n -> Arrays.stream(all).allMatch(n::contains))
        .sorted()
        .toList();
  }

  /** The picture of what a face calls its icon; empty when it has none or it is not known. */
  public static Optional<Node> of(String icon, double size) {
    if (icon.isEmpty()) {
      return Optional.empty();
    }
    Optional<IconShape> own = IconShape.of(icon);
    if (own.isPresent()) {
      return Optional.of(shape(own.get(), size));
    }
    return Arrays.stream(Feather.values())
        .filter(f -> f.getDescription().equals(SET + icon))
        .findFirst()
        .map(
            f -> {
              FontIcon made = new FontIcon(f);
              made.setIconSize((int) Math.round(size));
              return made;
            });
  }

  /** Gives a button the icon and the colour of a face. */
  public static void dress(Labeled button, Face face, double size) {
    of(face.icon(), size).ifPresent(button::setGraphic);
    if (!face.colour().isEmpty()) {
      button.getStyleClass().add("face-" + face.colour());
    }
  }

  private static Node shape(IconShape icon, double size) {
    SVGPath path = new SVGPath();
    path.setContent(icon.path());
    path.setFillRule(FillRule.EVEN_ODD);
    path.getStyleClass().add("icon-shape");
    double scale = size / Math.max(icon.width(), icon.height());
    path.getTransforms().addAll(new Scale(scale, scale), new Translate(-icon.left(), -icon.top()));
    StackPane box = new StackPane(new Group(path));
    box.setMinSize(size, size);
    box.setMaxSize(size, size);
    box.setMouseTransparent(true);
    return box;
  }
}
