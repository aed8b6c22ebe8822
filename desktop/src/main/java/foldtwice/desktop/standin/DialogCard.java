package foldtwice.desktop.standin;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.session.Ui;
import foldtwice.run.Act;
import foldtwice.run.Dialog;
import foldtwice.run.Reply;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A stand-in's open dialog, worked by mouse and keyboard. */
final class DialogCard extends VBox {

  private final Label wrong = Parts.wrapped("", "blocks");

  private final String closing;

  private final StandInWindow window;

  DialogCard(StandInWindow window, Dialog dialog) {
    this.window = window;
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
      body.getChildren().add(row(field, () -> press(dialog.buttons().getFirst())));
    }
    body.getChildren().add(wrong);
    HBox buttons = new HBox(8);
    buttons.setAlignment(Pos.CENTER_RIGHT);
    for (String label : dialog.buttons()) {
      Button button = Skins.on(new Button(label));
      button.setId("dialog-" + label);
      button.setOnAction(e -> press(label));
      buttons.getChildren().add(button);
    }
    body.getChildren().add(buttons);
    getChildren().addAll(head, body);
    Platform.runLater(
        () -> {
          if (lookup(".text-field") instanceof TextField first && Parts.isSeen(this)) {
            first.requestFocus();
          }
        });
  }

  /** A field; Enter in it presses the first button. What is typed is in the program at once. */
  private HBox row(Dialog.Field field, Runnable onEnter) {
    Node input = field.options().isEmpty() ? text(field, onEnter) : choice(field);
    input.setId("field-" + field.label().replace(' ', '-'));
    input.setUserData(field.label());
    Label name = Parts.label(field.label());
    name.setLabelFor(input);
    name.setMinWidth(80);
    HBox row = new HBox(8, name, input, Parts.label(field.symbol(), "soft"));
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private TextField text(Dialog.Field field, Runnable onEnter) {
    TextField text = Skins.on(new TextField(field.text()));
    text.getStyleClass().add("value");
    boolean words = field.decimals() < 0;
    text.setPrefColumnCount(words ? 16 : 8);
    text.setOnAction(e -> onEnter.run());
    text.textProperty().addListener((o, was, is) -> fill(field.label(), is));
    return text;
  }

  private ComboBox<String> choice(Dialog.Field field) {
    ComboBox<String> box = new ComboBox<>();
    box.getItems().setAll(field.options());
    box.setValue(field.text());
    Parts.onChosen(box, () -> fill(field.label(), box.getValue()));
    return box;
  }

  private Reply fill(String field, String text) {
    Act act = new Act.Fill(field, text);
    Reply reply = act.on(window.program());
    window.told(act, reply);
    return reply;
  }

  /** Presses a button; stays as it is when a field is refused, unless the button only closes. */
  private void press(String button) {
    say("");
    if (button.equals(closing)) {
      window.work(new Act.PressButton(button));
      return;
    }
    for (Node node : lookupAll(".text-field")) {
      if (node instanceof TextField field) {
        Styles.set(field, "wrong", false);
        if (window.program().fill((String) field.getUserData(), field.getText())
            instanceof Reply.Refused(String expected, String found)) {
          Styles.set(field, "wrong", true);
          field.requestFocus();
          say(Ui.text("standin.refused", expected, found));
          return;
        }
      }
    }
    window.work(new Act.PressButton(button));
  }

  private void say(String what) {
    wrong.setText(what);
    Parts.there(wrong, !what.isEmpty());
  }
}
