package foldtwice.desktop.standin;

import foldtwice.desktop.parts.Parts;
import foldtwice.run.Dialog;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A stand-in's open dialog, worked by mouse and keyboard. */
final class DialogCard extends VBox {

  DialogCard(Program program, Dialog dialog, Consumer<Reply> after) {
    getStyleClass().add("dialog-card");
    setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    Label head = Parts.label(dialog.title(), "dialog-head");
    VBox body = new VBox();
    body.getStyleClass().add("dialog-body");
    for (Dialog.Field field : dialog.fields()) {
      body.getChildren().add(row(program, field));
    }
    HBox buttons = new HBox(8);
    buttons.setAlignment(Pos.CENTER_RIGHT);
    for (String label : dialog.buttons()) {
      Button button = new Button(label);
      button.setId("dialog-" + label);
      button.setOnAction(
          e -> {
            enter(program);
            after.accept(program.press(label));
          });
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

  private static HBox row(Program program, Dialog.Field field) {
    TextField text = new TextField(field.text());
    text.setId("field-" + field.label());
    text.getStyleClass().add("value");
    text.setPrefColumnCount(8);
    text.setUserData(field.label());
    text.setOnAction(e -> program.fill(field.label(), text.getText()));
    Label name = Parts.label(field.label());
    name.setLabelFor(text);
    name.setMinWidth(80);
    HBox row =
        new HBox(8, name, text, Parts.label(field.unit().map(u -> u.symbol()).orElse(""), "soft"));
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** Hands over what was typed, as leaving the fields does. */
  private void enter(Program program) {
    lookupAll(".text-field")
        .forEach(
            n -> {
              if (n instanceof TextField t
                  && program.fill((String) t.getUserData(), t.getText()) instanceof Reply.Refused) {
                t.getStyleClass().add("wrong");
              }
            });
  }
}
