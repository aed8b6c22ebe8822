package foldtwice.resolve;

import foldtwice.place.Place;
import foldtwice.trigger.Trigger;

/** One owner's wish to have a trigger in a place. */
public record Claim(Owner owner, Trigger trigger, Place place) {

  /** True for what the library adds to what applications and desktops bring along. */
  public boolean isYours() {
    return owner instanceof Owner.Yours || owner instanceof Owner.Menu;
  }
}
