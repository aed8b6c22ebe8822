package foldtwice.conflict;

import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Danger;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Meeting;
import foldtwice.resolve.Owned;
import foldtwice.resolve.Owner;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Who gets a trigger, in every state it can be pressed in.
 *
 * <p>Cost: for each claim, its states times the strokes of its trigger; claims that cannot meet are
 * never compared.
 */
final class Meetings {

  private final Library library;
  private final Keymap keymap;
  private final Dangers dangers;

  Meetings(Subject subject, Dangers dangers) {
    this.dangers = dangers;
    this.library = subject.library();
    this.keymap = subject.keymap();
  }

  /**
   * The conflicts of one claim.
   *
   * @param once true to leave to the first of several equals what all of them could tell
   */
  List<Conflict> of(Claim claim, boolean once) {
    List<Place> states = keymap.statesOf(claim.place());
    List<List<Signal>> paths = keymap.paths(claim.trigger());
    List<Conflict> found = new ArrayList<>(refusals(claim, states, paths));
    if (!found.isEmpty()) {
      return found; // what is never let in meets nobody
    }
    Optional<Detail.Untyped> untyped = Makeable.not(claim.trigger(), paths, library, keymap);
    if (untyped.isPresent()) {
      Evidence nothing = new Evidence(claim.place(), List.of());
      found.add(alone(ConflictKind.UNTYPEABLE, claim, states, untyped.get(), nothing));
      return found;
    }
    Map<List<Object>, Gathered> gathered = new LinkedHashMap<>();
    int heard = 0;
    boolean fires = false;
    for (Place state : states) {
      List<Meeting> meetings = Meeting.of(keymap, state, claim, paths);
      fires |= meetings.stream().anyMatch(m -> comesOff(m, claim));
      heard += meetings.stream().anyMatch(m -> m.fate() != Meeting.Fate.TYPED) ? 1 : 0;
      for (Meeting meeting : meetings) {
        if (!once || !isAnothers(meeting, claim)) {
          gather(gathered, state, meeting, claim);
        }
      }
    }
    int all = heard;
    boolean never = !fires;
    gathered.values().forEach(g -> found.add(g.conflict(all, never)));
    device(claim, states, paths).ifPresent(found::add);
    return found;
  }

  /** The states in which a claim fires, by some way of making it. */
  Set<Place> fires(Claim claim) {
    List<Place> states = keymap.statesOf(claim.place());
    List<List<Signal>> paths = keymap.paths(claim.trigger());
    Set<Place> all = new LinkedHashSet<>();
    if (refusals(claim, states, paths).isEmpty()
        && Makeable.not(claim.trigger(), paths, library, keymap).isEmpty()) {
      for (Place state : states) {
        if (Meeting.of(keymap, state, claim, paths).stream().anyMatch(m -> comesOff(m, claim))) {
          all.add(state);
        }
      }
    }
    return all;
  }

  /** True when what it wants happens: it fires, or what goes before it does the very same. */
  private boolean comesOff(Meeting meeting, Claim claim) {
    return meeting.fate() == Meeting.Fate.WINS
        || (meeting.fate() == Meeting.Fate.COVERED
            && meeting.by().stream().allMatch(by -> Twins.areSame(library, by, claim)));
  }

  /** Of several with an equal right to a trigger, another one tells it. */
  private static boolean isAnothers(Meeting meeting, Claim claim) {
    return meeting.fate() == Meeting.Fate.SHARED
        && !meeting.by().getFirst().owner().equals(claim.owner());
  }

  /** By the rules of a program for what is bound in it; its own commands and menus keep none. */
  private List<Conflict> refusals(Claim claim, List<Place> states, List<List<Signal>> paths) {
    Optional<Application> application =
        claim.owner() instanceof Owner.Yours
            ? claim.place().applicationId().flatMap(keymap::application)
            : Optional.empty();
    List<Conflict> refused = new ArrayList<>();
    for (Rule rule : application.map(a -> a.rules(wayOf(claim), claim.place())).orElse(List.of())) {
      if (!rule.accepts(claim.trigger(), keymap.layout())) {
        refused.add(
            alone(
                ConflictKind.NOT_ACCEPTED,
                claim,
                states,
                new Detail.Refused(rule),
                new Evidence(
                    states.isEmpty() ? claim.place() : states.getFirst(),
                    paths.stream().findFirst().orElse(List.of()))));
      }
    }
    return refused;
  }

