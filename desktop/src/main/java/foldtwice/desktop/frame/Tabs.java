package foldtwice.desktop.frame;

import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Acts;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Kind;
import foldtwice.desktop.view.Target;
import java.util.LinkedHashMap;
import java.util.Map;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.VBox;

/** The index tabs at the left, in the order of the work. */
final class Tabs extends VBox {

  private final Map<String, ToggleButton> tabs = new LinkedHashMap<>();
  private String chosen = "";

  Tabs(Going going) {
    getStyleClass().add("tabs");
    ToggleGroup group = new ToggleGroup();
    for (Kind<?> kind : Views.ALL) {
      ToggleButton tab = Skins.on(new ToggleButton(Ui.text("tab." + kind.id())));
      tab.setId("tab-" + kind.id());
      tab.getStyleClass().add("tab-leaf");
      tab.setToggleGroup(group);
      Acts.tip(tab, kind.id(), "");
      tab.setOnAction(
          e -> {
            tab.setSelected(true); // also when it was chosen already
            going.to(new Target.Sheet(kind.id()));
          });
      tabs.put(kind.id(), tab);
      getChildren().add(tab);
    }
  }

  void choose(String id) {
    chosen = id;
    tabs.get(id).setSelected(true);
  }

  /** Gives the keys to the tab of the view that is shown. */
  void takeKeys() {
    tabs.get(chosen).requestFocus();
  }

  boolean hasKeys() {
    return tabs.values().stream().anyMatch(ToggleButton::isFocused);
  }
}
