package foldtwice.suggest;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.RandomClaims;
import foldtwice.binding.Binding;
import foldtwice.conflict.Advice;
import foldtwice.conflict.Subject;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Rule;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import foldtwice.trigger.Key;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Layouts;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** The stated properties of the score. */
class SuggestionsTest {

  private static Binding binding(String place) {
    return new Binding("new", "r", Fixture.place(place), List.of(), Map.of(), 0, Extras.NONE);
  }

  private static List<Suggestion> of(Library library, Binding binding) {
    return Suggestions.of(library, List.of(Fixture.keymap(library)), binding, 12);
  }

  /** Never one that is taken: the advice on each suggestion is that it is free. */
  @Property(tries = 60)
  void everySuggestionIsFree(@ForAll long seed) {
    Random random = new Random(seed);
    Library library = RandomClaims.library(random, 12);
    Keymap keymap = Fixture.keymap(library);
    Binding binding = RandomClaims.binding(random, "new").withTriggers(List.of());
    for (Suggestion s : of(library, binding)) {
      Advice advice = Advice.on(Subject.of(library, keymap), binding, s.trigger());
      assertThat(advice.conflicts()).as(Notation.write(s.trigger())).isEmpty();
    }
  }

  @Property(tries = 60)
  void theBestComeFirst(@ForAll long seed) {
    Library library = RandomClaims.library(new Random(seed), 12);
    assertThat(of(library, binding("box")))
        .isSortedAccordingTo((a, b) -> Double.compare(a.cost(), b.cost()));
  }

  /** Never one that a rule refuses. */
  @Test
  void whatARuleRefusesIsNotSuggested() {
    List<Rule> rules =
        List.of(
            new Rule.MostStrokes(1),
            new Rule.HoldsOneOf(Modifiers.of(Modifier.CTRL, Modifier.ALT)),
            new Rule.NeverHolds(Modifiers.of(Modifier.SHIFT)));
    Library library = Fixture.library(rules);
    List<Suggestion> all = of(library, binding("box"));
    assertThat(all).isNotEmpty();
    assertThat(all)
        .allSatisfy(
            s ->
                rules.forEach(
                    r ->
                        assertThat(r.accepts(s.trigger(), Fixture.keymap(library).layout()))
                            .isTrue()));
  }

  private static final List<String> ANY_KEY =
      List.of(
          "A",
          "M",
          "S",
          "4",
          ".",
          "F5",
          "Esc",
          "Left",
          "Tab",
          "Space",
          "Enter",
          "[KeyA]",
          "[Numpad1]");

  /** Whatever is bound today has a score: letters count for it only where each stroke makes one. */
  @Property(tries = 200)
  void whateverIsBoundIsScored(@ForAll long seed) {
    Random random = new Random(seed);
    Library library = named("Move selection");
    List<String> strokes = new ArrayList<>();
    for (int i = 1 + random.nextInt(3); i > 0; i--) {
      strokes.add(
          (random.nextInt(3) == 0 ? "Ctrl+" : "") + ANY_KEY.get(random.nextInt(ANY_KEY.size())));
    }
    Trigger.Keys keys = Notation.read(String.join(" then ", strokes));
    Suggestion scored =
        Suggestions.scored(library, List.of(Fixture.keymap(library)), binding("box"), keys);
    assertThat(scored.trigger()).isEqualTo(keys);
    assertThat(scored.cost()).isNotNaN();
    for (Suggestion.Reason reason : scored.reasons()) {
      if (reason instanceof Suggestion.Reason.Initials(String letters)) {
        assertThat(letters).hasSize(strokes.size());
      }
      if (reason instanceof Suggestion.Reason.OfItsName(String letters)) {
        assertThat(letters).hasSize(strokes.size());
        assertThat("MOVESELECTION").matches(letters.replaceAll("(.)", "$1.*"));
      }
    }
  }

