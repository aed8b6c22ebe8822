package foldtwice.live.program;

import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.run.Around;
import foldtwice.run.Run;
import foldtwice.run.Status;
import foldtwice.run.Trace;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;

/**
 * A run on real programs, on a thread of its own. Whoever started it hears how it stands after each
 * step, on that thread. It can be stopped from any thread and at any moment: no further step is
 * taken, what was changed for the run is put back, and no dialog of it stays open.
 */
public final class LiveRun {

  private static final long LOOK_AGAIN = 30;

  /** How it stands. */
  public record Standing(Trace trace, Status status) {

    public boolean isOver() {
      return status instanceof Status.Over;
    }
  }

  private final Around around;
  private final Routine routine;
  private final Map<String, Value> arguments;
  private final Consumer<Standing> tells;
  private final BlockingQueue<Map<String, Value>> answers = new LinkedBlockingQueue<>();
  private volatile boolean stopped;
  private volatile Standing standing;
  private Thread thread;

  private LiveRun(
      Routine routine, Map<String, Value> arguments, Around around, Consumer<Standing> tells) {
    this.routine = routine;
    this.arguments = arguments;
    this.around = around;
    this.tells = tells;
  }

  /**
   * Starts one, and returns at once.
   *
   * @param tells hears how it stands, on the thread of the run
   */
  public static LiveRun start(
      Routine routine, Map<String, Value> arguments, Around around, Consumer<Standing> tells) {
    LiveRun run = new LiveRun(routine, arguments, around, tells);
    run.thread = Thread.ofPlatform().name("live run").daemon().start(run::go);
    return run;
  }

  /** Ends it. What it does right now is done at most; nothing follows. */
  public void stop() {
    stopped = true;
  }

  /** Answers what it asks. */
  public void answer(Map<String, Value> values) {
    answers.add(values);
  }

  /** How it stands; null before it has begun. */
  public Standing standing() {
    return standing;
  }

  /** Waits until it is over. */
  public Standing await(long millis) throws InterruptedException {
    thread.join(millis);
    return standing;
  }

  private void go() {
    Run run = Run.of(routine, arguments, around);
    tell(run);
    while (!(run.status() instanceof Status.Over)) {
      if (stopped) {
        run.giveUp();
        break;
      }
      switch (run.status()) {
        case Status.Asking a -> ask(run);
        case Status.Waiting w -> {
          nap();
          run.step();
        }
        case Status.Ready r -> run.step();
        case Status.Computing c -> run.step();
        case Status.Over o -> {}
      }
      tell(run);
    }
    tell(run);
  }

  private void ask(Run run) {
    try {
      Map<String, Value> values = answers.poll(LOOK_AGAIN, TimeUnit.MILLISECONDS);
      if (values != null) {
        run.answer(values);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt(); // stopped: the loop sees to it
    }
  }

  private static void nap() {
    try {
      Thread.sleep(LOOK_AGAIN);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void tell(Run run) {
    Standing now = new Standing(run.trace(), run.status());
    if (!now.equals(standing)) {
      standing = now;
      tells.accept(now);
    }
  }
}
