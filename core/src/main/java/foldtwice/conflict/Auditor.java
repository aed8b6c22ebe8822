package foldtwice.conflict;

import foldtwice.binding.Binding;
import foldtwice.resolve.Claim;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Finds every conflict of a library on a station. */
public final class Auditor {

  /** The heaviest first, and among those of one weight the one that loses most. */
  static final Comparator<Conflict> HEAVIEST_FIRST =
      Comparator.comparing(Conflict::weight)
          .thenComparing(Comparator.comparingDouble(Conflict::loss).reversed())
          .thenComparing(Conflict::kind)
          .thenComparing(c -> c.about().toString());

  private Auditor() {}

  /** Every conflict, the heaviest first; each stands once, whichever binding it is told from. */
  public static List<Conflict> audit(Subject subject) {
    return Audit.of(subject).conflicts();
  }

  /**
   * What another trigger might settle of one claim the keymap holds, the heaviest first.
   *
   * @param binding what claims it, in the library or not
   */
  static List<Conflict> of(Claim claim, Binding binding, Subject subject) {
    List<Conflict> found = new ArrayList<>(new Meetings(subject).of(claim));
    found.addAll(new Works(subject).down(binding, claim.trigger()));
    found.sort(HEAVIEST_FIRST);
    return List.copyOf(found);
  }

  /** Of several that say the same of one another one stands: that of the first claim. */
  static boolean stands(Conflict c) {
    return c.kind() == ConflictKind.TWINS
        || !c.isBetweenEquals()
        || c.claims().stream()
            .map(Claim::toString)
            .min(Comparator.naturalOrder())
            .filter(c.about().toString()::equals)
            .isPresent();
  }
}
