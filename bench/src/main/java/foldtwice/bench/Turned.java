package foldtwice.bench;

import foldtwice.desktop.view.View;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How long it takes from one view to another among ten thousand bindings, until it is laid out.
 * Each was in view before. Prints medians and 95th percentiles in milliseconds.
 */
public final class Turned {

  private static final int ROUNDS = 60;
  private static final int WARM = 20;

  private Turned() {}

  /** Takes no arguments. */
  public static void main(String[] none) throws Exception {
    Opened big = Opened.tenThousand();
    Map<String, List<Double>> took = new LinkedHashMap<>();
    for (int i = 0; i < ROUNDS; i++) {
      for (Class<? extends View> view : Opened.VIEWS) {
        double millis = big.untilLaidOut(() -> big.frame().show(view));
        if (i >= WARM) {
          took.computeIfAbsent(view.getSimpleName(), v -> new ArrayList<>()).add(millis);
        }
        Thread.sleep(60); // what it asks the background is answered
      }
    }
    took.forEach(
        (view, all) -> {
          all.sort(null);
          System.out.printf(
              "%-14s median %.1f, 95th percentile %.1f ms%n",
              view, Opened.at(all, 0.5), Opened.at(all, 0.95));
        });
    System.exit(0);
  }
}
