package foldtwice.desktop.session;

import foldtwice.script.Ecmascript;
import foldtwice.standin.muniment.Muniment;
import java.util.concurrent.atomic.AtomicBoolean;

/** Gets ready in the background what would make the first use wait. Once in a process. */
enum WarmUp implements Runnable {
  START;

  /** The window is shown first, in milliseconds. */
  private static final long AFTER = 1500;

  private final AtomicBoolean begun = new AtomicBoolean();

  @Override
  public void run() {
    if (begun.compareAndSet(false, true)) {
      Thread.ofPlatform()
          .daemon()
          .name("warm-up")
          .priority(Thread.MIN_PRIORITY)
          .start(WarmUp::later);
    }
  }

  private static void later() {
    try {
      Thread.sleep(AFTER);
      Muniment.warmUp();
      Ecmascript.ENGINE.warmUp();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
