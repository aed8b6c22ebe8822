package foldtwice.desktop.session;

import java.util.function.Supplier;

/** A value worked out when it is first asked for. Used on one thread. */
final class Lazy<T> {

  private Supplier<T> how;
  private T value;

  Lazy(Supplier<T> how) {
    this.how = how;
  }

  T get() {
    if (how != null) {
      value = how.get();
      how = null;
    }
    return value;
  }
}
