package foldtwice.desktop;

import foldtwice.desktop.begin.Lately;
import foldtwice.desktop.frame.Early;
import foldtwice.desktop.frame.Libraries;
import foldtwice.desktop.parts.Theme;
import foldtwice.desktop.session.Faults;
import foldtwice.desktop.session.FileAsking;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.session.WorkingCopy;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The desktop application. */
public final class App extends Application {

  private static final Logger LOG = LoggerFactory.getLogger(App.class);

  private Libraries libraries;

  /** The library, which is being opened while the toolkit starts. */
  private static Early early;

  /** Begins with what can be done before there is a toolkit. */
  static void begin(List<String> arguments) {
    early = Early.begin(() -> library(arguments));
  }

  @Override
  public void start(Stage stage) {
    Theme.install();
    stage.setTitle(Ui.text("app.name"));
    stage.setMinWidth(1024);
    stage.setMinHeight(700);
    libraries = new Libraries(new Faults().install(), FileAsking.DIALOGS, Lately.mine());
    libraries.in(stage, early, stage::close);
    stage.setOnShown(e -> Platform.runLater(() -> LOG.info("the window is open")));
    stage.show();
  }

  private static Path library(List<String> arguments) throws IOException {
    if (!arguments.isEmpty()) {
      return Path.of(arguments.getFirst());
    }
    return WorkingCopy.of(WorkingCopy.demo(), WorkingCopy.folder());
  }

  /** The window has closed its library; without a window, as at the end of the computer's day. */
  @Override
  public void stop() {
    libraries.close();
  }
}
