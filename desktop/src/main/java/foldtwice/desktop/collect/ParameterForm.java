package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Ui;
import foldtwice.outline.ParameterText;
import foldtwice.outline.ParameterText.Sort;
import foldtwice.outline.QuestionText;
import foldtwice.routine.Parameter;
import foldtwice.routine.Step;
import java.util.LinkedHashMap;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** A parameter's name, kind, default and range, to be changed in place. */
final class ParameterForm extends VBox {

  /** What can come of it. */
  interface Ways<T> {
    void keep(T made);

    void remove();

    void leave();
  }

  private final ComboBox<Sort> sort = new ComboBox<>();
  private final Map<String, TextField> fields = new LinkedHashMap<>();
  private final VBox rows = new VBox(4);
  private final VBox more = new VBox(4);
  private final Label wrong = Parts.wrapped("", "blocks");
  private final Taking taking;
  private Sort shown;

  /** Makes something of what is written. */
  private interface Taking {
    void take(ParameterText text) throws ParameterText.FieldException;
  }

  /**
   * A parameter.
   *
   * @param isNew true when it is not there yet, and so cannot be removed
   */
  static ParameterForm of(ParameterText text, boolean isNew, Ways<Parameter> ways) {
    return new ParameterForm(text, isNew, ways, t -> ways.keep(t.read()));
  }

  /** What a person is asked: besides the same, answers that are offered and whether one is kept. */
  static ParameterForm ofQuestion(QuestionText text, boolean isNew, Ways<Step.Question> ways) {
    TextField offered = Skins.on(new TextField(text.offered()));
    CheckBox kept = Skins.on(new CheckBox(Ui.text("question.kept")));
    ParameterForm form =
        new ParameterForm(
            text.parameter(),
            isNew,
            ways,
            t -> ways.keep(new QuestionText(t, offered.getText(), kept.isSelected()).read()));
    offered.setId("parameter-offered");
    Parts.prompt(offered, Ui.text("question.noneoffered"));
    offered.setOnAction(e -> form.keep());
    kept.setId("parameter-kept");
    kept.setSelected(text.kept());
    form.fields.put("offered", offered);
    var row = Parts.fact(Ui.text("parameter.offered"), offered);
    row.setAlignment(Pos.CENTER_LEFT);
    form.more.getChildren().setAll(row, kept);
    return form;
  }

  private ParameterForm(ParameterText text, boolean isNew, Ways<?> ways, Taking taking) {
    this.taking = taking;
    setId("parameter-form");
    setSpacing(6);
    getStyleClass().add("parameter-form");
    sort.setId("parameter-kind");
    sort.getItems().setAll(Sort.values());
    Parts.shows(sort, s -> Ui.text("parameter.kind." + s));
    wrong.setId("parameter-wrong");
    FlowPane buttons =
        new FlowPane(
            8,
            6,
            Parts.button("parameter-keep", Ui.text("parameter.keep"), this::keep, "main"),
            Parts.button("parameter-leave", Ui.text("parameter.leave"), ways::leave));
    if (!isNew) {
      buttons
          .getChildren()
          .add(Parts.button("parameter-remove", Ui.text("parameter.remove"), ways::remove, "link"));
    }
    getChildren().addAll(rows, more, wrong, buttons);
    show(text);
    Parts.onChosen(
        sort,
        () -> {
          if (sort.getValue() != shown) {
            show(ParameterText.fresh(fields.get("name").getText(), sort.getValue()));
          }
        });
    addEventHandler(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            e.consume();
            ways.leave();
          }
        });
  }

  private void show(ParameterText text) {
    shown = text.sort();
    sort.setValue(shown);
    fields.keySet().removeIf(name -> !name.equals("offered"));
    rows.getChildren().clear();
    field("name", text.name());
    var kind = Parts.fact(Ui.text("parameter.kind"), sort);
    kind.setAlignment(Pos.CENTER_LEFT);
    rows.getChildren().add(kind);
    field("default", text.otherwise());
    if (shown.hasRange()) {
      field("least", text.least());
      field("most", text.most());
      field("step", text.step());
    }
    if (shown == Sort.CHOICE) {
      field("options", text.options());
    }
    Parts.there(wrong, false);
  }

  private void field(String name, String text) {
    TextField field = Skins.on(new TextField(text));
    field.setId("parameter-" + name);
    field.setAccessibleText(Ui.text("parameter." + name));
    field.setMinWidth(0);
    if (name.equals("least") || name.equals("most") || name.equals("step")) {
      Parts.prompt(field, Ui.text("parameter.usual"));
    }
    field.setOnAction(e -> keep());
    fields.put(name, field);
    var row = Parts.fact(Ui.text("parameter." + name), field);
    row.setAlignment(Pos.CENTER_LEFT);
    rows.getChildren().add(row);
  }

  private String typed(String field) {
    TextField at = fields.get(field);
    return at == null ? "" : at.getText();
  }

  private void keep() {
    ParameterText text =
        new ParameterText(
            typed("name"),
            sort.getValue(),
            typed("default"),
            typed("least"),
            typed("most"),
            typed("step"),
            typed("options"));
    try {
      taking.take(text);
    } catch (ParameterText.FieldException e) {
      refuse(e.field(), e.getMessage());
    }
  }

  /** Says which field does not fit and what it should hold. */
  void refuse(String field, String why) {
    wrong.setText(Ui.text("parameter.wrong", Ui.text("parameter." + field), why));
    Parts.there(wrong, true);
    fields.get(field).requestFocus();
  }

  @Override
  public void requestFocus() {
    fields.get("name").requestFocus();
    fields.get("name").selectAll();
  }
}
