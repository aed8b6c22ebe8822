package foldtwice.conflict;

import foldtwice.place.Place;
import foldtwice.trigger.Signal;
import java.util.List;

/** How to see a conflict happen: press this, in this state. Empty presses where nothing can be. */
public record Evidence(Place state, List<Signal> presses) {
  public Evidence {
    presses = List.copyOf(presses);
  }
}
