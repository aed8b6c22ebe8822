package foldtwice.resolve;

import foldtwice.place.Place;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Strokes in, outcomes out: a pure state machine over a {@link Keymap}. The policy is in the
 * package's docs. A stroke costs one probe of a table while nothing is pending.
 */
public final class Resolver {

  /** How long a sequence waits for its next stroke. */
  public static final long TIME_LIMIT_MILLIS = 1200;

  /**
   * Where the resolver is.
   *
   * @param pending strokes that may become a sequence
   * @param since when the last of them came, in milliseconds of any clock that only goes forward
   */
  public record State(Place place, List<Signal> pending, long since) {
    public State {
      pending = List.copyOf(pending);
    }
  }

  /** What follows from a stroke: usually one outcome, more when a sequence broke off. */
  public record Answer(State next, List<Outcome> outcomes) {}

  private final Keymap keymap;

  public Resolver(Keymap keymap) {
    this.keymap = keymap;
  }

  /** Nothing pressed yet, in this place. */
  public static State start(Place place) {
    return new State(place, List.of(), 0);
  }

  /**
   * A key goes down. Anything else is answered at once, and strokes that wait go on waiting.
   *
   * @throws IllegalArgumentException when the state's place is none the application can be in
   */
  public Answer press(State state, Signal press, long now) {
    StateMap map = keymap.at(state.place);
    if (!(press instanceof Press)) {
      return new Answer(state, alone(map, press));
    }
    if (state.pending.isEmpty()) {
      Node node = map.first(press);
      if (node != null && node.decision instanceof Outcome.Fired fired) {
        return new Answer(state, List.of(fired));
      }
    }
    List<Outcome> outcomes = new ArrayList<>(2);
    List<Signal> pending = state.pending;
    if (!pending.isEmpty() && now - state.since > TIME_LIMIT_MILLIS) {
      giveUp(map, pending, outcomes);
      pending = List.of();
    }
    List<Claim> kept = pending.isEmpty() ? List.of() : map.kept(press);
    if (!kept.isEmpty()) {
      outcomes.add(
          kept.size() == 1 ? new Outcome.Fired(kept.getFirst()) : new Outcome.Undecided(kept));
      return new Answer(new State(state.place, pending, state.since), List.copyOf(outcomes));
    }
    List<Signal> strokes = new ArrayList<>(pending);
    strokes.add(press);
    List<Signal> left = offer(map, strokes, outcomes);
    return new Answer(new State(state.place, left, now), List.copyOf(outcomes));
  }

  /** Time passes. */
  public Answer tick(State state, long now) {
    if (state.pending.isEmpty() || now - state.since <= TIME_LIMIT_MILLIS) {
      return new Answer(state, List.of());
    }
    List<Outcome> outcomes = new ArrayList<>(2);
    giveUp(keymap.at(state.place), state.pending, outcomes);
    return new Answer(start(state.place), List.copyOf(outcomes));
  }

  /** Everything these strokes come to when they are pressed at once, one after the other. */
  public static List<Outcome> outcomes(Keymap keymap, Place place, List<Signal> presses) {
    Resolver resolver = new Resolver(keymap);
    State state = start(place);
    List<Outcome> outcomes = new ArrayList<>();
    for (Signal p : presses) {
      Answer answer = resolver.press(state, p, 0);
      outcomes.addAll(answer.outcomes());
      state = answer.next();
    }
    outcomes.addAll(resolver.tick(state, TIME_LIMIT_MILLIS + 1).outcomes());
    return List.copyOf(outcomes);
  }

  /** Offers strokes until they fire, wait or are used up; returns those that wait. */
  private static List<Signal> offer(StateMap map, List<Signal> strokes, List<Outcome> outcomes) {
    List<Signal> rest = strokes;
    while (!rest.isEmpty()) {
      Node node = map.walk(rest);
      switch (node == null ? null : node.decision) {
        case Outcome.Waiting waiting -> {
          outcomes.add(waiting);
          return rest;
        }
        case null -> rest = breakOff(map, rest, outcomes);
        case Outcome decided -> {
          outcomes.add(decided);
          return List.of();
        }
      }
    }
    return rest;
  }

  /** Clause 7: fires the longest claim held back on the way, or lets the first stroke go. */
  private static List<Signal> breakOff(StateMap map, List<Signal> strokes, List<Outcome> outcomes) {
    for (int n = strokes.size() - 1; n > 0; n--) {
      Node node = map.walk(strokes.subList(0, n));
      if (node != null
          && node.decision instanceof Outcome.Waiting(Optional<Claim> otherwise)
          && otherwise.isPresent()) {
        outcomes.add(new Outcome.Fired(otherwise.get()));
        return strokes.subList(n, strokes.size());
      }
    }
    outcomes.add(unclaimed(map, strokes.getFirst()));
    return strokes.subList(1, strokes.size());
  }

  /** Clauses 11 and 16: what is no key press is whole at once; at a start everybody is heard. */
  private static List<Outcome> alone(StateMap map, Signal signal) {
    Node node = map.first(signal);
    if (node == null || node.decision == null) {
      return List.of(new Outcome.Unclaimed(signal));
    }
    return signal.isStart()
        ? node.outermostFirst().stream().<Outcome>map(Outcome.Fired::new).toList()
        : List.of(node.decision);
  }

  private static void giveUp(StateMap map, List<Signal> pending, List<Outcome> outcomes) {
    List<Signal> rest = pending;
    while (!rest.isEmpty()) {
      Node node = map.walk(rest);
      switch (node == null ? null : node.decision) {
        case Outcome.Waiting(Optional<Claim> otherwise) when otherwise.isPresent() -> {
          outcomes.add(new Outcome.Fired(otherwise.get()));
          rest = List.of();
        }
        case Outcome.Fired fired -> {
          outcomes.add(fired);
          rest = List.of();
        }
        case Outcome.Undecided undecided -> {
          outcomes.add(undecided);
          rest = List.of();
        }
        case null, default -> rest = breakOff(map, rest, outcomes);
      }
    }
  }

  private static Outcome unclaimed(StateMap map, Signal press) {
    if (map.takesText()) {
      Optional<String> text = press.asPress().flatMap(map.layout()::types);
      if (text.isPresent()) {
        return new Outcome.Typed(text.get());
      }
    }
    return new Outcome.Unclaimed(press);
  }
}
