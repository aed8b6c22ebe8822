package foldtwice.run;

/**
 * A program of which there can be more than one: what is done to a copy is done to nothing else.
 */
public interface Simulated extends Program {

  /** The same program in the same state, independent from now on. */
  Simulated copy();
}
