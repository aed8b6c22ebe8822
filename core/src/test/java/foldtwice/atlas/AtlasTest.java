package foldtwice.atlas;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.RandomClaims;
import foldtwice.Reference;
import foldtwice.Reference.Wish;
import foldtwice.conflict.Auditor;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.conflict.Weight;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Press;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/**
 * What a page of the atlas says of every key, against the slow {@link Reference}: random libraries,
 * in every state, on several layouts and shapes.
 */
class AtlasTest {

  private static final List<Modifiers> HELD =
      List.of(
          Modifiers.NONE,
          Modifiers.of(Modifier.ALT),
          Modifiers.of(Modifier.CTRL, Modifier.ALT),
          Modifiers.of(Modifier.LOGO));

  /** Keys on which claims of {@link RandomClaims} meet, and some on which none does. */
  private static final List<KeyCode> FIRST = List.of(KeyCode.KEY_A, KeyCode.KEY_B, KeyCode.F2);

  private record Drawn(Library library, Keymap keymap, Reference reference, Troubles troubles) {

    static Drawn of(long seed) {
      Random random = new Random(seed);
      Library library = RandomClaims.anywhere(random, List.of(), 2 + random.nextInt(9));
      library =
          new Edit.PutStation(
                  library
                      .stations()
                      .get("s")
                      .withKeyboard(
                          List.of("us", "de", "fr", "jp").get(random.nextInt(4)),
                          Shape.values()[random.nextInt(Shape.values().length)],
                          library.stations().get("s").platform()))
              .on(library);
      Keymap keymap = Fixture.keymap(library);
      return new Drawn(
          library,
          keymap,
          new Reference(library, keymap.station()),
          new Troubles(Auditor.audit(Subject.of(library, keymap))));
    }

    Atlas page(Place state, Modifiers held, List<Signal> before) {
      return Atlas.of(library, keymap, troubles, state, held, before);
    }
  }

  @Property(tries = 20)
  void aKeyIsForWhatPressingItComesTo(@ForAll long seed) {
    Drawn drawn = Drawn.of(seed);
    for (Place state : drawn.keymap().states()) {
      for (Modifiers held : HELD) {
        drawn
            .page(state, held, List.of())
            .keys()
            .forEach((code, key) -> isFor(drawn, state, List.of(new Press(code, held)), key));
      }
    }
  }

  /** After the first strokes of a sequence the page is what the next one comes to. */
  @Property(tries = 20)
  void aSequenceThatIsBegunGoesOn(@ForAll long seed) {
    Drawn drawn = Drawn.of(seed);
    for (Place state : drawn.keymap().states()) {
      for (KeyCode first : FIRST) {
        Signal begun = new Press(first, Modifiers.NONE);
        if (drawn.reference().isBegun(List.of(begun), state)) {
          drawn
              .page(state, Modifiers.NONE, List.of(begun))
              .keys()
              .forEach(
                  (code, key) ->
                      isFor(drawn, state, List.of(begun, new Press(code, Modifiers.NONE)), key));
        }
      }
    }
  }

  private static void isFor(Drawn drawn, Place state, List<Signal> presses, Key key) {
    KeyCode code = presses.getLast().asPress().orElseThrow().code();
    if (code.isModifier()) {
      assertThat(key).isEqualTo(Key.MODIFIER);
      return;
    }
    String comes = drawn.reference().press(state, presses).getLast();
    Set<String> names = names(key.claims());
    String as = presses + " in " + state.id() + " of " + drawn.library().bindings().keySet();
    switch (key.part()) {
      case YOURS, NATIVE, DESKTOP -> assertThat(names).as(as).containsExactly(comes);
      case SHARED -> assertThat("? " + String.join(", ", names)).as(as).isEqualTo(comes);
      case TYPES -> assertThat('"' + key.types() + '"').as(as).isEqualTo(comes);
      case FREE -> assertThat(comes).as(as).isEqualTo("-");
      case BEGINS -> {
        assertThat(names).as(as).isNotEmpty();
        assertThat(key.claims()).as(as).allMatch(c -> goesOn(c, presses, drawn.reference()));
        if (presses.size() == 1) {
          assertThat(drawn.reference().isBegun(presses, state)).as(as).isTrue();
        }
      }
      case MODIFIER -> throw new AssertionError(as);
    }
    assertThat(key.programs()).as(as).isEqualTo(key.claims().isEmpty() ? 0 : 1);
    key.claims()
        .forEach(
            c ->
                assertThat(key.part() == Key.Part.BEGINS || key.part() == part(who(drawn, c)))
                    .as(as)
                    .isEqualTo(key.part() != Key.Part.SHARED));
  }

