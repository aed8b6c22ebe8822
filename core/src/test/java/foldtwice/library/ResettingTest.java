package foldtwice.library;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.binding.Binding;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.resolve.Afterwards;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class ResettingTest {

  private static final String SAVE = "native app Ctrl+S";
  private static final String FLIP = "native box Alt+F";

  private final Library library = Fixture.library(SAVE, FLIP, "native cell Ctrl+E");

  private static Trigger keys(String text) {
    return Notation.read(text);
  }

  private static NativeCommand command(Library library, String id) {
    return library.applications().get("app").command(id).orElseThrow();
  }

  private static List<String> owners(Library library, String place, String keys) {
    Keymap keymap = Keymap.of(library, library.stations().get("s"));
    return Afterwards.of(keymap, Fixture.place(place), keys(keys)).stream()
        .map(
            a ->
                switch (a.outcome()) {
                  case Outcome.Fired(var claim) ->
                      switch (claim.owner()) {
                        case Owner.Native n -> n.command();
                        case Owner.Yours y -> y.binding();
                        default -> "other";
                      };
                  default -> "nothing";
                })
        .toList();
  }

  @Test
  void aCommandFiresByWhatItWasGivenAndItsOldKeysAreDead() {
    Library remapped = new Edit.Remap("app", FLIP, List.of(keys("F7"))).on(library);
    assertThat(command(remapped, FLIP).byDefault()).containsExactly(keys("Alt+F"));
    assertThat(owners(remapped, "box", "F7")).containsExactly(FLIP);
    assertThat(owners(remapped, "box", "Alt+F")).containsExactly("nothing");
    Library back = Resetting.edit(Resetting.changes(remapped, Fixture.place("app"))).on(remapped);
    assertThat(back).isEqualTo(library);
  }

  @Test
  void aContextIsResetWithWhatLiesInItAndNothingElse() {
    Library changed =
        new Edit.Together(
                List.of(
                    new Edit.Remap("app", SAVE, List.of()),
                    new Edit.Remap("app", FLIP, List.of()),
                    new Edit.Remap("app", "native cell Ctrl+E", List.of())))
            .on(library);
    assertThat(Resetting.changes(changed, Fixture.place("sheet")))
        .extracting(c -> c.command().id())
        .containsExactly(FLIP);
    assertThat(Resetting.changes(changed, Fixture.place("app"))).hasSize(3);
    Library back = Resetting.edit(Resetting.changes(changed, Fixture.place("sheet"))).on(changed);
    assertThat(command(back, FLIP).isChanged()).isFalse();
    assertThat(command(back, SAVE).isChanged()).isTrue();
  }

  @Test
  void aRoutineInACommandsPlaceAndOutOfItAgain() {
    Application app = library.applications().get("app");
    Binding fresh = Binding.fresh("b", "r", Fixture.place("app"), List.of(), Map.of());
    Edit edit = Resetting.replace(app, command(library, FLIP), fresh, List.of(keys("F9")));
    Library replaced = edit.on(library);
    assertThat(owners(replaced, "box", "Alt+F")).containsExactly("b");
    assertThat(owners(replaced, "box", "F9")).as("it stays reachable").containsExactly(FLIP);
    assertThat(edit.inverse(library).on(replaced)).isEqualTo(library);

    Binding b = replaced.bindings().get("b");
    Library out =
        Resetting.givingBack(replaced, b, b.triggers(), new Edit.RemoveBinding("b")).on(replaced);
    assertThat(owners(out, "box", "Alt+F")).as("given back").containsExactly(FLIP);
    assertThat(out.bindings()).doesNotContainKey("b");
  }

  @Test
  void givenBackWithNothingElseTheCommandIsAsItCame() {
    Application app = library.applications().get("app");
    Binding fresh = Binding.fresh("b", "r", Fixture.place("app"), List.of(), Map.of());
    Library replaced = Resetting.replace(app, command(library, FLIP), fresh, List.of()).on(library);
    Binding b = replaced.bindings().get("b");
    Edit take = new Edit.PutBinding(b.withTriggers(List.of()));
    Library out = Resetting.givingBack(replaced, b, b.triggers(), take).on(replaced);
    assertThat(command(out, FLIP)).isEqualTo(command(library, FLIP));
  }

  @Property(tries = 200)
  void whateverIsRemappedAResetOfTheApplicationLeavesNothingChanged(@ForAll long seed) {
    Library random = RandomLibraries.of(seed);
    for (Application a : random.applications().values()) {
      Library reset =
          Resetting.edit(Resetting.changes(random, new foldtwice.place.Place.Whole(a.id())))
              .on(random);
      assertThat(reset.applications().get(a.id()).commands())
          .noneMatch(NativeCommand::isChanged)
          .allSatisfy(
              c -> assertThat(c.triggers()).isEqualTo(a.command(c.id()).orElseThrow().byDefault()));
    }
  }
}
