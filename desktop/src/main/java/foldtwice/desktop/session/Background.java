package foldtwice.desktop.session;

import foldtwice.text.DiskWords;
import java.util.EnumMap;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The threads beside the interface. What is done in one lane never waits for another; in a lane one
 * thing is done after the other. Whoever wants to know something asks a {@link Question}.
 */
public final class Background implements AutoCloseable {

  /** What waits for what. */
  public enum Lane {
    /** Audits of what is in view: nothing else may hold them up. */
    AUDIT,
    /** Remedies, and what else is tried on copies of the library. */
    TRIAL,
    /** What is worked out about what is in view: suggestions, what is saved. */
    WORK,
    /** A better assignment, which is looked for as long as a person lets it. */
    PLAN,
    /** Reading what others have written, which may take its time. */
    READING,
    /** Asking the real programs of this computer. */
    LIVE,
    /** What nobody waits for: folds, what scripts change. */
    IDLE
  }

  private static final Logger LOG = LoggerFactory.getLogger(Background.class);

  private final Map<Lane, ExecutorService> lanes = new EnumMap<>(Lane.class);
  private final Consumer<String> say;
  private Consumer<Runnable> showing = Runnable::run;

  /**
   * @param say tells the person, on the interface thread
   */
  Background(Consumer<String> say) {
    this.say = say;
    for (Lane lane : Lane.values()) {
      lanes.put(
          lane,
          Executors.newSingleThreadExecutor(
              Thread.ofPlatform()
                  .daemon()
                  .name(lane.name().toLowerCase(java.util.Locale.ROOT))
                  .factory()));
    }
  }

  /**
   * Something that will be asked.
   *
   * @param show gets the answer, on the interface thread
   * @param failed gets one line when there is none, on the interface thread
   */
  public <A> Question<A> question(Lane lane, Consumer<A> show, Consumer<String> failed) {
    return new Question<>(this, lane, show, failed);
  }

  /** The same where the failure is said in the foot only. */
  public <A> Question<A> question(Lane lane, Consumer<A> show) {
    return question(lane, show, why -> {});
  }

  /** A question asked once, by something that lives no longer than its answer. */
  public <A> void once(Lane lane, Supplier<A> work, Consumer<A> show) {
    question(lane, show).ask(work, work);
  }

  /** Writes something to disk, after all that is being read and written. */
  public void write(DiskWork.Writing what, Runnable then) {
    once(
        Lane.READING,
        () ->
            DiskWork.done(
                () -> {
                  what.write();
                  return true;
                }),
        done -> then.run());
  }

  /**
   * Answers are shown this way from now on.
   *
   * @param how runs what shows an answer, at once
   */
  public void showing(Consumer<Runnable> how) {
    showing = how;
  }

  void show(Runnable answer) {
    showing.accept(answer);
  }

  void in(Lane lane, Runnable work) {
    try {
      lanes.get(lane).execute(work);
    } catch (RejectedExecutionException closing) {
      LOG.debug("the window is closing; nobody would see what comes of it", closing);
    }
  }

  /** Logs what went wrong, tells the person, and returns the line. */
  String failed(Throwable fault) {
    LOG.error("in the background", fault);
    String why = Ui.text("said.failed", DiskWords.says(fault));
    say.accept(why);
    return why;
  }

  @Override
  public void close() {
    lanes.values().forEach(ExecutorService::shutdownNow);
  }
}