  private Conflict alone(
      ConflictKind kind, Claim claim, List<Place> states, Detail detail, Evidence evidence) {
    List<Claim> claims = List.of(claim);
    return new Conflict(
        kind,
        Weight.BLOCKS,
        Loss.of(library, dangers, claims, claims, states.size()),
        states,
        true,
        claims,
        detail,
        evidence);
  }

  /** A key of a pad that types or turns of itself: what is bound to it never hears of it. */
  private Optional<Conflict> device(Claim claim, List<Place> states, List<List<Signal>> paths) {
    if (claim.trigger() instanceof Trigger.PadKey(String device, String page, String key, var way)
        && way == Trigger.Duration.TAP
        && library
            .device(device)
            .flatMap(d -> d.page(page))
            .flatMap(p -> p.sends(key))
            .isPresent()) {
      Claim its =
          new Claim(new Owner.Key(device, page, key), claim.trigger(), new Place.Everywhere());
      return Optional.of(
          new Conflict(
              ConflictKind.COVERED,
              Weight.BLOCKS,
              Loss.of(library, dangers, List.of(claim), List.of(claim), states.size()),
              states,
              true,
              List.of(claim, its),
              new Detail.None(),
              new Evidence(
                  states.isEmpty() ? claim.place() : states.getFirst(), paths.getFirst())));
    }
    return Optional.empty();
  }

  /**
   * The way in by which the binding of a claim comes; what is not in the library yet, the usual.
   */
  private String wayOf(Claim claim) {
    return claim.owner() instanceof Owner.Yours(String id) && library.bindings().containsKey(id)
        ? library.bindings().get(id).fitting().way()
        : "";
  }

  private void gather(
      Map<List<Object>, Gathered> gathered, Place state, Meeting meeting, Claim claim) {
    switch (meeting.fate()) {
      case CUT_SHORT -> {
        ConflictKind kind = held(ConflictKind.CUT_SHORT, claim, meeting.by());
        add(gathered, kind, state, meeting, claim, meeting.by());
      }
      case COVERED -> {
        for (Claim by : comesOff(meeting, claim) ? List.<Claim>of() : meeting.by()) {
          ConflictKind kind =
              by.owner() instanceof Owner.Desktop
                  ? ConflictKind.RESERVED
                  : isSystemWide(by) ? ConflictKind.INTERCEPTED : ConflictKind.COVERED;
          add(gathered, held(kind, claim, List.of(by)), state, meeting, claim, List.of(by));
        }
      }
      case SHARED -> {
        List<Claim> others =
            meeting.by().stream().filter(c -> !c.owner().equals(claim.owner())).toList();
        ConflictKind kind = held(ConflictKind.DOUBLE_CLAIM, claim, others);
        add(gathered, kind, state, meeting, claim, others);
      }
      case TYPED -> add(gathered, ConflictKind.TYPES_TEXT, state, meeting, claim, List.of());
      case WINS -> {}
    }
    for (Claim loser : meeting.silences()) {
      if (!loser.isYours() && isMakeable(loser)) {
        ConflictKind kind = isSystemWide(claim) ? ConflictKind.INTERCEPTED : ConflictKind.DISPLACES;
        add(gathered, kind, state, meeting, claim, List.of(loser));
      }
    }
    for (Claim later : meeting.delays()) {
      add(gathered, ConflictKind.ANSWERS_LATER, state, meeting, claim, List.of(later));
    }
    if (meeting.fate() == Meeting.Fate.WINS && meeting.takesTyping()) {
      add(gathered, ConflictKind.TYPES_TEXT, state, meeting, claim, List.of());
    }
  }

  /** Nothing is lost with a longer trigger that could not be made before either. */
  private boolean isMakeable(Claim loser) {
    return loser.trigger().keyStrokes().size() < 2
        || Makeable.not(loser.trigger(), keymap.paths(loser.trigger()), library, keymap).isEmpty();
  }

