package foldtwice.script;

import foldtwice.run.Scripts;
import java.util.Optional;
import java.util.concurrent.locks.LockSupport;
import java.util.concurrent.locks.ReentrantLock;

/**
 * Where a script's thread and the one that runs it meet. While the runner waits here, the script's
 * thread has what it wants done itself, by the helper the runner lends it: then nobody else works
 * the programs, and no time is lost with waking one another. What the helper cannot do is handed
 * over.
 */
final class Exchange {

  private final ReentrantLock lending = new ReentrantLock();
  private Scripts.Helper helper; // guarded by lending
  private volatile Scripts.Wish wish;
  private volatile Scripts.Answer answer;
  private volatile boolean stopped;
  private volatile Thread runner;
  private volatile Thread script;

  /** The script wants something; null when it is to stop. */
  Scripts.Answer want(Scripts.Wish wanted) {
    lending.lock();
    try {
      if (helper != null && !stopped) {
        Optional<Scripts.Answer> done = helper.help(wanted);
        if (done.isPresent()) {
          return done.get();
        }
      }
    } finally {
      lending.unlock();
    }
    script = Thread.currentThread();
    handOver(wanted);
    while (answer == null && !stopped) {
      LockSupport.park(this);
    }
    Scripts.Answer got = answer;
    answer = null;
    return stopped ? null : got;
  }

  /** The script is at its end, or wants what only the runner can do. */
  void handOver(Scripts.Wish last) {
    wish = last;
    LockSupport.unpark(runner);
  }

  /** What the script wants of the runner; null when nothing came within so many nanoseconds. */
  Scripts.Wish next(long nanos, Scripts.Helper lent) {
    runner = Thread.currentThread();
    lend(lent);
    long from = System.nanoTime();
    long past = 0;
    while (wish == null && past < nanos) {
      LockSupport.parkNanos(this, nanos - past);
      past = System.nanoTime() - from;
    }
    lend(null);
    Scripts.Wish got = wish;
    wish = null;
    return got;
  }

  /** From now on this helps; null for nobody. */
  void lend(Scripts.Helper lent) {
    lending.lock();
    try {
      helper = lent;
    } finally {
      lending.unlock();
    }
  }

  void answer(Scripts.Answer given) {
    answer = given;
    LockSupport.unpark(script);
  }

  void stop() {
    stopped = true;
    LockSupport.unpark(script);
  }
}
