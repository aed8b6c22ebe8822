package foldtwice.conflict;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.RandomClaims;
import foldtwice.Reference;
import foldtwice.Reference.Wish;
import foldtwice.Seeds;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.place.Station;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Resolver;
import foldtwice.trigger.Lift;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Platform;
import foldtwice.trigger.Press;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Keymap, resolver and auditor against the slow {@link Reference}, which tries every claim at every
 * press: on random libraries, in every state, over layouts, shapes and platforms. {@code
 * bench/hard} looks at 20,000 of them.
 */
class ReferenceTest {

  private static final int LIBRARIES = Integer.getInteger("libraries", 300);

  private static Library random(Random random) {
    List<Rule> rules =
        random.nextInt(4) > 0
            ? List.of()
            : one(
                random,
                List.of(
                    List.of(
                        new Rule.MostStrokes(2), new Rule.NeverHolds(Modifiers.of(Modifier.LOGO))),
                    List.of(new Rule.NeverKeys(List.of("A", "KP_1", "F2"))),
                    List.of(new Rule.HoldsOneOf(Modifiers.of(Modifier.ALT))),
                    List.of(new Rule.AlwaysHolds(Modifiers.of(Modifier.ALT, Modifier.CTRL))),
                    List.of(
                        new Rule.In(
                            List.of("sheet", "text"),
                            new Rule.AlwaysHolds(Modifiers.of(Modifier.ALT))))));
    Library library = RandomClaims.anywhere(random, rules, 2 + random.nextInt(9));
    Station station =
        library
            .stations()
            .get("s")
            .withKeyboard(
                one(random, List.of("us", "de", "fr", "pl", "jp")),
                one(random, List.of(Shape.values())),
                one(random, List.of(Platform.values())));
    return new Edit.PutStation(station).on(library);
  }

  /** Whatever is pressed, resolver and reference come to the same. */
  @Test
  void everyPressComesToWhatTheReferenceSays() {
    long seed = Seeds.drawn();
    int pressed = 0;
    for (int i = 0; i < LIBRARIES; i++) {
      long its = Seeds.nth(seed, i);
      Random random = new Random(its);
      Library library = random(random);
      Keymap keymap = Fixture.keymap(library);
      Reference reference = new Reference(library, keymap.station());
      Set<List<Signal>> tried = new LinkedHashSet<>();
      reference.wishes().forEach(w -> tried.addAll(reference.ways(w.trigger())));
      for (int more = 0; more < 6; more++) {
        tried.addAll(reference.ways(RandomClaims.anyTrigger(random)));
      }
      for (List<Signal> presses : tried) {
        for (Place state : keymap.states()) {
          assertThat(said(Resolver.outcomes(keymap, state, presses)))
              .as("%s in %s of %s", presses, state.id(), told(its, library, keymap))
              .isEqualTo(reference.press(state, presses));
          pressed++;
        }
      }
    }
    assertThat(pressed).isGreaterThan(50 * LIBRARIES);
    say(seed, pressed + " presses come to the same");
  }

  private static void say(long seed, String what) {
    System.out.println("reference: " + LIBRARIES + " libraries, seed " + seed + ": " + what);
  }

  private static List<String> said(List<Outcome> outcomes) {
    List<String> said = new ArrayList<>();
    for (Outcome o : outcomes) {
      switch (o) {
        case Outcome.Fired(Claim c) -> said.add(c.owner().name());
        case Outcome.Undecided(List<Claim> claims) ->
            said.add(
                "? "
                    + String.join(
                        ", ", new TreeSet<>(claims.stream().map(c -> c.owner().name()).toList())));
        case Outcome.Typed(String text) -> said.add('"' + text + '"');
        case Outcome.Unclaimed u -> said.add("-");
        case Outcome.Waiting w -> {}
      }
    }
    return said;
  }

  /** What the auditor says too little, and what it says too much. */
  @Test
  void neitherAMissNorAFalseAlarm() {
    long seed = Seeds.drawn();
    int surprises = 0;
    for (int i = 0; i < LIBRARIES; i++) {
      surprises += surprisesToldOf(Seeds.nth(seed, i));
    }
    assertThat(surprises).isGreaterThan(5 * LIBRARIES / 2);
    say(seed, surprises + " surprises, none missed, no false alarm");
  }

