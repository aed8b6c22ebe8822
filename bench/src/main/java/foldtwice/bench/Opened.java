package foldtwice.bench;

import foldtwice.desktop.atlas.AtlasView;
import foldtwice.desktop.bind.BindView;
import foldtwice.desktop.collect.CollectView;
import foldtwice.desktop.conflicts.ConflictsView;
import foldtwice.desktop.frame.Frame;
import foldtwice.desktop.parts.Theme;
import foldtwice.desktop.places.PlacesView;
import foldtwice.desktop.session.Faults;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.trying.TryView;
import foldtwice.desktop.view.View;
import foldtwice.library.file.LibraryStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.FutureTask;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.Stage;

/** The real window over the demo library with bindings up to ten thousand, without a display. */
record Opened(Session session, Frame frame, Scene scene) {

  /** The views of daily work, in their order. */
  static final List<Class<? extends View>> VIEWS =
      List.of(
          BindView.class,
          CollectView.class,
          PlacesView.class,
          AtlasView.class,
          ConflictsView.class,
          TryView.class);

  static Opened tenThousand() throws Exception {
    if (System.getProperty("glass.platform") == null) {
      System.setProperty("glass.platform", "Headless");
    }
    System.setProperty("prism.order", "sw");
    Path file = OnScreen.library(Files.createTempDirectory("big"));
    CountDownLatch up = new CountDownLatch(1);
    Platform.startup(up::countDown);
    up.await();
    LibraryStore store = LibraryStore.open(file, "bench", Clock.systemUTC());
    Opened[] opened = new Opened[1];
    on(
        () -> {
          Theme.install();
          Session session = new Session(store);
          Frame frame = new Frame(session, new Theme(), new Faults());
          Scene scene = frame.scene(1280, 800);
          Stage stage = new Stage();
          stage.setScene(scene);
          stage.show();
          opened[0] = new Opened(session, frame, scene);
        });
    System.out.printf("%d bindings%n", store.library().bindings().size());
    return opened[0];
  }

  /** Does something on the interface thread. */
  static void on(Runnable what) throws Exception {
    FutureTask<Object> task = new FutureTask<>(what, null);
    Platform.runLater(task);
    task.get();
  }

  /** What so large a part of the sorted ones does not exceed. */
  static double at(List<Double> sorted, double part) {
    return sorted.get((int) (part * (sorted.size() - 1)));
  }
}
