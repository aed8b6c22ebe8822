package foldtwice.bench;

import foldtwice.binding.Binding;
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
import foldtwice.library.Edit;
import foldtwice.library.file.LibraryStore;
import foldtwice.trigger.Notation;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.FutureTask;
import javafx.application.Platform;
import javafx.stage.Stage;

/**
 * How long the interface thread is held at a time by an edit among ten thousand bindings, until
 * everything that is seen is drawn again and the audit's answer is shown, by the view that is seen.
 * A beat is sent to the interface thread every half millisecond; the longest it had to wait after
 * an edit counts. Prints medians and 95th percentiles in milliseconds.
 */
public final class Held {

  private static final int ROUNDS = 70;
  private static final int WARM = 30;
  private static final long AFTER_MILLIS = 250;

  private Held() {}

  /** Takes the names of the views that count; all when there is none. */
  public static void main(String[] views) throws Exception {
    if (System.getProperty("glass.platform") == null) {
      System.setProperty("glass.platform", "Headless");
    }
    System.setProperty("prism.order", "sw");
    Path file = OnScreen.library(Files.createTempDirectory("held"));
    CountDownLatch up = new CountDownLatch(1);
    Platform.startup(up::countDown);
    up.await();
    LibraryStore store = LibraryStore.open(file, "bench", Clock.systemUTC());
    Session[] session = new Session[1];
    Frame[] frame = new Frame[1];
    on(
        () -> {
          Theme.install();
          session[0] = new Session(store);
          frame[0] = new Frame(session[0], new Theme(), new Faults());
          Stage stage = new Stage();
          stage.setScene(frame[0].scene(1280, 800));
          stage.show();
        });
    System.out.printf("%d bindings%n", store.library().bindings().size());
    int at = 0;
    for (Class<? extends View> view :
        List.of(
            BindView.class,
            CollectView.class,
            PlacesView.class,
            AtlasView.class,
            ConflictsView.class,
            TryView.class)) {
      if (views.length > 0 && !List.of(views).contains(view.getSimpleName())) {
        continue;
      }
      on(() -> frame[0].show(view));
      measure(view.getSimpleName(), session[0], at++);
    }
    System.exit(0);
  }

  private static void on(Runnable what) throws Exception {
    FutureTask<Object> task = new FutureTask<>(what, null);
    Platform.runLater(task);
    task.get();
  }

  private static void measure(String name, Session session, int which) throws Exception {
    List<Double> held = new ArrayList<>();
    List<Double> made = new ArrayList<>();
    for (int i = 0; i < ROUNDS; i++) {
      Thread.sleep(150);
      int round = which * ROUNDS + i;
      double[] took = new double[1];
      Beat beat = new Beat();
      Thread thread = Thread.ofPlatform().start(beat);
      on(
          () -> {
            long began = System.nanoTime();
            edit(session, round);
            took[0] = (System.nanoTime() - began) / 1e6;
          });
      Thread.sleep(AFTER_MILLIS);
      beat.on = false;
      thread.join();
      if (i >= WARM) {
        held.add(beat.longest / 1e6);
        made.add(took[0]);
      }
    }
    held.sort(null);
    made.sort(null);
    System.out.printf(
        "%-14s held at a time: at best %.1f, median %.1f, 95th percentile %.1f; the edit itself %.1f, %.1f and %.1f ms%n",
        name,
        at(held, 0),
        at(held, 0.5),
        at(held, 0.95),
        at(made, 0),
        at(made, 0.5),
        at(made, 0.95));
  }

  private static double at(List<Double> sorted, double part) {
    return sorted.get((int) (part * (sorted.size() - 1)));
  }

  /** Gives one of many bindings another trigger. */
  private static void edit(Session session, int round) {
    List<Binding> all = List.copyOf(session.now().library().bindings().values());
    Binding b = all.get((round * 131) % all.size());
    String keys = "Ctrl+Alt+" + (char) ('A' + round % 26) + " then " + (char) ('A' + round % 23);
    session.make(new Edit.PutBinding(b.withTriggers(List.of(Notation.read(keys)))), keys);
  }

  /** Sends beats and keeps how long the slowest took. */
  private static final class Beat implements Runnable {
    private volatile boolean on = true;
    private volatile long longest;

    @Override
    public void run() {
      while (on) {
        long sent = System.nanoTime();
        CountDownLatch heard = new CountDownLatch(1);
        Platform.runLater(heard::countDown);
        try {
          heard.await();
          longest = Math.max(longest, System.nanoTime() - sent);
          Thread.sleep(0, 500_000);
        } catch (InterruptedException e) {
          return;
        }
      }
    }
  }
}
