package foldtwice.desktop.standin;

import foldtwice.standin.base.StandIn;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuBar;
import javafx.scene.control.MenuItem;

/**
 * The menus of a program. What is in one is made when it is first opened: there may be thousands.
 */
final class ProgramMenus {

  private final StandIn<?> program;
  private final Consumer<List<String>> onChosen;

  /**
   * @param onChosen gets the path of an item that is chosen
   */
  ProgramMenus(StandIn<?> program, Consumer<List<String>> onChosen) {
    this.program = program;
    this.onChosen = onChosen;
  }

  MenuBar bar() {
    MenuBar bar = new MenuBar();
    Map<String, List<List<String>>> tops = new LinkedHashMap<>();
    for (List<String> path : program.menuPaths()) {
      tops.computeIfAbsent(path.getFirst(), p -> new ArrayList<>()).add(path);
    }
    tops.forEach((label, paths) -> bar.getMenus().add(menu(label, paths, 1)));
    return bar;
  }

  /** Labels are shown as they are: an underline in them marks no letter. */
  private Menu menu(String label, List<List<String>> paths, int depth) {
    Menu menu = new Menu(label);
    menu.setMnemonicParsing(false);
    MenuItem soon = new MenuItem(); // an empty menu does not open
    menu.getItems().add(soon);
    menu.setOnShowing(
        e -> {
          if (e.getTarget() == menu) {
            if (menu.getItems().contains(soon)) {
              menu.getItems().setAll(items(paths, depth));
            }
            tick(menu);
          }
        });
    return menu;
  }

  private List<MenuItem> items(List<List<String>> paths, int depth) {
    List<MenuItem> items = new ArrayList<>();
    Map<String, List<List<String>>> inner = new LinkedHashMap<>();
    for (List<String> path : paths) {
      if (depth >= path.size() - 1) {
        items.add(item(path));
      } else {
        String label = path.get(depth);
        if (!inner.containsKey(label)) {
          inner.put(label, new ArrayList<>());
          items.add(menu(label, inner.get(label), depth + 1));
        }
        inner.get(label).add(path);
      }
    }
    return items;
  }

  private CheckMenuItem item(List<String> path) {
    CheckMenuItem item = new CheckMenuItem(path.getLast());
    item.setMnemonicParsing(false);
    item.setUserData(path);
    item.setOnAction(e -> onChosen.accept(path));
    return item;
  }

  @SuppressWarnings("unchecked")
  private void tick(Menu menu) {
    for (MenuItem item : menu.getItems()) {
      if (item instanceof CheckMenuItem check) {
        check.setSelected(program.ticked((List<String>) check.getUserData()));
      }
    }
  }
}
