package foldtwice.place;

import foldtwice.extras.Extras;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Trigger;
import java.util.List;

/**
 * One computer: its keyboard and what its desktop keeps for itself.
 *
 * @param layout id of the keyboard layout in use
 * @param reserved triggers the desktop takes before any program sees them
 */
public record Station(
    String id, String name, String layout, Shape shape, List<Reserved> reserved, Extras extras) {

  /** A trigger the desktop keeps, and what it does with it. */
  public record Reserved(Trigger.Keys trigger, String what) {}

  public Station {
    reserved = List.copyOf(reserved);
  }
}
