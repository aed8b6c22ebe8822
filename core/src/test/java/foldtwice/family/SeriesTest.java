package foldtwice.family;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.RandomClaims;
import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.binding.Pattern;
import foldtwice.conflict.ConflictKind;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.trigger.Layouts;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class SeriesTest {

  private static final Routine FLAG =
      Routine.Macro.of(
          "flag",
          "Flag",
          "app",
          List.of(
              new Parameter(
                  "colour",
                  new Kind.Choice(List.of("Rust", "Straw", "Moss", "Clear")),
                  new Value.Text("Rust"),
                  Extras.NONE)),
          List.of());

  private static final Routine STEP =
      Routine.Macro.of(
          "step",
          "Step",
          "app",
          List.of(new Parameter("by", new Kind.Count(-50, 50), Value.Amount.of(1), Extras.NONE)),
          List.of());

  private static Library library(String... rows) {
    Library bare = Fixture.library(rows);
    return new Edit.Together(List.of(new Edit.PutRoutine(FLAG), new Edit.PutRoutine(STEP)))
        .on(bare);
  }

  private static Keymap keymap(Library library) {
    return Keymap.of(library, library.stations().get("s"));
  }

  private static Stroke stroke(String text) {
    return Notation.read(text).strokes().getFirst();
  }

  private static List<Series.Wish> colours(String... names) {
    return Series.wishes(
        FLAG, Map.of(), "colour", Stream.of(names).<Value>map(Value.Text::new).toList());
  }

  private static List<String> laid(Pattern pattern, String layout, String... names) {
    return pattern
        .triggers(
            List.of(names), Layouts.of(layout).orElseThrow(), Shape.ISO, d -> Optional.empty())
        .stream()
        .map(t -> t.map(x -> Notation.write((Trigger.Keys) x)).orElse("-"))
        .toList();
  }

  /** The rows of letters as they are printed on the keys of these layouts (from memory). */
  @Test
  void neighboursFollowTheRowOfTheLayout() {
    Pattern row = new Pattern.Neighbours(stroke("Ctrl+Y"));
    assertThat(laid(row, "us", "a", "b", "c")).containsExactly("Ctrl+Y", "Ctrl+U", "Ctrl+I");
    assertThat(laid(row, "de", "a", "b", "c")).containsExactly("Ctrl+Y", "Ctrl+X", "Ctrl+C");
    assertThat(laid(new Pattern.Neighbours(stroke("F11")), "us", "a", "b", "c"))
        .containsExactly("F11", "F12", "-");
    assertThat(laid(new Pattern.Neighbours(stroke("Alt+[Digit9]")), "fr", "a", "b"))
        .containsExactly("Alt+[Digit9]", "Alt+[Digit0]");
  }

  @Test
  void pairsStepsAndInitialsAreLaidAsTheyAreNamed() {
    assertThat(
            laid(
                new Pattern.Pairs(stroke("Ctrl+F5"), Modifiers.NONE),
                "us",
                "set a",
                "set b",
                "get a",
                "get b"))
        .containsExactly("Ctrl+F5", "Ctrl+F6", "F5", "F6");
    assertThat(
            laid(
                new Pattern.Steps(stroke("Up"), stroke("Down"), Modifiers.of(Modifier.SHIFT)),
                "us",
                "+1",
                "-1",
                "+10",
                "-10"))
        .containsExactly("Up", "Down", "Shift+Up", "Shift+Down");
    assertThat(
            laid(
                new Pattern.Initials(List.of(stroke("L")), Modifiers.NONE),
                "us",
                "Rust",
                "Red moss",
                "Rr",
                "r"))
        .as("a letter that is taken is passed over; one without a letter left gets none")
        .containsExactly("L then R", "L then M", "-", "-");
  }

  /** Set and recall with nothing to tell them apart, as a file may say it. */
  @Test
  void noTwoMembersGetOneTrigger() {
    assertThat(
            laid(
                new Pattern.Pairs(stroke("Ctrl+F5"), Modifiers.of(Modifier.CTRL)),
                "us",
                "set a",
                "set b",
                "get a",
                "get b"))
        .containsExactly("Ctrl+F5", "Ctrl+F6", "-", "-");
    assertThat(
            laid(
                new Pattern.Steps(stroke("Up"), stroke("Up"), Modifiers.NONE),
                "us",
                "+1",
                "-1",
                "+10",
                "-10"))
        .containsExactly("Up", "-", "-", "-");
  }

  @Test
  void aFamilyIsPlannedMadeMovedAndTakenApart() {
    Library before = library("native box Ctrl+2");
    Family family = Series.begun(before, "Flags", new Pattern.Neighbours(stroke("Ctrl+1")));
    List<Series.Member> planned =
        Series.plan(
            before, keymap(before), family, Fixture.place("box"), colours("Rust", "Straw", "Moss"));
    assertThat(planned.get(0).advice().orElseThrow().isFree()).isTrue();
    assertThat(planned.get(1).advice().orElseThrow().conflicts())
        .extracting(c -> c.kind())
        .containsExactly(ConflictKind.DISPLACES);
    Edit edit = Series.make(family, planned);
    Library made = edit.on(before);
    assertThat(edit.inverse(before).on(made)).as("one undo").isEqualTo(before);
    Family kept = made.families().get("flags");
    assertThat(kept.members()).hasSize(3);
    assertThat(Series.offered(made, kept))
        .extracting(Series.Wish::name)
        .as("what is not in it, the one that clears among it")
        .contains("Clear");

    Family moved = kept.with(new Pattern.Neighbours(stroke("Alt+F5")));
    Library then =
        Series.make(
                moved,
                Series.plan(
                    made, keymap(made), moved, Fixture.place("box"), Series.offered(made, kept)))
            .on(made);
    assertThat(Series.members(then, then.families().get("flags")))
        .extracting(b -> Notation.write((Trigger.Keys) b.triggers().getFirst()))
        .containsExactly("Alt+F5", "Alt+F6", "Alt+F7", "Alt+F8");
    Library apart = new Edit.RemoveFamily("flags").on(then);
    assertThat(apart.bindings()).isEqualTo(then.bindings());
    assertThat(apart.familyOf(kept.members().getFirst())).isEmpty();
  }

  @Test
  void aBindingThatDoesItAlreadyIsTakenIn() {
    Library before = library();
    Binding there =
        Binding.fresh(
            "mine", "flag", Fixture.place("box"), List.of(), Map.of()); // Rust is the default
    before = new Edit.PutBinding(there).on(before);
    Family family = Series.begun(before, "Flags", new Pattern.Neighbours(stroke("Ctrl+1")));
    List<Series.Member> planned =
        Series.plan(before, keymap(before), family, Fixture.place("box"), colours("Rust", "Straw"));
    assertThat(planned.getFirst().binding().id()).isEqualTo("mine");
    assertThat(Series.make(family, planned).on(before).bindings()).hasSize(2);
  }

  /** A choice of a radial menu stays; a chord of its own keeps a binding out of it. */
  @Test
  void nobodyLosesWhatSetsThemOffOtherwise() {
    Trigger choice = new Trigger.Radial("menu", foldtwice.trigger.Direction.UP);
    Binding radial =
        Binding.fresh(
            "radial",
            "flag",
            Fixture.place("box"),
            List.of(choice),
            Map.of("colour", new Value.Text("Straw")));
    Binding chord =
        Binding.fresh(
            "chord",
            "flag",
            Fixture.place("box"),
            List.<Trigger>of(Notation.read("Alt+M")),
            Map.of("colour", new Value.Text("Moss")));
    Library before =
        new Edit.Together(List.of(new Edit.PutBinding(radial), new Edit.PutBinding(chord)))
            .on(library());
    Family family = Series.begun(before, "Flags", new Pattern.Neighbours(stroke("Ctrl+1")));
    List<Series.Member> planned =
        Series.plan(before, keymap(before), family, Fixture.place("box"), colours("Straw", "Moss"));
    assertThat(planned.get(0).binding().id()).isEqualTo("radial");
    assertThat(planned.get(0).binding().triggers())
        .containsExactly(Notation.read("Ctrl+1"), choice);
    assertThat(planned.get(1).binding().id()).isNotEqualTo("chord");
    assertThat(Series.make(family, planned).on(before).bindings().get("chord")).isEqualTo(chord);
  }

  @Test
  void stepsAreFourAndTurnedRound() {
    assertThat(Series.steps(STEP, Map.of(), "by", Value.Amount.of(2), Value.Amount.of(10)))
        .extracting(Series.Wish::name)
        .containsExactly("2", "-2", "10", "-10");
  }

  @Test
  void membersWithoutATriggerAreTold() {
    Library before = library();
    Family family = Series.begun(before, "Flags", new Pattern.Neighbours(stroke("F12")));
    Library made =
        Series.make(
                family,
                Series.plan(
                    before, keymap(before), family, Fixture.place("box"), colours("Rust", "Straw")))
            .on(before);
    assertThat(Series.unbound(made, made.families().get("flags"))).hasSize(1);
  }

  /** Whatever is in the way: what is planned is what is made, and a clear member really fires. */
  @Property(tries = 150)
  void clearMembersFireAndTriggersDiffer(@ForAll long seed) {
    Random random = new Random(seed);
    Library before = library();
    for (int i = 0; i < 12; i++) {
      before = new Edit.PutBinding(RandomClaims.binding(random, "x" + i)).on(before);
    }
    Pattern pattern =
        List.of(
                new Pattern.Neighbours(stroke("Alt+L")),
                new Pattern.Initials(List.of(stroke("Alt+G")), Modifiers.NONE),
                new Pattern.Pairs(stroke("Ctrl+1"), Modifiers.of(Modifier.ALT)))
            .get(random.nextInt(3));
    Family family = Series.begun(before, "Flags", pattern);
    List<Series.Member> planned =
        Series.plan(
            before,
            keymap(before),
            family,
            Fixture.place("box"),
            colours("Rust", "Straw", "Moss", "Clear"));
    Library made = Series.make(family, planned).on(before);
    Keymap keymap = keymap(made);
    Station station = made.stations().get("s");
    assertThat(keymap.station()).isEqualTo(station);
    var triggers = new HashSet<Trigger>();
    for (Series.Member m : planned) {
      Binding b = made.bindings().get(m.binding().id());
      assertThat(b).isEqualTo(m.binding());
      assertThat(b.triggers().isEmpty()).isEqualTo(m.advice().isEmpty());
      assertThat(b.triggers().stream().allMatch(triggers::add)).isTrue();
      if (m.advice().filter(a -> a.isFree()).isPresent()) {
        List<Outcome> outcomes =
            Resolver.outcomes(
                keymap, Fixture.place("box"), keymap.paths(b.triggers().getFirst()).getFirst());
        assertThat(outcomes.getLast())
            .isInstanceOfSatisfying(
                Outcome.Fired.class,
                f -> assertThat(f.claim().owner()).isEqualTo(new Owner.Yours(b.id())));
      }
    }
  }
}
