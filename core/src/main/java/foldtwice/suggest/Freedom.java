package foldtwice.suggest;

import foldtwice.binding.Binding;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Who would have to give up a trigger for a binding, on all stations. */
record Freedom(List<Keymap> stations, Binding binding, List<Rule> rules) {

  /** True when on every station nobody answers to it here and no rule refuses it. */
  boolean isFree(Trigger trigger) {
    return givenUp(trigger, false).isPresent();
  }

  /** The commands of programs that would lose it; nothing where it is not theirs alone to lose. */
  Optional<Set<Owner.Native>> natives(Trigger trigger) {
    return givenUp(trigger, true);
  }

  private Optional<Set<Owner.Native>> givenUp(Trigger trigger, boolean mayDisplace) {
    Set<Owner.Native> natives = new HashSet<>();
    for (Keymap s : stations) {
      if (!rules.stream().allMatch(r -> r.accepts(trigger, s.layout()))
          || !isFree(s, trigger, mayDisplace, natives)) {
        return Optional.empty();
      }
    }
    return Optional.of(natives);
  }

  private boolean isFree(
      Keymap keymap, Trigger trigger, boolean mayDisplace, Set<Owner.Native> natives) {
    List<List<Signal>> paths = keymap.paths(trigger);
    if (paths.isEmpty()) {
      return false;
    }
    for (Place state : keymap.statesOf(binding.place())) {
      for (List<Signal> path : paths) {
        Resolver resolver = new Resolver(keymap);
        Resolver.State at = Resolver.start(state);
        for (int i = 0; i < path.size(); i++) {
          Resolver.Answer answer = resolver.press(at, path.get(i), 0);
          at = answer.next();
          boolean last = i == path.size() - 1;
          for (Outcome o : answer.outcomes()) {
            if (mayDisplace
                && last
                && o instanceof Outcome.Fired(Claim c)
                && c.owner() instanceof Owner.Native n) {
              natives.add(n);
            } else if (!isNobodys(o, last)) {
              return false;
            }
          }
        }
      }
    }
    return true;
  }

  /** On the way a longer claim of others may wait, but nothing may be ready to fire. */
  private static boolean isNobodys(Outcome outcome, boolean last) {
    return switch (outcome) {
      case Outcome.Unclaimed u -> true;
      case Outcome.Waiting(Optional<Claim> otherwise) -> !last && otherwise.isEmpty();
      case Outcome.Fired f -> false;
      case Outcome.Undecided u -> false;
      case Outcome.Typed t -> false;
    };
  }
}
