package foldtwice.live.listen;

import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What caught presses mean, by the resolver, and what becomes of each: it is somebody's of the
 * library, or waits, or goes on to the program. Not for several threads at once.
 */
final class Meaning {

  /**
   * What becomes of a press.
   *
   * @param keep false when it goes on to its program as it is
   * @param send what was kept before and goes to the program now, in order; with the press itself
   *     at the end where that must not go before them
   * @param outcomes those of the library
   * @param held how many strokes are held back from now on; the press itself the last where it is
   *     kept
   */
  record Answer(boolean keep, List<Press> send, List<Outcome> outcomes, int held) {
    Answer {
      send = List.copyOf(send);
      outcomes = List.copyOf(outcomes);
    }
  }

  private final Catching catching;
  private final Resolver resolver;
  private Optional<Resolver.State> state = Optional.empty();
  private List<Press> kept = List.of();

  Meaning(Catching catching) {
    this.catching = catching;
    this.resolver = new Resolver(catching.keymap());
  }

  /**
   * What was pressed before means nothing any more.
   *
   * @return the strokes that were held back
   */
  List<Press> forget() {
    List<Press> were = kept;
    state = Optional.empty();
    kept = List.of();
    return were;
  }

  /**
   * A press.
   *
   * @param in the state of the program in front; empty for one no library knows
   * @param now in milliseconds of any clock that only goes forward
   */
  Answer press(Press press, Optional<Place> in, long now) {
    Place place = catching.state(in);
    List<Press> send = new ArrayList<>();
    if (state.filter(s -> s.place().equals(place)).isEmpty()) {
      send.addAll(forget());
      state = Optional.of(Resolver.start(place));
    }
    Resolver.Answer answer = resolver.press(state.get(), press, now);
    List<Press> strokes = new ArrayList<>(kept);
    strokes.add(press);
    boolean aside = answer.next().pending().equals(state.get().pending()) && !kept.isEmpty();
    if (aside) { // the desktop's own: what waits goes on waiting
      return new Answer(false, List.of(), List.of(), kept.size());
    }
    send.addAll(theirs(answer.outcomes(), strokes));
    boolean waits = !answer.next().pending().isEmpty();
    if (waits && !catching.goesOn(place, answer.next().pending())) {
      send.addAll(strokes); // only the program's own sequences go on from here
      forget();
    } else {
      state = Optional.of(answer.next());
      kept = waits ? List.copyOf(strokes) : List.of();
    }
    List<Outcome> ours = ours(answer.outcomes());
    boolean itself = !send.isEmpty() && send.getLast().equals(press) && !waitsFor(press);
    return itself && send.size() == 1
        ? new Answer(false, List.of(), ours, kept.size())
        : new Answer(true, send, ours, kept.size());
  }

  private boolean waitsFor(Press press) {
    return !kept.isEmpty() && kept.getLast().equals(press);
  }

  /** True while strokes may still become a sequence. */
  boolean isWaiting() {
    return !kept.isEmpty();
  }

  /** Time passes. */
  Answer tick(long now) {
    if (state.filter(s -> !s.pending().isEmpty()).isEmpty()) {
      return new Answer(true, List.of(), List.of(), 0);
    }
    Resolver.Answer answer = resolver.tick(state.get(), now);
    if (!answer.next().pending().isEmpty()) {
      return new Answer(true, List.of(), List.of(), kept.size());
    }
    List<Press> send = theirs(answer.outcomes(), new ArrayList<>(kept));
    state = Optional.of(answer.next());
    kept = List.of();
    return new Answer(true, send, ours(answer.outcomes()), 0);
  }

  /** Something else than a press: it is whole at once. */
  List<Outcome> alone(Signal signal, Optional<Place> in, long now) {
    Resolver.State start = Resolver.start(catching.state(in));
    return ours(resolver.press(start, signal, now).outcomes());
  }

  /** A key comes up where strokes may be waiting. */
  List<Outcome> lift(Signal up, long now) {
    return state.map(s -> ours(resolver.press(s, up, now).outcomes())).orElse(List.of());
  }

  /** The strokes that are not the library's, taken from the front of all; those that wait stay. */
  private List<Press> theirs(List<Outcome> outcomes, List<Press> strokes) {
    List<Press> send = new ArrayList<>();
    for (Outcome o : outcomes) {
      switch (o) {
        case Outcome.Fired(Claim c) -> {
          List<Press> its = strokes.subList(0, length(c, strokes));
          if (!isOurs(c)) {
            send.addAll(its);
          }
          its.clear();
        }
        case Outcome.Undecided(List<Claim> claims) ->
            strokes.subList(0, length(claims.getFirst(), strokes)).clear();
        case Outcome.Unclaimed u -> one(strokes, send);
        case Outcome.Typed t -> one(strokes, send);
        case Outcome.Waiting w -> {} // what is left waits
      }
    }
    return send;
  }

  private static void one(List<Press> strokes, List<Press> send) {
    if (!strokes.isEmpty()) {
      send.add(strokes.removeFirst());
    }
  }

  /** How many of the strokes a claim takes: the way it was pressed. */
  private int length(Claim claim, List<Press> strokes) {
    return catching.keymap().paths(claim.trigger()).stream()
        .filter(p -> p.size() <= strokes.size() && p.equals(strokes.subList(0, p.size())))
        .map(List::size)
        .findFirst()
        .orElse(Math.min(1, strokes.size()));
  }

  private static List<Outcome> ours(List<Outcome> outcomes) {
    return outcomes.stream()
        .filter(
            o ->
                o instanceof Outcome.Undecided
                    || (o instanceof Outcome.Fired(Claim c) && isOurs(c)))
        .toList();
  }

  private static boolean isOurs(Claim claim) {
    return claim.owner() instanceof Owner.Yours;
  }
}
