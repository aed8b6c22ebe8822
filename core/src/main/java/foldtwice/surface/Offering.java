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

  @Override
  public Offering named(String other) {
    return new Offering(id, other, place, opens, extras);
  }

  @Override
  public Offering in(Place other) {
    return new Offering(id, name, other, opens, extras);
  }

  @Override
  public Offering openedBy(List<Trigger> others) {
    return new Offering(id, name, place, others, extras);
  }
}
