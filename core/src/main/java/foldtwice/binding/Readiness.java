package foldtwice.binding;

/** What a binding still waits for. */
public enum Readiness {
  /** Lacks a trigger or its routine. */
  DRAFT,
  /** Complete; not yet seen to work as it is now. */
  WORKING,
  /** Fired in a try since its last change. */
  PROVEN
}
