package foldtwice.conflict;

import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Conflicts that hold wherever their claims are heard, shown by pressing the first of them. */
final class Told {

  private Told() {}

  static Conflict of(
      Subject subject,
      Dangers dangers,
      List<Claim> claims,
      ConflictKind kind,
      Weight weight,
      Detail detail) {
    Keymap keymap = subject.keymap();
    Set<Place> places = new LinkedHashSet<>();
    claims.forEach(c -> places.addAll(keymap.statesOf(c.place())));
    Claim first = claims.getFirst();
    return new Conflict(
        kind,
        weight,
        Loss.of(subject.library(), dangers, claims, claims, places.size()),
        List.copyOf(places),
        true,
        claims,
        detail,
        new Evidence(
            places.stream().findFirst().orElse(first.place()),
            keymap.paths(first.trigger()).stream().findFirst().orElse(List.of())));
  }
}
