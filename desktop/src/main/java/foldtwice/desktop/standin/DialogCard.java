package foldtwice.desktop.standin;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.run.Dialog;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A stand-in's open dialog, worked by mouse and keyboard. */
final class DialogCard extends VBox {

  private final Label wrong = Parts.wrapped("", "blocks");

  private final String closing;

  DialogCard(Program program, Dialog dialog, Consumer<Reply> after) {
    getStyleClass().add("dialog-card");
    setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    closing = dialog.buttons().getLast();
    wrong.setId("dialog-wrong");
    wrong.setMaxWidth(260);
    say("");
    Label head = Parts.label(dialog.title(), "dialog-head");
    VBox body = new VBox();
    body.getStyleClass().add("dialog-body");
    for (Dialog.Field field : dialog.fields()) {
      body.getChildren()
          .add(row(program, field, () -> press(program, dialog.buttons().getFirst(), after)));
    }
    body.getChildren().add(wrong);
    HBox buttons = new HBox(8);
    buttons.setAlignment(Pos.CENTER_RIGHT);
    for (String label : dialog.buttons()) {
      Button button = new Button(label);
      button.setId("dialog-" + label);
      button.setOnAction(e -> press(program, label, after));
      buttons.getChildren().add(button);
    }
    body.getChildren().add(buttons);
    getChildren().addAll(head, body);
    Platform.runLater(
        () -> {
          if (lookup(".text-field") instanceof TextField first && getScene() != null) {
            first.requestFocus();
          }
        });
  }

  /** A field; Enter in it presses the first button. What is typed is in the program at once. */
  private static HBox row(Program program, Dialog.Field field, Runnable onEnter) {
    TextField text = new TextField(field.text());
    text.setId("field-" + field.label());
    text.getStyleClass().add("value");
    text.setPrefColumnCount(8);
    text.setUserData(field.label());
    text.setOnAction(e -> onEnter.run());
    text.textProperty().addListener((o, was, is) -> program.fill(field.label(), is));
    Label name = Parts.label(field.label());
    name.setLabelFor(text);
    name.setMinWidth(80);
    HBox row =
        new HBox(8, name, text, Parts.label(field.unit().map(u -> u.symbol()).orElse(""), "soft"));
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** Presses a button; stays as it is when a field is refused, unless the button only closes. */
  private void press(Program program, String button, Consumer<Reply> after) {
    say("");
    if (button.equals(closing)) {
      after.accept(program.press(button));
      return;
    }
    for (Node node : lookupAll(".text-field")) {
      if (node instanceof TextField field) {
        field.getStyleClass().remove("wrong");
        if (program.fill((String) field.getUserData(), field.getText())
            instanceof Reply.Refused(String expected, String found)) {
          field.getStyleClass().add("wrong");
          field.requestFocus();
          say(Ui.text("standin.refused", expected, found));
          return;
        }
      }
    }
    after.accept(program.press(button));
  }

  private void say(String what) {
    wrong.setText(what);
    wrong.setVisible(!what.isEmpty());
    wrong.setManaged(!what.isEmpty());
  }
}
