package foldtwice.conflict;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owner;
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
    double uses = lost.stream().mapToDouble(c -> uses(library, c)).sum();
    double danger =
        involved.stream()
            .flatMap(c -> command(library, c).stream())
            .mapToDouble(c -> factor(c.danger()))
            .max()
            .orElse(1);
    return (1 + uses) * danger * (1 + Math.log(Math.max(1, places)) / Math.log(2));
  }

  static double factor(Danger danger) {
    return switch (danger) {
      case NONE -> 1;
      case SAVES, PRINTS -> 2;
      case DELETES -> 4;
    };
  }

  private static double uses(Library library, Claim claim) {
    return switch (claim.owner()) {
      case Owner.Yours(String id) ->
          Optional.ofNullable(library.bindings().get(id)).map(Binding::usesPerWeek).orElse(0.0);
      case Owner.Native n -> command(library, claim).map(NativeCommand::usesPerWeek).orElse(0.0);
      case Owner.Menu m -> 0;
      case Owner.Key k -> 0;
      case Owner.Desktop d -> 0;
    };
  }

  /** The native command of a claim. */
  static Optional<NativeCommand> command(Library library, Claim claim) {
    return claim.owner() instanceof Owner.Native(String application, String command)
        ? Optional.ofNullable(library.applications().get(application))
            .flatMap(a -> a.command(command))
        : Optional.empty();
  }
}
