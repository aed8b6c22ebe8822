package foldtwice.library;

import foldtwice.extras.Extras;
import foldtwice.place.Place;
import foldtwice.trigger.Trigger;
import java.util.List;

/**
 * A list of presses and what is expected of the last of them, to be checked again and again.
 *
 * @param name what it is for; may be empty
 * @param station where it holds; empty for every station
 * @param place the state the presses are made in, in a document as its program brings it along
 * @param presses at least one, each made after the one before is over
 */
public record PressCheck(
    String id,
    String name,
    String station,
    Place place,
    List<Trigger> presses,
    Expected expected,
    Extras extras) {

  public PressCheck {
    presses = List.copyOf(presses);
    if (presses.isEmpty()) {
      throw new IllegalArgumentException("a check has at least one press");
    }
  }

  /** The same check under another id. */
  public PressCheck withId(String other) {
    return new PressCheck(other, name, station, place, presses, expected, extras);
  }

  /** The same check under another name. */
  public PressCheck named(String other) {
    return new PressCheck(id, other, station, place, presses, expected, extras);
  }

  /** The same check for another station, or for all when the id is empty. */
  public PressCheck on(String other) {
    return new PressCheck(id, name, other, place, presses, expected, extras);
  }
}
