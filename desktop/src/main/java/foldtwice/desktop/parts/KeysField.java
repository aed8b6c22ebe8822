package foldtwice.desktop.parts;

import foldtwice.desktop.session.Ui;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Press;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.IntSupplier;
import java.util.function.Supplier;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Takes keys: pressed, or typed as they are written. */
public final class KeysField extends VBox implements Capture.Listener {

  private final Supplier<Layout> layout;
  private final Consumer<Trigger.Keys> onChosen;
  private final Capture capture;
  private final TextField field = Skins.on(new TextField());
  private final Button press;
  private final Label wrong = Parts.wrapped("", "blocks");

  /**
   * Empty.
   *
   * @param id of the field; the button beside it has it with {@code -press}
   * @param onChosen called with keys that were pressed, or typed and entered
   */
  public KeysField(
      String id, Supplier<Layout> layout, IntSupplier strokes, Consumer<Trigger.Keys> onChosen) {
    super(4);
    this.layout = layout;
    this.onChosen = onChosen;
    this.capture = new Capture(layout, strokes, this);
    this.press = Parts.button(id + "-press", Ui.text("sets.press"), this::toggle);
    field.setId(id);
    Parts.prompt(field, Ui.text("sets.typehint"));
    field.setOnAction(e -> typed());
    field.textProperty().addListener((o, a, b) -> wrong.setText(""));
    HBox.setHgrow(field, Priority.ALWAYS);
    wrong.setId(id + "-wrong");
    wrong.managedProperty().bind(wrong.textProperty().isNotEmpty());
    getChildren().addAll(new HBox(8, field, press), wrong);
  }

  /** Calls with every change of what stands in it. */
  public void onTyped(Runnable action) {
    field.textProperty().addListener((o, a, b) -> action.run());
  }

  /** Shows keys without telling anybody. */
  public void set(Trigger.Keys keys) {
    field.setText(Notation.write(keys));
  }

  public void clear() {
    capture.stop();
    press.setText(Ui.text("sets.press"));
    field.clear();
  }

  /** What stands in it, when that is keys. */
  public Optional<Trigger.Keys> keys() {
    try {
      return Optional.of(Notation.read(field.getText()));
    } catch (NotationException unfinished) {
      return Optional.empty();
    }
  }

  /** Gives the keys to the button, where Ctrl+Z is not the field's own. */
  public void focusButton() {
    press.requestFocus();
  }

  private void typed() {
    try {
      onChosen.accept(Notation.read(field.getText()));
    } catch (NotationException fault) {
      wrong.setText(fault.getMessage());
    }
  }

  private void toggle() {
    if (capture.isOn()) {
      left();
    } else {
      capture.start(this);
      press.setText(Ui.text("sets.stop"));
      field.clear();
    }
  }

  @Override
  public void holding(List<Press> strokes, Modifiers held) {
    if (!strokes.isEmpty()) {
      set(of(strokes));
    }
  }

  @Override
  public void pressed(List<Press> strokes) {
    set(of(strokes));
  }

  private Trigger.Keys of(List<Press> strokes) {
    return new Trigger.Keys(strokes.stream().map(layout.get()::stroke).toList());
  }

  @Override
  public void untold() {
    wrong.setText(Ui.text("sets.untold"));
  }

  @Override
  public void ended(List<Press> strokes) {
    press.setText(Ui.text("sets.press"));
    press.requestFocus();
    set(of(strokes));
    onChosen.accept(of(strokes));
  }

  @Override
  public void left() {
    capture.stop();
    press.setText(Ui.text("sets.press"));
    press.requestFocus();
  }
}
