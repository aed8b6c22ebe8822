package foldtwice.plan;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Choices to be made, one option of each, so that the sum of costs is least.
 *
 * @param choices what each costs, option by option; the first option is today's
 * @param groups options of which at most one may be taken; options of today that clash with one
 *     another already are in no group together
 * @param moves how much may be another than today's
 * @param sizes how much each choice counts for when it is another
 * @param never options of which not all may be taken; never all of them today's
 */
public record Problem(
    List<double[]> choices,
    List<List<Option>> groups,
    int moves,
    List<Integer> sizes,
    List<List<Option>> never) {

  /** Where every choice counts for one. */
  public Problem(List<double[]> choices, List<List<Option>> groups, int moves) {
    this(choices, groups, moves, Collections.nCopies(choices.size(), 1), List.of());
  }

  /** The option at an index of a choice. */
  public record Option(int choice, int index) {}

  public Problem {
    choices = List.copyOf(choices);
    groups = groups.stream().map(List::copyOf).toList();
    sizes = List.copyOf(sizes);
    never = never.stream().map(List::copyOf).toList();
  }

  /** What an assignment costs. */
  public double cost(List<Integer> taken) {
    double cost = 0;
    for (int i = 0; i < taken.size(); i++) {
      cost += choices.get(i)[taken.get(i)];
    }
    return cost;
  }

  /** Today's. */
  public List<Integer> today() {
    return Collections.nCopies(choices.size(), 0);
  }

  /** Whether an assignment holds all that must hold. */
  public boolean holds(List<Integer> taken) {
    int moved = 0;
    for (int i = 0; i < taken.size(); i++) {
      moved += taken.get(i) == 0 ? 0 : sizes.get(i);
    }
    if (moved > moves) {
      return false;
    }
    for (List<Option> group : groups) {
      int in = 0;
      for (Option o : group) {
        in += taken.get(o.choice()) == o.index() ? 1 : 0;
      }
      if (in > 1) {
        return false;
      }
    }
    return never.stream()
        .noneMatch(n -> n.stream().allMatch(o -> taken.get(o.choice()) == o.index()));
  }

  /** The groups each option is in, by their places in a list. */
  static Map<Option, List<Integer>> memberships(List<List<Option>> of) {
    Map<Option, List<Integer>> all = new HashMap<>();
    for (int g = 0; g < of.size(); g++) {
      for (Option o : of.get(g)) {
        all.computeIfAbsent(o, x -> new ArrayList<>(2)).add(g);
      }
    }
    return all;
  }
}
