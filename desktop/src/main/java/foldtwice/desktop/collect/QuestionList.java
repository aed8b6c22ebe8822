package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.outline.ParameterText;
import foldtwice.outline.QuestionText;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What a step asks a person, one question a row; each opens to be changed. */
final class QuestionList extends VBox {

  private final Consumer<List<Step.Question>> onChanged;
  private List<Step.Question> all = List.of();

  /** The place of the one that is open; one behind the last for a new one; -1 for none. */
  private int open = -1;

  QuestionList(Consumer<List<Step.Question>> onChanged) {
    super(4);
    this.onChanged = onChanged;
    setId("questions");
  }

  /** Shows questions; where they are the same as before, what is being typed stays. */
  void show(List<Step.Question> questions) {
    if (questions.equals(all) && !getChildren().isEmpty()) {
      return;
    }
    all = questions;
    open = -1;
    fill();
  }

  private void fill() {
    getChildren().clear();
    for (int i = 0; i < all.size(); i++) {
      getChildren().add(i == open ? form(i) : row(i));
    }
    if (open == all.size()) {
      getChildren().add(form(open));
    } else {
      getChildren()
          .add(
              Parts.button(
                  "add-question", Ui.text("question.add"), () -> openUp(all.size()), "link"));
    }
  }

  private Node row(int i) {
    Step.Question q = all.get(i);
    Label name = Parts.label(q.variable(), "argument");
    name.setMinWidth(USE_PREF_SIZE);
    Label kind =
        Parts.wrapped(
            Ui.text("question.row", q.kind().allowed(), ExprNotation.write(q.otherwise()))
                + (q.kept() ? ", " + Ui.text("question.iskept") : ""),
            "soft");
    HBox row = new HBox(8, name, kind);
    row.setId("question-" + (i + 1));
    row.setAlignment(Pos.CENTER_LEFT);
    Parts.leads(row, Ui.text("question.change", q.variable()), () -> openUp(i));
    return row;
  }

  private void openUp(int i) {
    open = i;
    fill();
    lookup("#parameter-form").requestFocus();
  }

  private void close() {
    int was = open;
    open = -1;
    fill();
    String id = was < all.size() ? "#question-" + (was + 1) : "#add-question";
    Platform.runLater(() -> Optional.ofNullable(lookup(id)).ifPresent(Node::requestFocus));
  }

  private ParameterForm form(int i) {
    boolean isNew = i == all.size();
    QuestionText text =
        isNew
            ? new QuestionText(ParameterText.fresh(free(), ParameterText.Sort.TEXT), "", false)
            : QuestionText.of(all.get(i));
    ParameterForm[] form = new ParameterForm[1];
    form[0] =
        ParameterForm.ofQuestion(
            text,
            isNew,
            new ParameterForm.Ways<Step.Question>() {
              @Override
              public void keep(Step.Question question) {
                if (isTaken(question.variable(), i)) {
                  form[0].refuse("name", Ui.text("question.taken", question.variable()));
                } else {
                  put(i, Optional.of(question));
                }
              }

              @Override
              public void remove() {
                put(i, Optional.empty());
              }

              @Override
              public void leave() {
                close();
              }
            });
    return form[0];
  }

  private boolean isTaken(String name, int except) {
    for (int i = 0; i < all.size(); i++) {
      if (i != except && all.get(i).variable().equals(name)) {
        return true;
      }
    }
    return false;
  }

  private void put(int i, Optional<Step.Question> question) {
    List<Step.Question> next = new ArrayList<>(all);
    if (i < next.size()) {
      next.remove(i);
    }
    question.ifPresent(q -> next.add(Math.min(i, next.size()), q));
    all = List.copyOf(next);
    close();
    onChanged.accept(all);
  }

  private String free() {
    String name = Ui.text("parameter.fresh");
    for (int i = 2; isTaken(name, -1); i++) {
      name = Ui.text("parameter.fresh") + " " + i;
    }
    return name;
  }
}
