package foldtwice.standin.copystand;

import foldtwice.routine.Scale;
import foldtwice.routine.Value.Quantity;
import foldtwice.run.Change;
import foldtwice.standin.base.StandIn;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * A strip of photographs.
 *
 * @param selected names of the selected ones, in the order of selecting
 */
public record Strip(List<Shot> shots, List<String> selected) {

  public Strip {
    shots = List.copyOf(shots);
    selected = List.copyOf(selected);
  }

  static Strip first() {
    String[] tilts = {"0.8", "-0.3", "1.4", "0", "-2.1", "0.4", "0.2", "-0.9"};
    String[] exposures = {"0", "-0.7", "0.4", "0", "-1.2", "0.2", "0.8", "0"};
    List<Shot> shots = new ArrayList<>();
    for (int i = 0; i < tilts.length; i++) {
      shots.add(
          Shot.fresh("FH-024" + (11 + i))
              .with(Values.TILT, Quantity.of(tilts[i], Scale.DEGREE))
              .with(Values.EXPOSURE, Quantity.of(exposures[i], Scale.EV)));
    }
    return new Strip(shots, List.of("FH-02411"));
  }

  public Optional<Shot> shot(String name) {
    return shots.stream().filter(s -> s.name().equals(name)).findFirst();
  }

  /** The one selected last. */
  public Optional<Shot> last() {
    return selected.isEmpty() ? Optional.empty() : shot(selected.getLast());
  }

  Strip selecting(List<String> names) {
    return new Strip(shots, names);
  }

  /** With each selected shot replaced. */
  Strip changing(UnaryOperator<Shot> change) {
    return new Strip(
        shots.stream().map(s -> selected.contains(s.name()) ? change.apply(s) : s).toList(),
        selected);
  }

  Strip withoutSelected() {
    return new Strip(shots.stream().filter(s -> !selected.contains(s.name())).toList(), List.of());
  }

  Strip with(Shot more) {
    List<Shot> all = new ArrayList<>(shots);
    all.add(more);
    return new Strip(all, List.of(more.name()));
  }

  /** What is different in another, as people say it. */
  static List<Change> differences(Strip before, Strip after) {
    List<Change> changes = new ArrayList<>();
    StandIn.compare(
        changes,
        "shots",
        Integer.toString(before.shots.size()),
        Integer.toString(after.shots.size()));
    for (Shot now : after.shots) {
      before.shot(now.name()).ifPresent(old -> differences(old, now, changes));
    }
    StandIn.compare(changes, "selection", say(before.selected), say(after.selected));
    return changes;
  }

  private static void differences(Shot old, Shot now, List<Change> changes) {
    if (old.equals(now)) {
      return;
    }
    now.values()
        .forEach(
            (name, value) ->
                StandIn.compare(
                    changes,
                    name + " of " + now.name(),
                    old.values().get(name).shown(),
                    value.shown()));
    StandIn.compare(changes, "crop of " + now.name(), old.cropped() + "%", now.cropped() + "%");
    StandIn.compare(changes, "look of " + now.name(), none(old.look()), none(now.look()));
    StandIn.compare(
        changes, "long side of " + now.name(), old.longSide() + " px", now.longSide() + " px");
  }

  private static String none(String look) {
    return look.isEmpty() ? "none" : look;
  }

  static String say(List<String> names) {
    return names.isEmpty() ? "nothing" : String.join(", ", names);
  }
}
