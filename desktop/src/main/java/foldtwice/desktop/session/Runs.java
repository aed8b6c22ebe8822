package foldtwice.desktop.session;

import foldtwice.run.Run;
import foldtwice.run.Status;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Duration;

/**
 * Takes the steps of runs on the interface thread, a few milliseconds at a time, so that the
 * interface never waits for them. One run is on at a time; it can be paused between two steps, and
 * given up.
 */
public final class Runs {

  /** How long it works before it lets the interface draw, in nanoseconds. */
  private static final long SLICE = 8_000_000;

  private final ReadOnlyObjectWrapper<Run> current = new ReadOnlyObjectWrapper<>();
  private Timeline next;
  private boolean held;
  private Consumer<Run> after = run -> {};
  private final Consumer<Run> over;

  /**
   * @param over hears of each run that has ended
   */
  Runs(Consumer<Run> over) {
    this.over = over;
  }

  /** The run that is on; null when none is. */
  public ReadOnlyObjectProperty<Run> currentProperty() {
    return current.getReadOnlyProperty();
  }

  public Optional<Run> current() {
    return Optional.ofNullable(current.get());
  }

  /**
   * Runs as far as it goes now, and goes on by itself when it has to wait. What it asks is left to
   * whoever shows it.
   *
   * @param then called each time it stands still: waiting, asking or over
   */
  public void drive(Run run, Consumer<Run> then) {
    current().filter(other -> !other.equals(run)).ifPresent(this::giveUp);
    after = then;
    held = false;
    current.set(run);
    go(run);
  }

  /**
   * Holds a run that somebody takes step by step; what it asks can be answered, and it stands still
   * again after that.
   *
   * @param then called when it has been answered or given up
   */
  public void hold(Run run, Consumer<Run> then) {
    current().filter(other -> !other.equals(run)).ifPresent(this::giveUp);
    stopTimer();
    after = then;
    held = true;
    current.set(run);
  }

  /** A held run that is still computing comes by itself to where it stands next. */
  public void settle(Run run) {
    if (held && run.status() instanceof Status.Computing) {
      stopTimer();
      later(run, 1);
    }
  }

  /** Lets a run go that is over. */
  public void let(Run run) {
    if (current().filter(run::equals).isPresent()) {
      stopTimer();
      held = false;
      current.set(null);
    }
  }

  /** Goes on after an answer; one that is held stands still at its next step. */
  public void goOn(Run run) {
    if (current().filter(run::equals).isEmpty()) {
      return;
    }
    if (held) {
      stand(run);
    } else {
      go(run);
    }
  }

  /** Gives a run up; nothing when it is over. */
  public void giveUp(Run run) {
    run.giveUp();
    stand(run);
  }

  private void go(Run run) {
    stopTimer();
    Status status = run.go(SLICE);
    if (!(status instanceof Status.Ready || status instanceof Status.Computing)) {
      stand(run);
    }
    switch (status) {
      case Status.Ready r -> later(run, 1);
      case Status.Computing c -> later(run, 1);
      case Status.Waiting w -> later(run, Run.LOOK_EVERY);
      case Status.Asking a -> {}
      case Status.Over o -> {}
    }
  }

  private void stand(Run run) {
    Consumer<Run> tell = after;
    if (run.status() instanceof Status.Over) {
      stopTimer();
      current.set(null);
      over.accept(run);
    }
    tell.accept(run);
  }

  private void later(Run run, long millis) {
    next = new Timeline(new KeyFrame(Duration.millis((double) millis), e -> again(run)));
    next.play();
  }

  private void again(Run run) {
    if (current().filter(run::equals).isEmpty()) {
      return;
    }
    if (held) {
      run.step();
      if (run.status() instanceof Status.Computing) {
        later(run, 1);
      } else {
        stand(run);
      }
      return;
    }
    if (run.status() instanceof Status.Waiting) {
      run.step();
    }
    go(run);
  }

  private void stopTimer() {
    if (next != null) {
      next.stop();
    }
  }
}
