package foldtwice.standin.muniment;

import foldtwice.cage.Cage;
import foldtwice.cage.Cell;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.ReentrantLock;

/**
 * The process all databases are in. One is asked at a time; a statement that does not end, or uses
 * up the memory, ends the process, and every database is built anew in the next when it is asked.
 */
final class Databases {

  static final Databases ALL = new Databases();

  /** The process is ended when a statement has not, this long after the database should have. */
  private static final long HARD_MILLIS = TimeUnit.SECONDS.toMillis(Archive.MOST_SECONDS) + 1_500;

  /** A process that is not ready by then never will be. */
  private static final long START_MILLIS = TimeUnit.SECONDS.toMillis(60);

  private static final String GIVEN_UP = "it was given up";

  /** Memory the process may hold, all databases together, in megabytes. */
  private static final int MEGABYTES = 256;

  /** Something said to the process and what it answers. */
  private interface Talk<T> {
    T over() throws IOException, SqlRefused;
  }

  /** A database: in which process, and which there. */
  record Ref(int process, int number) {
    static final Ref NONE = new Ref(-1, -1);
  }

  private final Cage cage = new Cage(DatabaseProcess.class, MEGABYTES);
  private final ReentrantLock lock = new ReentrantLock(true);
  private final Deque<Ref> forgotten = new ArrayDeque<>();
  private volatile Cell cell;
  private volatile Archive.Asking asked;
  private int process;
  private int numbers;

  private Databases() {}

  /** A time in which one asks and nobody else does. */
  final class Turn implements AutoCloseable {

    private final Archive.Asking asking;

    private Turn(Archive.Asking asking) {
      this.asking = asking;
    }

    boolean isThere(Ref ref) {
      return cell != null && cell.isAlive() && ref.process() == process;
    }

    /**
     * A database that was not there yet. Its building, and a process's start, are nobody's time.
     */
    Ref fresh() throws SqlRefused {
      if (asking.isGivenUp()) {
        throw new SqlRefused(GIVEN_UP);
      }
      return within(
          START_MILLIS,
          () -> {
            if (cell == null || !cell.isAlive()) {
              cell = cage.take();
              process++;
              DatabaseProcess.ready(cell.in());
            }
            int number = numbers++;
            DatabaseProcess.open(cell.in(), cell.out(), number);
            return new Ref(process, number);
          });
    }

    Answer ask(Ref ref, Archive.Said said) throws SqlRefused {
      return within(
          HARD_MILLIS,
          () -> {
            forgetThose(cell);
            return DatabaseProcess.ask(cell.in(), cell.out(), ref.number(), said);
          });
    }

    /** Ends the process when something in it has not come to an end within this. */
    private <T> T within(long millis, Talk<T> talk) throws SqlRefused {
      AtomicBoolean late = new AtomicBoolean();
      CompletableFuture<Void> limit =
          CompletableFuture.runAsync(
              () -> {
                late.set(true);
                cell.end();
              },
              CompletableFuture.delayedExecutor(millis, TimeUnit.MILLISECONDS));
      try {
        return talk.over();
      } catch (IOException e) {
        Cell with = cell;
        with.end();
        cage.warmUp();
        throw new SqlRefused(why(with, late.get()));
      } finally {
        limit.cancel(false);
      }
    }

    private String why(Cell with, boolean late) {
      if (asking.isGivenUp()) {
        return GIVEN_UP;
      }
      if (late) {
        return "no end within " + Archive.MOST_SECONDS + " seconds: it was stopped";
      }
      return with.ranOutOfMemory()
          ? "more than " + MEGABYTES + " MB of memory wanted: it was stopped"
          : "the database closed itself; it is opened anew as it was";
    }

    private void forgetThose(Cell with) throws IOException {
      synchronized (forgotten) {
        for (Ref ref = forgotten.poll(); ref != null; ref = forgotten.poll()) {
          if (ref.process() == process) {
            DatabaseProcess.close(with.out(), ref.number());
          }
        }
      }
    }

    @Override
    public void close() {
      asked = null;
      lock.unlock();
    }
  }

  Turn turn(Archive.Asking asking) {
    lock.lock();
    asked = asking;
    return new Turn(asking);
  }

  /** Ends what is being asked now, if it is this. */
  void end(Archive.Asking asking) {
    Cell with = cell;
    if (asked == asking && with != null) {
      with.end();
    }
  }

  /** A database nobody will ask again; it goes before the next is asked. */
  void forget(Ref ref) {
    if (ref.number() >= 0) {
      synchronized (forgotten) {
        forgotten.add(ref);
      }
    }
  }
}
