package foldtwice.atlas;

import foldtwice.conflict.Conflict;
import foldtwice.conflict.Weight;
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

  private final Map<Claim, List<Conflict>> by = new HashMap<>();

  /** Costs one pass over the conflicts. */
  public Troubles(Collection<Conflict> conflicts) {
    for (Conflict c : conflicts) {
      c.claims().forEach(claim -> by.computeIfAbsent(claim, x -> new ArrayList<>(1)).add(c));
    }
  }

  /** The conflicts any of these claims has, in a state or anywhere, each once. */
  public List<Conflict> of(Collection<Claim> claims, Optional<Place> state) {
    return claims.stream()
        .flatMap(claim -> by.getOrDefault(claim, List.of()).stream())
        .filter(c -> state.isEmpty() || c.places().isEmpty() || c.places().contains(state.get()))
        .distinct()
        .toList();
  }

  /** The heaviest of them. */
  public Optional<Weight> worst(Collection<Claim> claims, Optional<Place> state) {
    return of(claims, state).stream().map(Conflict::weight).min(Weight::compareTo);
  }
}
