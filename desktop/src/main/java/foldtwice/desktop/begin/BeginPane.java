package foldtwice.desktop.begin;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Beginning;
import foldtwice.library.Ids;
import foldtwice.place.Desktops;
import foldtwice.trigger.Layouts;
import foldtwice.trigger.Shape;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** One sheet on which a library is begun, and beside it those there are. */
public final class BeginPane extends HBox {

  /** What can come of it. */
  public interface Choice {
    /** A library of one's own is to be made in this file; says why when it cannot be. */
    Optional<String> begin(Beginning beginning, Path file);

    /** One there is. */
    void open(Path file);

    /** One the person is asked for. */
    void open();

    /** The demo library as it came; says why when it cannot be. */
    Optional<String> demo();

    /** Another file for the new one; empty when the person chose none. */
    Optional<Path> elsewhere(String name);

    /** Nothing. */
    void leave();
  }

  private final Choice choice;
  private final Path folder;
  private final TextField name = Skins.on(new TextField());
  private final ComboBox<String> layout = new ComboBox<>();
  private final ComboBox<Shape> shape = new ComboBox<>();
  private final ComboBox<Desktops.Kind> desktop = new ComboBox<>();
  private final Label file = Parts.wrapped("", "soft");
  private final Label refused = Parts.wrapped("", "blocks");
  private final Button begin = Parts.button("begin", Ui.text("begin.begin"), this::begin, "main");
  private Optional<Path> elsewhere = Optional.empty();

