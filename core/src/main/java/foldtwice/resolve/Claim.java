package foldtwice.resolve;

import foldtwice.place.Place;
import foldtwice.trigger.Trigger;
import java.util.Comparator;

/** One owner's wish to have a trigger in a place. */
public record Claim(Owner owner, Trigger trigger, Place place) {

  /** An order that does not depend on how claims were found. */
  public static final Comparator<Claim> BY_NAME =
      (a, b) -> a.equals(b) ? 0 : Claim.UNLIKE.compare(a, b);

  private static final Comparator<Claim> UNLIKE =
      Comparator.comparing((Claim c) -> c.owner().name()).thenComparing(Claim::toString);

  /** True for what the library adds to what applications and desktops bring along. */
  public boolean isYours() {
    return owner instanceof Owner.Yours || owner instanceof Owner.Menu;
  }
}
