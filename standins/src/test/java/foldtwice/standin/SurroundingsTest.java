package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Surroundings;
import foldtwice.place.Application;
import foldtwice.place.Station;
import foldtwice.reading.Checker;
import foldtwice.reading.Hindrance;
import foldtwice.reading.Reading;
import foldtwice.reading.Readings;
import foldtwice.routine.Routine;
import foldtwice.standin.base.StandIn;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What routines are read before is followed from edit to edit, and comes to what it is afresh. */
class SurroundingsTest {

  private static final int EDITS = 300;

  private final Random random = new Random(7);

  private <T> T any(Map<String, T> of) {
    return List.copyOf(of.values()).get(random.nextInt(of.size()));
  }

  /** Changes a binding, a routine, or what is said of an application. */
  private Edit some(Library library, int kind) {
    return switch (kind) {
      case 0 -> new Edit.RemoveBinding(any(library.bindings()).id());
      case 1 -> {
        Routine r = any(library.routines());
        yield new Edit.PutRoutine(
            r instanceof Routine.Macro m && m.steps().size() > 1
                ? m.withSteps(m.steps().subList(1, m.steps().size()))
                : r.with(r.head().named(r.id(), r.name() + " again")));
      }
      default -> {
        Application a = any(library.applications());
        yield new Edit.PutApplication(a.named(a.name() + " II", a.version()));
      }
    };
  }

  @Test
  void itIsWhatItIsAfresh() {
    Library library = Demo.LIBRARY;
    Station station = library.stations().values().iterator().next();
    Map<String, StandIn<?>> programs = StandIns.on(station, library);
    Surroundings known = StandIns.around(programs, library);
    Readings readings = new Readings(known);
    int stayed = 0;
    for (int i = 0; i < EDITS; i++) {
      int kind = random.nextInt(3);
      library = some(library, kind).on(library);
      Surroundings next = StandIns.around(programs, library, known);
      Surroundings afresh = StandIns.around(programs, library);
      assertThat(next).isEqualTo(afresh);
      if (next.equals(known) && kind == 0) {
        assertThat(next).as("where only bindings changed").isSameAs(known);
        stayed++;
      } else {
        readings = new Readings(next);
      }
      known = next;
      Routine r = any(library.routines());
      assertThat(readings.of(r)).isEqualTo(Reading.of(r, afresh));
      assertThat(readings.hindrances(r)).isEqualTo(Hindrance.of(r, afresh));
      if (r instanceof Routine.Macro m) {
        assertThat(readings.marks(m)).isEqualTo(Checker.check(m, afresh));
      }
    }
    assertThat(stayed).isBetween(50, 150);
  }
}
