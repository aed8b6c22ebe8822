package foldtwice.desktop.trying;

import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.Icons;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Bound;
import foldtwice.surface.Face;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;

/** The toolbars of an application: a button is enabled where what is bound to it is heard. */
final class ToolbarRow extends FlowPane {

  private final Consumer<Trigger> onPressed;

  ToolbarRow(Consumer<Trigger> onPressed) {
    super(4, 4);
    this.onPressed = onPressed;
    setId("toolbar");
    getStyleClass().add("toolbar-row");
  }

  void show(String application, Faces faces) {
    List<Slot> slots = new ArrayList<>();
    for (Toolbar toolbar : faces.now().library().toolbars()) {
      if (toolbar.application().equals(application)) {
        add(slots, toolbar, faces);
      }
    }
    Refill.with(this, slots, () -> slots.stream().flatMap(s -> nodes(s).stream()).toList());
    Parts.there(this, !getChildren().isEmpty());
  }

  /**
   * One slot of a toolbar.
   *
   * @param taken true when something is bound to it, wherever that is heard
   * @param does what it does here
   */
  private record Slot(Toolbar toolbar, int slot, boolean taken, Optional<String> does) {

    Trigger trigger() {
      return new Trigger.Button(toolbar.id(), slot);
    }

    boolean begins() {
      return toolbar.group() > 0 && slot > 1 && (slot - 1) % toolbar.group() == 0;
    }
  }

  private static void add(List<Slot> slots, Toolbar toolbar, Faces faces) {
    for (int slot = 1; slot <= toolbar.slots(); slot++) {
      Trigger trigger = new Trigger.Button(toolbar.id(), slot);
      slots.add(
          new Slot(
              toolbar,
              slot,
              !Bound.on(faces.now().library(), trigger).isEmpty(),
              faces.does(trigger)));
    }
  }

  private List<Node> nodes(Slot slot) {
    List<Node> nodes = new ArrayList<>();
    if (slot.begins()) {
      Region gap = new Region();
      gap.setMinWidth(10);
      nodes.add(gap);
    }
    if (slot.taken() || !slot.toolbar().face(slot.slot()).label().isEmpty()) {
      nodes.add(button(slot));
    }
    return nodes;
  }

  private Button button(Slot slot) {
    Face face = slot.toolbar().face(slot.slot());
    Button button =
        Skins.on(new Button(face.label().isEmpty() ? slot.does().orElse("") : face.label()));
    button.setId("toolbar-" + slot.slot());
    button.getStyleClass().add("toolbar-button");
    Icons.dress(button, face, 15);
    button.setDisable(slot.does().isEmpty());
    button.setFocusTraversable(true);
    String says = slot.does().orElse(Ui.text("toolbar.nothere"));
    button.setAccessibleText(says);
    Tips.on(button, Ui.text("toolbar.tip", says, slot.toolbar().name(), slot.slot()));
    button.setOnAction(e -> onPressed.accept(slot.trigger()));
    return button;
  }
}
