package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.known.Facts;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.reading.Checker;
import foldtwice.reading.Hindrance;
import foldtwice.ready.Outlook;
import foldtwice.ready.Setup;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import foldtwice.run.Change;
import foldtwice.run.Reply;
import foldtwice.run.Run;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.base.StandIn;
import foldtwice.standin.sketch.Sketch;
import foldtwice.trigger.Notation;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** Programs nobody simulates: what a library says of them is tried, the rest is done by name. */
class SketchTest {

  private static final String MILL =
      """
      {"format": "fold-twice-library", "version": 1, "name": "Weaving mill",
       "stations": [{"id": "desk", "name": "My desk", "layout": "us", "shape": "ansi"}],
       "applications": [{"id": "loom", "name": "Loom planner", "version": "3",
         "contexts": [{"id": "draft", "name": "draft"},
                      {"id": "note", "name": "note", "takesText": true}],
         "commands": [{"id": "mirror", "name": "Mirror", "menu": ["Draft", "Mirror"],
           "place": "loom", "triggers": [{"keys": ["CTRL+m"]}]}]}],
       "routines": [
         {"id": "twice", "name": "Mirror twice", "kind": "macro", "application": "loom",
          "steps": [{"do": "choose", "menu": ["Draft", "Mirror"]},
                    {"do": "choose", "menu": ["Draft", "Mirror"]}]},
         {"id": "wide", "name": "Make wide", "kind": "macro", "application": "loom",
          "steps": [{"do": "fill", "field": "Width", "value": "12 cm"},
                    {"do": "press", "button": "Set"}]},
         {"id": "slip", "name": "Slip", "kind": "macro", "application": "loom",
          "steps": [{"do": "choose", "menu": ["Draft", "Miror"]}]}],
       "bindings": [{"id": "b1", "routine": "twice", "place": "loom/draft",
         "triggers": [{"keys": ["CTRL+ALT+m"]}]}]}
      """;

  private static Library mill() throws Exception {
    return LibraryJson.read(MILL.getBytes(StandardCharsets.UTF_8));
  }

  private static Station desk(Library library) {
    return library.stations().get("desk");
  }

  private static SimulatedComputer computer(Library library) {
    return SimulatedComputer.of(library, desk(library), SimulatedComputer.standingClock());
  }

  private static List<Trial.Effect> press(
      Library library, SimulatedComputer computer, String keys) {
    Keymap keymap = Keymap.of(library, desk(library));
    return new Trial(library, keymap, computer, Ecmascript.ENGINE)
        .signal(keymap.paths(Notation.read(keys)).getFirst().getFirst(), 0)
        .effects();
  }

  @Test
  void aLibrarysProgramsAreThereAndNoOthers() throws Exception {
    Library library = mill();
    assertThat(computer(library).programs().keySet()).containsExactly("loom");
    assertThat(computer(library).front().application()).isEqualTo("loom");
    SimulatedComputer none =
        SimulatedComputer.of(
            Library.empty("none"), desk(library), SimulatedComputer.standingClock());
    assertThat(none.programs()).isEmpty();
  }

  /** A press fires the routine, which is done by name and taken back as one. */
  @Test
  void aPressRunsARoutine() throws Exception {
    Library library = mill();
    SimulatedComputer computer = computer(library);
    List<Trial.Effect> effects = press(library, computer, "Ctrl+Alt+M");
    assertThat(effects).singleElement().isInstanceOf(Trial.Effect.Ran.class);
    Sketch loom = (Sketch) computer.programs().get("loom");
    assertThat(loom.document().done()).isEqualTo(Map.of("command Mirror", 2));
    assertThat(((Trial.Effect.Ran) effects.getFirst()).trace().changes())
        .contains(new Change("command Mirror", "not done", "done once"));
    loom.undo();
    assertThat(loom.document().done()).isEmpty();
  }

