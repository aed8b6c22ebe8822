package foldtwice.standin.base;

import java.util.ArrayDeque;
import java.util.Deque;

/** The documents before and after the present one. */
final class UndoHistory<D> {

  private final Deque<D> past = new ArrayDeque<>();
  private final Deque<D> future = new ArrayDeque<>();
  private D beforeRun;

  boolean inRun() {
    return beforeRun != null;
  }

  /** A document gives way to another; inside a run that is told at its end. */
  void left(D before) {
    if (beforeRun == null) {
      past.push(before);
      future.clear();
    }
  }

  D takeBack() {
    return past.pop();
  }

  void begin(D now) {
    if (beforeRun == null) {
      beforeRun = now;
    }
  }

  void end(D now) {
    if (beforeRun != null && !beforeRun.equals(now)) {
      past.push(beforeRun);
      future.clear();
    }
    beforeRun = null;
  }

  /** Forgets everything; a run that is on can be taken back as far as here. */
  void empty(D now) {
    past.clear();
    future.clear();
    if (beforeRun != null) {
      beforeRun = now;
    }
  }

  /** The document before, the present one being put where redo finds it; null for none. */
  D back(D now) {
    return swap(past, future, now);
  }

  D forth(D now) {
    return swap(future, past, now);
  }

  private D swap(Deque<D> from, Deque<D> to, D now) {
    if (from.isEmpty() || beforeRun != null) {
      return null;
    }
    to.push(now);
    return from.pop();
  }

  int depth() {
    return past.size();
  }

  void takeOver(UndoHistory<D> other) {
    past.addAll(other.past);
    future.addAll(other.future);
    beforeRun = other.beforeRun;
  }
}
