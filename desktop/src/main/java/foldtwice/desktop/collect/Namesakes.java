package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Ui;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Commands of one label, told apart by their menus; a person marks which one works. */
final class Namesakes extends VBox {

  private enum Choice {
    UNTRIED,
    WORKS,
    FAILS;

    static Choice of(Optional<Finding> finding) {
      return finding.map(f -> f.works() ? WORKS : FAILS).orElse(UNTRIED);
    }

    Optional<Finding> with(String note) {
      return this == UNTRIED ? Optional.empty() : Optional.of(new Finding(this == WORKS, note));
    }

    @Override
    public String toString() {
      return Ui.text("namesakes." + name());
    }
  }

  Namesakes(List<NativeCommand> commands, BiConsumer<NativeCommand, Optional<Finding>> onFound) {
    setId("namesakes");
    setSpacing(4);
    getChildren()
        .add(
            Parts.wrapped(
                Ui.text("namesakes.same", commands.size(), commands.getFirst().name()), "soft"));
    commands.forEach(c -> getChildren().add(row(c, onFound)));
  }

  private static HBox row(
      NativeCommand command, BiConsumer<NativeCommand, Optional<Finding>> onFound) {
    Label path = Parts.wrapped(String.join(" \u203a ", command.menuPath()));
    path.setMinWidth(110);
    path.setPrefWidth(150);
    ComboBox<Choice> choice = new ComboBox<>();
    choice.setId("found-" + command.id());
    choice.getItems().setAll(Choice.values());
    choice.setValue(Choice.of(command.finding()));
    choice.setMinWidth(USE_PREF_SIZE);
    TextField note = Skins.on(new TextField(command.finding().map(Finding::note).orElse("")));
    note.setId("found-note-" + command.id());
    Parts.prompt(note, Ui.text("namesakes.note"));
    note.setMinWidth(60);
    note.setDisable(command.finding().isEmpty());
    HBox.setHgrow(note, Priority.ALWAYS);
    Runnable keep =
        () -> {
          Optional<Finding> found = choice.getValue().with(note.getText().strip());
          if (!found.equals(command.finding())) {
            onFound.accept(command, found);
          }
        };
    Parts.onChosen(choice, keep);
    Parts.onKept(note, keep);
    HBox row = new HBox(8, path, choice, note);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }
}
