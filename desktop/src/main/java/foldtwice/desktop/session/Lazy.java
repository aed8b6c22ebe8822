package foldtwice.desktop.session;

import java.util.function.Supplier;

/** A value worked out once, when it is first asked for, on whatever thread. */
final class Lazy<T> {

  private Supplier<T> how;
  private T value;

  Lazy(Supplier<T> how) {
    this.how = how;
  }

  synchronized T get() {
    if (how != null) {
      value = how.get();
      how = null;
    }
    return value;
  }
}
