package foldtwice.desktop.collect;

import foldtwice.desktop.parts.KeysField;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Ui;
import foldtwice.known.Known;
import foldtwice.outline.Outline;
import foldtwice.outline.StepParts;
import foldtwice.reading.Checker;
import foldtwice.routine.Form;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.StepKinds;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import foldtwice.writing.Completing;
import foldtwice.writing.InScope;
import foldtwice.writing.Making;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The parts of the chosen step, edited in place, and what can be done with it. */
final class StepEditor extends VBox implements PartField.Host {

  /** What the editor asks the outline to do. */
  interface Actions {
    void replace(String number, Line line);

    void parameter(Making.Constant constant);

    void act(Action action);

    /** The keys go to the lines. */
    void toLines();
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

  /** Strokes of a step that presses keys. */
  private static final int STROKES = 3;

  private final Actions actions;
  private final Supplier<Layout> layout;
  private final Map<Integer, PartField> fields = new HashMap<>();
  private final Map<Integer, ComboBox<String>> words = new HashMap<>();
  private final QuestionList questions;
  private final FlowPane parts = new FlowPane(10, 6);
  private final TextField comment = Skins.on(new TextField());
  private final FlowPane makes = new FlowPane(6, 6);
  private final Map<Action, Button> deeds = new EnumMap<>(Action.class);
  private Routine.Macro macro;
  private String number = "";
  private Line line;
  private Known known;

  /**
   * Shows no step yet.
   *
   * @param layout of the keyboard in view, for steps that press keys
   */
  StepEditor(Actions actions, Supplier<Layout> layout) {
    this.actions = actions;
    this.layout = layout;
    this.questions = new QuestionList(q -> put(line.step().withQuestions(q)));
    parts.setPrefWrapLength(300);
    comment.setId("step-comment");
    Parts.prompt(comment, Ui.text("step.comment"));
    comment.setPrefColumnCount(14);
    Parts.onKept(comment, this::keepComment);
    FlowPane buttons = new FlowPane(6, 6);
    for (Action action : Action.values()) {
      Button button = Parts.button("step-" + action, "", () -> actions.act(action), "link");
      deeds.put(action, button);
      buttons.getChildren().add(button);
    }
    buttons.setAlignment(Pos.CENTER_LEFT);
    makes.managedProperty().bind(makes.visibleProperty());
    questions.managedProperty().bind(questions.visibleProperty());
    getChildren().setAll(parts, questions, makes, buttons);
    getStyleClass().add("step-editor");
    setId("step-editor");
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
  }

  /** Shows a step; where it is the same one as before, what is being typed stays. */
  void show(Routine.Macro of, String at, Line now, Known programs) {
    boolean same =
        macro != null
            && macro.id().equals(of.id())
            && number.equals(at)
            && line.step().getClass().equals(now.step().getClass());
    boolean keys = Parts.hasKeys(this);
    boolean equal = same && line.equals(now) && macro.equals(of) && programs == known;
    macro = of;
    number = at;
    line = now;
    known = programs;
    if (equal) {
      return;
    }
    if (same && isUnderway(now.step())) {
      StepParts.of(now.step()).forEach(this::show);
    } else {
      fill();
    }
    around(same);
    if (keys && !Parts.hasKeys(this)) {
      actions.toLines(); // what had them is gone
    }
  }

  /** True when all that may have changed stands in fields that can show it. */
  private boolean isUnderway(Step step) {
    return StepParts.of(step).stream()
        .allMatch(p -> fields.containsKey(p.index()) || words.containsKey(p.index()));
  }

  private void show(StepParts.Part part) {
    if (fields.containsKey(part.index())) {
      fields.get(part.index()).show(part);
    } else {
      words.get(part.index()).setValue(part.text());
    }
  }

  private void fill() {
    fields.clear();
    words.clear();
    List<Node> all = new ArrayList<>();
    List<StepParts.Part> written = StepParts.of(line.step());
    for (int i = 0; i < written.size(); i++) {
      all.add(field(written.get(i), i));
    }
    all.add(comment);
    parts.getChildren().setAll(all);
  }

