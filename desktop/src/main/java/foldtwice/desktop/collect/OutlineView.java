package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.known.Known;
import foldtwice.outline.Outline;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.reading.Mark;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.words.StepWords;
import foldtwice.words.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The steps of a macro as readable lines; the chosen one is open for editing. */
final class OutlineView extends VBox {

  /** What can be done to the lines. */
  interface Actions extends StepEditor.Actions {
    void chooseStep(String number);

    void move(String from, String to);

    void mend(Mark mark);

    void found(NativeCommand command, Optional<Finding> finding);
  }

  private static final double VERB = 86;
  private static final double INDENT = 24;

  private final Actions actions;
  private Words words;
  private final Map<String, Node> rows = new LinkedHashMap<>();

  OutlineView(Actions actions) {
    this.actions = actions;
    setId("outline");
    getStyleClass().add("outline");
    setFocusTraversable(true);
    setAccessibleText(Ui.text("collect.steps"));
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
  }

  /**
   * Shows the lines.
   *
   * @param chosen the number of the chosen line; empty for none
   * @param at the number of the line a run stands before; empty for none
   * @param namesakes the commands of the label a step chooses, if there are several
   */
  void show(
      Routine.Macro macro,
      Known known,
      List<Mark> marks,
      String chosen,
      String at,
      Function<Step, List<NativeCommand>> namesakes,
      Words words) {
    this.words = words;
    boolean focused = Parts.hasKeys(this);
    rows.clear();
    getChildren().clear();
    for (Outline.Row row : Outline.rows(macro.steps())) {
      List<Mark> wrong = marks.stream().filter(m -> m.number().equals(row.number())).toList();
      Node node = row(macro, row, wrong, chosen.equals(row.number()), at.equals(row.number()));
      rows.put(row.number(), node);
      getChildren().add(node);
      if (chosen.equals(row.number())) {
        StepEditor editor =
            new StepEditor(
                macro,
                row.number(),
                row.line(),
                known,
                DialogStop.stops(macro, row.number()),
                actions);
        List<NativeCommand> same = namesakes.apply(row.line().step());
        if (!same.isEmpty()) {
          editor.getChildren().add(new Namesakes(same, actions::found));
        }
        VBox.setMargin(editor, new javafx.geometry.Insets(0, 0, 0, row.depth() * INDENT + 40));
        getChildren().add(editor);
      }
      for (Mark mark : wrong) {
        getChildren().add(mark(mark, row.depth()));
      }
    }
    if (macro.steps().isEmpty()) {
      getChildren().add(Parts.wrapped(Ui.text("collect.nosteps"), "soft"));
    }
    if (focused) {
      requestFocus();
    }
  }

  /** The row of a number, to scroll to. */
  Optional<Node> rowOf(String number) {
    return Optional.ofNullable(rows.get(number));
  }

  /** Puts the keys into the first field of the chosen step. */
  void edit() {
    Node field = lookup("#step-field-0");
    if (field != null) {
      field.requestFocus();
    }
  }

  private Node row(
      Routine.Macro macro, Outline.Row row, List<Mark> wrong, boolean chosen, boolean at) {
    Line line = row.line();
    Label number = Parts.label(row.number(), "mono", "soft", "step-number");
    number.setMinWidth(34);
    Label verb = Parts.label(StepWords.verb(line.step()), "strong");
    verb.setMinWidth(VERB);
    verb.setPrefWidth(VERB);
    Node text = StepText.of(words.step(line.step()));
    HBox.setHgrow(text, Priority.ALWAYS);
    HBox box = new HBox(8, number, verb, text);
    StepText.preview(macro, line.step())
        .ifPresent(
            p -> {
              Label preview = Parts.label(p, "mono", "soft");
              preview.setTooltip(new Tooltip(Ui.text("collect.preview")));
              preview.setMinWidth(0);
              preview.setMaxWidth(190);
              box.getChildren().add(preview);
            });
    if (!line.comment().isEmpty()) {
      Label comment = Parts.label(line.comment(), "soft", "step-comment");
      comment.setMinWidth(0);
      box.getChildren().add(comment);
    }
    if (!line.on()) {
      box.getStyleClass().add("step-off");
      box.getChildren().add(Parts.label(Ui.text("collect.off"), "soft", "small"));
    }
    box.setAlignment(Pos.CENTER_LEFT);
    box.setId("step-" + row.number());
    box.getStyleClass().add("step-row");
    if (row.depth() > 0) {
      box.getStyleClass().add("step-inside");
    }
    if (chosen) {
      box.getStyleClass().add("chosen");
    }
    if (at) {
      box.getStyleClass().add("at");
    }
    if (!wrong.isEmpty()) {
      box.getStyleClass().add("marked");
    }
    VBox.setMargin(box, new javafx.geometry.Insets(0, 0, 0, row.depth() * INDENT));
    box.setOnMouseClicked(
        e -> {
          requestFocus();
          actions.chooseStep(row.number());
        });
    draggable(box, row.number());
    return box;
  }