  /** What is bound today earns as much as the same keys would if they were suggested. */
  @Test
  void onlyLettersOfTheNameAreToldOf() {
    Library library = named("Move selection");
    assertThat(reasons(library, "M then S")).containsExactly(new Suggestion.Reason.Initials("MS"));
    assertThat(reasons(library, "M then V")).containsExactly(new Suggestion.Reason.OfItsName("MV"));
    assertThat(reasons(library, "M then Z")).isEmpty();
    assertThat(reasons(library, "V then M")).isEmpty();
    assertThat(reasons(library, "M then F5")).isEmpty();
    assertThat(reasons(library, "4 then 4")).isEmpty();
  }

  /** What its letters have to do with the name. */
  private static List<Suggestion.Reason> reasons(Library library, String keys) {
    List<Keymap> stations = List.of(Fixture.keymap(library));
    Trigger.Keys strokes = Notation.read(keys);
    return Suggestions.scored(library, stations, binding("box"), strokes).reasons().stream()
        .filter(
            r ->
                r instanceof Suggestion.Reason.Initials || r instanceof Suggestion.Reason.OfItsName)
        .toList();
  }

  /** Adding a modifier never lowers the effort, on any layout and shape. */
  @Property(tries = 300)
  void aFurtherModifierNeverCostsLess(@ForAll long seed) {
    Random random = new Random(seed);
    Effort effort =
        new Effort(
            Layouts.of(Layouts.IDS.get(random.nextInt(Layouts.IDS.size()))).orElseThrow(),
            Shape.values()[random.nextInt(2)]);
    Modifiers held = new Modifiers(random.nextInt(1 << Modifiers.WIDTH));
    Modifier more = Modifier.values()[random.nextInt(Modifier.values().length)];
    Key key = new Key.Making(Keysym.of('a' + random.nextInt(26)));
    double without = effort.of(List.of(new Stroke(held.without(more), key)));
    double with = effort.of(List.of(new Stroke(held.with(more), key)));
    assertThat(with).isGreaterThanOrEqualTo(without);
  }

  /** The home row is nearest; a digit costs more than the letter under it. */
  @Test
  void whatIsNearerCostsLess() {
    Effort effort = new Effort(Layouts.of("us").orElseThrow(), Shape.ANSI);
    assertThat(cost(effort, "F")).isLessThan(cost(effort, "R"));
    assertThat(cost(effort, "R")).isLessThan(cost(effort, "4"));
    assertThat(cost(effort, "F")).isLessThan(cost(effort, "Ctrl+F"));
    assertThat(cost(effort, "Ctrl+F")).isLessThan(cost(effort, "Ctrl+Shift+F"));
    assertThat(cost(effort, "F")).isLessThan(cost(effort, "F then G"));
  }

  private static double cost(Effort effort, String keys) {
    return effort.of(Notation.read(keys).strokes());
  }

  @Test
  void initialsAreSuggestedWhereLettersAreFree() {
    Library library = named("Move selection");
    List<Suggestion> all = of(library, binding("box"));
    assertThat(all)
        .anySatisfy(
            s -> {
              assertThat(s.trigger()).isEqualTo(Notation.read("M then S"));
              assertThat(s.reasons()).contains(new Suggestion.Reason.Initials("MS"));
            });
    assertThat(all.getFirst().reasons())
        .as("the first has a letter of the name")
        .anyMatch(r -> !(r instanceof Suggestion.Reason.NoModifier));
    assertThat(of(library, binding("text")))
        .as("plain letters type there")
        .noneMatch(s -> isPlainLetter(s.trigger().keyStrokes()));
  }

  private static boolean isPlainLetter(List<Stroke> strokes) {
    return strokes.getFirst().modifiers().isEmpty()
        && strokes.getFirst().key() instanceof Key.Making;
  }

