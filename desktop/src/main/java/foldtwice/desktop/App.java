package foldtwice.desktop;

import foldtwice.desktop.frame.Frame;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Theme;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.session.WorkingCopy;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The desktop application. */
public final class App extends Application {

  private static final Logger LOG = LoggerFactory.getLogger(App.class);

  private Session session;

  @Override
  public void start(Stage stage) {
    Theme.install();
    stage.setTitle(Ui.text("app.name"));
    stage.setMinWidth(1024);
    stage.setMinHeight(700);
    try {
      Path file = library(getParameters().getRaw());
      session = open(file);
      stage.setTitle(session.now().library().name() + ", " + Ui.text("app.name"));
      Frame frame = new Frame(session, new Theme());
      Scene scene = frame.scene(1280, 800);
      frame.showSheet(Theme.remembered());
      stage.setScene(scene);
    } catch (IOException | FormatException e) {
      LOG.error("{}", e.getMessage());
      stage.setScene(failure(e.getMessage()));
    }
    stage.setOnShown(e -> Platform.runLater(() -> LOG.info("the window is open")));
    stage.show();
  }

  private static Path library(List<String> arguments) throws IOException {
    if (!arguments.isEmpty()) {
      return Path.of(arguments.getFirst());
    }
    return WorkingCopy.of(WorkingCopy.demo(), WorkingCopy.folder());
  }

  private static Session open(Path file) throws IOException, FormatException {
    if (!Files.isRegularFile(file)) {
      throw new IOException(file + ": there is no such file");
    }
    LibraryStore store =
        LibraryStore.open(file, System.getProperty("user.name"), Clock.systemUTC());
    if (store.library().stations().isEmpty()) {
      store.close();
      throw new FormatException(
          file + ", /stations", "a library needs at least one station to be looked at on; add one");
    }
    return new Session(store);
  }

  private static Scene failure(String message) {
    VBox box =
        new VBox(
            14,
            Parts.label(Ui.text("error.open"), "title"),
            Parts.wrapped(message),
            Parts.button("quit", Ui.text("error.quit"), Platform::exit, "main"));
    box.setId("failure");
    box.setStyle("-fx-padding: 40; -fx-background-color: -paper;");
    Scene scene = new Scene(box, 760, 300);
    new Theme().on(scene);
    return scene;
  }

  @Override
  public void stop() throws IOException {
    if (session != null) {
      session.close();
    }
  }
}
