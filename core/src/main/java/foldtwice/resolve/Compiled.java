package foldtwice.resolve;

import foldtwice.trigger.Layout;
import foldtwice.trigger.Press;
import foldtwice.trigger.Stroke;
import java.util.ArrayList;
import java.util.List;

/**
 * A claim and the presses that make it on one layout.
 *
 * @param paths each a way to press the whole trigger; empty when the layout cannot
 */
record Compiled(Claim claim, List<List<Press>> paths) {

  /** Where a layout has several keys for one character, at most this many ways are followed. */
  private static final int MOST_PATHS = 16;

  static Compiled of(Claim claim, Layout layout) {
    return new Compiled(claim, paths(claim.trigger().strokes(), layout));
  }

  static List<List<Press>> paths(List<Stroke> strokes, Layout layout) {
    List<List<Press>> paths = List.of(List.of());
    for (Stroke stroke : strokes) {
      List<Press> presses = layout.presses(stroke);
      if (paths.size() == 1 && presses.size() == 1 && paths.getFirst().isEmpty()) {
        paths = List.of(presses);
        continue;
      }
      List<List<Press>> longer = new ArrayList<>();
      for (List<Press> path : paths) {
        for (Press press : presses) {
          if (longer.size() < MOST_PATHS) {
            List<Press> more = new ArrayList<>(path);
            more.add(press);
            longer.add(List.copyOf(more));
          }
        }
      }
      paths = List.copyOf(longer);
    }
    return paths;
  }
}
