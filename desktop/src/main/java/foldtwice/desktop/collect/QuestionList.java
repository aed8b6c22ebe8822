package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Children;
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

  /** The form of the one that is open, with what is typed into it; null when none is. */
  private ParameterForm form;

  QuestionList(Consumer<List<Step.Question>> onChanged) {
    super(4);
    this.onChanged = onChanged;
    setId("questions");
  }

  /**
   * Shows questions.
   *
   * @param same true for those of the same step: what is being typed stays while the one that is
   *     open is there
   */
  void show(List<Step.Question> questions, boolean same) {
    if (same && questions.equals(all) && !getChildren().isEmpty()) {
      return;
    }
    if (form != null) {
      int there = open == all.size() ? questions.size() : questions.indexOf(all.get(open));
      open = same ? there : -1;
      form = open < 0 ? null : form;
    }
    all = questions;
    fill();
  }

  private void fill() {
    List<Node> rows = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      rows.add(i == open ? form : row(i));
    }
    rows.add(
        open == all.size()
            ? form
            : Parts.button(
                "add-question", Ui.text("question.add"), () -> openUp(all.size()), "link"));
    Children.follow(getChildren(), rows, n -> 1);
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
    form = form();
    fill();
    lookup("#parameter-form").requestFocus();
  }

  private void close() {
    int was = open;
    open = -1;
    form = null;
    fill();
    String id = was < all.size() ? "#question-" + (was + 1) : "#add-question";
    Platform.runLater(() -> Optional.ofNullable(lookup(id)).ifPresent(Node::requestFocus));
  }

  private ParameterForm form() {
    boolean isNew = open == all.size();
    QuestionText text =
        isNew
            ? new QuestionText(ParameterText.fresh(free(), ParameterText.Sort.TEXT), "", false)
            : QuestionText.of(all.get(open));
    return ParameterForm.ofQuestion(
        text,
        isNew,
        new ParameterForm.Ways<Step.Question>() {
          @Override
          public void keep(Step.Question question) {
            if (isTaken(question.variable(), open)) {
              form.refuse("name", Ui.text("question.taken", question.variable()));
            } else {
              put(open, Optional.of(question));
            }
          }

          @Override
          public void remove() {
            put(open, Optional.empty());
          }

          @Override
          public void leave() {
            close();
          }
        });
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
