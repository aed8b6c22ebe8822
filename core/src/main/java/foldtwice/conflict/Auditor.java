package foldtwice.conflict;

import foldtwice.binding.Binding;
import foldtwice.resolve.Claim;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/** Finds every conflict of a library on a station. */
public final class Auditor {

  /** The heaviest first, and among those of one weight the one that loses most. */
  static final Comparator<Conflict> HEAVIEST_FIRST =
      (a, b) -> Ranking.of(a).compareTo(Ranking.of(b));

  /** In that order; on several cores when there are many. */
  static List<Conflict> ranked(Collection<Conflict> some) {
    Ranking[] all = some.stream().map(Ranking::of).toArray(Ranking[]::new);
    Arrays.parallelSort(all);
    Conflict[] ranked = new Conflict[all.length];
    for (int i = 0; i < all.length; i++) {
      ranked[i] = all[i].of;
    }
    return List.of(ranked);
  }

  /**
   * A conflict, and beside one another in memory what most comparisons look at: large audits spend
   * much of their time in them.
   */
  private record Ranking(int weight, double loss, String about, Conflict of)
      implements Comparable<Ranking> {

    static Ranking of(Conflict c) {
      return new Ranking(c.weight().ordinal(), c.loss().value(), c.about().owner().name(), c);
    }

    @Override
    public int compareTo(Ranking other) {
      int order = Integer.compare(weight, other.weight);
      order = order != 0 ? order : Double.compare(other.loss, loss);
      order = order != 0 ? order : of.kind().compareTo(other.of.kind());
      order = order != 0 ? order : about.compareTo(other.about);
      return order != 0 ? order : Claim.BY_NAME.compare(of.about(), other.of.about());
    }
  }

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
    Dangers dangers = new Dangers(subject);
    List<Conflict> found = new ArrayList<>(new Meetings(subject, dangers).of(claim, false));
    found.addAll(new Works(subject, dangers).down(binding, claim.trigger()));
    return ranked(found);
  }
}
