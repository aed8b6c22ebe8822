package foldtwice.conflict;

import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the keys of devices send of themselves, followed to whoever catches it: device, desktop,
 * system-wide, program.
 *
 * <p>A chain is broken where nobody catches the keys, they begin no sequence and type nothing; and,
 * when a binding listens for them, in each state in which it would be heard and something else
 * takes them.
 */
final class Chains {

  private final Library library;
  private final Dangers dangers;
  private final Keymap keymap;

  Chains(Subject subject, Dangers dangers) {
    this.dangers = dangers;
    this.library = subject.library();
    this.keymap = subject.keymap();
  }

  /** The broken chains of a device; none of one that is not plugged in. */
  List<Conflict> of(Device device) {
    List<Conflict> found = new ArrayList<>();
    if (keymap.station().devices().contains(device.id())) {
      for (Page page : device.pages()) {
        page.sends().forEach((key, sends) -> found.addAll(of(device, page, key, sends)));
      }
    }
    return found;
  }

  private List<Conflict> of(Device device, Page page, String key, Page.Sends sends) {
    Claim its =
        new Claim(
            new Owner.Key(device.id(), page.id(), key),
            new Trigger.PadKey(device.id(), page.id(), key, Trigger.Duration.TAP),
            new Place.Everywhere());
    return switch (sends) {
      case Page.Sends.Turn(String to) ->
          device.page(to).isPresent()
              ? List.of()
              : List.of(
                  broken(
                      its,
                      List.of(),
                      List.of(),
                      true,
                      Optional.empty(),
                      new Evidence(new Place.Everywhere(), List.of())));
      case Page.Sends.Chord(Trigger.Keys keys) -> chord(its, keys);
    };
  }

  private List<Conflict> chord(Claim its, Trigger.Keys keys) {
    Optional<List<Signal>> path = keymap.paths(keys).stream().findFirst();
    List<Claim> claims = keymap.claimsOn(keys);
    List<Claim> yours = claims.stream().filter(Claim::isYours).toList();
    List<Place> listening = listening(yours);
    if (path.isPresent() && claims.isEmpty() && isOfUse(path.get())) {
      return List.of();
    }
    if (path.isEmpty() || claims.isEmpty()) {
      List<Place> all = keymap.states();
      Evidence evidence =
          new Evidence(
              all.isEmpty() ? new Place.Everywhere() : all.getFirst(), path.orElse(List.of()));
      return List.of(broken(its, List.of(), List.of(), true, Optional.of(keys), evidence));
    }
    if (yours.isEmpty()) { // what a program or the desktop does with it is what it is for
      return List.of();
    }
    Map<List<Claim>, List<Place>> taken = new LinkedHashMap<>();
    for (Place state : listening) {
      List<Claim> takers = takers(state, path.get());
      if (takers.size() != 1 || !yours.contains(takers.getFirst())) {
        taken.computeIfAbsent(takers, t -> new ArrayList<>()).add(state);
      }
    }
    int broken = taken.values().stream().mapToInt(List::size).sum();
    List<Conflict> found = new ArrayList<>();
    taken.forEach(
        (by, places) ->
            found.add(
                broken(
                    its,
                    by,
                    places,
                    broken == listening.size(),
                    Optional.of(keys),
                    new Evidence(places.getFirst(), path.get()))));
    return found;
  }

  /** Presses nobody claims as they are begin a sequence somewhere, or type a character. */
  private boolean isOfUse(List<Signal> presses) {
    return keymap.states().stream()
        .flatMap(s -> Resolver.outcomes(keymap, s, presses).stream())
        .anyMatch(o -> o instanceof Outcome.Waiting || o instanceof Outcome.Typed);
  }

  /** The states in which one of them is heard, in the order of the keymap, not of the claims. */
  private List<Place> listening(List<Claim> claims) {
    Set<Place> heard = new HashSet<>();
    claims.forEach(c -> heard.addAll(keymap.statesOf(c.place())));
    return keymap.states().stream().filter(heard::contains).toList();
  }

  /** Who is set off by presses, or has an equal right to them; nobody when nothing is. */
  private List<Claim> takers(Place state, List<Signal> presses) {
    List<Outcome> outcomes = Resolver.outcomes(keymap, state, presses);
    return switch (outcomes.getLast()) {
      case Outcome.Fired(Claim claim) -> List.of(claim);
      case Outcome.Undecided(List<Claim> claims) ->
          claims.stream().sorted(Comparator.comparing(Claim::toString)).toList();
      case Outcome.Waiting(Optional<Claim> otherwise) -> otherwise.stream().toList();
      case Outcome.Typed t -> List.of();
      case Outcome.Unclaimed u -> List.of();
    };
  }

  private Conflict broken(
      Claim its,
      List<Claim> takers,
      List<Place> places,
      boolean everywhere,
      Optional<Trigger.Keys> sends,
      Evidence evidence) {
    List<Claim> claims = new ArrayList<>(List.of(its));
    claims.addAll(takers);
    return new Conflict(
        ConflictKind.BROKEN_CHAIN,
        everywhere ? Weight.BLOCKS : Weight.COSTS,
        Loss.of(library, dangers, List.of(its), claims, places.size()),
        places,
        everywhere,
        claims,
        new Detail.Chain(sends),
        evidence);
  }
}
