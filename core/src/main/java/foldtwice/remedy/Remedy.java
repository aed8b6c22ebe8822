package foldtwice.remedy;

import foldtwice.conflict.Conflict;
import foldtwice.conflict.Weight;
import foldtwice.library.Edit;
import foldtwice.place.Station;
import foldtwice.resolve.Owner;
import java.util.List;
import java.util.Optional;

/**
 * A way to settle a conflict.
 *
 * @param way what is done, for telling it
 * @param edit what it changes in the library; nothing for {@link Way.Copy}, which is done on the
 *     computer
 * @param solves the conflicts that are no more after it, the one it is for among them
 * @param causes those there were not before
 * @param disturbs how often a week somebody has to do otherwise after it: the uses of what gets
 *     another trigger, or is heard in fewer places
 * @param givesUp what nothing sets off any more after it; empty for nothing
 * @param alsoOn the other stations of the library on which it changes what somebody presses too
 */
public record Remedy(
    Way way,
    Edit edit,
    List<Conflict> solves,
    List<Conflict> causes,
    double disturbs,
    Optional<Owner> givesUp,
    List<Station> alsoOn) {

  public Remedy {
    solves = List.copyOf(solves);
    causes = List.copyOf(causes);
    alsoOn = List.copyOf(alsoOn);
  }

  /** True when nothing comes of it that was not there, and nothing is given up for it. */
  public boolean isClean() {
    return causes.isEmpty() && givesUp.isEmpty();
  }

  /**
   * How much is better after it than before: what is lost by what it solves less what it causes.
   */
  public double gain() {
    return sum(solves) - sum(causes);
  }

  private static double sum(List<Conflict> conflicts) {
    return conflicts.stream().mapToDouble(c -> c.loss().value() * heaviness(c.weight())).sum();
  }

  /** What blocks is ten times what costs, and that ten times what is a note. */
  private static double heaviness(Weight weight) {
    return switch (weight) {
      case BLOCKS -> 100;
      case COSTS -> 10;
      case NOTE -> 1;
    };
  }
}
