package foldtwice.binding;

/** What a binding still waits for. */
public enum Readiness {
  /** Switched off. */
  OFF,
  /** Lacks a trigger or its routine. */
  DRAFT,
  /** Complete in the library; nothing of what its way in asks for has been done. */
  PLACED,
  /** Something it needs is missing, or only part of what its way in asks for has been done. */
  WAITING,
  /** All is in; not yet seen to work as it is now. */
  WORKING,
  /** Fired in a try since its last change. */
  PROVEN
}
