package foldtwice.desktop.frame;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.OwnKeys;
import foldtwice.library.Library;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;

/** The field that finds anything, and the list of what it found, laid over the window. */
final class LookUp {

  private static final double WIDTH = 540;
  private static final double KIND_WIDTH = 112;
  private static final int MOST_ROWS = 12;

  private final CommandTexts commands = new CommandTexts();
  private final Session session;
  private final Going going;
  private final TextField field = Skins.on(new TextField());
  private final ListView<Hit> list = new ListView<>();
  private final Label none = Parts.label("", "soft");
  private final StackPane bar = new StackPane();
  private final Pane overlay;
  private Node cameFrom;

  /** What could be done when it was opened. */
  private List<Deeds.Deed> doable = List.of();

  LookUp(Session session, Going going, Deeds deeds, Pane overlay) {
    this.session = session;
    this.going = going;
    this.overlay = overlay;
    field.setId("look-up");
    Parts.prompt(field, Ui.text("look.prompt"));
    field.setAccessibleText(Ui.text("act.look-up"));
    Label key = Parts.label(OwnKeys.get().keys("look-up"), "mono", "soft");
    key.setMouseTransparent(true);
    StackPane.setAlignment(key, Pos.CENTER_RIGHT);
    key.setPadding(new javafx.geometry.Insets(0, 10, 0, 0));
    bar.getChildren().addAll(field, key);
    bar.setMinWidth(200);
    bar.setPrefWidth(400);
    bar.setMaxWidth(400);
    list.setId("look-list");
    list.getStyleClass().add("look-list");
    list.setFixedCellSize(32);
    list.setPlaceholder(none);
    list.setFocusTraversable(false);
    list.setCellFactory(v -> Skins.on(new Cell()));
    list.setOnMouseClicked(e -> go());
    field.textProperty().addListener((o, a, b) -> search());
    field.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                key.setText(OwnKeys.get().keys("look-up"));
                doable = deeds.now();
                search();
              } else {
                close();
                field.clear();
              }
            });
    overlay.setPickOnBounds(false);
    session.nowProperty().addListener((o, was, now) -> prepare(was.library(), now.library()));
    prepare(null, session.now().library());
  }

  /** The texts of many commands are put together before anybody asks. */
  private void prepare(Library was, Library now) {
    if (was == null || !was.applications().equals(now.applications())) {
      session
          .background()
          .once(
              Lane.IDLE,
              () -> {
                commands.prepare(now);
                return true;
              },
              done -> search());
    }
  }

  Node bar() {
    return bar;
  }

  /** Gives the look-up the keys. */
  void open() {
    if (!field.isFocused()) {
      cameFrom = field.getScene().getFocusOwner();
    }
    boolean open = field.isFocused();
    field.requestFocus(); // which searches, if it had not the keys
    field.selectAll();
    if (open) {
      search();
    }
  }

  private void search() {
    if (!field.isFocused()) {
      return;
    }
    List<Hit> found = Finder.find(session.now(), going, doable, commands, field.getText());
    list.getItems().setAll(found);
    none.setText(Ui.text("look.none", field.getText()));
    list.getSelectionModel().selectFirst();
    Bounds under = overlay.sceneToLocal(bar.localToScene(bar.getBoundsInLocal()));
    double rows = Math.clamp(found.size(), 2, MOST_ROWS);
    list.resizeRelocate(
        under.getMinX() - (WIDTH - under.getWidth()) / 2,
        under.getMaxY() + 4,
        WIDTH,
        rows * 32 + 4);
    list.setPrefSize(WIDTH, rows * 32 + 4);
    if (!overlay.getChildren().contains(list)) {
      overlay.getChildren().add(list);
    }
  }

  private void key(KeyEvent e) {
    int at = list.getSelectionModel().getSelectedIndex();
    switch (e.getCode()) {
      case DOWN -> move(at + 1);
      case UP -> move(at - 1);
      case PAGE_DOWN -> move(Math.min(at + MOST_ROWS, list.getItems().size() - 1));
      case PAGE_UP -> move(Math.max(at - MOST_ROWS, 0));
      case ENTER -> go();
      case ESCAPE -> {
        close();
        giveBack();
      }
      default -> {
        return;
      }
    }
    e.consume();
  }

  private void move(int to) {
    if (to >= 0 && to < list.getItems().size()) {
      list.getSelectionModel().select(to);
      list.scrollTo(Math.max(0, to - MOST_ROWS + 2));
    }
  }

  private void go() {
    Hit found = list.getSelectionModel().getSelectedItem();
    if (found != null) {
      close();
      field.clear();
      giveBack();
      found.go().run();
    }
  }

  /** The keys go back to where they were. */
  private void giveBack() {
    if (cameFrom != null && cameFrom.getScene() != null) {
      cameFrom.requestFocus();
    }
  }

  private void close() {
    overlay.getChildren().remove(list);
  }

  private static final class Cell extends ListCell<Hit> {
    private final Label kind = Parts.label("", "soft");
    private final Label title = Parts.label("", "strong");
    private final Label detail = Parts.label("", "soft");
    private final HBox row = new HBox(10, kind, title, Parts.gap(), detail);

    Cell() {
      kind.setMinWidth(KIND_WIDTH);
      kind.setPrefWidth(KIND_WIDTH);
      title.setMinWidth(USE_PREF_SIZE);
      detail.setMinWidth(0);
      row.setAlignment(Pos.CENTER_LEFT);
      row.setMaxWidth(WIDTH - 30);
      row.setPrefWidth(WIDTH - 30);
      setPrefWidth(0);
      setText(null);
    }

    @Override
    protected void updateItem(Hit found, boolean empty) {
      super.updateItem(found, empty);
      boolean shown = !empty && found != null;
      if (shown) {
        kind.setText(found.kind());
        title.setText(found.title());
        detail.setText(found.detail());
      }
      setGraphic(shown ? row : null);
    }
  }
}
