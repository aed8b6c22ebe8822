package foldtwice.trigger;

/** How a stroke names its key. A {@link Layout} links the two ways. */
public sealed interface Key {

  /** The key at a position, whatever is printed on it. */
  record At(KeyCode code) implements Key {}

  /** The key that makes this character or function on the layout in use. */
  record Making(Keysym keysym) implements Key {}
}
