package foldtwice.desktop.session;

import foldtwice.binding.Binding;
import foldtwice.live.Live;
import foldtwice.live.program.LiveRun;
import foldtwice.routine.Routine;
import foldtwice.run.Reply;
import foldtwice.run.Status;
import foldtwice.trigger.Press;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * How things stand with the real programs.
 *
 * @param caught how many keys are caught; none while nobody listens
 * @param taken those another program has
 * @param fired the last first
 */
public record LiveState(
    Reach reach, Optional<Integer> caught, Set<Press> taken, List<Fired> fired) {

  private static final int MOST_FIRED = 20;

  /** Nobody looked yet. */
  static final LiveState UNKNOWN =
      new LiveState(new Reach.Unknown(), Optional.empty(), Set.of(), List.of());

  public LiveState {
    taken = Set.copyOf(taken);
    fired = List.copyOf(fired);
  }

  /** Whether there are programs to be worked. */
  public sealed interface Reach {

    /** Nobody looked yet. */
    record Unknown() implements Reach {}

    record There(List<Live.Running> running) implements Reach {
      public There {
        running = List.copyOf(running);
      }
    }

    record Not(String why) implements Reach {}
  }

  /**
   * Something that was set off.
   *
   * @param binding that fired; none where a routine was run by hand
   * @param refused why nothing was done
   * @param asks the routine a person has to allow before it runs
   * @param onlyShown true for what would come of it, on a sketch of its program
   */
  public record Fired(
      long number,
      Optional<Binding> binding,
      Optional<Routine> routine,
      Optional<LiveRun.Standing> standing,
      Optional<Reply.Refused> refused,
      Optional<Routine> asks,
      boolean onlyShown) {

    /** A run as it stands. */
    static Fired going(
        long number, Optional<Binding> binding, Routine routine, LiveRun.Standing standing) {
      return new Fired(
          number,
          binding,
          Optional.of(routine),
          Optional.of(standing),
          Optional.empty(),
          Optional.empty(),
          false);
    }

    /** Nothing was done. */
    static Fired refused(
        long number,
        Optional<Binding> binding,
        Optional<Routine> routine,
        Reply.Refused why,
        Optional<Routine> asks) {
      return new Fired(number, binding, routine, Optional.empty(), Optional.of(why), asks, false);
    }

    /** Nothing is asked any more. */
    Fired allowed() {
      return new Fired(number, binding, routine, standing, refused, Optional.empty(), onlyShown);
    }

    /** True while it goes on. */
    public boolean isOn() {
      return refused.isEmpty() && standing.filter(LiveRun.Standing::isOver).isEmpty();
    }

    /** What it wants to know. */
    public Optional<Status.Asking> asking() {
      return standing
          .map(LiveRun.Standing::status)
          .flatMap(s -> s instanceof Status.Asking a ? Optional.of(a) : Optional.empty());
    }
  }

  LiveState reaching(Reach other) {
    return new LiveState(other, caught, taken, fired);
  }

  LiveState catching(Optional<Integer> keys) {
    return new LiveState(reach, keys, keys.isEmpty() ? Set.of() : taken, fired);
  }

  LiveState taken(Set<Press> others) {
    return new LiveState(reach, caught, others, fired);
  }

  LiveState firing(List<Fired> others) {
    return new LiveState(reach, caught, taken, others);
  }

  /** With one more that was set off, or one of them as it stands now. */
  LiveState with(Fired one) {
    List<Fired> all = new ArrayList<>(fired);
    boolean there = false;
    for (int i = 0; i < all.size(); i++) {
      if (all.get(i).number() == one.number()) {
        all.set(i, one);
        there = true;
      }
    }
    if (!there) {
      all.addFirst(one);
    }
    return firing(all.size() > MOST_FIRED ? all.subList(0, MOST_FIRED) : all);
  }
}
