package foldtwice.desktop.parts;

import foldtwice.desktop.session.Ui;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** A button of the pointer, with the modifiers that are held with it. */
public final class PointerForm extends VBox {

  private static final List<Modifier> HELD =
      List.of(Modifier.CTRL, Modifier.ALT, Modifier.SHIFT, Modifier.LOGO);

  private final Function<Trigger, Optional<String>> does;
  private final Consumer<Trigger> onTaken;
  private final FlowPane buttons = new FlowPane(6, 6);
  private Modifiers held = Modifiers.NONE;

  /**
   * With nothing held.
   *
   * @param does what such a trigger does already; empty for nothing
   */
  public PointerForm(Function<Trigger, Optional<String>> does, Consumer<Trigger> onTaken) {
    super(8);
    this.does = does;
    this.onTaken = onTaken;
    FlowPane chips = new FlowPane(5, 5, Parts.label(Ui.text("picker.pointer.held"), "soft"));
    for (Modifier m : HELD) {
      ToggleButton chip = Skins.on(new ToggleButton(m.word()));
      chip.setId("picker-held-" + m.word().toLowerCase(Locale.ROOT));
      chip.getStyleClass().addAll("chip", "small-chip");
      chip.selectedProperty()
          .addListener(
              (o, a, on) -> {
                held = on ? held.with(m) : held.without(m);
                buttons();
              });
      chips.getChildren().add(chip);
    }
    getChildren().addAll(chips, buttons);
    buttons();
  }

  private void buttons() {
    Map<Trigger.PointerButton, String> says = new EnumMap<>(Trigger.PointerButton.class);
    for (Trigger.PointerButton b : Trigger.PointerButton.values()) {
      String name = Words.pointerButton(b);
      says.put(
          b,
          does.apply(new Trigger.Pointer(b, held))
              .map(d -> Ui.text("picker.taken", name, d))
              .orElse(name));
    }
    Refill.with(
        buttons,
        List.of(held, says),
        () -> says.entrySet().stream().map(e -> button(e.getKey(), e.getValue())).toList());
  }

  private Button button(Trigger.PointerButton which, String says) {
    Trigger trigger = new Trigger.Pointer(which, held);
    Button button =
        Parts.button(
            "picker-" + which.name().toLowerCase(Locale.ROOT), says, () -> onTaken.accept(trigger));
    button.setWrapText(true);
    return button;
  }

  /** Shows what they do now. */
  public void follow() {
    buttons();
  }
}
