package foldtwice.ready;

import foldtwice.library.Dangling;
import foldtwice.place.Need;
import foldtwice.reading.Hindrance;

/** One thing a binding waits for. */
public sealed interface Wait {

  /** Something that is not there: a program, a version, an add-on. */
  record Lacks(Hindrance what) implements Wait {}

  /** All numbered places of its way in are taken by bindings before it. */
  record Slot(int slots) implements Wait {}

  /** Something that has to be done once it is in its place. */
  record For(Need need) implements Wait {}

  /** None of its triggers can be made: what they are on is not there. */
  record Dangles(Dangling what) implements Wait {}

  /** None of its triggers can be made: the device is not plugged in. */
  record Device(String id) implements Wait {}
}
