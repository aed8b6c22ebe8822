package foldtwice.desktop.frame;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Theme;
import foldtwice.desktop.session.Faults;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryFile;
import foldtwice.library.file.LibraryStore;
import foldtwice.text.DiskWords;
import foldtwice.text.Plain;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Opens a library in a window, and closes it with the window. What goes wrong is said in the window
 * itself, with what there is to do.
 */
public final class Opening {

  private static final Logger LOG = LoggerFactory.getLogger(Opening.class);
  private static final int MOST_SHOWN = 40;

  private final Stage stage;
  private final Faults faults;
  private final Libraries libraries;
  private final Runnable quit;
  private Optional<Session> session = Optional.empty();

  /**
   * @param faults what nobody expects to go wrong
   * @param libraries the windows of others
   * @param quit ends what the window is part of
   */
  public Opening(Stage stage, Faults faults, Libraries libraries, Runnable quit) {
    this.stage = stage;
    this.faults = faults;
    this.libraries = libraries;
    this.quit = quit;
    stage.setOnCloseRequest(
        e -> {
          if (!close()) {
            e.consume();
          }
        });
  }

  boolean isShowing() {
    return stage.isShowing();
  }

  void toFront() {
    stage.toFront();
    stage.requestFocus();
  }

  /** True when it has the library of this file. */
  boolean has(Path file) {
    return session
        .filter(
            s -> {
              try {
                return Files.isSameFile(s.store().file(), file);
              } catch (IOException e) {
                return false; // one of them is gone
              }
            })
        .isPresent();
  }

  /** What is open, if anything. */
  public Optional<Session> session() {
    return session;
  }

  /** Shows a library, or why it cannot be shown. */
  public void open(Early early) {
    try {
      show(early.store());
    } catch (FormatException e) {
      LOG.error("{}", Plain.of(e.getMessage()));
      refused(early.file(), e.getMessage());
    } catch (IOException e) {
      LOG.error("{}", Plain.of(DiskWords.says(e)));
      fail("error.open", DiskWords.says(e), List.of(), () -> {});
    }
  }

  private void show(LibraryStore store) throws IOException, FormatException {
    if (store.library().stations().isEmpty()) {
      Path file = store.file();
      store.close();
      throw new FormatException(
          file + ", /stations", "a library needs at least one station to be looked at on; add one");
    }
    Session opened = new Session(store);
    session = Optional.of(opened);
    stage.setTitle(opened.now().library().name() + ", " + Ui.text("app.name"));
    libraries.opened(store.file());
    Frame frame = new Frame(opened, new Theme(), faults, libraries);
    Scene scene = frame.scene(1280, 800);
    frame.showSheet(Theme.remembered());
    stage.setScene(scene);
  }

  /** What cannot be read is named, and can be set aside. */
  private void refused(Path file, String why) {
    List<LibraryFile.SetAside> broken = List.of();
    try {
      broken = LibraryFile.broken(file);
    } catch (IOException | FormatException e) {
      LOG.info("nothing to set aside helps: {}", e.getMessage());
    }
    fail("error.open", why, broken, () -> repair(file));
  }

  private void repair(Path file) {
    try {
      show(LibraryFile.repair(file, System.getProperty("user.name"), Clock.systemUTC()));
    } catch (IOException | FormatException e) {
      LOG.error("{}", Plain.of(DiskWords.says(e)));
      fail("error.open", DiskWords.says(e), List.of(), () -> {});
    }
  }

  private void fail(
      String title, String message, List<LibraryFile.SetAside> broken, Runnable repair) {
    VBox box =
        new VBox(14, Parts.label(Ui.text(title), "title"), message(message, "failure-message"));
    HBox buttons = new HBox(10);
    if (!broken.isEmpty()) {
      VBox parts = new VBox(6);
      parts.setId("failure-parts");
      broken.stream()
          .limit(MOST_SHOWN)
          .forEach(
              b ->
                  parts
                      .getChildren()
                      .addAll(Parts.label(b.where(), "mono"), message(b.why(), null)));
      ScrollPane scroll = Skins.on(new ScrollPane(parts));
      scroll.setFitToWidth(true);
      scroll.setMaxHeight(220);
      box.getChildren()
          .addAll(message(Ui.text("error.repairs", broken.size()), "failure-repairs"), scroll);
      buttons.getChildren().add(Parts.button("repair", Ui.text("error.repair"), repair, "main"));
    }
    buttons
        .getChildren()
        .add(
            Parts.button(
                "quit",
                Ui.text(title.equals("error.close") ? "error.closeanyway" : "error.quit"),
                quit));
    box.getChildren().add(buttons);
    box.setId("failure");
    box.setStyle("-fx-padding: 40; -fx-background-color: -paper;");
    Scene scene = new Scene(box, 860, broken.isEmpty() ? 320 : 520);
    new Theme().on(scene);
    stage.setScene(scene);
  }

  private static Label message(String text, String id) {
    Label label = Parts.wrapped(text);
    label.setId(id);
    return label;
  }

  /**
   * Closes the library; false when that did not end well, which the window then says before it
   * goes.
   */
  public boolean close() {
    if (session.isEmpty()) {
      return true;
    }
    Session closing = session.get();
    session = Optional.empty();
    try {
      closing.close();
      return true;
    } catch (IOException e) {
      LOG.error("{}", Plain.of(DiskWords.says(e)));
      fail("error.close", DiskWords.says(e), List.of(), () -> {});
      return false;
    }
  }
}
