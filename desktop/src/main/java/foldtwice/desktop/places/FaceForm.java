package foldtwice.desktop.places;

import foldtwice.desktop.parts.Icons;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.routine.Card;
import foldtwice.surface.Face;
import foldtwice.surface.IconShape;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What a key or a button shows: label, colour, an icon of a set or of one's own. */
final class FaceForm extends VBox {

  private static final int MOST = 21;

  private final Session session;
  private final Consumer<Face> onChanged;
  private final TextField label = Skins.on(new TextField());
  private final ComboBox<String> colour = new ComboBox<>();
  private final TextField search = Skins.on(new TextField());
  private final FlowPane icons = new FlowPane(4, 4);
  private final Label wrong = Parts.wrapped("", "blocks");
  private Face face = Face.PLAIN;
  private boolean filling;

  FaceForm(Session session, Consumer<Face> onChanged) {
    super(6);
    this.session = session;
    this.onChanged = onChanged;
    label.setId("face-label");
    Parts.onKept(label, () -> change(face.labelled(label.getText().strip())));
    List<String> colours = new ArrayList<>(List.of(Ui.text("face.nocolour")));
    colours.addAll(Card.COLOURS);
    colour.setId("face-colour");
    colour.getItems().setAll(colours);
    Parts.onChosen(
        colour,
        () ->
            change(
                face.coloured(Card.COLOURS.contains(colour.getValue()) ? colour.getValue() : "")));
    search.setId("face-search");
    Parts.prompt(search, Ui.text("face.search"));
    search.textProperty().addListener((o, a, b) -> icons());
    icons.setId("face-icons");
    wrong.setId("face-wrong");
    wrong.managedProperty().bind(wrong.textProperty().isNotEmpty());
    FlowPane own =
        new FlowPane(
            8,
            4,
            Parts.button("face-svg", Ui.text("face.svg"), this::svg),
            Parts.button("face-noicon", Ui.text("face.noicon"), () -> change(face.with(""))));
    getChildren()
        .addAll(
            Parts.field(Ui.text("face.label"), label),
            Parts.field(Ui.text("face.colour"), colour),
            Parts.field(Ui.text("face.icon"), search),
            icons,
            own,
            wrong);
  }

  void show(Face shown) {
    filling = true;
    boolean other = !shown.equals(face);
    face = shown;
    Parts.renew(label, shown.label());
    colour.setValue(shown.colour().isEmpty() ? colour.getItems().getFirst() : shown.colour());
    if (other || icons.getChildren().isEmpty()) {
      wrong.setText("");
      icons();
    }
    filling = false;
  }

  private void change(Face next) {
    if (!filling && !next.equals(face)) {
      onChanged.accept(next);
    }
  }

  private void icons() {
    if (Parts.hasKeys(icons)) {
      search.requestFocus(); // what had the keys is gone now
    }
    icons.getChildren().clear();
    for (String name : Icons.named(search.getText()).stream().limit(MOST).toList()) {
      Button button =
          Parts.icon(
              "icon-" + name,
              Icons.of(name, 16).orElseThrow(),
              name,
              () -> change(face.with(name)));
      if (name.equals(face.icon())) {
        button.getStyleClass().add("taken");
      }
      icons.getChildren().add(button);
    }
    if (icons.getChildren().isEmpty()) {
      icons.getChildren().add(Parts.label(Ui.text("face.none"), "soft"));
    }
  }

  /** Takes the shapes of a file, and nothing else of it. */
  private void svg() {
    Optional<Path> file =
        session.files().files(getScene().getWindow(), Ui.text("face.svg")).stream().findFirst();
    if (file.isEmpty()) {
      return;
    }
    try {
      if (Files.size(file.get()) > IconShape.MOST_BYTES) {
        wrong.setText(Ui.text("face.toolarge", file.get().getFileName()));
        return;
      }
      IconShape shape = IconShape.read(Files.readAllBytes(file.get()));
      wrong.setText("");
      change(face.with(shape.written()));
    } catch (IconShape.Refused | IOException refused) {
      wrong.setText(
          Ui.text("face.refused", file.get().getFileName().toString(), refused.getMessage()));
    }
  }
}
