package foldtwice.resolve;

import foldtwice.place.Place;

/** One of those a press is offered to, in their order. */
public sealed interface Layer {

  /** What the desktop keeps for itself. */
  record Reserved() implements Layer {}

  /** Bindings that hold everywhere. */
  record SystemWide() implements Layer {}

  /** A context of the application in front, or the application as a whole. */
  record At(Place place) implements Layer {}

  /** Typing into a text. */
  record TextEntry() implements Layer {}
}
