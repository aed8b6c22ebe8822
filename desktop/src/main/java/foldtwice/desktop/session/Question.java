package foldtwice.desktop.session;

import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.application.Platform;

/**
 * Something that is asked again and again while a person works. The latest asking wins: what was
 * asked before is not shown any more, and not begun if it has not been. The very same is not asked
 * twice, unless it failed. Asked and answered on the interface thread, worked out in a lane of the
 * {@link Background}.
 *
 * @param <A> the answer
 */
public final class Question<A> {

  /** One asking, as the work that answers it sees it. */
  public static final class Asked {
    private volatile boolean wanted = true;

    /** False as soon as nobody waits for the answer; long work looks now and then and ends. */
    public boolean isWanted() {
      return wanted;
    }

    /** Tells how far it is, on the interface thread, while somebody waits. */
    public void tell(Runnable progress) {
      Platform.runLater(
          () -> {
            if (wanted) {
              progress.run();
            }
          });
    }
  }

  /** A thing that is the same only when it is that very one: what is large and never changes. */
  public record Same(Object thing) {

    /** True when two are one and the same object, whatever they hold. */
    public static boolean is(Object one, Object other) {
      return one == other;
    }

    @Override
    public boolean equals(Object other) {
      return other instanceof Same(Object o) && is(o, thing);
    }

    @Override
    public int hashCode() {
      return System.identityHashCode(thing);
    }
  }

  private final Background background;
  private final Background.Lane lane;
  private final Consumer<A> show;
  private final Consumer<String> failed;
  private Object about;
  private Asked last;

  Question(Background background, Background.Lane lane, Consumer<A> show, Consumer<String> failed) {
    this.background = background;
    this.lane = lane;
    this.show = show;
    this.failed = failed;
  }

  /**
   * Asks, and returns true; false when this very thing was asked last, whether or not the answer is
   * there.
   *
   * @param about what makes two askings the same
   */
  public boolean ask(Object about, Supplier<A> work) {
    return ask(about, asked -> work.get());
  }

  /** The same for long work, which can look whether it is still wanted and tell how far it is. */
  public boolean ask(Object about, Function<Asked, A> work) {
    if (about.equals(this.about)) {
      return false;
    }
    drop();
    this.about = about;
    Asked mine = new Asked();
    last = mine;
    Platform.runLater(() -> begin(mine, work));
    return true;
  }

  /** Begins once what asks is done: who is woken up now would take its place on the processor. */
  private void begin(Asked mine, Function<Asked, A> work) {
    if (mine.wanted) {
      background.in(lane, () -> answer(mine, work));
    }
  }

  /** Asks whatever was asked before: what it is about cannot be told, or may have come to more. */
  public void anew(Function<Asked, A> work) {
    ask(new Object(), work);
  }

  /** The same for short work. */
  public void anew(Supplier<A> work) {
    ask(new Object(), work);
  }

  private void answer(Asked mine, Function<Asked, A> work) {
    if (!mine.wanted) {
      return;
    }
    try {
      A answer = work.apply(mine);
      Platform.runLater(() -> end(mine, () -> show.accept(answer)));
    } catch (RuntimeException | StackOverflowError | OutOfMemoryError | LinkageError e) {
      Platform.runLater(
          () ->
              end(
                  mine,
                  () -> {
                    about = null; // it may be asked again
                    failed.accept(background.failed(e));
                  }));
    }
  }

  private void end(Asked mine, Runnable how) {
    if (mine.wanted) {
      mine.wanted = false;
      last = null;
      background.show(how);
    }
  }

  /** Nobody waits any more; the same may be asked anew. */
  public void drop() {
    if (last != null) {
      last.wanted = false;
      last = null;
    }
    about = null;
  }

  /** True while an answer is waited for. */
  public boolean isUnderWay() {
    return last != null;
  }
}
