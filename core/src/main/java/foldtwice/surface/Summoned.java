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

  /** The same under another name. */
  Summoned named(String other);

  /** The same, opened elsewhere. */
  Summoned in(Place other);

  /** The same, opened by others. */
  Summoned openedBy(List<Trigger> others);
}
