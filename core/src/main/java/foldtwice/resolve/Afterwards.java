package foldtwice.resolve;

import foldtwice.place.Place;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a trigger comes to, state by state.
 *
 * @param outcome the last of what its presses come to
 * @param states where, all that are asked about and come to the same
 */
public record Afterwards(Outcome outcome, List<Place> states) {

  /**
   * What a trigger comes to in every state of a place, the same outcomes together, in the order of
   * the states; nothing where it cannot be typed. Costs a probe of a table for each stroke and
   * state.
   */
  public static List<Afterwards> of(Keymap keymap, Place place, Trigger trigger) {
    List<List<Signal>> paths = keymap.paths(trigger);
    if (paths.isEmpty()) {
      return List.of();
    }
    Map<Outcome, List<Place>> by = new LinkedHashMap<>();
    for (Place state : keymap.statesOf(place)) {
      List<Outcome> outcomes = Resolver.outcomes(keymap, state, paths.getFirst());
      if (!outcomes.isEmpty()) {
        by.computeIfAbsent(outcomes.getLast(), o -> new ArrayList<>()).add(state);
      }
    }
    return by.entrySet().stream()
        .map(e -> new Afterwards(e.getKey(), List.copyOf(e.getValue())))
        .toList();
  }
}
