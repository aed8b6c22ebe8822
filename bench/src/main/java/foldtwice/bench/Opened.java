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

/** The real window over a library, without a display. */
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

  /** Over the demo library with bindings up to ten thousand. */
  static Opened tenThousand() throws Exception {
    Opened big = over(OnScreen.library(Files.createTempDirectory("big")));
    System.out.printf("%d bindings%n", big.session().now().library().bindings().size());
    return big;
  }

  static Opened over(Path file) throws Exception {
    start();
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
          stage.requestFocus();
          opened[0] = new Opened(session, frame, scene);
        });
    return opened[0];
  }

  private static boolean started;

  private static void start() throws InterruptedException {
    if (started) {
      return;
    }
    started = true;
    if (System.getProperty("glass.platform") == null) {
      System.setProperty("glass.platform", "Headless");
    }
    System.setProperty("prism.order", "sw");
    CountDownLatch up = new CountDownLatch(1);
    Platform.startup(up::countDown);
    up.await();
  }

  /** Does something on the interface thread. */
  static void on(Runnable what) throws Exception {
    FutureTask<Object> task = new FutureTask<>(what, null);
    Platform.runLater(task);
    task.get();
  }

  /** From the beginning of an act to what has come of it, laid out; in milliseconds. */
  double untilLaidOut(Runnable act) throws Exception {
    CountDownLatch laid = new CountDownLatch(1);
    long began = System.nanoTime();
    on(
        () -> {
          Runnable[] listener = new Runnable[1];
          listener[0] =
              () -> {
                scene.removePostLayoutPulseListener(listener[0]);
                laid.countDown();
              };
          act.run();
          scene.addPostLayoutPulseListener(listener[0]);
          Platform.requestNextPulse();
        });
    laid.await();
    return (System.nanoTime() - began) / 1e6;
  }

  /** What so large a part of the sorted ones does not exceed. */
  static double at(List<Double> sorted, double part) {
    return sorted.get((int) (part * (sorted.size() - 1)));
  }
}
