package foldtwice.library;

import foldtwice.binding.Binding;
import foldtwice.routine.Value;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The other half of something that goes two ways: a dial, a key that goes down and comes up. */
public final class Halves {

  private Halves() {}

  /**
   * The binding that has the other half: one that does this already in the same place, or a new one
   * that comes in as this one does.
   */
  public static Binding other(
      Library library,
      Binding half,
      String routine,
      Map<String, Value> arguments,
      Trigger trigger) {
    Binding other =
        Bound.to(library, routine).stream()
            .filter(b -> !b.id().equals(half.id()) && !b.isOff())
            .filter(b -> b.place().equals(half.place()))
            .filter(b -> b.arguments().equals(arguments))
            .findFirst()
            .orElseGet(
                () ->
                    Binding.fresh(
                            Ids.ofBinding(library), routine, half.place(), List.of(), arguments)
                        .withFitting(
                            half.fitting()
                                .replacing(Optional.empty())
                                .repeating(0)
                                .parking(List.of())));
    if (other.triggers().contains(trigger)) {
      return other;
    }
    List<Trigger> triggers = new ArrayList<>(other.triggers());
    triggers.add(trigger);
    return other.withTriggers(triggers);
  }
}