  /** Libraries in which something was missed, or told wrongly, before. */
  @ParameterizedTest
  @ValueSource(
      longs = {
        24_576_517_846_014L, // a program's rules held for its own commands that share a key
        24_576_517_857_615L // a command of an inner place told as one that shares a key
      })
  void neitherAgain(long seed) {
    surprisesToldOf(seed);
  }

  /** How many surprises there are in a library, each of them told and nothing else. */
  private static int surprisesToldOf(long seed) {
    Library library = random(new Random(seed));
    Keymap keymap = Fixture.keymap(library);
    Reference reference = new Reference(library, keymap.station());
    Reference before = reference.withoutYours();
    List<Conflict> found = Auditor.audit(Subject.of(library, keymap));
    List<String> misses = new ArrayList<>();
    List<String> falseAlarms = new ArrayList<>();
    int surprises = 0;
    for (Wish wish : reference.wishes()) {
      for (Place state : keymap.states()) {
        boolean told = found.stream().anyMatch(c -> tells(c, wish, state));
        boolean surprise =
            wish.who().equals("yours")
                ? fails(reference, wish, state, keymap)
                : wish.who().equals("native")
                    && (isLost(before, reference, wish, state, keymap)
                        || isShared(reference, wish, state, keymap));
        surprises += surprise ? 1 : 0;
        if (surprise && !told && !isUndecidedAnyway(found, reference, wish, state)) {
          misses.add(wish.name() + " in " + state.id());
        }
        if (told && !surprise) {
          falseAlarms.add(wish.name() + " in " + state.id());
        }
      }
    }
    String of = told(seed, library, keymap);
    assertThat(misses).as("misses beside %s surprises of %s", surprises, of).isEmpty();
    assertThat(falseAlarms).as("false alarms beside %s surprises of %s", surprises, of).isEmpty();
    return surprises;
  }

  /** A binding blocks by who takes it exactly when it fires in no state, whoever takes it there. */
  @Test
  void whatFiresInNoStateIsBlocked() {
    long seed = Seeds.drawn();
    List<String> wrong = new ArrayList<>();
    int nowhere = 0;
    int somewhere = 0;
    for (int i = 0; i < LIBRARIES; i++) {
      long its = Seeds.nth(seed, i);
      Random random = new Random(its);
      Library library = random(random);
      Keymap keymap = Fixture.keymap(library);
      Reference reference = new Reference(library, keymap.station());
      List<Conflict> found = Auditor.audit(Subject.of(library, keymap));
      for (Wish wish : reference.wishes()) {
        if (!wish.who().equals("yours") || wish.refused()) {
          continue;
        }
        boolean fires =
            keymap.statesOf(wish.place()).stream()
                .anyMatch(
                    state ->
                        reference.ways(wish.trigger()).stream()
                            .anyMatch(
                                way ->
                                    isMakeable(way, keymap)
                                        && reference.press(state, way).contains(wish.name())));
        List<Conflict> taken =
            found.stream()
                .filter(c -> c.about().owner().name().equals(wish.name()))
                .filter(
                    c ->
                        c.kind() == ConflictKind.COVERED
                            || c.kind() == ConflictKind.CUT_SHORT
                            || c.kind() == ConflictKind.HOLD_CLASH)
                .toList();
        nowhere += !fires && !taken.isEmpty() ? 1 : 0;
        somewhere += fires && !taken.isEmpty() ? 1 : 0;
        if (taken.stream()
            .anyMatch(
                c ->
                    !(c.detail() instanceof Detail.Held(boolean equal) && equal)
                        && (c.weight() == Weight.BLOCKS) == fires)) {
          wrong.add(
              wish.name()
                  + (fires ? " fires" : " never fires")
                  + ": "
                  + told(its, library, keymap));
        }
      }
    }
    assertThat(wrong).as("of %s that fire nowhere, %s somewhere", nowhere, somewhere).isEmpty();
    assertThat(nowhere).isGreaterThan(LIBRARIES / 100);
    assertThat(somewhere).isGreaterThan(LIBRARIES / 100);
    say(seed, nowhere + " fire nowhere and block, " + somewhere + " somewhere and cost");
  }

  private static String told(long seed, Library library, Keymap keymap) {
    return seed
        + ": "
        + library.bindings().keySet()
        + " and "
        + library.applications().get("app").commands().stream().map(c -> c.id()).toList()
        + " on "
        + keymap.station().layout()
        + ' '
        + keymap.station().shape()
        + ' '
        + keymap.station().platform();
  }

