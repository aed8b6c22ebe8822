package foldtwice.desktop.trying;

import foldtwice.desktop.parts.Faces;
import foldtwice.desktop.parts.Icons;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Ui;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
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
    getChildren().clear();
    List<Toolbar> here =
        faces.now().library().toolbars().stream()
            .filter(t -> t.application().equals(application))
            .toList();
    here.forEach(t -> add(t, faces));
    setVisible(!getChildren().isEmpty());
    setManaged(!getChildren().isEmpty());
  }

  private void add(Toolbar toolbar, Faces faces) {
    List<Integer> taken =
        faces.now().library().bindings().values().stream()
            .flatMap(b -> b.triggers().stream())
            .filter(t -> t instanceof Trigger.Button b && b.toolbar().equals(toolbar.id()))
            .map(t -> ((Trigger.Button) t).slot())
            .toList();
    for (int slot = 1; slot <= toolbar.slots(); slot++) {
      if (toolbar.group() > 0 && slot > 1 && (slot - 1) % toolbar.group() == 0) {
        Region gap = new Region();
        gap.setMinWidth(10);
        getChildren().add(gap);
      }
      String label = toolbar.face(slot).label();
      if (!taken.contains(slot) && label.isEmpty()) {
        continue;
      }
      Trigger trigger = new Trigger.Button(toolbar.id(), slot);
      Optional<String> does = faces.does(trigger);
      Button button = Skins.on(new Button(label.isEmpty() ? does.orElse("") : label));
      button.setId("toolbar-" + slot);
      button.getStyleClass().add("toolbar-button");
      Icons.dress(button, toolbar.face(slot), 15);
      button.setDisable(does.isEmpty());
      button.setFocusTraversable(true);
      String says = does.orElse(Ui.text("toolbar.nothere"));
      button.setAccessibleText(says);
      Tips.on(button, Ui.text("toolbar.tip", says, toolbar.name(), slot));
      button.setOnAction(e -> onPressed.accept(trigger));
      getChildren().add(button);
    }
  }
}