  private void draggable(HBox box, String number) {
    box.setOnDragDetected(
        e -> {
          ClipboardContent content = new ClipboardContent();
          content.putString(number);
          box.startDragAndDrop(TransferMode.MOVE).setContent(content);
          e.consume();
        });
    box.setOnDragOver(
        e -> {
          if (e.getDragboard().hasString()) {
            e.acceptTransferModes(TransferMode.MOVE);
          }
          e.consume();
        });
    box.setOnDragEntered(e -> box.getStyleClass().add("drop-here"));
    box.setOnDragExited(e -> box.getStyleClass().remove("drop-here"));
    box.setOnDragDropped(
        e -> {
          actions.move(e.getDragboard().getString(), number);
          e.setDropCompleted(true);
          e.consume();
        });
  }

  private Node mark(Mark mark, int depth) {
    Label says =
        Parts.wrapped(Ui.text("mark." + mark.fault(), mark.found(), mark.expected()), "blocks");
    HBox.setHgrow(says, Priority.ALWAYS);
    HBox box = new HBox(8, says);
    mark.mended()
        .ifPresent(
            step ->
                box.getChildren()
                    .add(
                        Parts.button(
                            "mend-" + mark.number(),
                            Ui.text("mark.take", mark.nearest().orElse("")),
                            () -> actions.mend(mark))));
    box.setAlignment(Pos.CENTER_LEFT);
    box.getStyleClass().addAll("said", "blocks", "step-mark");
    box.setId("mark-" + mark.number());
    VBox.setMargin(box, new javafx.geometry.Insets(2, 0, 4, depth * INDENT + 40));
    return box;
  }

  /** Arrow keys go through the lines, with Alt they move the chosen one. */
  private void key(KeyEvent e) {
    if (e.getTarget() != this) {
      return;
    }
    boolean taken = true;
    switch (e.getCode()) {
      case UP -> step(e.isAltDown() ? StepEditor.Action.UP : null, -1);
      case DOWN -> step(e.isAltDown() ? StepEditor.Action.DOWN : null, 1);
      case RIGHT -> taken = alt(e, StepEditor.Action.IN);
      case LEFT -> taken = alt(e, StepEditor.Action.OUT);
      case DELETE -> actions.act(StepEditor.Action.REMOVE);
      case SPACE -> actions.act(StepEditor.Action.SWITCH);
      case ENTER -> edit();
      default -> taken = false;
    }
    if (taken) {
      e.consume();
    }
  }

  private boolean alt(KeyEvent e, StepEditor.Action action) {
    if (e.isAltDown()) {
      actions.act(action);
    }
    return e.isAltDown();
  }

  private void step(StepEditor.Action action, int by) {
    if (action != null) {
      actions.act(action);
      return;
    }
    List<String> numbers = List.copyOf(rows.keySet());
    if (numbers.isEmpty()) {
      return;
    }
    int at = -1;
    for (int i = 0; i < numbers.size(); i++) {
      if (rows.get(numbers.get(i)).getStyleClass().contains("chosen")) {
        at = i;
      }
    }
    actions.chooseStep(numbers.get(Math.clamp(at + by, 0, numbers.size() - 1)));
  }
}
