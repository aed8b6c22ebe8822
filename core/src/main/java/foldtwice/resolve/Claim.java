package foldtwice.resolve;

import foldtwice.place.Place;
import foldtwice.trigger.Trigger;

/** One owner's wish to have a trigger in a place. */
public record Claim(Owner owner, Trigger.Keys trigger, Place place) {

  public boolean isYours() {
    return owner instanceof Owner.Yours;
  }
}