  /**
   * A chord, a sequence, a function key, and a key of a pad that is plugged in on every station.
   */
  @Test
  void ofEveryKindOneIsOffered() {
    Library library = Fixture.withPad(named("Move selection"), true, 4, Optional.empty());
    List<Suggestion> four =
        Suggestions.of(library, List.of(Fixture.keymap(library)), binding("box"), 4);
    assertThat(four).extracting(s -> kind(s.trigger())).containsExactlyInAnyOrder(1, 2, 3, 4);
    Suggestion pad = four.stream().filter(s -> kind(s.trigger()) == 4).findFirst().orElseThrow();
    assertThat(pad.reasons()).contains(new Suggestion.Reason.OnDevice("pad"));
    Library elsewhere = Fixture.withPad(library, false, 4, Optional.empty());
    assertThat(
            Suggestions.padKeys(
                library,
                List.of(Fixture.keymap(library), Fixture.keymap(elsewhere)),
                binding("box"),
                4))
        .as("not plugged in on the other station")
        .isEmpty();
    Library strict =
        Fixture.withPad(
            Fixture.library(List.of(new Rule.AlwaysHolds(Modifiers.of(Modifier.LOGO)))),
            true,
            2,
            Optional.empty());
    assertThat(of(strict, binding("box")))
        .as("rules speak of keys only")
        .extracting(s -> kind(s.trigger()))
        .containsOnly(4);
  }

  private static int kind(Trigger trigger) {
    if (trigger instanceof Trigger.PadKey) {
      return 4;
    }
    List<Stroke> strokes = trigger.keyStrokes();
    return strokes.size() > 1 ? 2 : strokes.getFirst().key() instanceof Key.At ? 3 : 1;
  }

  /**
   * On the home row nothing; E is a row above it: √(0.25² + 1²) widths of 19.05 mm, common pitch.
   */
  @Test
  void howFarAFingerGoesIsSaid() {
    Library library = named("Edge fill");
    List<Suggestion> all =
        Suggestions.of(library, List.of(Fixture.keymap(library)), binding("box"), 200);
    assertThat(reach(all, "F")).isEqualTo(new Suggestion.Reason.Within(0, true));
    assertThat(reach(all, "E")).isEqualTo(new Suggestion.Reason.Within(20, true));
    assertThat(reach(all, "Ctrl+K")).isEqualTo(new Suggestion.Reason.Within(0, false));
  }

  private static Suggestion.Reason reach(List<Suggestion> all, String keys) {
    return all.stream()
        .filter(s -> s.trigger().equals(Notation.read(keys)))
        .flatMap(s -> s.reasons().stream())
        .filter(r -> r instanceof Suggestion.Reason.Within)
        .findFirst()
        .orElseThrow();
  }

  private static Library named(String name) {
    Routine routine = Routine.Macro.of("r", name, "app", List.of(), List.of());
    return new Edit.PutRoutine(routine).on(Fixture.library());
  }

  /** The pool only devices send is set apart: its keys are on no keyboard. */
  @Test
  void thePoolOfDevicesIsSetApart() {
    Library library = Fixture.library("mine app Ctrl+Alt+[F13]", "mine app Ctrl+Alt+[F15]");
    List<Trigger.Keys> pool =
        Suggestions.forDevices(library, List.of(Fixture.keymap(library)), binding("box"), 3);
    assertThat(pool)
        .containsExactly(
            Notation.read("Ctrl+Alt+[F14]"),
            Notation.read("Ctrl+Alt+[F16]"),
            Notation.read("Ctrl+Alt+[F17]"));
    assertThat(of(library, binding("box")))
        .noneMatch(s -> Notation.write(s.trigger()).matches(".*F(1[3-9]|2[0-4]).*"));
  }

  @Test
  void whatCannotBeTypedOnAnotherStationIsNotSuggested() {
    Library library = Fixture.library();
    List<Suggestion> here = of(library, binding("box"));
    Trigger first = here.getFirst().trigger();
    Library taken = Fixture.library("mine box " + Notation.write(first));
    List<Suggestion> both =
        Suggestions.of(
            library, List.of(Fixture.keymap(library), Fixture.keymap(taken)), binding("box"), 12);
    assertThat(both).noneMatch(s -> s.trigger().equals(first));
  }
}
