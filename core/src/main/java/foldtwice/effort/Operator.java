package foldtwice.effort;

/** The operators a route is made of. */
public enum Operator {
  /** A key, or the keys of a chord or a text. */
  K,
  /** The pointer goes to something. */
  P,
  /** A click. */
  B,
  /** The hand goes to the pointer or back. */
  H,
  /** Thinking. */
  M,
  /** Choosing among things that carry labels. */
  C,
  /** The program takes its time. */
  R
}
