package foldtwice.conflict;

import foldtwice.library.Library;
import foldtwice.library.Stake;
import foldtwice.place.Danger;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owned;
import java.util.List;

/**
 * How much a conflict costs:
 *
 * <pre>(1 + uses) × danger × (1 + log2 places)</pre>
 *
 * <p><i>uses</i>: how often a week what is lost is wanted; <i>danger</i>: the greatest of what may
 * fire by mistake, a command or a routine, 1 for nothing, 2 for saving or printing, 4 for deleting;
 * <i>places</i>: in how many states it happens, at least 1. It never falls when any of the three
 * grows.
 *
 * @param places at least 1
 */
public record Loss(Stake stake, int places) {

  public Loss {
    places = Math.max(1, places);
  }

  /**
   * That of a conflict.
   *
   * @param lost those that do not do what they say
   * @param involved all of its claims
   */
  static Loss of(
      Library library, Dangers dangers, List<Claim> lost, List<Claim> involved, int places) {
    double uses = 0;
    for (Claim c : lost) {
      uses += Owned.uses(library, c.owner());
    }
    Danger danger = Danger.NONE;
    for (Claim c : involved) {
      danger = danger.or(dangers.of(c.owner()));
    }
    return new Loss(new Stake(uses, danger), places);
  }

  /** The number to rank by. */
  public double value() {
    return (1 + stake.uses()) * stake.danger().factor() * (1 + Math.log(places) / Math.log(2));
  }
}
