package foldtwice.script;

import foldtwice.cage.Cage;
import foldtwice.cage.Cell;
import foldtwice.cage.Wire;
import foldtwice.routine.ValueException;
import foldtwice.run.Scripts;
import foldtwice.source.Source;
import foldtwice.source.Watched;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;

/** One run of a script: a thread of its own that talks with the process it runs in. */
final class Running implements Scripts.Going, Runnable {

  private static final Scripts.Wish COMPUTING = new Scripts.Wish.Computing();

  /** A script that is stopped while it waits for an answer ends by itself within this, in ms. */
  private static final long GRACE = 150;

  private static final Executor AFTER_GRACE =
      CompletableFuture.delayedExecutor(GRACE, TimeUnit.MILLISECONDS);

  private final Talk.Start start;
  private final Watched watched;
  private final Cage cage;
  private final Exchange exchange = new Exchange();
  private volatile Cell cell;
  private volatile boolean stopped;
  private volatile boolean over;

  Running(Talk.Start start, Watched watched, Cage cage) {
    this.start = start;
    this.watched = watched;
    this.cage = cage;
  }

  @Override
  public void run() {
    Scripts.Wish end = new Scripts.Wish.Broken(1, 0, FAULT);
    boolean well = false;
    try {
      cell = cage.take();
      if (stopped) {
        end = new Scripts.Wish.Over();
      } else {
        Talk.write(cell.out(), start);
        end = talk(cell);
      }
      well = !endsWithIt(end);
    } catch (UncheckedIOException e) {
      end = new Scripts.Wish.Broken(1, 0, e.getMessage());
    } catch (IOException e) {
      end = new Scripts.Wish.Broken(1, 0, died());
    } finally { // whatever happens, whoever runs it is told
      synchronized (this) {
        over = true;
        if (well) {
          cage.giveBack(cell);
        } else if (cell != null) {
          cage.end(cell);
        }
      }
      exchange.handOver(
          endsWithIt(end)
              ? new Scripts.Wish.Broken(1, 0, ((Scripts.Wish.Broken) end).message())
              : end);
    }
  }

  private static final String FAULT = "the program that runs scripts failed";

  /** True when the process ends with the script. */
  private static boolean endsWithIt(Scripts.Wish end) {
    return end instanceof Scripts.Wish.Broken(int line, int column, String why) && line == 0;
  }

  /** Answers what is asked until the end; line 0 says that the process ends, too. */
  private Scripts.Wish talk(Cell with) throws IOException {
    while (true) {
      byte kind = with.in().readByte();
      switch (kind) {
        case Talk.WISH -> Talk.write(with.out(), answer(Talk.asked(with.in())));
        case Talk.OVER -> {
          return new Scripts.Wish.Over();
        }
        case Talk.BROKEN -> {
          return broken(with);
        }
        case Talk.LIMIT -> {
          return new Scripts.Wish.Broken(0, 0, Wire.text(with.in()));
        }
        default -> throw new IOException("nothing begins with " + kind);
      }
    }
  }

  private Scripts.Wish broken(Cell with) throws IOException {
    int line = Math.max(1, with.in().readInt());
    int column = with.in().readInt();
    String why = Wire.text(with.in());
    return new Scripts.Wish.Broken(
        line, column < 1 ? 0 : watched.original(new Source.Spot(line, column)).column(), why);
  }

  private Scripts.Answer answer(Talk.Asked asked) {
    try {
      Scripts.Answer answer = exchange.want(Wishes.of(asked));
      return answer instanceof Scripts.Answer.Done(var values)
              && values.values().stream().anyMatch(Talk::isTooLong)
          ? new Scripts.Answer.Refused(Talk.shorter(), "more")
          : answer;
    } catch (ValueException e) {
      return new Scripts.Answer.Refused(e.allowed(), e.found());
    }
  }

  private String died() {
    if (stopped) {
      return "it was stopped";
    }
    return cell.ranOutOfMemory()
        ? "an end within " + cage.megabytes() + " MB of memory was expected"
        : "the process scripts run in has ended";
  }

  @Override
  public Scripts.Wish next(long nanos, Scripts.Helper helper) {
    Scripts.Wish wish = exchange.next(nanos, helper);
    return wish == null ? COMPUTING : wish;
  }

  @Override
  public void answer(Scripts.Answer answer) {
    exchange.answer(answer);
  }

  /** Whoever stops it does not wait until it has stopped. */
  @Override
  public void stop() {
    stopped = true;
    exchange.stop();
    AFTER_GRACE.execute(this::end);
  }

  private synchronized void end() {
    if (!over && cell != null) {
      cell.end(); // the talk ends with it, and gets another one ready
    }
  }
}