  /** A claim that these presses begin, or all but the first few, which were let go. */
  private static boolean goesOn(Claim claim, List<Signal> presses, Reference reference) {
    return reference.ways(claim.trigger()).stream()
        .anyMatch(
            way ->
                IntStream.range(0, presses.size())
                    .mapToObj(from -> presses.subList(from, presses.size()))
                    .anyMatch(
                        some ->
                            way.size() >= some.size() && way.subList(0, some.size()).equals(some)));
  }

  private static Set<String> names(List<Claim> claims) {
    return claims.stream()
        .map(c -> c.owner().name())
        .collect(Collectors.toCollection(TreeSet::new));
  }

  private static String who(Drawn drawn, Claim claim) {
    return drawn.reference().wishes().stream()
        .filter(w -> w.name().equals(claim.owner().name()))
        .map(Wish::who)
        .findFirst()
        .orElseThrow();
  }

  private static Key.Part part(String who) {
    return switch (who) {
      case "yours" -> Key.Part.YOURS;
      case "native" -> Key.Part.NATIVE;
      default -> Key.Part.DESKTOP;
    };
  }

  /** In all places at once a key is for whoever has it anywhere, the desktop before all others. */
  @Property(tries = 20)
  void everywhereIsAllStatesTogether(@ForAll long seed) {
    Drawn drawn = Drawn.of(seed);
    for (Modifiers held : HELD) {
      Atlas page = Atlas.everywhere(drawn.library(), drawn.keymap(), drawn.troubles(), held);
      page.keys()
          .forEach(
              (code, key) -> {
                if (!code.isModifier()) {
                  isAllOf(drawn, new Press(code, held), key);
                }
              });
    }
  }

  private static void isAllOf(Drawn drawn, Signal press, Key key) {
    List<Wish> wishes =
        drawn.keymap().states().stream()
            .flatMap(s -> drawn.reference().beginningWith(List.of(press), s).stream())
            .distinct()
            .toList();
    String as = press + " of " + drawn.library().bindings().keySet();
    assertThat(names(key.claims()))
        .as(as)
        .isEqualTo(wishes.stream().map(Wish::name).collect(Collectors.toCollection(TreeSet::new)));
    assertThat(key.part())
        .as(as)
        .isEqualTo(
            wishes.stream()
                .map(w -> part(w.who()))
                .min(
                    Comparator.comparing(
                        List.of(Key.Part.DESKTOP, Key.Part.YOURS, Key.Part.NATIVE)::indexOf))
                .orElse(Key.Part.FREE));
  }

  /** What is no key is told alike: in one place by what it sets off, in all by who has it. */
  @Property(tries = 20)
  void whatIsNoKeyIsToldAsKeysAre(@ForAll long seed) {
    Drawn drawn = Drawn.of(seed);
    for (String spoken : List.of("pad k1", "drag up", "slot 1", "ring up", "dial left")) {
      Trigger trigger = Fixture.trigger(spoken);
      Signal made = new Motion(trigger);
      for (Place state : drawn.keymap().states()) {
        Key key = at(drawn, Optional.of(state), trigger);
        String comes = drawn.reference().press(state, List.of(made)).getLast();
        String expected =
            switch (key.part()) {
              case FREE -> "-";
              case SHARED -> "? " + String.join(", ", names(key.claims()));
              default -> key.claims().getFirst().owner().name();
            };
        assertThat(expected).as(spoken + " in " + state.id()).isEqualTo(comes);
      }
      isAllOf(drawn, made, at(drawn, Optional.empty(), trigger));
    }
  }

  private static Key at(Drawn drawn, Optional<Place> state, Trigger trigger) {
    return Atlas.of(drawn.library(), drawn.keymap(), drawn.troubles(), state, trigger);
  }

