package foldtwice.plan;

import foldtwice.place.Place;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Triggers that are pressed alike, or begun by one another, wherever both would be heard. */
final class Clashes {

  private Clashes() {}

  /** What is pressed, as one station hears it in one state of a program. */
  private record Heard(int station, Place state, List<Signal> path) {}

  /**
   * Which options cannot be taken together.
   *
   * @param stations the keymaps of those a trigger has to work on
   */
  static List<List<Problem.Option>> groups(List<Keymap> stations, List<Choice> choices) {
    Map<Heard, Set<Problem.Option>> whole = new LinkedHashMap<>();
    Map<Heard, Set<Problem.Option>> longer = new LinkedHashMap<>();
    for (int station = 0; station < stations.size(); station++) {
      Keymap keymap = stations.get(station);
      for (int i = 0; i < choices.size(); i++) {
        Choice choice = choices.get(i);
        for (int m = 0; m < choice.members().size(); m++) {
          List<Place> states = keymap.statesOf(choice.members().get(m).place());
          for (int a = 0; a < choice.options().size(); a++) {
            Problem.Option option = new Problem.Option(i, a);
            Trigger trigger = choice.options().get(a).each().get(m).trigger();
            for (List<Signal> path : keymap.paths(trigger)) {
              for (Place state : states) {
                whole
                    .computeIfAbsent(new Heard(station, state, path), x -> new HashSet<>())
                    .add(option);
                for (int n = 1; n < path.size(); n++) {
                  longer
                      .computeIfAbsent(
                          new Heard(station, state, path.subList(0, n)), x -> new HashSet<>())
                      .add(option);
                }
              }
            }
          }
        }
      }
    }
    Set<List<Problem.Option>> all = new HashSet<>();
    whole.forEach(
        (heard, some) -> {
          apart(some, all);
          Set<Problem.Option> begun = longer.getOrDefault(heard, Set.of());
          for (Problem.Option b : begun) {
            Set<Problem.Option> with = new HashSet<>(some);
            with.add(b);
            apart(with, all);
          }
        });
    return List.copyOf(all);
  }

  /** At most one of these; what clashes today already is not held against today. */
  private static void apart(Set<Problem.Option> some, Set<List<Problem.Option>> into) {
    if (some.stream().map(Problem.Option::choice).distinct().count() < 2) {
      return;
    }
    Comparator<Problem.Option> order =
        Comparator.comparingInt(Problem.Option::choice).thenComparingInt(Problem.Option::index);
    List<Problem.Option> today = some.stream().filter(o -> o.index() == 0).sorted(order).toList();
    List<Problem.Option> others = some.stream().filter(o -> o.index() != 0).sorted(order).toList();
    if (today.size() < 2) {
      into.add(some.stream().sorted(order).toList());
      return;
    }
    if (others.size() > 1) {
      into.add(others);
    }
    for (Problem.Option t : today) {
      for (Problem.Option o : others) {
        if (t.choice() != o.choice()) {
          into.add(List.of(t, o));
        }
      }
    }
  }
}
