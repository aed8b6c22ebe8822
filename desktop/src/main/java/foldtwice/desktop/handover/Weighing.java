package foldtwice.desktop.handover;

import foldtwice.conflict.Audit;
import foldtwice.conflict.Subject;
import foldtwice.desktop.session.Session;
import foldtwice.handover.Taking;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.merge.Contradiction;
import foldtwice.merge.Take;
import foldtwice.remedy.Remedy;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What deciding a contradiction otherwise would come to on this station.
 *
 * @param effects by the path of a contradiction; of the first ones only
 */
record Weighing(Map<List<String>, Effect> effects) {

  /** Of so many contradictions it is looked; each costs an audit. */
  private static final int LOOKED_AT = 4;

  /** How many conflicts the other choice solves and causes. */
  record Effect(int solves, int causes) {}

  /** Takes the kit, so decided. */
  interface Taken {
    Taking by(Map<List<String>, Take> choices) throws FormatException;
  }

  /**
   * Looks at the other choices. Takes seconds; not on the interface thread.
   *
   * @param then what comes of the choices as they are
   */
  static Weighing of(
      Audit then, Taking taking, Map<List<String>, Take> choices, List<Remedy> with, Taken taken)
      throws FormatException {
    Map<List<String>, Effect> effects = new LinkedHashMap<>();
    Subject here = then.subject();
    for (Contradiction c : taking.contradictions().stream().limit(LOOKED_AT).toList()) {
      Map<List<String>, Take> otherwise = new LinkedHashMap<>(choices);
      otherwise.put(c.path(), other(c));
      Library after = Helping.after(taken.by(otherwise).merged(), with);
      Audit so =
          then.after(
              Session.subject(
                  after, here.keymap().station(), here.setup().following(here.library(), after)));
      effects.put(c.path(), new Effect(then.unlike(so).size(), so.unlike(then).size()));
    }
    return new Weighing(effects);
  }

  /** What is not taken now. */
  static Take other(Contradiction c) {
    return c.taken() == Take.THEIRS ? Take.OURS : Take.THEIRS;
  }

  Optional<Effect> of(Contradiction c) {
    return Optional.ofNullable(effects.get(c.path()));
  }
}
