package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import foldtwice.run.Run;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.base.StandIn;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A computer whose programs are copied as they are used is one whose programs all were copied. */
class CopiesTest {

  private static final int RUNS = 40;

  /** All programs of the demo, and what is left of it without its desktop. */
  static Stream<Library> libraries() {
    return Stream.of(
        Demo.LIBRARY,
        new Edit.Together(
                Stream.of("desk", "trackway", "muniment", "copystand")
                    .<Edit>map(Edit.RemoveApplication::new)
                    .toList())
            .on(Demo.LIBRARY));
  }

  @ParameterizedTest
  @MethodSource("libraries")
  void itIsTheSameWhateverRunsOnIt(Library library) {
    Station station = library.stations().get("camera-bench");
    Keymap keymap = Keymap.of(library, station);
    SimulatedComputer first =
        SimulatedComputer.of(library, station, SimulatedComputer.standingClock());
    List<Routine> routines =
        library.routines().values().stream()
            .filter(r -> r instanceof Routine.Macro)
            .filter(r -> first.programs().containsKey(r.application()))
            .toList();
    Random random = new Random(library.applications().size());
    int differed = 0;
    for (int i = 0; i < RUNS; i++) {
      List<Map<String, String>> before = states(first);
      String front = first.frontWindow();
      SimulatedComputer whole = first.copy();
      SimulatedComputer asUsed = first.copiedAsUsed();
      assertThat(asUsed.frontWindow()).isEqualTo(front).isEqualTo(whole.frontWindow());
      Routine routine = routines.get(random.nextInt(routines.size()));
      for (SimulatedComputer each : List.of(whole, asUsed)) {
        each.bringToFront(routine.application());
        Run.of(routine, Map.of(), new Trial(library, keymap, each, Ecmascript.ENGINE).around())
            .toEnd();
      }
      SimulatedComputer again = first.copiedAsUsed();
      boolean same = states(whole).equals(before) && whole.clipboard().equals(first.clipboard());
      assertThat(asUsed.isLike(again)).as(routine.name()).isEqualTo(same);
      differed += same ? 0 : 1;
      assertThat(asUsed.isLike(whole)).as(routine.name()).isTrue();
      assertThat(states(asUsed)).as(routine.name()).isEqualTo(states(whole));
      assertThat(asUsed.frontWindow()).isEqualTo(whole.frontWindow());
      assertThat(states(first)).as("what was copied").isEqualTo(before);
      if (random.nextBoolean()) {
        first.bringToFront(routine.application());
        first.program(routine.application()).orElseThrow().selectNamed("1", false);
      }
    }
    assertThat(differed).isBetween(5, RUNS);
  }

  private static List<Map<String, String>> states(SimulatedComputer computer) {
    List<Map<String, String>> all = new ArrayList<>();
    for (StandIn<?> program : computer.programs().values()) {
      all.add(program.state());
    }
    return all;
  }
}
