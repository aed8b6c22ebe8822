package foldtwice.desktop.view;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Tips;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;

/** The actions of one view that is there, as buttons and menus. */
public final class Acts<V> {

  private final V view;
  private final Map<String, Act<V>> acts = new LinkedHashMap<>();
  private final Map<Act<V>, Button> buttons = new LinkedHashMap<>();
  private final Map<Act<V>, MenuItem> items = new LinkedHashMap<>();

  public Acts(V view, List<Act<V>> all) {
    this.view = view;
    all.forEach(a -> acts.put(a.id(), a));
  }

  private Act<V> act(String id) {
    Act<V> act = acts.get(id);
    if (act == null) {
      throw new IllegalArgumentException("no action is called " + id);
    }
    return act;
  }

  /** Its button, which can be pressed while it applies and tells its key. */
  public Button button(String id, String... styles) {
    Act<V> act = act(id);
    Button button = Parts.button(id, act.onButton(), () -> act.does().accept(view), styles);
    tip(button, id, "");
    buttons.put(act, button);
    return button;
  }

  /** A menu of some, for what is seldom done; an empty id parts them. */
  public MenuButton menu(String id, String text, String... ids) {
    MenuButton menu = Skins.on(new MenuButton(text));
    menu.setId(id);
    menu.getStyleClass().add("quiet-menu");
    for (String one : ids) {
      if (one.isEmpty()) {
        menu.getItems().add(new javafx.scene.control.SeparatorMenuItem());
        continue;
      }
      Act<V> act = act(one);
      MenuItem item = new MenuItem(act.onButton());
      item.setId(one);
      item.setOnAction(e -> act.does().accept(view));
      items.put(act, item);
      menu.getItems().add(item);
    }
    menu.setOnShowing(e -> refresh());
    return menu;
  }

  /** Lets be pressed what applies now. */
  public void refresh() {
    buttons.forEach((act, button) -> button.setDisable(!act.applies().test(view)));
    items.forEach((act, item) -> item.setDisable(!act.applies().test(view)));
  }

  /** Says something of a control, and the key that an action has when it is said. */
  public static void tip(Node node, String id, String says) {
    Tips.on(
        node,
        () -> {
          String keys = OwnKeys.get().keys(id);
          return says.isEmpty() || keys.isEmpty() ? says + keys : says + "  " + keys;
        });
  }
}
