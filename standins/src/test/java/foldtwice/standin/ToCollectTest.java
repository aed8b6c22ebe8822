package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.collecting.Collecting;
import foldtwice.collecting.Found;
import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.library.Library;
import foldtwice.routine.Origin;
import foldtwice.routine.Routine;
import foldtwice.routine.Whom;
import foldtwice.run.Run;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The files that ship to be taken in. */
class ToCollectTest {

  private static final Path FOLDER =
      Path.of(System.getProperty("project.root"), "demo", "to-collect");
  private static final Known HERE = Demo.known("camera-bench");

  private final Collecting collecting = new Collecting(Demo.LIBRARY);

  private List<Found.Item> items() {
    return collecting.look(FOLDER).stream()
        .flatMap(
            f -> {
              assertThat(f).as(f.from()).isInstanceOf(Found.Routines.class);
              return ((Found.Routines) f).items().stream();
            })
        .toList();
  }

  @Test
  void everyFileIsUnderstood() {
    assertThat(collecting.look(FOLDER)).hasSize(5);
    assertThat(items())
        .hasSize(7)
        .allSatisfy(i -> assertThat(i.routine().origin().seen()).isFalse());
  }

  /** What the descriptions say is what the simulated add-ons really have. */
  @Test
  void theDescriptionsAreTrue() {
    int actions = 0;
    for (Found.Item item : items()) {
      if (item.routine() instanceof Routine.PluginAction p) {
        Facts.Action action =
            HERE.program(p.application())
                .flatMap(f -> f.action(p.addOn(), p.action()))
                .orElseThrow();
        assertThat(p.parameters()).isEqualTo(action.parameters());
        assertThat(p.manner().startIn()).isEqualTo(action.contexts());
        assertThat(p.name()).isEqualTo(action.name());
        actions++;
      }
    }
    assertThat(actions).isEqualTo(4);
  }

  @Test
  void allOfItRunsOnceItHasBeenLookedThrough() {
    Library library = collecting.take(items()).on(Demo.LIBRARY);
    List<Routine> fresh =
        library.routines().values().stream()
            .filter(r -> !Demo.LIBRARY.routines().containsKey(r.id()))
            .toList();
    assertThat(fresh).hasSize(7);
    for (Routine routine : fresh) {
      assertThat(run(library, routine)).as("unseen").isInstanceOf(Trace.Failed.class);
      Origin origin = routine.origin();
      Routine seen =
          routine.with(
              routine
                  .head()
                  .with(
                      new Origin(
                          origin.from(),
                          origin.author(),
                          origin.licence(),
                          origin.version(),
                          true)));
      assertThat(run(library, seen)).as(routine.name()).isInstanceOf(Trace.Finished.class);
    }
  }

  private static Trace.Ending run(Library library, Routine routine) {
    SimulatedComputer computer =
        SimulatedComputer.of(
            library, library.stations().get("camera-bench"), SimulatedComputer.standingClock());
    computer.programs().get(routine.application()).select(Whom.Group.ALL, false);
    Trial trial = new Trial(library, Demo.keymap("camera-bench"), computer, Ecmascript.ENGINE);
    return Run.of(routine, Map.of(), trial.around()).toEnd().ending();
  }
}
