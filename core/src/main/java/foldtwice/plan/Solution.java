package foldtwice.plan;

import java.util.List;
import java.util.OptionalDouble;

/**
 * What was chosen.
 *
 * @param taken the index of the option of each choice
 * @param cost of all of them
 * @param bound no assignment costs less than this; nothing where nobody has proven any
 */
public record Solution(List<Integer> taken, double cost, OptionalDouble bound) {

  public Solution {
    taken = List.copyOf(taken);
  }

  /** How far it can be from the best possible. */
  public OptionalDouble gap() {
    return bound.isPresent()
        ? OptionalDouble.of(Math.max(0, cost - bound.getAsDouble()))
        : OptionalDouble.empty();
  }
}
