package foldtwice.conflict;

import foldtwice.place.Place;
import foldtwice.trigger.Press;
import java.util.List;

/** How to see a conflict happen: press this, in this state. Empty presses where nothing can be. */
public record Evidence(Place state, List<Press> presses) {
  public Evidence {
    presses = List.copyOf(presses);
  }
}
