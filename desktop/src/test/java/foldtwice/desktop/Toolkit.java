package foldtwice.desktop;

import foldtwice.desktop.parts.Theme;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.robot.Robot;

/** The interface thread of the tests, which all of one JVM share. */
public final class Toolkit {

  /** For a machine that is busy with something else. */
  static final long PATIENCE_MILLIS = 40_000;

  private static boolean started;
  private static Robot robot;

  private Toolkit() {}

  /** Starts it, once, and lays the theme under everything. */
  public static synchronized void start() throws InterruptedException {
    if (!started) {
      CountDownLatch up = new CountDownLatch(1);
      Platform.startup(up::countDown);
      up.await();
      Platform.setImplicitExit(false);
      ask(
          () -> {
            Theme.install();
            return true;
          });
      started = true;
    }
  }

  /**
   * The one hand there is; on the interface thread. The toolkit without a screen keeps with each
   * hand the window that was in front before it: with one of its own, every window would keep the
   * one before.
   */
  static Robot robot() {
    if (robot == null) {
      robot = new Robot();
    }
    return robot;
  }

  /** Does something on the interface thread. */
  public static <T> T ask(Callable<T> what) {
    FutureTask<T> task = new FutureTask<>(what);
    Platform.runLater(task);
    try {
      return task.get(PATIENCE_MILLIS, TimeUnit.MILLISECONDS);
    } catch (Exception e) {
      throw new AssertionError("on the interface thread", e);
    }
  }
}
