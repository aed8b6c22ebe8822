package foldtwice.desktop.handover;

import foldtwice.conflict.Audit;
import foldtwice.conflict.Conflict;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.remedy.Remedies;
import foldtwice.remedy.Remedy;
import foldtwice.standin.StandIns;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What helps against the conflicts a kit would bring, to be done with it.
 *
 * @param best by the fingerprint of a conflict, the best way; of the first ones only
 */
record Helping(Map<String, Remedy> best) {

  /** Of so many conflicts it is looked what could be done; each costs some audits. */
  private static final int LOOKED_AT = 6;

  /** Looks at a library with the kit. Takes seconds; not on the interface thread. */
  static Helping of(Audit then, List<Conflict> fresh) {
    Map<String, Remedy> best = new LinkedHashMap<>();
    Library library = then.subject().library();
    if (!fresh.isEmpty()) {
      Remedies all = new Remedies(then, StandIns::around);
      for (Conflict c : fresh.subList(0, Math.min(LOOKED_AT, fresh.size()))) {
        all.of(c).stream()
            .filter(r -> !r.edit().on(library).equals(library))
            .findFirst()
            .ifPresent(r -> best.put(c.fingerprint(), r));
      }
    }
    return new Helping(best);
  }

  Optional<Remedy> against(Conflict conflict) {
    return Optional.ofNullable(best.get(conflict.fingerprint()));
  }

  /** A library after what was taken with the kit. */
  static Library after(Library library, List<Remedy> taken) {
    Library next = library;
    for (Remedy r : taken) {
      next = r.edit().on(next);
    }
    return next;
  }

  /** One edit of all. */
  static Edit with(Edit first, List<Remedy> taken) {
    List<Edit> all = new ArrayList<>(List.of(first));
    taken.forEach(r -> all.add(r.edit()));
    return taken.isEmpty() ? first : new Edit.Together(all);
  }
}
