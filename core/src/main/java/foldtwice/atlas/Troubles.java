package foldtwice.atlas;

import foldtwice.conflict.Conflict;
import foldtwice.conflict.Ranked;
import foldtwice.conflict.Weight;
import foldtwice.library.Layered;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The conflicts by the claims that have a part in them. */
public final class Troubles {

  private final Layered<Claim, List<Conflict>> by;

  private Troubles(Layered<Claim, List<Conflict>> by) {
    this.by = by;
  }

  /** Costs one pass over the conflicts. */
  public Troubles(Collection<Conflict> conflicts) {
    this(new Layered<>());
    byClaim(conflicts).forEach(by::put);
  }

  private static Map<Claim, List<Conflict>> byClaim(Collection<Conflict> conflicts) {
    Map<Claim, List<Conflict>> all = new HashMap<>();
    for (Conflict c : conflicts) {
      c.claims().forEach(claim -> all.computeIfAbsent(claim, x -> new ArrayList<>(1)).add(c));
    }
    return all;
  }

  /**
   * The same after some conflicts have gone and others have come; costs those.
   *
   * @param gone each of them was among those it was made of
   */
  public Troubles after(Collection<Conflict> gone, Collection<Conflict> fresh) {
    Layered<Claim, List<Conflict>> next = by.next();
    Ranked.changed(this::of, byClaim(gone), byClaim(fresh))
        .forEach(
            (claim, now) -> {
              if (now.isEmpty()) {
                next.remove(claim);
              } else {
                next.put(claim, now);
              }
            });
    return new Troubles(next);
  }

  private List<Conflict> of(Claim claim) {
    return by.get(claim).orElse(List.of());
  }

  /** The conflicts any of these claims has, in a state or anywhere, each once. */
  public List<Conflict> of(Collection<Claim> claims, Optional<Place> state) {
    return claims.stream()
        .flatMap(claim -> of(claim).stream())
        .filter(c -> isIn(c, state))
        .distinct()
        .toList();
  }

  private static boolean isIn(Conflict c, Optional<Place> state) {
    return state.isEmpty() || c.places().isEmpty() || c.places().contains(state.get());
  }

  /** The heaviest of them. */
  public Optional<Weight> worst(Collection<Claim> claims, Optional<Place> state) {
    Weight worst = null;
    for (Claim claim : claims) {
      for (Conflict c : of(claim)) {
        if ((worst == null || c.weight().compareTo(worst) < 0) && isIn(c, state)) {
          worst = c.weight();
        }
      }
    }
    return Optional.ofNullable(worst);
  }
}
