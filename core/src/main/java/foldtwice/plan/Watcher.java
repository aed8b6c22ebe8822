package foldtwice.plan;

/** Somebody who waits for a plan. */
public interface Watcher {

  /** Waits to the end and is told nothing. */
  Watcher PATIENT =
      new Watcher() {
        @Override
        public boolean isWanted() {
          return true;
        }

        @Override
        public void best(double cost, double bound) {}
      };

  /** False as soon as nobody waits any more: the best so far is the answer then. */
  boolean isWanted();

  /**
   * A better one was found.
   *
   * @param cost of it
   * @param bound no plan costs less; minus infinity where nothing is proven
   */
  void best(double cost, double bound);
}
