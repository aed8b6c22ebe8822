package foldtwice.library;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

class ReturningTest {

  @Property(tries = 300)
  void itLeadsToWhatWas(@ForAll long now, @ForAll long then, @ForAll boolean related) {
    Library from = RandomLibraries.of(now);
    Library to = RandomLibraries.of(then);
    if (related) {
      to = from;
      java.util.Random random = new java.util.Random(then);
      for (int i = 0; i < 5; i++) {
        to = RandomEdits.of(to, random, 1).on(to);
      }
    }
    Edit back = Returning.to(from, to);
    Library there = back.on(from);
    assertThat(there.applications()).isEqualTo(to.applications());
    assertThat(there.stations()).isEqualTo(to.stations());
    assertThat(there.surfaces()).isEqualTo(to.surfaces());
    assertThat(there.routines()).isEqualTo(to.routines());
    assertThat(there.bindings()).isEqualTo(to.bindings());
    assertThat(there.families()).isEqualTo(to.families());
    assertThat(there.accepted()).isEqualTo(to.accepted());
    assertThat(there.checks()).isEqualTo(to.checks());
    assertThat(there.descriptions()).isEqualTo(to.descriptions());
    assertThat(back.inverse(from).on(there)).as("and back").isEqualTo(from);
  }
}
