package foldtwice.atlas;

import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owned;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Press;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A page of the atlas: what every key of a keyboard comes to.
 *
 * <p>Costs a probe of a table for each key, and for all places at once for each key and state.
 *
 * @param keys by position
 */
public record Atlas(Map<KeyCode, Key> keys) {

  /**
   * The keys as they are in one state.
   *
   * @param before strokes of a sequence made already; empty at its beginning
   */
  public static Atlas of(
      Library library,
      Keymap keymap,
      Troubles troubles,
      Place state,
      Modifiers held,
      List<Signal> before) {
    Map<KeyCode, Key> keys = new EnumMap<>(KeyCode.class);
    for (Shape.Cap cap : keymap.station().shape().allCaps()) {
      keys.put(
          cap.code(),
          cap.code().isModifier()
              ? Key.MODIFIER
              : here(library, keymap, troubles, state, after(before, new Press(cap.code(), held))));
    }
    return new Atlas(keys);
  }

  /** The keys as they are in all places at once. */
  public static Atlas everywhere(
      Library library, Keymap keymap, Troubles troubles, Modifiers held) {
    Map<KeyCode, Key> keys = new EnumMap<>(KeyCode.class);
    List<Place> states = keymap.states();
    for (Shape.Cap cap : keymap.station().shape().allCaps()) {
      keys.put(
          cap.code(),
          cap.code().isModifier()
              ? Key.MODIFIER
              : anywhere(library, keymap, troubles, states, new Press(cap.code(), held)));
    }
    return new Atlas(keys);
  }

  /**
   * What is no key, such as a key of a pad or a button, in one state, or in all places at once when
   * there is none.
   */
  public static Key of(
      Library library, Keymap keymap, Troubles troubles, Optional<Place> state, Trigger trigger) {
    Signal signal = new Motion(trigger);
    return state
        .map(s -> here(library, keymap, troubles, s, List.of(signal)))
        .orElseGet(() -> anywhere(library, keymap, troubles, keymap.states(), signal));
  }

  private static List<Signal> after(List<Signal> before, Signal last) {
    List<Signal> all = new ArrayList<>(before);
    all.add(last);
    return all;
  }

  /** How many keys nobody claims, modifiers not counted. */
  public long free() {
    return keys.values().stream()
        .filter(k -> k.part() == Key.Part.FREE || k.part() == Key.Part.TYPES)
        .count();
  }

  /** How many keys there are, modifiers not counted. */
  public long all() {
    return keys.values().stream().filter(k -> k.part() != Key.Part.MODIFIER).count();
  }

  private static Key here(
      Library library, Keymap keymap, Troubles troubles, Place state, List<Signal> presses) {
    String types = types(keymap, presses.getLast());
    Came came = last(keymap, state, presses);
    Outcome outcome = came.outcome;
    List<Claim> here = keymap.heard(state, came.by);
    Key.Part part =
        switch (outcome) {
          case Outcome.Fired(Claim claim) -> part(claim.owner());
          case Outcome.Waiting w -> Key.Part.BEGINS;
          case Outcome.Undecided u -> Key.Part.SHARED;
          case Outcome.Typed t -> Key.Part.TYPES;
          case Outcome.Unclaimed u -> Key.Part.FREE;
        };
    List<Claim> claims =
        switch (outcome) {
          case Outcome.Fired(Claim claim) -> List.of(claim);
          case Outcome.Waiting(Optional<Claim> otherwise) ->
              otherwise.isPresent() ? List.of(otherwise.get()) : here;
          case Outcome.Undecided(List<Claim> both) -> both;
          case Outcome.Typed t -> List.of();
          case Outcome.Unclaimed u -> List.of();
        };
    return new Key(
        part,
        claims,
        troubles.worst(here, Optional.of(state)),
        claims.isEmpty() ? 0 : 1,
        true,
        uses(library, claims),
        types);
  }

  /** What the last of some presses comes to, and by which of them: others were let go before. */
  private record Came(Outcome outcome, List<Signal> by) {}

  private static Came last(Keymap keymap, Place state, List<Signal> presses) {
    Resolver resolver = new Resolver(keymap);
    Resolver.State now = Resolver.start(state);
    Outcome outcome = new Outcome.Unclaimed(presses.getFirst());
    for (Signal s : presses) {
      Resolver.Answer answer = resolver.press(now, s, 0);
      now = answer.next();
      outcome = answer.outcomes().getLast();
    }
    return new Came(
        outcome,
        switch (outcome) {
          case Outcome.Waiting w -> now.pending();
          case Outcome.Fired(Claim claim) -> made(claim, presses);
          case Outcome.Undecided(List<Claim> claims) -> made(claims.getFirst(), presses);
          case Outcome.Typed t -> presses;
          case Outcome.Unclaimed u -> presses;
        });
  }

  /** The last of these, as many as the trigger of a claim has strokes. */
  private static List<Signal> made(Claim claim, List<Signal> presses) {
    int strokes = Math.max(1, claim.trigger().keyStrokes().size());
    return presses.subList(presses.size() - strokes, presses.size());
  }

  private static Key.Part part(Owner owner) {
    return switch (owner) {
      case Owner.Yours y -> Key.Part.YOURS;
      case Owner.Menu m -> Key.Part.YOURS;
      case Owner.Key k -> Key.Part.YOURS;
      case Owner.Native n -> Key.Part.NATIVE;
      case Owner.Desktop d -> Key.Part.DESKTOP;
    };
  }

  private static Key anywhere(
      Library library, Keymap keymap, Troubles troubles, List<Place> states, Signal signal) {
    Set<Claim> claims = new LinkedHashSet<>();
    Set<String> programs = new HashSet<>();
    Set<String> things = new HashSet<>();
    for (Place state : states) {
      for (Claim claim : keymap.heard(state, List.of(signal))) {
        claims.add(claim);
        programs.add(state.applicationId().orElse(""));
        things.add(thing(library, claim));
      }
    }
    Key.Part part =
        claims.isEmpty()
            ? Key.Part.FREE
            : claims.stream()
                .map(c -> part(c.owner()))
                .min((a, b) -> Integer.compare(rank(a), rank(b)))
                .orElseThrow();
    List<Claim> all = List.copyOf(claims);
    return new Key(
        part,
        all,
        troubles.worst(all, Optional.empty()),
        programs.size(),
        things.size() < 2,
        uses(library, all),
        types(keymap, signal));
  }

  private static String types(Keymap keymap, Signal signal) {
    return signal.asPress().flatMap(keymap.layout()::types).orElse("");
  }

  private static int rank(Key.Part part) {
    return part == Key.Part.DESKTOP ? 0 : part == Key.Part.YOURS ? 1 : 2;
  }

  /** What a claim is for, so that the same in two programs is the same. */
  private static String thing(Library library, Claim claim) {
    return switch (claim.owner()) {
      case Owner.Yours(String id) ->
          Optional.ofNullable(library.bindings().get(id))
              .map(b -> b.routine() + b.arguments())
              .orElse(id);
      case Owner.Native n ->
          Owned.command(library, n).map(c -> c.name().toLowerCase(Locale.ROOT)).orElse(n.command());
      case Owner.Menu(String id) -> id;
      case Owner.Key(String device, String page, String key) -> device + page + key;
      case Owner.Desktop(String what) -> what;
    };
  }

  private static double uses(Library library, List<Claim> claims) {
    return claims.stream().mapToDouble(c -> Owned.uses(library, c.owner())).sum();
  }
}
