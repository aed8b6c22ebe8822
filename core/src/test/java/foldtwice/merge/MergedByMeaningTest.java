package foldtwice.merge;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Removing;
import foldtwice.library.file.LibraryJson;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What two people do to one library, and what comes of it. */
class MergedByMeaningTest {

  private static final String ID = "mine box Alt+L";
  private static final Library BASE = Fixture.library(ID, "mine box Alt+K");

  private static Binding binding(Library library) {
    return library.bindings().get(ID);
  }

  private static Library put(Library library, Binding binding) {
    return new Edit.PutBinding(binding).on(library);
  }

  private static Library keys(String... written) {
    List<Trigger> all = Stream.of(written).<Trigger>map(Notation::read).toList();
    return put(BASE, binding(BASE).withTriggers(all));
  }

  @Test
  void differentFieldsOfOneBindingGoTogether() throws Exception {
    Merging merging = Merging.of(BASE, keys("Alt+M"), put(BASE, binding(BASE).used(50)));
    assertThat(merging.contradictions()).isEmpty();
    assertThat(binding(merging.library()))
        .isEqualTo(binding(BASE).withTriggers(List.of(Notation.read("Alt+M"))).used(50));
  }

  @Test
  void triggersThatEitherAddedAreInAndThoseEitherTookOutAreNot() throws Exception {
    Merging merging = Merging.of(BASE, keys("Alt+L", "F5"), keys("F6"));
    assertThat(merging.contradictions()).isEmpty();
    assertThat(binding(merging.library()).triggers())
        .containsExactlyInAnyOrder(Notation.read("F5"), Notation.read("F6"));
  }

  @Test
  void oneTriggerReplacedTwiceIsForSomebodyToDecide() throws Exception {
    Library ours = keys("Alt+M");
    Library theirs = keys("Alt+N");
    Merging both = Merging.of(BASE, ours, theirs);
    assertThat(both.contradictions())
        .singleElement()
        .satisfies(c -> assertThat(c.path()).containsExactly("bindings", ID, "triggers"))
        .satisfies(c -> assertThat(c.bothPossible()).isTrue());
    assertThat(binding(both.library()).triggers()).hasSize(2);
    assertThat(Merging.of(BASE, ours, theirs, p -> Take.OURS).library()).isEqualTo(ours);
    assertThat(Merging.of(BASE, ours, theirs, p -> Take.THEIRS).library()).isEqualTo(theirs);
  }

  @Test
  void whatOneTookOutAndTheOtherChangedStaysUntilSomebodyDecides() throws Exception {
    Library gone = Removing.of(BASE, List.of(binding(BASE))).on(BASE);
    Library changed = put(BASE, binding(BASE).used(9));
    Merging kept = Merging.of(BASE, gone, changed);
    assertThat(kept.contradictions()).hasSize(1);
    assertThat(binding(kept.library()).usesPerWeek()).isEqualTo(9);
    assertThat(Merging.of(BASE, gone, changed, p -> Take.OURS).library().bindings())
        .doesNotContainKey(ID);
  }

  @Test
  void aRoutineThatIsBoundAnewIsPutBack() throws Exception {
    String routine = binding(BASE).routine();
    Library gone =
        new Edit.Together(List.of(new Edit.RemoveBinding(ID), new Edit.RemoveRoutine(routine)))
            .on(BASE);
    Binding more =
        new Binding(
            "more",
            routine,
            Fixture.place("box"),
            List.of(Notation.read("F9")),
            java.util.Map.of(),
            0,
            foldtwice.extras.Extras.NONE);
    Merging merging = Merging.of(BASE, gone, put(BASE, more));
    assertThat(merging.library().routines()).containsKey(routine);
    assertThat(merging.library().bindings()).containsKey("more").doesNotContainKey(ID);
    assertThat(merging.contradictions())
        .singleElement()
        .satisfies(c -> assertThat(c.subject()).containsExactly("routines", routine));
  }

