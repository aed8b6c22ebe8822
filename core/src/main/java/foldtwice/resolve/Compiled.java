package foldtwice.resolve;

import foldtwice.trigger.Layout;
import foldtwice.trigger.Lift;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;

/**
 * A claim and the presses that make it on one layout.
 *
 * @param paths each a way to press the whole trigger; empty when the layout cannot
 * @param refused true when a rule of the application keeps it out: it is known, and never heard
 */
record Compiled(Claim claim, List<List<Signal>> paths, boolean refused) {

  /** Where a layout has several keys for one character, at most this many ways are followed. */
  private static final int MOST_PATHS = 16;

  static Compiled of(Claim claim, Layout layout, boolean refused) {
    return new Compiled(claim, paths(claim.trigger(), layout), refused);
  }

  /** The ways to make a trigger: for one that is no key there is one, itself. */
  static List<List<Signal>> paths(Trigger trigger, Layout layout) {
    return switch (trigger) {
      case Trigger.Keys(List<Stroke> strokes) -> paths(strokes, layout);
      case Trigger.Held(Stroke stroke, Trigger.Edge edge) ->
          layout.presses(stroke).stream()
              .<List<Signal>>map(p -> List.of(edge == Trigger.Edge.DOWN ? p : new Lift(p)))
              .toList();
      case Trigger.PadKey p -> alone(p);
      case Trigger.Dial d -> alone(d);
      case Trigger.Gesture g -> alone(g);
      case Trigger.Pointer p -> alone(p);
      case Trigger.Radial r -> alone(r);
      case Trigger.Button b -> alone(b);
      case Trigger.AtStart a -> alone(a);
    };
  }

  private static List<List<Signal>> alone(Trigger trigger) {
    return List.of(List.of(new Motion(trigger)));
  }

  private static List<List<Signal>> paths(List<Stroke> strokes, Layout layout) {
    List<List<Signal>> paths = new ArrayList<>(1);
    paths.add(new ArrayList<>(strokes.size()));
    for (Stroke stroke : strokes) {
      List<Press> presses = layout.presses(stroke);
      if (presses.size() == 1) { // as most have it
        paths.forEach(path -> path.add(presses.getFirst()));
      } else {
        paths = longer(paths, presses);
      }
    }
    paths.replaceAll(List::copyOf);
    return List.copyOf(paths);
  }

  private static List<List<Signal>> longer(List<List<Signal>> paths, List<Press> presses) {
    List<List<Signal>> longer = new ArrayList<>();
    for (List<Signal> path : paths) {
      for (Press press : presses) {
        if (longer.size() < MOST_PATHS) {
          List<Signal> more = new ArrayList<>(path);
          more.add(press);
          longer.add(more);
        }
      }
    }
    return longer;
  }
}
