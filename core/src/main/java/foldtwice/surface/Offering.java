package foldtwice.surface;

import foldtwice.extras.Extras;
import foldtwice.place.Place;
import foldtwice.trigger.Trigger;
import java.util.List;

/** A list of what fits what is selected, wherever that is; made up anew each time. */
public record Offering(String id, String name, Place place, List<Trigger> opens, Extras extras)
    implements Summoned {

  public Offering {
    opens = List.copyOf(opens);
  }
}
