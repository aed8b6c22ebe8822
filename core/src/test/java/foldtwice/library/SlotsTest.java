package foldtwice.library;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.binding.Binding;
import foldtwice.extras.Extras;
import foldtwice.surface.Face;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class SlotsTest {

  private static final Toolbar TOOLBAR =
      new Toolbar(
          "t", "T", "app", 6, 0, false, Map.of(2, new Face("Two", "", "save")), Extras.NONE);

  private static Library library() {
    Binding two =
        Binding.fresh(
            "two", "r", Fixture.place("box"), List.of(new Trigger.Button("t", 2)), Map.of());
    Binding five =
        Binding.fresh(
            "five", "r", Fixture.place("box"), List.of(new Trigger.Button("t", 5)), Map.of());
    Binding other =
        Binding.fresh(
            "other", "r", Fixture.place("box"), List.of(new Trigger.Button("u", 2)), Map.of());
    return new Edit.Together(
            List.of(
                new Edit.PutSurface(TOOLBAR),
                new Edit.PutBinding(two),
                new Edit.PutBinding(five),
                new Edit.PutBinding(other)))
        .on(Fixture.library());
  }

  @Test
  void whatIsBoundGoesWithTheButton() {
    Library before = library();
    Library moved = Slots.swap(before, TOOLBAR, 2, 5).on(before);
    assertThat(moved.bindings().get("two").triggers()).containsExactly(new Trigger.Button("t", 5));
    assertThat(moved.bindings().get("five").triggers()).containsExactly(new Trigger.Button("t", 2));
    assertThat(moved.bindings().get("other")).isEqualTo(before.bindings().get("other"));
    assertThat(moved.toolbars().getFirst().face(5).label()).isEqualTo("Two");
    assertThat(moved.toolbars().getFirst().face(2)).isEqualTo(Face.PLAIN);
  }

  @Property
  void twiceChangesNothing(
      @ForAll @IntRange(min = 1, max = 6) int one, @ForAll @IntRange(min = 1, max = 6) int other) {
    Library before = library();
    Library once = Slots.swap(before, TOOLBAR, one, other).on(before);
    Toolbar swapped = once.toolbars().getFirst();
    assertThat(Slots.swap(once, swapped, one, other).on(once)).isEqualTo(before);
  }
}
