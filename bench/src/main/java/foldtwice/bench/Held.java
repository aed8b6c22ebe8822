package foldtwice.bench;

import foldtwice.binding.Binding;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.view.View;
import foldtwice.library.Edit;
import foldtwice.trigger.Notation;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import javafx.application.Platform;

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
    Opened big = Opened.tenThousand();
    int at = 0;
    for (Class<? extends View> view : Opened.VIEWS) {
      if (views.length > 0 && !List.of(views).contains(view.getSimpleName())) {
        continue;
      }
      Opened.on(() -> big.frame().show(view));
      measure(view.getSimpleName(), big.session(), at++);
    }
    System.exit(0);
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
      Opened.on(
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
        Opened.at(held, 0),
        Opened.at(held, 0.5),
        Opened.at(held, 0.95),
        Opened.at(made, 0),
        Opened.at(made, 0.5),
        Opened.at(made, 0.95));
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
