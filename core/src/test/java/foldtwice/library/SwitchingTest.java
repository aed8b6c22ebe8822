package foldtwice.library;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.binding.Readiness;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

class SwitchingTest {

  /** Off, a binding is in no keymap; on again, it and the keymap are what they were. */
  @Property(tries = 200)
  void offAndOnAgain(@ForAll long seed) {
    Library library = RandomLibraries.of(seed);
    Station station = library.stations().values().iterator().next();
    for (Binding b : library.bindings().values()) {
      if (b.triggers().isEmpty() || !b.fitting().parked().isEmpty()) {
        continue;
      }
      Library off = Switching.bindings(List.of(b), false).on(library);
      assertThat(off.readiness(off.bindings().get(b.id()))).isEqualTo(Readiness.OFF);
      b.triggers()
          .forEach(
              t ->
                  assertThat(Keymap.of(off, station).claimsOn(t))
                      .noneMatch(c -> c.owner().equals(new foldtwice.resolve.Owner.Yours(b.id()))));
      assertThat(off.bindings().get(b.id()).isDraft()).isFalse();
      Library on = Switching.bindings(List.of(off.bindings().get(b.id())), true).on(off);
      assertThat(on.bindings().get(b.id()).triggers()).containsExactlyElementsOf(distinct(b));
      assertThat(on.bindings().get(b.id()).isOff()).isFalse();
    }
  }

  private static List<foldtwice.trigger.Trigger> distinct(Binding b) {
    return b.triggers().stream().distinct().toList();
  }

  @Property(tries = 100)
  void aRoutineGoesOffWithItsBindings(@ForAll long seed) {
    Library library = RandomLibraries.of(seed);
    for (Routine r : library.routines().values()) {
      Edit off = Switching.routine(library, r, false);
      Library then = off.on(library);
      assertThat(then.routines().get(r.id()).card().off()).isTrue();
      assertThat(then.bindings().values())
          .noneMatch(b -> b.routine().equals(r.id()) && !b.triggers().isEmpty());
      assertThat(off.inverse(library).on(then)).isEqualTo(library);
    }
  }
}
