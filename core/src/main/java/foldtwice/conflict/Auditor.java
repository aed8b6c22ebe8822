package foldtwice.conflict;

import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Meeting;
import foldtwice.resolve.Owner;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Finds every conflict of a library on a station.
 *
 * <p>Cost: for each binding, its states times the strokes of its triggers; claims that cannot meet
 * are never compared.
 */
public final class Auditor {

  private static final Comparator<Conflict> HEAVIEST_FIRST =
      Comparator.comparing(Conflict::weight)
          .thenComparing(Conflict::kind)
          .thenComparing(c -> c.about().owner().toString());

  private final Library library;
  private final Keymap keymap;

  private Auditor(Library library, Keymap keymap) {
    this.library = library;
    this.keymap = keymap;
  }

  /** Every conflict, the heaviest first; each stands once, whichever binding it is told from. */
  public static List<Conflict> audit(Library library, Keymap keymap) {
    Auditor auditor = new Auditor(library, keymap);
    Set<Set<Claim>> doubles = new HashSet<>();
    List<Conflict> found = new ArrayList<>();
    Stream.concat(
            library.bindings().values().stream().flatMap(b -> Keymap.claims(b).stream()),
            library.summoned().stream().flatMap(m -> Keymap.claims(m).stream()))
        .flatMap(c -> auditor.of(c).stream())
        .filter(c -> c.kind() != ConflictKind.DOUBLE_CLAIM || doubles.add(Set.copyOf(c.claims())))
        .forEach(found::add);
    found.sort(HEAVIEST_FIRST);
    return List.copyOf(found);
  }

  /** The conflicts of one claim the keymap holds, the heaviest first. */
  public static List<Conflict> of(Claim claim, Library library, Keymap keymap) {
    return new Auditor(library, keymap).of(claim).stream().sorted(HEAVIEST_FIRST).toList();
  }

  private List<Conflict> of(Claim claim) {
    List<Conflict> found = new ArrayList<>(refusals(claim));
    List<Place> states = keymap.statesOf(claim.place());
    if (keymap.paths(claim.trigger()).isEmpty()) {
      found.add(
          new Conflict(
              ConflictKind.UNTYPEABLE,
              Weight.BLOCKS,
              states,
              true,
              List.of(claim),
              Optional.empty(),
              new Evidence(claim.place(), List.of())));
      return found;
    }
    Map<List<Object>, Gathered> gathered = new LinkedHashMap<>();
    int heard = 0;
    for (Place state : states) {
      List<Meeting> meetings = Meeting.of(keymap, state, claim);
      heard += meetings.isEmpty() ? 0 : 1;
      for (Meeting meeting : meetings) {
        gather(gathered, state, meeting, claim);
      }
    }
    int all = heard;
    gathered.values().forEach(g -> found.add(g.conflict(all)));
    return found;
  }

  private List<Conflict> refusals(Claim claim) {
    Optional<Application> application = claim.place().applicationId().flatMap(keymap::application);
    List<Conflict> refused = new ArrayList<>();
    for (Rule rule : application.map(a -> a.rules(wayOf(claim))).orElse(List.of())) {
      if (!rule.accepts(claim.trigger())) {
        List<Place> states = keymap.statesOf(claim.place());
        refused.add(
            new Conflict(
                ConflictKind.NOT_ACCEPTED,
                Weight.BLOCKS,
                states,
                true,
                List.of(claim),
                Optional.of(rule),
                new Evidence(
                    states.isEmpty() ? claim.place() : states.getFirst(),
                    keymap.paths(claim.trigger()).stream().findFirst().orElse(List.of()))));
      }
    }
    return refused;
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
      case CUT_SHORT -> add(gathered, ConflictKind.CUT_SHORT, state, meeting, claim, meeting.by());
      case COVERED ->
          meeting
              .by()
              .forEach(
                  by ->
                      add(
                          gathered,
                          by.owner() instanceof Owner.Desktop
                              ? ConflictKind.RESERVED
                              : ConflictKind.COVERED,
                          state,
                          meeting,
                          claim,
                          List.of(by)));
      case SHARED -> add(gathered, ConflictKind.DOUBLE_CLAIM, state, meeting, claim, meeting.by());
      case WINS -> {}
    }
    for (Claim loser : meeting.silences()) {
      if (!loser.isYours()) {
        add(gathered, ConflictKind.DISPLACES, state, meeting, claim, List.of(loser));
      }
    }
    if (meeting.fate() == Meeting.Fate.WINS && meeting.takesTyping()) {
      add(gathered, ConflictKind.TYPES_TEXT, state, meeting, claim, List.of());
    }
  }

  private void add(
      Map<List<Object>, Gathered> gathered,
      ConflictKind kind,
      Place state,
      Meeting meeting,
      Claim claim,
      List<Claim> others) {
    List<Claim> sorted = others.stream().sorted(Comparator.comparing(Claim::toString)).toList();
    gathered
        .computeIfAbsent(
            List.of(kind, sorted),
            k -> {
              List<Claim> claims = new ArrayList<>(List.of(claim));
              claims.addAll(sorted);
              return new Gathered(kind, claims, new Evidence(state, meeting.evidence()));
            })
        .places
        .add(state);
  }

  /** One conflict and the places it was seen in. */
  private final class Gathered {
    private final ConflictKind kind;
    private final List<Claim> claims;
    private final Evidence evidence;
    private final Set<Place> places = new java.util.LinkedHashSet<>();

    Gathered(ConflictKind kind, List<Claim> claims, Evidence evidence) {
      this.kind = kind;
      this.claims = claims;
      this.evidence = evidence;
    }

    Conflict conflict(int heard) {
      boolean everywhere = places.size() == heard;
      return new Conflict(
          kind,
          weight(everywhere),
          List.copyOf(places),
          everywhere,
          claims,
          Optional.empty(),
          evidence);
    }

    private Weight weight(boolean everywhere) {
      return switch (kind) {
        case DOUBLE_CLAIM, NOT_ACCEPTED, UNTYPEABLE, RESERVED -> Weight.BLOCKS;
        case CUT_SHORT, COVERED -> everywhere ? Weight.BLOCKS : Weight.COSTS;
        case DISPLACES -> isMissed(claims.getLast()) ? Weight.COSTS : Weight.NOTE;
        case TYPES_TEXT -> Weight.COSTS;
      };
    }
  }

  /** A native command that is used, or whose absence at the wrong moment would be dangerous. */
  private boolean isMissed(Claim claim) {
    return claim.owner() instanceof Owner.Native(String application, String command)
        && Optional.ofNullable(library.applications().get(application))
            .flatMap(a -> a.command(command))
            .filter(Auditor::isMissed)
            .isPresent();
  }

  private static boolean isMissed(NativeCommand command) {
    return command.usesPerWeek() > 0 || command.danger() != Danger.NONE;
  }
}
