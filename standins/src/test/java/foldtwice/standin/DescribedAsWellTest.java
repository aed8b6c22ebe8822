package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.library.file.ProgramDescription;
import foldtwice.place.Place;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Condition;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Whom;
import foldtwice.run.Dialog;
import foldtwice.run.Program;
import foldtwice.run.Run;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.base.StandIn;
import foldtwice.standin.sketch.Sketch;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Two of the programs that ship are described in files too; sketches made of these do, for every
 * binding of the demo, what the stand-ins do, as far as a description can say it: how a run ends,
 * the settings, the context, the dialog that is open, how many are selected, and their values.
 */
class DescribedAsWellTest {

  private static final String BENCH = "camera-bench";

  /** The library in which the program has a name that nobody simulates, and its description. */
  private static Library told(String id) throws Exception {
    Path demo = Path.of(System.getProperty("project.root"), "demo");
    ProgramDescription file =
        ProgramDescription.read(renamed(demo.resolve("programs/" + id + ".json"), id));
    Library library = LibraryJson.read(renamed(demo.resolve("fernhollow.json"), id));
    return new Edit.Together(
            List.of(
                new Edit.PutApplication(file.application()),
                new Edit.Describe(id + "-told", Optional.of(file.description()))))
        .on(library);
  }

  private static byte[] renamed(Path file, String id) throws Exception {
    String text = Files.readString(file);
    return text.replaceAll("\"" + id + "(?=[\"/])", "\"" + id + "-told")
        .getBytes(StandardCharsets.UTF_8);
  }

  private static SimulatedComputer computer(Library library) {
    return SimulatedComputer.of(
        library, library.stations().get(BENCH), SimulatedComputer.standingClock());
  }

  /** What is so after a run that a description can say. */
  private static Map<String, Object> after(
      Library library, Keymap keymap, SimulatedComputer computer, Program program, Binding b) {
    Routine routine = library.routineOf(b).orElseThrow();
    Map<String, Object> seen = new LinkedHashMap<>();
    Trial trial = new Trial(library, keymap, computer, Ecmascript.ENGINE);
    Run run = Run.of(routine, b.arguments(), trial.around());
    run.toEnd();
    seen.put("ends badly", run.trace().endedBadly());
    seen.put("settings", program.settings());
    seen.put("place", program.place().id().replace("-told", ""));
    seen.put("selected", program.selected().size());
    seen.put("values", program.values());
    seen.put("dialog", program.dialog().map(Dialog::title));
    program.undo();
    seen.put("settings after one undo", program.settings());
    return seen;
  }

  /** A description says nothing of the text that is typed, and of no indicator. */
  private static boolean canBeSaid(Library library, Routine routine, Place state) {
    boolean text =
        library
            .applications()
            .get(routine.application())
            .context(((Place.Within) state).context())
            .orElseThrow()
            .takesText();
    return !text
        && !(routine instanceof Routine.Macro m
            && m.steps().stream()
                .anyMatch(
                    l ->
                        l.step() instanceof Step.TypeText
                            || (l.step() instanceof Step.WaitUntil(Condition c, var limit)
                                && c.toString().contains("Indicator"))));
  }

  @ParameterizedTest
  @CsvSource({"copystand, 150", "tagpress, 80"})
  void aSketchOfItDoesAsTheStandIn(String id, int most) throws Exception {
    Library library = Demo.LIBRARY;
    Library told = told(id);
    Keymap keymap = Keymap.of(library, library.stations().get(BENCH));
    Keymap toldKeymap = Keymap.of(told, told.stations().get(BENCH));
    SimulatedComputer computer = computer(library);
    SimulatedComputer toldComputer = computer(told);
    assertThat(toldComputer.programs().get(id + "-told")).isInstanceOf(Sketch.class);
    List<String> compared = new ArrayList<>();
    List<String> differ = new ArrayList<>();
    for (Binding b : library.bindings().values()) {
      Optional<Routine> routine = library.routineOf(b);
      if (routine.filter(r -> r.application().equals(id)).isEmpty()
          || b.place().applicationId().filter(id::equals).isEmpty()) {
        continue;
      }
      for (Place state : keymap.statesOf(b.place())) {
        if (!canBeSaid(library, routine.get(), state)) {
          continue;
        }
        SimulatedComputer one = computer.copy();
        SimulatedComputer other = toldComputer.copy();
        StandIn<?> real = one.programs().get(id);
        StandIn<?> sketch = other.programs().get(id + "-told");
        real.select(Whom.Group.ALL, false);
        real.enter(state);
        sketch.select(Whom.Group.ALL, false);
        sketch.enter(new Place.Within(id + "-told", ((Place.Within) state).context()));
        Map<String, Object> a = after(library, keymap, one, real, b);
        Map<String, Object> c = after(told, toldKeymap, other, sketch, told.bindings().get(b.id()));
        compared.add(b.id());
        if (!a.equals(c)) {
          a.entrySet().removeIf(e -> e.getValue().equals(c.get(e.getKey())));
          c.keySet().retainAll(a.keySet());
          differ.add(routine.get().id() + " in " + state.id() + "\n  " + a + "\n  " + c);
        }
      }
    }
    assertThat(differ).isEmpty();
    assertThat(compared).hasSizeGreaterThan(most);
  }
}