  /**
   * @param folder where new libraries go unless the person says otherwise
   * @param lately those opened lately
   */
  public BeginPane(Choice choice, Path folder, List<Path> lately) {
    this.choice = choice;
    this.folder = folder;
    setId("begin-pane");
    getStyleClass().add("begin-pane");
    VBox sheet = sheet();
    VBox others = others(lately);
    HBox.setHgrow(sheet, Priority.ALWAYS);
    getChildren().addAll(sheet, Parts.crease(), others);
    addEventHandler(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            choice.leave();
            e.consume();
          }
        });
    name.textProperty().addListener((o, a, b) -> show());
    show();
  }

  /** Gives the keys to what comes first. */
  public void takeKeys() {
    name.requestFocus();
  }

  private VBox sheet() {
    name.setId("begin-name");
    name.getStyleClass().add("title-field");
    Parts.prompt(name, Ui.text("begin.name.prompt"));
    Label called = Parts.label(Ui.text("begin.name"), "soft");
    called.setLabelFor(name);
    name.setOnAction(e -> begin());
    chooser(layout, "begin-layout", Layouts.IDS, Ui.text("begin.layout"));
    Parts.shows(layout, l -> l.toUpperCase(Locale.ROOT));
    chooser(shape, "begin-shape", List.of(Shape.values()), Ui.text("begin.shape"));
    chooser(desktop, "begin-desktop", Desktops.ALL, Ui.text("begin.desktop"));
    Parts.shows(desktop, Desktops.Kind::name);
    layout.setValue(Beginning.likelyLayout(Locale.getDefault()));
    shape.setValue(Beginning.likelyShape(layout.getValue()));
    desktop.setValue(Beginning.likelyDesktop(System.getProperty("os.name")));
    WhichKeyboard which =
        new WhichKeyboard(
            found -> {
              layout.setValue(found.layout());
              shape.setValue(found.shape());
              begin.requestFocus();
            });
    Label keeps = Parts.label("", "soft");
    keeps.setId("begin-keeps");
    Runnable kept =
        () -> keeps.setText(Ui.text("begin.keeps", desktop.getValue().reserved().size()));
    desktop.valueProperty().addListener((o, a, b) -> kept.run());
    kept.run();
    file.setId("begin-file");
    refused.setId("begin-refused");
    HBox choosers =
        new HBox(
            8,
            layout,
            shape,
            Parts.button("keyboard-anew", Ui.text("begin.keyboard.anew"), which::anew, "link"));
    choosers.setAlignment(Pos.CENTER_LEFT);
    HBox kind = new HBox(8, desktop, keeps);
    kind.setAlignment(Pos.CENTER_LEFT);
    HBox keptIn =
        new HBox(
            8,
            file,
            Parts.button("begin-elsewhere", Ui.text("begin.elsewhere"), this::elsewhere, "link"));
    keptIn.setAlignment(Pos.CENTER_LEFT);
    HBox buttons =
        new HBox(10, begin, Parts.button("begin-leave", Ui.text("begin.leave"), choice::leave));
    VBox sheet =
        new VBox(
            8,
            Parts.label(Ui.text("begin.title"), "title"),
            Parts.wrapped(Ui.text("begin.about"), "soft"),
            called,
            name,
            Parts.label(Ui.text("begin.computer"), "heading"),
            which,
            choosers,
            kind,
            keptIn,
            refused,
            buttons);
    sheet.getStyleClass().add("begin-sheet");
    sheet.setMinWidth(520);
    return sheet;
  }

  private static <T> void chooser(ComboBox<T> box, String id, List<T> all, String says) {
    box.setId(id);
    box.getItems().setAll(all);
    box.setAccessibleText(says);
  }

  private VBox others(List<Path> lately) {
    VBox others = new VBox(6);
    others.getStyleClass().add("begin-others");
    others.getChildren().add(Parts.label(Ui.text("begin.lately"), "heading"));
    if (lately.isEmpty()) {
      others.getChildren().add(Parts.label(Ui.text("begin.lately.none"), "soft"));
    }
    for (int i = 0; i < lately.size(); i++) {
      Path one = lately.get(i);
      Button open =
          Parts.button("lately-" + i, one.getFileName().toString(), () -> choice.open(one), "link");
      Label where = Parts.label(String.valueOf(one.getParent()), "soft");
      where.setMinWidth(0);
      where.setMaxWidth(340);
      others.getChildren().addAll(open, where);
    }
    others
        .getChildren()
        .addAll(
            Parts.label(Ui.text("begin.or"), "heading"),
            Parts.button("begin-open", Ui.text("begin.open"), choice::open, "link"),
            Parts.button("begin-demo", Ui.text("begin.demo"), () -> refuse(choice.demo()), "link"),
            Parts.wrapped(Ui.text("begin.demo.about"), "soft"),
            Parts.label(Ui.text("begin.then"), "heading"));
    for (int i = 1; i <= 3; i++) {
      Label step = Parts.wrapped(Ui.text("begin.then." + i), "soft");
      Label number = Parts.label(Integer.toString(i), "strong");
      number.setMinWidth(18);
      HBox row = new HBox(6, number, step);
      HBox.setHgrow(step, Priority.ALWAYS);
      others.getChildren().add(row);
    }
    others.setPrefWidth(380);
    others.setMinWidth(Region.USE_PREF_SIZE);
    return others;
  }

  /** A file that is not there yet, called as the library is. */
  private Path proposed() {
    String id = Ids.of(name.getText(), "library");
    Path proposed = folder.resolve(id + ".json");
    for (int i = 2; Files.exists(proposed); i++) {
      proposed = folder.resolve(id + "-" + i + ".json");
    }
    return proposed;
  }

  private Path file() {
    return elsewhere.orElseGet(this::proposed);
  }

  private void elsewhere() {
    choice
        .elsewhere(file().getFileName().toString())
        .ifPresent(
            there -> {
              elsewhere = Optional.of(there);
              show();
            });
  }

  private void show() {
    refuse(Optional.empty());
    begin.setDisable(name.getText().isBlank());
    file.setText(Ui.text("begin.file", file()));
  }

  private void begin() {
    if (name.getText().isBlank()) {
      return;
    }
    Beginning beginning =
        new Beginning(
            name.getText().strip(),
            Ui.text("begin.station"),
            layout.getValue(),
            shape.getValue(),
            desktop.getValue());
    refuse(choice.begin(beginning, file()));
  }

  private void refuse(Optional<String> why) {
    refused.setText(why.orElse(""));
    refused.setManaged(why.isPresent());
  }
}