  @Test
  void itsOwnCommandFiresByItsKeys() throws Exception {
    Library library = mill();
    SimulatedComputer computer = computer(library);
    assertThat(press(library, computer, "Ctrl+M"))
        .singleElement()
        .isInstanceOf(Trial.Effect.Native.class);
    assertThat(((Sketch) computer.programs().get("loom")).document().done())
        .isEqualTo(Map.of("command Mirror", 1));
  }

  /** The menus are described, so that a slip in them is told; the dialogs are not. */
  @Test
  void whatIsDescribedIsCheckedAndNothingElse() throws Exception {
    Library library = mill();
    var here = StandIns.around(desk(library), library);
    assertThat(Hindrance.of(library.routines().get("twice"), here)).isEmpty();
    assertThat(Hindrance.of(library.routines().get("wide"), here)).isEmpty();
    assertThat(Checker.check((Routine.Macro) library.routines().get("slip"), here))
        .singleElement()
        .satisfies(m -> assertThat(m.toString()).contains("Draft \u203a Mirror"));
  }

  @Test
  void whatNobodyDescribedIsDoneByName() throws Exception {
    Library library = mill();
    SimulatedComputer computer = computer(library);
    Trial trial =
        new Trial(library, Keymap.of(library, desk(library)), computer, Ecmascript.ENGINE);
    var trace = Run.of(library.routines().get("wide"), Map.of(), trial.around()).toEnd();
    assertThat(trace.wentWell()).isTrue();
    assertThat(computer.programs().get("loom").state())
        .containsEntry("field Width", "12 cm")
        .containsEntry("button Set", "done once");
  }

  /** Nothing waits for a program that nobody simulates. */
  @Test
  void itsBindingsAreAsReadyAsAnyOthers() throws Exception {
    Library library = mill();
    Outlook outlook =
        Outlook.of(
            library,
            Keymap.of(library, desk(library)),
            StandIns.around(desk(library), library),
            Setup.settled(library),
            library.bindings().get("b1"));
    assertThat(outlook.next()).isEmpty();
  }

  @Test
  void itsContextsAreGoneInto() throws Exception {
    Sketch loom = (Sketch) computer(mill()).programs().get("loom");
    assertThat(loom.place()).isEqualTo(new Place.Within("loom", "draft"));
    assertThat(loom.type("x")).isInstanceOf(Reply.Refused.class);
    loom.enter(new Place.Within("loom", "note"));
    loom.type("warp");
    assertThat(loom.document().text()).isEqualTo("warp");
    assertThat(loom.facts().tells(Facts.Aspect.COMMANDS)).isTrue();
    assertThat(loom.facts().tells(Facts.Aspect.SETTINGS)).isFalse();
  }

  /** A sketch is made anew when what is said of its program changes, and only then. */
  @Test
  void itFollowsTheLibrary() throws Exception {
    Library library = mill();
    SimulatedComputer computer = computer(library);
    StandIn<?> before = computer.programs().get("loom");
    Library next =
        new Edit.PutApplication(library.applications().get("loom").withContexts(List.of()))
            .on(library);
    assertThat(computer.follow(library, library, desk(library))).isFalse();
    assertThat(computer.programs().get("loom")).isSameAs(before);
    assertThat(computer.follow(library, next, desk(library))).isTrue();
    assertThat(computer.programs().get("loom").place()).isEqualTo(new Place.Whole("loom"));
    computer.follow(next, new Edit.RemoveApplication("loom").on(next), desk(library));
    assertThat(computer.programs()).isEmpty();
    assertThat(computer.front().application()).isEqualTo("desk");
  }

  /** Every state a random program can be in, by its library, its sketch can be brought into. */
  @Property(tries = 300)
  void everyStateIsReached(@ForAll long seed) {
    Sketch sketch = RandomSketches.any(new Random(seed));
    for (Place state : sketch.described().states()) {
      if (sketch.enter(state) instanceof Reply.Done) {
        assertThat(sketch.place()).isEqualTo(state);
      } else {
        assertThat(sketch.focus()).as("only the pointer's places are not gone into").isEmpty();
      }
    }
    assertThat(sketch.described().states()).contains(sketch.place());
  }
}
