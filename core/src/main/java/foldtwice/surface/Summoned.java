package foldtwice.surface;

import foldtwice.place.Place;
import foldtwice.trigger.Trigger;
import java.util.List;

/** What comes to the pointer when its trigger is made. */
public sealed interface Summoned extends Surface permits RadialMenu, Offering {

  /** Where it can be opened. */
  Place place();

  /** What opens it. */
  List<Trigger> opens();
}
