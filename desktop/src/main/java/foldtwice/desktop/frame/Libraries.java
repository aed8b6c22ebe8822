package foldtwice.desktop.frame;

import foldtwice.desktop.begin.BeginPane;
import foldtwice.desktop.begin.Lately;
import foldtwice.desktop.parts.Theme;
import foldtwice.desktop.session.Faults;
import foldtwice.desktop.session.FileAsking;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.session.WorkingCopy;
import foldtwice.library.Beginning;
import foldtwice.library.file.LibraryFile;
import foldtwice.text.DiskWords;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Scene;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The libraries that are open, each in a window of its own, and how another comes to be. */
public final class Libraries {

  private static final Logger LOG = LoggerFactory.getLogger(Libraries.class);

  private final Faults faults;
  private final FileAsking files;
  private final Lately lately;
  private final List<Opening> windows = new ArrayList<>();
  private Stage beginning;

  /**
   * @param faults what nobody expects to go wrong
   */
  public Libraries(Faults faults, FileAsking files, Lately lately) {
    this.faults = faults;
    this.files = files;
    this.lately = lately;
  }

  /** Those opened lately, the last one first. */
  List<Path> lately() {
    return lately.files();
  }

  /** Opens a library in this window. */
  public Opening in(Stage stage, Early early, Runnable quit) {
    Opening opening = new Opening(stage, faults, this, quit);
    windows.add(opening);
    opening.open(early);
    return opening;
  }

  /** A library has been opened. */
  void opened(Path file) {
    lately.opened(file);
  }

  /** Opens a library in a window of its own, or brings the window to the front that has it. */
  void open(Path file) {
    windows.removeIf(w -> !w.isShowing());
    Optional<Opening> there = windows.stream().filter(w -> w.has(file)).findFirst();
    if (there.isPresent()) {
      there.get().toFront();
      return;
    }
    Stage stage = new Stage();
    stage.setMinWidth(1024);
    stage.setMinHeight(700);
    in(stage, Early.begin(() -> file), stage::close);
    stage.show();
  }

  /** Asks for a library and opens it. */
  void ask(Window owner) {
    files.files(owner, Ui.text("begin.open")).stream().findFirst().ifPresent(this::open);
  }

  /**
   * Opens the demo library as it came, beside whatever became of an earlier copy; says why when it
   * cannot.
   */
  Optional<String> demo() {
    try {
      open(WorkingCopy.fresh(WorkingCopy.demo(), WorkingCopy.folder()));
      return Optional.empty();
    } catch (IOException e) {
      LOG.warn("no fresh copy of the demo library", e);
      return Optional.of(Ui.text("begin.refused", DiskWords.says(e)));
    }
  }

  /** Shows the sheet on which a library is begun, in a window of its own. */
  void begin() {
    if (beginning != null && beginning.isShowing()) {
      beginning.toFront();
      return;
    }
    Stage stage = new Stage();
    beginning = stage;
    Scene scene = sheet(stage);
    stage.setTitle(Ui.text("begin.title") + ", " + Ui.text("app.name"));
    stage.setScene(scene);
    stage.show();
    ((BeginPane) scene.getRoot()).takeKeys();
  }

  /** The sheet on which a library is begun, for this window. */
  public Scene sheet(Stage stage) {
    BeginPane pane = new BeginPane(choice(stage), WorkingCopy.folder(), lately());
    Scene scene = new Scene(pane, 1040, 640);
    Theme theme = new Theme();
    theme.on(scene);
    theme.turn(scene, Theme.remembered());
    return scene;
  }

  private BeginPane.Choice choice(Stage stage) {
    return new BeginPane.Choice() {
      @Override
      public Optional<String> begin(Beginning begun, Path file) {
        try {
          LibraryFile.create(file, begun.library());
        } catch (IOException | RuntimeException e) {
          LOG.warn("a library cannot be begun", e);
          return Optional.of(Ui.text("begin.refused", DiskWords.says(e)));
        }
        stage.close();
        Libraries.this.open(file);
        return Optional.empty();
      }

      @Override
      public void open(Path file) {
        stage.close();
        Libraries.this.open(file);
      }

      @Override
      public void open() {
        files.files(stage, Ui.text("begin.open")).stream().findFirst().ifPresent(this::open);
      }

      @Override
      public Optional<String> demo() {
        Optional<String> why = Libraries.this.demo();
        if (why.isEmpty()) {
          stage.close();
        }
        return why;
      }

      @Override
      public Optional<Path> elsewhere(String name) {
        return files.fresh(stage, Ui.text("begin.elsewhere"), name);
      }

      @Override
      public void leave() {
        stage.close();
      }
    };
  }

  /** Closes all; without their windows, as at the end of the computer's day. */
  public void close() {
    windows.forEach(Opening::close);
  }
}
