package foldtwice.library;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.binding.Pattern;
import foldtwice.extras.Extras;
import foldtwice.place.Application;
import foldtwice.trigger.Notation;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class RemovingTest {

  private static final String A = "mine box Alt+A";
  private static final String B = "mine box Alt+B";
  private static final String FLIP = "native box Alt+F";

  @Test
  void familiesKeepNoIdThatALaterBindingMayGet() {
    Library library =
        new Edit.PutFamily(
                new Family(
                    "f",
                    "F",
                    List.of(A, B),
                    new Pattern.Neighbours(Notation.read("Alt+A").strokes().getFirst()),
                    Extras.NONE))
            .on(Fixture.library(A, B, "mine box Alt+C"));
    List<Binding> all = List.copyOf(library.bindings().values());
    Library one = Removing.of(library, all.subList(0, 1)).on(library);
    assertThat(one.families().get("f").members()).containsExactly(B);
    Library none = Removing.of(library, all).on(library);
    assertThat(none.families().get("f").members()).isEmpty();
    assertThat(none.bindings()).isEmpty();
  }

  /** Two bindings that each had one of a command's triggers: it gets both back. */
  @Test
  void aCommandGetsBackWhatSeveralHadOfIt() {
    Library before = new Edit.Remap("app", FLIP, List.of()).on(Fixture.library(FLIP));
    Application app = before.applications().get("app");
    Library library = before;
    for (String id : List.of("x", "y")) {
      Binding fresh = Binding.fresh(id, "r", Fixture.place("box"), List.of(), Map.of());
      library =
          Resetting.replace(app, app.command(FLIP).orElseThrow(), fresh, List.of()).on(library);
      library =
          new Edit.PutBinding(
                  library.bindings().get(id).withTriggers(List.of(Notation.read("Alt+F"))))
              .on(library);
    }
    Library out = Removing.of(library, List.copyOf(library.bindings().values())).on(library);
    assertThat(out.applications().get("app").command(FLIP).orElseThrow().isChanged()).isFalse();
  }

  @Property(tries = 200)
  void oneUndoTakesItBack(@ForAll long seed) {
    Library library = RandomLibraries.of(seed);
    Edit edit = Removing.of(library, List.copyOf(library.bindings().values()));
    assertThat(edit.on(library).bindings()).isEmpty();
    assertThat(edit.on(library).families().values()).allMatch(f -> f.members().isEmpty());
    assertThat(edit.inverse(library).on(edit.on(library))).isEqualTo(library);
  }
}
