package foldtwice.standin.muniment;

import foldtwice.routine.Value;
import java.lang.ref.Cleaner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;

/**
 * The archive's database: always the first data and the statements that changed it since, in order.
 * It is built when first asked, and anew when what was done is taken back or its process ended.
 */
final class Archive {

  /** Rows of an answer beyond this are left out. */
  static final int MOST_ROWS = 1000;

  /** The database stops a statement after this many seconds. */
  static final int MOST_SECONDS = 2;

  private static final Cleaner CLEANER = Cleaner.create();

  /** A statement, the schema it is said in, and the values of its question marks. */
  record Said(String schema, String sql, List<Value> values) {
    Said {
      values = List.copyOf(values);
    }
  }

  /** Where it is now. */
  private final AtomicReference<Databases.Ref> where = new AtomicReference<>(Databases.Ref.NONE);

  private final List<Said> done = new ArrayList<>();

  Archive() {
    AtomicReference<Databases.Ref> last = where;
    CLEANER.register(this, () -> Databases.ALL.forget(last.get()));
  }

  /** Something being answered, which can be given up. */
  static final class Asking {
    private final AtomicReference<Optional<Answer>> answer = new AtomicReference<>();
    private volatile SqlRefused refusal;
    private volatile boolean givenUp;
    private boolean over; // guarded by this

    /** Whether an answer has come, or a refusal, within so many nanoseconds. */
    synchronized boolean isOver(long nanos) {
      long end = System.nanoTime() + Math.min(nanos, Long.MAX_VALUE / 4);
      long left = end - System.nanoTime();
      while (!over && left > 0) {
        try {
          TimeUnit.NANOSECONDS.timedWait(this, left);
        } catch (InterruptedException e) {
          Thread.currentThread().interrupt();
          return over;
        }
        left = end - System.nanoTime();
      }
      return over;
    }

    private synchronized void end() {
      over = true;
      notifyAll();
    }

    /**
     * What came.
     *
     * @throws SqlRefused when the database would not take it; nothing has changed then
     */
    Answer answer() throws SqlRefused {
      if (refusal != null) {
        throw refusal;
      }
      return answer.get().orElseThrow();
    }

    /** Ends it, wherever it is. */
    void giveUp() {
      givenUp = true;
      Databases.ALL.end(this);
    }

    boolean isGivenUp() {
      return givenUp;
    }
  }

  /** Begins to answer a statement said in a schema, after these were done. Returns at once. */
  Asking ask(List<Said> before, Said now) {
    Asking asking = new Asking();
    List<Said> all = List.copyOf(before);
    Thread.ofVirtual()
        .start(
            () -> {
              try {
                asking.answer.set(Optional.of(answer(asking, all, now)));
              } catch (SqlRefused e) {
                asking.refusal = e;
              } catch (RuntimeException e) {
                asking.refusal = new SqlRefused("the database cannot be asked: " + e.getMessage());
              } finally {
                asking.end();
              }
            });
    return asking;
  }

  /**
   * Answers a statement, and waits for it. Not for the interface thread, unless it is the archive's
   * own.
   *
   * @throws SqlRefused when the database will not take it; nothing has changed then
   */
  Answer answer(List<Said> before, Said now) throws SqlRefused {
    return answer(new Asking(), before, now);
  }

  private synchronized Answer answer(Asking asking, List<Said> before, Said now) throws SqlRefused {
    try (Databases.Turn turn = Databases.ALL.turn(asking)) {
      bringTo(turn, before);
      Answer answer = turn.ask(where.get(), now);
      if (answer.changes()) {
        done.add(now);
      }
      return answer;
    }
  }

  private void bringTo(Databases.Turn turn, List<Said> before) throws SqlRefused {
    boolean further =
        turn.isThere(where.get())
            && before.size() >= done.size()
            && before.subList(0, done.size()).equals(done);
    if (!further) {
      Databases.ALL.forget(where.getAndSet(turn.fresh()));
      done.clear();
    }
    for (Said said : before.subList(done.size(), before.size())) {
      turn.ask(where.get(), said);
      done.add(said);
    }
  }

  /** Loads what a first database needs, and makes one and forgets it. */
  static void warmUp() {
    Archive archive = new Archive();
    try {
      archive.answer(List.of(), new Said("HERBARIUM", "CALL PUBLIC.STOCKTAKE()", List.of()));
    } catch (SqlRefused e) {
      return; // whoever asks first is told
    } finally {
      archive.close();
    }
  }

  void close() {
    Databases.ALL.forget(where.getAndSet(Databases.Ref.NONE));
  }
}
