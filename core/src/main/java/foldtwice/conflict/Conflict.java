package foldtwice.conflict;

import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.resolve.Claim;
import java.util.List;
import java.util.Optional;

/**
 * Something wrong.
 *
 * @param places the states in which it happens; never empty unless no state hears the binding at
 *     all
 * @param everywhere true when it happens in every state the first claim can be heard in
 * @param claims the binding it is about first, then those it has to do with
 * @param rule what refuses the trigger, for {@link ConflictKind#NOT_ACCEPTED}
 */
public record Conflict(
    ConflictKind kind,
    Weight weight,
    List<Place> places,
    boolean everywhere,
    List<Claim> claims,
    Optional<Rule> rule,
    Evidence evidence) {

  public Conflict {
    places = List.copyOf(places);
    claims = List.copyOf(claims);
  }

  /** The claim it is about. */
  public Claim about() {
    return claims.getFirst();
  }

  /** True when it has to do with this binding. */
  public boolean concerns(String binding) {
    return claims.stream()
        .anyMatch(
            c ->
                c.owner() instanceof foldtwice.resolve.Owner.Yours(String id)
                    && id.equals(binding));
  }
}