  /** Every key of the shape is on the page once; those nobody claims are counted as free. */
  @Property(tries = 15)
  void keysAreCounted(@ForAll long seed) {
    Drawn drawn = Drawn.of(seed);
    Set<KeyCode> caps =
        drawn.keymap().station().shape().allCaps().stream()
            .map(Shape.Cap::code)
            .collect(Collectors.toCollection(() -> EnumSet.noneOf(KeyCode.class)));
    for (Place state : drawn.keymap().states()) {
      Atlas page = drawn.page(state, Modifiers.NONE, List.of());
      assertThat(page.keys().keySet()).isEqualTo(caps);
      assertThat(page.all()).isEqualTo(caps.stream().filter(c -> !c.isModifier()).count());
      List<Signal> claimed = new ArrayList<>();
      for (KeyCode code : caps) {
        Signal press = new Press(code, Modifiers.NONE);
        if (!code.isModifier()
            && !drawn.reference().beginningWith(List.of(press), state).isEmpty()) {
          claimed.add(press);
        }
      }
      assertThat(page.free()).isEqualTo(page.all() - claimed.size());
    }
  }

  /** The trouble on a key is the heaviest one any of its claims has there. */
  @Property(tries = 20)
  void theHeaviestTroubleIsShown(@ForAll long seed) {
    Drawn drawn = Drawn.of(seed);
    List<Conflict> found = Auditor.audit(Subject.of(drawn.library(), drawn.keymap()));
    for (Place state : drawn.keymap().states()) {
      for (Map.Entry<KeyCode, Key> e :
          drawn.page(state, Modifiers.NONE, List.of()).keys().entrySet()) {
        if (e.getKey().isModifier()) {
          continue;
        }
        List<Signal> press = List.of(new Press(e.getKey(), Modifiers.NONE));
        Set<String> there =
            drawn.reference().beginningWith(press, state).stream()
                .map(Wish::name)
                .collect(Collectors.toSet());
        Optional<Weight> worst =
            found.stream()
                .filter(c -> c.places().isEmpty() || c.places().contains(state))
                .filter(c -> c.claims().stream().anyMatch(x -> isOf(x, there, press, drawn)))
                .map(Conflict::weight)
                .min(Comparator.naturalOrder());
        assertThat(e.getValue().trouble())
            .as(press + " in " + state.id() + " of " + drawn.library().bindings().keySet())
            .isEqualTo(worst);
      }
    }
  }

  /** A claim of one that is heard there, on the trigger that begins with this. */
  private static boolean isOf(Claim claim, Set<String> there, List<Signal> press, Drawn drawn) {
    return there.contains(claim.owner().name())
        && drawn.reference().ways(claim.trigger()).stream()
            .anyMatch(w -> w.getFirst().equals(press.getFirst()));
  }

  /** The same routine with the same values is the same in two programs; so is a command's name. */
  @Test
  void aKeyIsAlikeWhereItDoesTheSame() {
    Library library =
        Fixture.library("mine box F2", "mine grid F3", "mine sheet F3", "native sheet Ctrl+D");
    Keymap keymap = Fixture.keymap(library);
    Troubles none = new Troubles(List.of());
    Atlas all = Atlas.everywhere(library, keymap, none, Modifiers.NONE);
    assertThat(all.keys().get(KeyCode.F2).alike()).isTrue();
    assertThat(all.keys().get(KeyCode.F3).alike()).isFalse();
    assertThat(all.keys().get(KeyCode.F3).claims()).hasSize(2);
    Library same =
        new Edit.PutBinding(
                library
                    .bindings()
                    .get("mine sheet F3")
                    .withRoutine(library.bindings().get("mine grid F3").routine(), Map.of()))
            .on(library);
    Atlas now = Atlas.everywhere(same, Fixture.keymap(same), none, Modifiers.NONE);
    assertThat(now.keys().get(KeyCode.F3).alike()).isTrue();
  }

  /** How often it is pressed is the sum over whoever it sets off there. */
  @Test
  void usesAreThoseOfWhatItSetsOff() {
    Library library = Fixture.library("mine box F2", "mine sheet F2");
    library =
        new Edit.Together(
                List.of(
                    new Edit.PutBinding(library.bindings().get("mine box F2").used(7)),
                    new Edit.PutBinding(library.bindings().get("mine sheet F2").used(5))))
            .on(library);
    Keymap keymap = Fixture.keymap(library);
    Troubles none = new Troubles(List.of());
    Place box = Fixture.place("box");
    Key there =
        Atlas.of(library, keymap, none, box, Modifiers.NONE, List.of()).keys().get(KeyCode.F2);
    assertThat(there.uses()).isEqualTo(7);
    Key all = Atlas.everywhere(library, keymap, none, Modifiers.NONE).keys().get(KeyCode.F2);
    assertThat(all.uses()).isEqualTo(12);
    assertThat(all.programs()).isEqualTo(1);
  }
}
