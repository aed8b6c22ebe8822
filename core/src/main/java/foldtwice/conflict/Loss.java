package foldtwice.conflict;

import foldtwice.library.Library;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owned;
import java.util.List;
import java.util.Optional;

/**
 * How much a conflict costs, as one number to rank by:
 *
 * <pre>(1 + uses) × danger × (1 + log2 places)</pre>
 *
 * <p><i>uses</i>: how often a week what is lost is wanted; <i>danger</i>: the greatest of what may
 * fire by mistake, 1 for nothing, 2 for saving or printing, 4 for deleting; <i>places</i>: in how
 * many states it happens, at least 1. It never falls when any of the three grows.
 */
final class Loss {

  private Loss() {}

  /**
   * The number for a conflict.
   *
   * @param lost those that do not do what they say
   * @param involved all of its claims
   */
  static double of(Library library, List<Claim> lost, List<Claim> involved, int places) {
    double uses = 0;
    for (Claim c : lost) {
      uses += Owned.uses(library, c.owner());
    }
    double danger = 1;
    for (Claim c : involved) {
      Optional<NativeCommand> command = Owned.command(library, c.owner());
      danger = command.isPresent() ? Math.max(danger, factor(command.get().danger())) : danger;
    }
    return (1 + uses) * danger * (1 + Math.log(Math.max(1, places)) / Math.log(2));
  }

  static double factor(Danger danger) {
    return switch (danger) {
      case NONE -> 1;
      case SAVES, PRINTS -> 2;
      case DELETES -> 4;
    };
  }
}
