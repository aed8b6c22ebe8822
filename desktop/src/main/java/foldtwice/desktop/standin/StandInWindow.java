package foldtwice.desktop.standin;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Ui;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.standin.base.StandIn;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuBar;
import javafx.scene.control.MenuItem;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The window of a stand-in: title, menus, what it shows, foot. Focused, it has the keys. */
public abstract class StandInWindow extends VBox {

  private final StandIn<?> program;
  private final Label foot = Parts.label("");
  private final Label undo = Parts.label("");
  private final Label refused = Parts.label("", "refused");
  private final StackPane content = new StackPane();
  private Consumer<Reply> onWorked = r -> {};

  protected StandInWindow(StandIn<?> program, String title) {
    this.program = program;
    getStyleClass().add("window");
    setFocusTraversable(true);
    setId("window-" + program.application());
    setAccessibleText(title);
    HBox head = new HBox(Parts.label(title));
    head.getStyleClass().add("window-title");
    MenuBar menus = new MenuBar();
    program.menuPaths().forEach(path -> add(menus.getMenus(), path, 0));
    foot.setId("standin-foot");
    HBox bottom = new HBox(foot, undo, refused);
    bottom.getStyleClass().add("window-foot");
    VBox.setVgrow(content, Priority.ALWAYS);
    getChildren().addAll(head, menus, content, bottom);
    addEventFilter(MouseEvent.MOUSE_PRESSED, e -> requestFocus());
  }

  /** The window for a stand-in. */
  public static StandInWindow of(Program program) {
    return switch (program) {
      case foldtwice.standin.tagpress.Tagpress t -> new TagpressWindow(t);
      case foldtwice.standin.vasculum.Vasculum v -> new VasculumWindow(v);
      default -> throw new IllegalArgumentException("no window for " + program.application());
    };
  }

  /** Called after mouse or menu did something to the program. */
  public final void setOnWorked(Consumer<Reply> action) {
    onWorked = action;
  }

  public final Program program() {
    return program;
  }

  private void add(List<? super Menu> menus, List<String> path, int depth) {
    Menu menu =
        menus.stream()
            .filter(m -> m instanceof Menu known && known.getText().equals(path.get(depth)))
            .map(m -> (Menu) m)
            .findFirst()
            .orElseGet(
                () -> {
                  Menu made = new Menu(path.get(depth));
                  menus.add(made);
                  return made;
                });
    if (depth < path.size() - 2) {
      addInner(menu, path, depth + 1);
    } else {
      MenuItem item = new MenuItem(path.getLast());
      item.setOnAction(e -> worked(program.choose(path)));
      menu.getItems().add(item);
    }
  }

  private void addInner(Menu menu, List<String> path, int depth) {
    Menu inner =
        menu.getItems().stream()
            .filter(m -> m instanceof Menu && m.getText().equals(path.get(depth)))
            .map(m -> (Menu) m)
            .findFirst()
            .orElseGet(
                () -> {
                  Menu made = new Menu(path.get(depth));
                  menu.getItems().add(made);
                  return made;
                });
    MenuItem item = new MenuItem(path.getLast());
    item.setOnAction(e -> worked(program.choose(path)));
    inner.getItems().add(item);
  }

  /** Shows the program as it is after something was done to it. */
  protected final void worked(Reply reply) {
    refresh();
    refused.setText(
        reply instanceof Reply.Refused(String expected, String found)
            ? Ui.text("standin.refused", expected, found)
            : "");
    onWorked.accept(reply);
  }

  protected final void show(Region picture) {
    content.getChildren().setAll(picture);
  }

  /** Shows the program as it is. */
  public final void refresh() {
    refused.setText("");
    draw();
    foot.setText(status());
    undo.setText(Ui.text("standin.undo", program.undoDepth()));
    content.getChildren().removeIf(n -> n instanceof DialogCard);
    program
        .dialog()
        .ifPresentOrElse(
            d -> content.getChildren().add(new DialogCard(program, d, this::worked)), () -> {});
  }

  /** Draws what the program shows. */
  protected abstract void draw();

  /** The line at the foot. */
  protected abstract String status();
}
