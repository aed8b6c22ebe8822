package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Ui;
import foldtwice.routine.Step;
import foldtwice.words.StepWords;
import foldtwice.writing.StepFinder;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Adds a step by typing what it should do. */
final class AddStep extends VBox {

  private static final double ROW = 32;
  private static final int MOST_ROWS = 7;

  private final TextField field = Skins.on(new TextField());
  private final ListView<Step> list = new ListView<>();
  private final Supplier<StepFinder> finder;
  private final Function<Step, String> words;
  private final Function<Step, Optional<String>> finding;
  private final Actions actions;

  /** What comes of it. */
  interface Actions {
    void add(Step step);

    /** The keys go to the lines. */
    void toLines();

    /** The keys go into the first part of the step added last. */
    void toStep();
  }

  /**
   * A field and what it finds.
   *
   * @param words a step as it reads after its verb
   * @param finding what a person found out about the command a step chooses
   */
  AddStep(
      Supplier<StepFinder> finder,
      Function<Step, String> words,
      Function<Step, Optional<String>> finding,
      Actions actions) {
    this.finder = finder;
    this.words = words;
    this.finding = finding;
    this.actions = actions;
    setSpacing(2);
    field.setId("add-step");
    Parts.prompt(field, Ui.text("collect.add"));
    field.textProperty().addListener((o, a, b) -> search());
    field.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    list.setId("add-list");
    list.getStyleClass().add("look-list");
    list.setFixedCellSize(ROW);
    list.setFocusTraversable(false);
    list.setCellFactory(v -> Skins.on(new Cell()));
    list.setOnMouseClicked(e -> take());
    showList(false);
    getChildren().addAll(field, list);
  }

  /** Gives it the keys, with some letters typed. */
  void begin(String letters) {
    field.requestFocus();
    field.setText(letters);
    field.positionCaret(letters.length());
  }

  private void showList(boolean yes) {
    Parts.there(list, yes);
  }

  private void search() {
    List<Step> found = finder.get().find(field.getText());
    list.getItems().setAll(found);
    list.setPlaceholder(Parts.label(Ui.text("collect.nostep"), "soft"));
    list.getSelectionModel().selectFirst();
    double rows = Math.clamp(found.size(), 1, MOST_ROWS);
    list.setPrefHeight(rows * ROW + 4);
    list.setMinHeight(rows * ROW + 4);
    showList(!field.getText().isBlank());
  }

  private void key(KeyEvent e) {
    int at = list.getSelectionModel().getSelectedIndex();
    switch (e.getCode()) {
      case DOWN -> list.getSelectionModel().select(Math.min(at + 1, list.getItems().size() - 1));
      case UP -> up(at);
      case ENTER -> {
        if (take() && e.isShortcutDown()) {
          actions.toStep();
        }
      }
      case ESCAPE -> escape();
      default -> {
        return;
      }
    }
    e.consume();
  }

  /** Up in what was found; above it stand the lines. */
  private void up(int at) {
    if (field.getText().isBlank()) {
      actions.toLines();
    } else {
      list.getSelectionModel().select(Math.max(at - 1, 0));
    }
  }

  private void escape() {
    if (field.getText().isEmpty()) {
      actions.toLines();
    } else {
      field.clear();
    }
  }

  private boolean take() {
    Step step = list.getSelectionModel().getSelectedItem();
    if (step == null) {
      return false;
    }
    field.clear();
    actions.add(step);
    field.requestFocus();
    return true;
  }

  private static Label found(String finding) {
    Label label = Parts.label(finding, "soft");
    label.setMinWidth(0);
    return label;
  }

  private final class Cell extends ListCell<Step> {
    @Override
    protected void updateItem(Step step, boolean empty) {
      super.updateItem(step, empty);
      setText(null);
      if (empty || step == null) {
        setGraphic(null);
        return;
      }
      Label verb = Parts.label(StepWords.verb(step), "strong");
      verb.setMinWidth(84);
      Label rest = Parts.label(words.apply(step));
      HBox row = new HBox(8, verb, rest);
      row.setAlignment(Pos.CENTER_LEFT);
      setPrefWidth(0);
      finding.apply(step).ifPresent(f -> row.getChildren().addAll(Parts.gap(), found(f)));
      setGraphic(row);
    }
  }
}
