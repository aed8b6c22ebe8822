package foldtwice.library;

import foldtwice.place.Danger;

/**
 * What is at stake where something is wrong.
 *
 * @param uses how often a week what is lost is wanted
 * @param danger the greatest of what may happen by mistake
 */
public record Stake(double uses, Danger danger) {

  /** By how much more than then something has to be used before somebody is asked again. */
  private static final double MUCH = 10;

  /** True when a person who lived with that other stake may still be taken to live with this. */
  public boolean isLike(Stake then) {
    return danger == then.danger && 1 + uses <= MUCH * (1 + then.uses);
  }
}