  /** Somebody here and somebody there took the next free id. */
  @Test
  void twoBindingsThatCameUnderOneIdAreBothThere() throws Exception {
    Binding mine = named(binding(BASE), "new").withTriggers(List.of(Notation.read("F7")));
    Binding yours = named(binding(BASE), "new").used(7).withPlace(Fixture.place("text"));
    Library ours = put(BASE, mine);
    Library theirs = put(BASE, yours);
    Merging merging = Merging.of(BASE, ours, theirs);
    assertThat(merging.contradictions()).hasSize(1);
    assertThat(merging.library().bindings()).hasSize(4).containsEntry("new", mine);
    assertThat(merging.library().bindings().values())
        .anySatisfy(b -> assertThat(named(b, "new")).isEqualTo(yours));
    assertThat(Merging.of(BASE, merging.library(), theirs).library())
        .as("once more changes nothing")
        .isEqualTo(merging.library());
  }

  private static Binding named(Binding b, String id) {
    return new Binding(
        id, b.routine(), b.place(), b.triggers(), b.arguments(), b.usesPerWeek(), b.extras());
  }

  private static Routine.Macro macro(String... notes) {
    return Routine.Macro.of(
        "m",
        "M",
        "app",
        List.of(),
        Stream.of(notes).map(n -> new Line(new Step.Note(new Template(n)))).toList());
  }

  private static Library with(Routine routine) {
    return new Edit.PutRoutine(routine).on(BASE);
  }

  private static Merging merged(Routine was, Routine ours, Routine theirs) throws Exception {
    return Merging.of(with(was), with(ours), with(theirs));
  }

  @Test
  void stepsGoPlaceByPlace() throws Exception {
    Merging apart = merged(macro("a", "b", "c"), macro("a", "b2", "c"), macro("a", "b", "c", "d"));
    assertThat(apart.contradictions()).isEmpty();
    assertThat(apart.library().routines().get("m")).isEqualTo(macro("a", "b2", "c", "d"));
    Merging both = merged(macro("a"), macro("a", "x"), macro("a", "y"));
    assertThat(both.contradictions()).hasSize(1);
    assertThat(both.library().routines().get("m")).isEqualTo(macro("a", "x", "y"));
  }

  @Test
  void sourceTextsGoLineByLine() throws Exception {
    Routine.Script script =
        new Routine.Script(
            foldtwice.routine.Head.of("s", "S", "app", List.of()), "one\ntwo\nthree\nfour");
    Merging merging =
        merged(
            script,
            script.withSource("one\n2\nthree\nfour"),
            script.withSource("one\ntwo\nthree\nfour\nfive"));
    assertThat(merging.contradictions()).isEmpty();
    assertThat(merging.library().routines().get("s"))
        .isEqualTo(script.withSource("one\n2\nthree\nfour\nfive"));
    assertThat(
            merged(script, script.withSource("1\ntwo"), script.withSource("eins\ntwo"))
                .contradictions())
        .hasSize(1);
  }

  @Test
  void orderIsNoDifferenceAndABindingThatMovedIsOneRow() {
    Library turned =
        new Edit.Together(List.of(new Edit.RemoveBinding(ID), new Edit.PutBinding(binding(BASE))))
            .on(BASE);
    assertThat(List.copyOf(turned.bindings().keySet()).getLast()).isEqualTo(ID);
    assertThat(Differing.between(BASE, turned).rows()).isEmpty();
    Binding again =
        new Binding(
            "other",
            binding(BASE).routine(),
            binding(BASE).place(),
            List.of(Notation.read("F7")),
            binding(BASE).arguments(),
            0,
            foldtwice.extras.Extras.NONE);
    Library moved = put(new Edit.RemoveBinding(ID).on(BASE), again);
    assertThat(Differing.between(BASE, moved).rows())
        .singleElement()
        .satisfies(r -> assertThat(r.how()).isEqualTo(Differing.How.CHANGED))
        .satisfies(r -> assertThat(r.now()).isEqualTo("other"));
  }

  /** What a later version adds beside the lists this one knows. */
  @Test
  void aListWhoseMembersNothingTellsApartIsOneField() throws Exception {
    Library one = withLater("[1,2]");
    Library other = withLater("[3,2]");
    assertThat(Differing.between(one, other).rows())
        .singleElement()
        .satisfies(r -> assertThat(r.list()).isEmpty())
        .satisfies(r -> assertThat(r.fields().getFirst().path()).containsExactly("later"));
  }

  private static Library withLater(String list) throws Exception {
    String document = LibraryJson.write(BASE).replaceFirst("\\{", "{\"later\": " + list + ",");
    return LibraryJson.read(document.getBytes(StandardCharsets.UTF_8));
  }
}
