package foldtwice.desktop.session;

import foldtwice.atlas.Troubles;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Weight;
import foldtwice.library.Library;
import foldtwice.resolve.Owner;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * What an audit told, laid out to be shown. Made beside the interface thread.
 *
 * @param all without the accepted ones
 * @param accepted those that somebody lives with
 * @param byBinding by the binding they stand at, the heaviest first
 * @param counts how many there are of each weight
 * @param troubles by the claims that have a part in them
 */
record Told(
    List<Conflict> all,
    List<Conflict> accepted,
    Map<String, List<Conflict>> byBinding,
    Map<Weight, Long> counts,
    Troubles troubles) {

  /** Of a library that was not looked through yet. */
  static final Told NOTHING =
      new Told(List.of(), List.of(), Map.of(), Map.of(), new Troubles(List.of()));

  /**
   * What was found in a library.
   *
   * @param before what was told last; lists that are as they were are the very same
   */
  static Told of(List<Conflict> found, Library library, Told before) {
    List<Conflict> all = found;
    List<Conflict> accepted = List.of();
    if (!library.accepted().isEmpty()) {
      all = new ArrayList<>();
      accepted = new ArrayList<>();
      for (Conflict c : found) {
        (c.isAccepted(library) ? accepted : all).add(c);
      }
    }
    Map<Weight, Long> counts = new EnumMap<>(Weight.class);
    all.forEach(c -> counts.merge(c.weight(), 1L, Long::sum));
    return new Told(all, accepted, byBinding(all, before.byBinding), counts, new Troubles(all));
  }

  private static Map<String, List<Conflict>> byBinding(
      List<Conflict> conflicts, Map<String, List<Conflict>> before) {
    Map<String, List<Conflict>> by = new HashMap<>();
    for (Conflict c : conflicts) {
      c.claims().stream()
          .flatMap(
              claim -> claim.owner() instanceof Owner.Yours(String b) ? Stream.of(b) : Stream.of())
          .distinct()
          .filter(c::isAbout)
          .forEach(b -> by.computeIfAbsent(b, x -> new ArrayList<>()).add(c));
    }
    by.replaceAll((id, now) -> now.equals(before.get(id)) ? before.get(id) : now);
    return by;
  }
}
