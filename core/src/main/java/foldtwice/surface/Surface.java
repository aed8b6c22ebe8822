package foldtwice.surface;

/** Something with places on it that bindings can be laid on. */
public sealed interface Surface permits Device, Toolbar, RadialMenu {

  /** Unique among all surfaces of a library. */
  String id();

  String name();
}
