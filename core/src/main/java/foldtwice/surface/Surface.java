package foldtwice.surface;

/** Something with places on it that bindings can be laid on, or that shows what there is. */
public sealed interface Surface permits Device, Toolbar, Summoned {

  /** Unique among all surfaces of a library. */
  String id();

  String name();
}