  /** What stands beside the parts: the comment, what is asked, what can be done. */
  private void around(boolean sameStep) {
    Parts.renew(comment, line.comment());
    questions.show(line.step().questions(), sameStep);
    questions.setVisible(line.step() instanceof Step.Ask || line.step() instanceof Step.Pause);
    deeds.forEach(
        (action, button) -> {
          boolean has = action != Action.STOP_HERE || line.step() instanceof Step.PressButton;
          button.setText(has ? Ui.text(word(action)) : "");
          Parts.there(button, has);
        });
    List<Button> made =
        Making.constants(macro, number, known).stream().map(this::parameter).toList();
    if (!says(made).equals(says(makes.getChildren()))) { // the one that has the keys stays
      makes.getChildren().setAll(made);
    }
    makes.setVisible(!made.isEmpty());
  }

  private Button parameter(Making.Constant c) {
    Button make =
        Parts.button(
            "make-" + c.field(),
            Ui.text("step.parameter", brief(c.value().shown())),
            () -> actions.parameter(c),
            "make");
    Tips.on(make, Ui.text("step.parameter", c.value().shown()));
    return make;
  }

  // one part

  private Node field(StepParts.Part part, int place) {
    String id = "step-field-" + place;
    Node input;
    Node named;
    if (!part.options().isEmpty()) {
      ComboBox<String> box = new ComboBox<>();
      box.getItems().setAll(part.options());
      box.setValue(part.text());
      box.setId(id);
      box.setAccessibleText(part.label());
      words.put(part.index(), box);
      Parts.onChosen(box, () -> put(StepParts.with(step(), part.index(), box.getValue())));
      input = box;
      named = box;
    } else if (part.form() instanceof Form.Keys) {
      KeysField keys =
          new KeysField(
              id,
              layout,
              () -> STROKES,
              pressed -> put(StepParts.with(step(), part.index(), Notation.write(pressed))));
      keys.set((Trigger.Keys) StepKinds.of(step()).parts(step()).at(part.index()));
      input = keys;
      named = keys;
    } else {
      PartField field = new PartField(part, id, this);
      fields.put(part.index(), field);
      input = field;
      named = field.input();
    }
    Label name = Parts.label(part.label(), "soft");
    name.setLabelFor(named);
    HBox box = part.label().isEmpty() ? new HBox(input) : new HBox(5, name, input);
    box.setAlignment(Pos.TOP_LEFT);
    name.setMinHeight(28);
    return box;
  }

  private void keepComment() {
    if (!comment.getText().equals(line.comment())) {
      actions.replace(number, line.saying(comment.getText()));
    }
  }

  // what the parts ask

  @Override
  public Step step() {
    return line.step();
  }

  @Override
  public Optional<PartField.Said> said(Step next) {
    Routine.Macro would = macro.withSteps(Outline.change(macro.steps(), number, l -> l.with(next)));
    return Checker.check(would, known).stream()
        .filter(m -> m.number().equals(number))
        .findFirst()
        .map(m -> new PartField.Said(OutlineRow.says(m), true));
  }

  @Override
  public Optional<String> preview(String written) {
    return StepText.preview(macro, written);
  }

  @Override
  public List<Completing.Completion> completions(StepParts.Part part, String written) {
    return new Completing(macro.application(), known, InScope.of(macro, number))
        .of(line.step(), part, written);
  }

  @Override
  public void put(Step next) {
    if (!next.equals(line.step())) {
      actions.replace(number, line.with(next));
    }
  }

  @Override
  public boolean holds(PartField field) {
    return fields.containsValue(field);
  }

  @Override
  public void leave() {
    actions.toLines();
  }

  private void key(KeyEvent e) {
    if (e.getCode() == KeyCode.ESCAPE) {
      e.consume();
      actions.toLines();
    }
  }

  // what can be done

  private static String brief(String text) {
    return text.length() <= LONGEST ? text : text.substring(0, LONGEST - 1).strip() + "\u2026";
  }

  private static List<String> says(List<? extends Node> buttons) {
    return buttons.stream().map(b -> b.getId() + ((Button) b).getText()).toList();
  }

  private String word(Action action) {
    return switch (action) {
      case SWITCH -> line.on() ? "step.off" : "step.on";
      case STOP_HERE -> DialogStop.stops(macro, number) ? "step.through" : "step.stophere";
      default -> "step." + action;
    };
  }

  /** Puts the keys into the first part. */
  void edit() {
    Node first = lookup("#step-field-0");
    Node other = first == null ? lookup("#step-comment") : first;
    if (other instanceof TextField field) {
      field.requestFocus();
      field.selectAll();
    } else if (other != null) {
      other.requestFocus();
    }
  }
}