  private static boolean isSystemWide(Claim claim) {
    return claim.place() instanceof Place.Everywhere && claim.isYours();
  }

  /** A loss between a key that is held and one that is typed has a name of its own. */
  private static ConflictKind held(ConflictKind kind, Claim claim, List<Claim> by) {
    boolean clash =
        kind != ConflictKind.RESERVED
            && by.stream()
                .anyMatch(
                    c ->
                        c.trigger() instanceof Trigger.Held
                            != claim.trigger() instanceof Trigger.Held);
    return clash ? ConflictKind.HOLD_CLASH : kind;
  }

  private void add(
      Map<List<Object>, Gathered> gathered,
      ConflictKind kind,
      Place state,
      Meeting meeting,
      Claim claim,
      List<Claim> others) {
    List<Claim> sorted =
        others.size() < 2 ? others : others.stream().sorted(Claim.BY_NAME).toList();
    gathered
        .computeIfAbsent(
            List.of(kind, meeting.fate() == Meeting.Fate.TYPED, sorted),
            k -> {
              List<Claim> claims = new ArrayList<>(List.of(claim));
              claims.addAll(sorted);
              return new Gathered(
                  kind, meeting.fate(), claims, new Evidence(state, meeting.evidence()));
            })
        .places
        .add(state);
  }

  /** One conflict and the places it was seen in. */
  private final class Gathered {
    private final ConflictKind kind;
    private final Meeting.Fate fate;
    private final List<Claim> claims;
    private final Evidence evidence;
    private final Set<Place> places = new LinkedHashSet<>();

    Gathered(ConflictKind kind, Meeting.Fate fate, List<Claim> claims, Evidence evidence) {
      this.kind = kind;
      this.fate = fate;
      this.claims = claims;
      this.evidence = evidence;
    }

    /**
     * @param heard in how many states the claim is heard
     * @param never true when it fires in none of them, whoever takes it in each
     */
    Conflict conflict(int heard, boolean never) {
      boolean everywhere = places.size() == heard && fate != Meeting.Fate.TYPED;
      return new Conflict(
          kind,
          weight(never),
          Loss.of(library, dangers, lost(), claims, places.size()),
          List.copyOf(places),
          everywhere,
          claims,
          detail(),
          evidence);
    }

    private Detail detail() {
      if (fate == Meeting.Fate.TYPED) {
        Press first = (Press) evidence.presses().getFirst();
        return new Detail.Typed(keymap.layout().types(first).orElse(""));
      }
      return kind == ConflictKind.HOLD_CLASH
          ? new Detail.Held(fate == Meeting.Fate.SHARED)
          : new Detail.None();
    }

    /** Of two equals both, of two others the one that does not fire. */
    private List<Claim> lost() {
      return switch (fate) {
        case SHARED -> claims;
        case CUT_SHORT, COVERED, TYPED -> List.of(claims.getFirst());
        case WINS -> claims.subList(1, claims.size());
      };
    }

    /** What two native commands lose to one another is nobody's binding. */
    private Weight missed() {
      return claims.stream().anyMatch(c -> isMissed(c)) ? Weight.COSTS : Weight.NOTE;
    }

    private Weight weight(boolean never) {
      return switch (fate) {
        case SHARED -> claims.stream().anyMatch(Claim::isYours) ? Weight.BLOCKS : missed();
        case CUT_SHORT, COVERED ->
            never || kind == ConflictKind.RESERVED ? Weight.BLOCKS : Weight.COSTS;
        case TYPED -> Weight.COSTS;
        case WINS ->
            kind == ConflictKind.TYPES_TEXT
                    || (kind != ConflictKind.ANSWERS_LATER && isMissed(claims.getLast()))
                ? Weight.COSTS
                : Weight.NOTE;
      };
    }
  }

  /** A native command that is used, or whose absence at the wrong moment would be dangerous. */
  private boolean isMissed(Claim claim) {
    return Owned.command(library, claim.owner())
        .filter(c -> c.usesPerWeek() > 0 || c.danger() != Danger.NONE)
        .isPresent();
  }
}
