package foldtwice.library;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.place.Station;
import foldtwice.place.StationDifference;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

class ClearingTest {

  /** Nothing is left hanging, everything else stays, and it comes back as it was. */
  @Property(tries = 150)
  void anApplicationGoesWithAllThatIsInIt(@ForAll long seed) {
    Library library = RandomLibraries.of(seed);
    for (String id : library.applications().keySet()) {
      Edit edit = Clearing.application(library, id);
      Library without = edit.on(library);
      assertThat(without.applications()).doesNotContainKey(id);
      assertThat(Rules.dangling(without)).isEmpty();
      assertThat(without.bindings().size())
          .isEqualTo(library.bindings().size() - Bound.in(library, id).size());
      assertThat(without.routines()).isEqualTo(library.routines());
      assertThat(edit.inverse(library).on(without)).isEqualTo(library);
    }
  }

  @Property(tries = 100)
  void aStationGoesWithItsChecks(@ForAll long seed) {
    Library library = RandomLibraries.of(seed);
    for (String id : library.stations().keySet()) {
      Edit edit = Clearing.station(library, id);
      Library without = edit.on(library);
      assertThat(without.stations()).doesNotContainKey(id);
      assertThat(without.checks().values()).noneMatch(c -> c.station().equals(id));
      assertThat(edit.inverse(library).on(without)).isEqualTo(library);
    }
  }

  /** Nothing between a station and itself; turned round, here and there change places. */
  @Property(tries = 200)
  void stationsAreCompared(@ForAll long one, @ForAll long other) {
    List<Station> all = new ArrayList<>(RandomLibraries.of(one).stations().values());
    all.addAll(RandomLibraries.of(other).stations().values());
    for (Station a : all) {
      assertThat(StationDifference.between(a, a)).isEmpty();
      for (Station b : all) {
        assertThat(StationDifference.between(b, a))
            .containsExactlyInAnyOrderElementsOf(
                StationDifference.between(a, b).stream()
                    .map(d -> new StationDifference(d.what(), d.about(), d.there(), d.here()))
                    .toList());
      }
    }
  }
}
