package foldtwice.desktop.session;

import foldtwice.atlas.Troubles;
import foldtwice.conflict.Audit;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Ranked;
import foldtwice.conflict.Weight;
import foldtwice.library.Acceptance;
import foldtwice.library.Library;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owner;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What an audit told, laid out to be shown. Made beside the interface thread.
 *
 * @param all without the accepted ones
 * @param accepted those that somebody lives with
 * @param byBinding by the binding they stand at, the heaviest first
 * @param counts how many there are of each weight
 * @param troubles by the claims that have a part in them
 * @param livedWith what is accepted in the library
 */
record Told(
    List<Conflict> all,
    List<Conflict> accepted,
    Map<String, List<Conflict>> byBinding,
    Map<Weight, Long> counts,
    Troubles troubles,
    Map<String, Acceptance> livedWith) {

  /** Of a library that was not looked through yet. */
  static final Told NOTHING =
      new Told(List.of(), List.of(), Map.of(), Map.of(), new Troubles(List.of()), Map.of());

  /**
   * What was found in a library. Lists that are as they were are the very same. Costs what is told
   * anew or no more, and a copy of what is told; when that is most, or other things are accepted, a
   * look at everything.
   *
   * @param before what was told of the audit this one was made from
   */
  static Told of(Audit audit, Library library, Told before) {
    int apart = audit.gone().size() + audit.fresh().size();
    return apart > before.all.size() / 2 || !before.livedWith.equals(library.accepted())
        ? of(audit.conflicts(), library, before)
        : before.after(audit, library);
  }

  /** The same of all that was found, whatever was told before. */
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
    Map<String, List<Conflict>> by = byBinding(all);
    by.replaceAll(
        (id, now) -> now.equals(before.byBinding.get(id)) ? before.byBinding.get(id) : now);
    return new Told(all, accepted, by, counts(all), new Troubles(all), library.accepted());
  }

  private Told after(Audit audit, Library library) {
    Set<Conflict> lived = Set.copyOf(accepted);
    List<Conflict> gone = new ArrayList<>();
    List<Conflict> goneAccepted = new ArrayList<>();
    audit.gone().forEach(c -> (lived.contains(c) ? goneAccepted : gone).add(c));
    List<Conflict> fresh = new ArrayList<>();
    List<Conflict> freshAccepted = new ArrayList<>();
    audit.fresh().forEach(c -> (c.isAccepted(library) ? freshAccepted : fresh).add(c));
    List<Conflict> now = Ranked.changed(all, gone, fresh);
    return new Told(
        now,
        Ranked.changed(accepted, goneAccepted, freshAccepted),
        byBinding(gone, fresh),
        counts(now),
        troubles.after(gone, fresh),
        library.accepted());
  }

  /** By binding, after some have gone and others have come. */
  private Map<String, List<Conflict>> byBinding(List<Conflict> gone, List<Conflict> fresh) {
    Map<String, List<Conflict>> next = new HashMap<>(byBinding);
    Ranked.changed(
            (String id) -> byBinding.getOrDefault(id, List.of()), byBinding(gone), byBinding(fresh))
        .forEach(
            (id, is) -> {
              if (is.isEmpty()) {
                next.remove(id);
              } else if (!is.equals(next.get(id))) {
                next.put(id, is);
              }
            });
    return next;
  }

  private static Map<Weight, Long> counts(List<Conflict> all) {
    long[] of = new long[Weight.values().length];
    for (Conflict c : all) {
      of[c.weight().ordinal()]++;
    }
    Map<Weight, Long> counts = new EnumMap<>(Weight.class);
    for (Weight w : Weight.values()) {
      if (of[w.ordinal()] > 0) {
        counts.put(w, of[w.ordinal()]);
      }
    }
    return counts;
  }

  private static Map<String, List<Conflict>> byBinding(List<Conflict> conflicts) {
    Map<String, List<Conflict>> by = new HashMap<>();
    Set<String> its = new HashSet<>();
    for (Conflict c : conflicts) {
      its.clear();
      for (Claim claim : c.claims()) {
        if (claim.owner() instanceof Owner.Yours(String id) && its.add(id) && c.isAbout(id)) {
          by.computeIfAbsent(id, x -> new ArrayList<>(1)).add(c);
        }
      }
    }
    return by;
  }
}
