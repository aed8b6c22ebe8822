package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.known.Known;
import foldtwice.outline.StepFields;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.ValueException;
import foldtwice.writing.Making;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The fields of the chosen step, edited in place, and what can be done with it. */
final class StepEditor extends VBox {

  /** What the editor asks the outline to do. */
  interface Actions {
    void replace(String number, Line line);

    void parameter(Making.Constant constant);

    void act(Action action);
  }

  /** What can be done with a step. */
  enum Action {
    UP,
    DOWN,
    IN,
    OUT,
    SWITCH,
    COPY,
    REMOVE,
    RUN_TO_HERE,
    STOP_HERE
  }

  /** Values on buttons are cut after so many letters. */
  private static final int LONGEST = 24;

  private final Label wrong = Parts.wrapped("", "blocks");

  StepEditor(
      Routine.Macro macro, String number, Line line, Known known, boolean stops, Actions actions) {
    getStyleClass().add("step-editor");
    setId("step-editor");
    say("");
    FlowPane fields = new FlowPane(8, 6);
    fields.setPrefWrapLength(300);
    Step step = line.step();
    List<StepFields.Field> all = StepFields.of(step);
    for (int i = 0; i < all.size(); i++) {
      fields.getChildren().add(field(all.get(i), i, number, line, actions));
    }
    fields.getChildren().add(comment(number, line, actions));
    FlowPane buttons = new FlowPane(6, 6);
    for (Making.Constant c : Making.constants(macro, number, known)) {
      Button make =
          Parts.button(
              "make-" + c.field(),
              Ui.text("step.parameter", brief(c.value().shown())),
              () -> actions.parameter(c),
              "make");
      make.setTooltip(new Tooltip(Ui.text("step.parameter", c.value().shown())));
      buttons.getChildren().add(make);
    }
    for (Action action : Action.values()) {
      if (action == Action.STOP_HERE && !(step instanceof Step.PressButton)) {
        continue;
      }
      String key =
          action == Action.SWITCH
              ? line.on() ? "step.off" : "step.on"
              : action == Action.STOP_HERE
                  ? stops ? "step.through" : "step.stophere"
                  : "step." + action;
      Button button =
          Parts.button("step-" + action, Ui.text(key), () -> actions.act(action), "link");
      buttons.getChildren().add(button);
    }
    buttons.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(fields, wrong, buttons);
  }

  private static String brief(String text) {
    return text.length() <= LONGEST ? text : text.substring(0, LONGEST - 1).strip() + "\u2026";
  }

  private Node field(StepFields.Field field, int index, String number, Line line, Actions actions) {
    Node input;
    if (field.holds() == StepFields.Holds.WORD) {
      ComboBox<String> box = new ComboBox<>();
      box.getItems().setAll(field.options());
      box.setValue(field.text());
      Parts.onChosen(box, () -> put(index, box.getValue(), number, line, actions, box));
      input = box;
    } else {
      TextField text = new TextField(field.text());
      text.getStyleClass().add("value");
      text.setPrefColumnCount(Math.clamp(field.text().length() + 1, 6, 27));
      text.setOnAction(e -> put(index, text.getText(), number, line, actions, text));
      text.focusedProperty()
          .addListener(
              (o, was, is) -> {
                if (was && !text.getText().equals(field.text())) {
                  put(index, text.getText(), number, line, actions, text);
                }
              });
      input = text;
    }
    input.setId("step-field-" + index);
    Label name = Parts.label(field.label(), "soft");
    name.setLabelFor(input);
    HBox box = field.label().isEmpty() ? new HBox(input) : new HBox(5, name, input);
    box.setAlignment(Pos.CENTER_LEFT);
    return box;
  }

  private Node comment(String number, Line line, Actions actions) {
    TextField text = new TextField(line.comment());
    text.setId("step-comment");
    Parts.prompt(text, Ui.text("step.comment"));
    text.setPrefColumnCount(14);
    Runnable keep =
        () -> {
          if (!text.getText().equals(line.comment())) {
            actions.replace(number, line.saying(text.getText()));
          }
        };
    Parts.onKept(text, keep);
    return text;
  }

  private void put(int index, String text, String number, Line line, Actions actions, Node input) {
    try {
      Step next = StepFields.with(line.step(), index, text);
      input.getStyleClass().remove("wrong");
      say("");
      if (!next.equals(line.step())) {
        actions.replace(number, line.with(next));
      }
    } catch (ValueException e) {
      if (!input.getStyleClass().contains("wrong")) {
        input.getStyleClass().add("wrong");
      }
      say(e.getMessage());
    }
  }

  private void say(String what) {
    wrong.setId("step-wrong");
    wrong.setText(what);
    wrong.setVisible(!what.isEmpty());
    wrong.setManaged(!what.isEmpty());
  }
}
