package foldtwice.place;

import foldtwice.extras.Extras;
import java.util.List;

/**
 * A way by which bindings reach an application.
 *
 * @param needs what must happen before one works, in this order; each once
 * @param passesArguments false when the program can only name a routine: each binding with
 *     arguments then needs a thin entry of its own
 * @param slots how many bindings it takes at most; 0 for any number
 * @param freeOfRules true when the application's rules do not hold for it
 */
public record WayIn(
    String id,
    String name,
    List<Need> needs,
    boolean passesArguments,
    int slots,
    boolean freeOfRules,
    Extras extras) {

  public WayIn {
    needs = List.copyOf(needs);
    if (slots < 0) {
      throw new IllegalArgumentException("expected 0 slots or more, found " + slots);
    }
  }
}
