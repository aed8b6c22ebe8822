package foldtwice.plan;

import foldtwice.binding.Binding;
import foldtwice.suggest.Suggestion;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Bindings that are decided on as one: a binding alone, or all of a family.
 *
 * @param family its id
 * @param options today's first
 */
record Choice(Optional<String> family, List<Binding> members, List<Option> options) {

  /**
   * What the members would have.
   *
   * @param each of the members, in their order
   */
  record Option(List<Suggestion> each) {
    Option {
      each = List.copyOf(each);
    }
  }

  Choice {
    members = List.copyOf(members);
    options = List.copyOf(options);
  }

  boolean has(String binding) {
    return members.stream().anyMatch(m -> m.id().equals(binding));
  }

  /** The same where nothing may change. */
  Choice staying() {
    return new Choice(family, members, options.subList(0, 1));
  }

  /** The same without what is refused to one of the members. */
  Choice without(Map<String, Set<Trigger>> refused) {
    List<Option> left = new ArrayList<>(options.subList(0, 1));
    options.stream().skip(1).filter(o -> !isRefused(o, refused)).forEach(left::add);
    return new Choice(family, members, left);
  }

  private boolean isRefused(Option o, Map<String, Set<Trigger>> refused) {
    for (int m = 0; m < members.size(); m++) {
      if (refused.getOrDefault(members.get(m).id(), Set.of()).contains(o.each().get(m).trigger())) {
        return true;
      }
    }
    return false;
  }
}
