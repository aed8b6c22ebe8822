package foldtwice.desktop.parts;

import foldtwice.desktop.session.Ui;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** A gesture, drawn, or put together from directions and the button that is held. */
public final class GestureForm extends VBox {

  private static final Map<Direction, String> ARROWS =
      Map.of(
          Direction.UP, "\u2191",
          Direction.UP_RIGHT, "\u2197",
          Direction.RIGHT, "\u2192",
          Direction.DOWN_RIGHT, "\u2198",
          Direction.DOWN, "\u2193",
          Direction.DOWN_LEFT, "\u2199",
          Direction.LEFT, "\u2190",
          Direction.UP_LEFT, "\u2196");

  private final List<Direction> drawn = new ArrayList<>();
  private final ComboBox<Trigger.PointerButton> button = new ComboBox<>();
  private final Label says = Parts.wrapped(Ui.text("picker.gesture.hint"), "soft");
  private final Button take;
  private final Function<Trigger, String> words;

  /**
   * Nothing drawn yet.
   *
   * @param words what a gesture is called
   * @param onTaken gets the gesture that was drawn, or put together and taken
   */
  public GestureForm(Function<Trigger, String> words, Consumer<Trigger> onTaken) {
    super(8);
    this.words = words;
    says.setId("picker-drawn");
    take =
        Parts.button(
            "picker-gesture-take",
            Ui.text("picker.gesture.take"),
            () -> onTaken.accept(gesture()),
            "main");
    take.setDisable(true);
    button.setId("picker-gesture-button");
    button.setAccessibleText(Ui.text("picker.gesture.button"));
    button.getItems().setAll(Trigger.PointerButton.values());
    button.setValue(Trigger.PointerButton.RIGHT);
    Parts.shows(button, Words::pointerButton);
    Parts.onChosen(button, this::say);
    HBox.setHgrow(button, Priority.SOMETIMES);
    StackPane area = new StackPane(Parts.label(Ui.text("picker.gesture.area"), "soft"));
    area.setId("picker-area");
    area.getStyleClass().add("drawing-area");
    area.setMinHeight(96);
    new PointerReader(
            trigger -> {
              if (trigger instanceof Trigger.Gesture g) {
                onTaken.accept(g);
              } else {
                says.setText(Ui.text("gesture.tooshort"));
              }
            },
            unread -> says.setText(PointerReader.why(unread)))
        .listen(area);
    GridPane ways = new GridPane(3, 3);
    Parts.around(ways, this::way);
    HBox both = new HBox(12, area, ways);
    HBox.setHgrow(area, Priority.ALWAYS);
    getChildren().addAll(both, says, new HBox(8, button, take));
  }

  private Button way(Direction d) {
    Button way = Parts.button("picker-way-" + d.id(), ARROWS.get(d), () -> add(d), "make");
    way.setAccessibleText(Words.direction(d));
    Tips.on(way, Words.direction(d));
    way.setMinWidth(34);
    return way;
  }

  private Trigger gesture() {
    return new Trigger.Gesture(button.getValue(), drawn);
  }

  private void add(Direction way) {
    if (drawn.size() == Trigger.Gesture.MOST_STROKES
        || (!drawn.isEmpty() && drawn.getLast() == way)) {
      drawn.clear();
    }
    drawn.add(way);
    say();
  }

  private void say() {
    if (!drawn.isEmpty()) {
      says.setText(words.apply(gesture()));
      take.setDisable(false);
    }
  }
}