  /** A binding that some way of making it does not fire, where its place reaches. */
  private static boolean fails(Reference reference, Wish wish, Place state, Keymap keymap) {
    if (!keymap.statesOf(wish.place()).contains(state)) {
      return false;
    }
    List<List<Signal>> ways = reference.ways(wish.trigger());
    boolean makeable = ways.stream().anyMatch(way -> isMakeable(way, keymap));
    if (!makeable || wish.refused()) {
      return true;
    }
    return ways.stream()
        .filter(way -> reference.isHeard(wish, way, state) || isShortcut(way.getFirst()))
        .anyMatch(
            way ->
                wish.trigger() instanceof Trigger.AtStart
                    ? !reference.press(state, way).contains(wish.name())
                    : !reference.press(state, way).equals(List.of(wish.name())));
  }

  /** Clause 8: that a plain key types is no surprise; that one with a modifier does, is. */
  private static boolean isShortcut(Signal first) {
    return first instanceof Press p && !p.held().without(Modifier.SHIFT).isEmpty();
  }

  private static boolean isMakeable(List<Signal> way, Keymap keymap) {
    return way.stream()
        .allMatch(
            s ->
                switch (s) {
                  case Press p -> has(keymap, p);
                  case Lift(Press p) -> has(keymap, p);
                  case Motion m -> true;
                });
  }

  private static boolean has(Keymap keymap, Press press) {
    return keymap.station().shape().has(press.code());
  }

  /** A native command that fires while nothing is bound, and no more. */
  private static boolean isLost(
      Reference before, Reference after, Wish wish, Place state, Keymap keymap) {
    return before.ways(wish.trigger()).stream()
        .filter(way -> isMakeable(way, keymap))
        .anyMatch(
            way ->
                before.press(state, way).equals(List.of(wish.name()))
                    && !after.press(state, way).contains(wish.name()));
  }

  /** A native command that would fire if others of its place were not made by the same presses. */
  private static boolean isShared(Reference reference, Wish wish, Place state, Keymap keymap) {
    return reference.ways(wish.trigger()).stream()
        .filter(way -> isMakeable(way, keymap))
        .anyMatch(
            way ->
                !reference.press(state, way).contains(wish.name())
                    && reference
                        .without(
                            w ->
                                w.who().equals("native")
                                    && !w.equals(wish)
                                    && w.place().equals(wish.place())
                                    && reference.ways(w.trigger()).contains(way))
                        .press(state, way)
                        .contains(wish.name()));
  }

  /**
   * Two of yours that share its presses tell it already: neither fires, nor does what is behind.
   */
  private static boolean isUndecidedAnyway(
      List<Conflict> found, Reference reference, Wish wish, Place state) {
    return !wish.isYours()
        && found.stream()
            .filter(Conflict::isBetweenEquals)
            .filter(c -> c.places().contains(state))
            .flatMap(c -> reference.ways(c.about().trigger()).stream())
            .anyMatch(
                shared ->
                    reference.ways(wish.trigger()).stream()
                        .anyMatch(
                            way ->
                                way.size() >= shared.size()
                                    && way.subList(0, shared.size()).equals(shared)));
  }

  /** Whether a conflict says that this wish comes to nothing in this state. */
  private static boolean tells(Conflict c, Wish wish, Place state) {
    if (!c.places().contains(state)) {
      return false;
    }
    List<String> names = c.claims().stream().map(x -> x.owner().name()).toList();
    boolean first = names.getFirst().equals(wish.name());
    boolean later = names.subList(1, names.size()).contains(wish.name());
    boolean taking =
        c.kind() == ConflictKind.INTERCEPTED && c.about().place() instanceof Place.Everywhere;
    return switch (c.kind()) {
      case DISPLACES -> later;
      case INTERCEPTED -> taking ? later : first;
      case TYPES_TEXT -> c.detail() instanceof Detail.Typed && first; // else it fires
      case TWINS, MISSING, ANSWERS_LATER -> false; // not about who gets a trigger
      default -> c.isBetweenEquals() ? first || later : first;
    };
  }

  private static <T> T one(Random random, List<T> of) {
    return of.get(random.nextInt(of.size()));
  }
}
