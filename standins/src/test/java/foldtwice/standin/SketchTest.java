package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.describe.Slip;
import foldtwice.describe.Span;
import foldtwice.describe.While;
import foldtwice.extras.Extras;
import foldtwice.known.Facts;
import foldtwice.known.Touch;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.library.file.ProgramDescription;
import foldtwice.place.AddOn;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.reading.Checker;
import foldtwice.reading.Hindrance;
import foldtwice.ready.Outlook;
import foldtwice.ready.Setup;
import foldtwice.resolve.Keymap;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Scale;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Reply;
import foldtwice.run.Run;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.base.Edition;
import foldtwice.standin.base.StandIn;
import foldtwice.standin.sketch.Sketch;
import foldtwice.trigger.Notation;
import foldtwice.writing.Making;
import foldtwice.writing.Opposites;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
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

  /** Two contexts that are said to be while a dialog is open: the second is never gone into. */
  @Test
  void whatAnotherComesBeforeIsRefused() {
    everyStateIsReached(25_489);
  }

  /** Every state a random program can be in, by its library, its sketch can be brought into. */
  @Property(tries = 300)
  void everyStateIsReached(@ForAll long seed) {
    Sketch sketch = RandomSketches.any(new Random(seed));
    for (Place state : sketch.described().states()) {
      Place before = sketch.place();
      if (sketch.enter(state) instanceof Reply.Done) {
        assertThat(sketch.place()).isEqualTo(state);
      } else {
        assertThat(sketch.focus().isEmpty() || !sketch.description().states().isEmpty())
            .as("only the pointer's places, and what is said never to be so, are not gone into")
            .isTrue();
        assertThat(sketch.dialog().isPresent() || sketch.place().equals(before))
            .as("refused, it is where it was, but for a dialog that was left")
            .isTrue();
      }
    }
    assertThat(sketch.described().states()).contains(sketch.place());
  }

  /** A command takes a thing out and makes one of the same name and of another kind. */
  @Test
  void oneOfTheSameNameMayBeOfAnotherKind() {
    aCommandChangesNoMoreThanIsSaid(2971215073L);
  }

  /** What its facts say of a command holds: nothing else changes, whatever is described. */
  @Property(tries = 400)
  void aCommandChangesNoMoreThanIsSaid(@ForAll long seed) {
    Random random = new Random(seed);
    Sketch sketch = RandomSketches.any(random);
    if (random.nextBoolean()) {
      sketch.select(Whom.Group.ALL, false);
    }
    for (Facts.Command c : sketch.facts().commands()) {
      Map<String, String> before = sketch.state();
      Reply reply = sketch.fire(c.id());
      Map<String, String> after = sketch.state();
      if (reply instanceof Reply.Refused) {
        assertThat(after).isEqualTo(before);
      }
      Set<String> keys = new TreeSet<>(before.keySet());
      keys.addAll(after.keySet());
      keys.removeIf(k -> Objects.equals(before.get(k), after.get(k)));
      keys.removeIf(k -> k.startsWith("field ") || k.equals("view dialog"));
      if (!sketch.description().states().isEmpty()) {
        keys.remove("view place"); // it follows what is selected, and the dialog that is open
      }
      for (String key : keys) {
        if (key.startsWith("setting ")) {
          String name = key.substring("setting ".length());
          assertThat(c.effects().settings()).contains(name.replaceAll(" later$", ""));
        } else {
          assertThat(c.effects().touches()).as(key).contains(touch(key));
        }
      }
      assertThat(sketch.dialog().map(Dialog::title).or(() -> Optional.of("none")))
          .as("it opens what is said, or was refused")
          .hasValueSatisfying(
              title ->
                  assertThat(
                          reply instanceof Reply.Refused || title.equals(c.opens().orElse("none")))
                      .isTrue());
      sketch.cancel();
    }
  }

  private static Touch touch(String key) {
    return switch (key.split(" ")[0]) {
      case "selection" -> Touch.SELECTION;
      case "view" -> Touch.VIEW;
      case "file" -> Touch.FILES;
      case "window" -> Touch.WINDOWS;
      case "clipboard" -> Touch.CLIPBOARD;
      case "data" -> Touch.DATA;
      case "undo" -> Touch.UNDO_HISTORY;
      default -> Touch.OBJECTS;
    };
  }

  private static final String DESCRIBED =
      """
      {"format": "fold-twice-program", "version": 1,
       "application": {"id": "loom", "name": "Loom planner", "version": "3.2",
         "contexts": [{"id": "draft", "name": "draft"},
                      {"id": "note", "name": "note", "takesText": true}],
         "commands": [
           {"id": "grid", "name": "Grid", "menu": ["View", "Grid"], "place": "loom"},
           {"id": "all", "name": "All", "menu": ["Edit", "All"], "place": "loom"},
           {"id": "undo", "name": "Undo", "menu": ["Edit", "Undo"], "place": "loom"},
           {"id": "note", "name": "Note", "menu": ["View", "Note"], "place": "loom"},
           {"id": "add", "name": "Band", "menu": ["Draft", "Band"], "place": "loom"},
           {"id": "drop", "name": "Drop", "menu": ["Draft", "Drop"], "place": "loom"},
           {"id": "wider", "name": "Wider", "menu": ["Draft", "Wider"], "place": "loom"},
           {"id": "set", "name": "Set up", "menu": ["Draft", "Set up"], "place": "loom"},
           {"id": "old", "name": "Old", "menu": ["Draft", "Old"], "place": "loom"},
           {"id": "twill", "name": "Twill", "menu": ["Draft", "Twill"], "place": "loom"}]},
       "description": {"of": "loom", "language": "en",
         "settings": [{"name": "Grid", "options": ["on", "off"], "start": "off"}],
         "values": [{"name": "Width", "scale": "%", "least": "0", "most": "100", "step": "5",
                     "start": "50 %"}],
         "things": [{"kind": "Band", "count": 2, "values": ["Width"]},
                    {"kind": "Mark", "count": 1}],
         "dialogs": [{"title": "Band", "fields": [
             {"label": "Wide", "kind": "measure", "scale": "%", "least": "10", "most": "90",
              "step": "1", "start": "20"},
             {"label": "Lines", "kind": "choice", "options": ["on", "off"]}],
           "buttons": [{"label": "Set", "does": ["give Width to [Wide]", "set Grid to [Lines]"]},
                       {"label": "Leave"}]}],
         "commands": [
           {"id": "grid", "does": ["turn Grid"]}, {"id": "all", "does": ["select all"]},
           {"id": "undo", "does": ["undo"]}, {"id": "note", "does": ["go to note"]},
           {"id": "add", "does": ["add Band"]}, {"id": "drop", "does": ["remove"]},
           {"id": "wider", "does": ["raise Width by 30 %"]},
           {"id": "set", "opens": "Band", "onSelection": true},
           {"id": "old", "until": "3.10"}, {"id": "twill", "addOn": "Weaver"}],
         "actions": [{"addOn": "Weaver", "version": "2.1", "id": "weave", "name": "Weave",
           "parameters": [{"name": "to", "kind": "measure", "scale": "%", "least": "0",
             "most": "100", "step": "1", "default": "5 %"}],
           "does": ["select all", "give Width to [to]"]}]}}
      """;

  private static Sketch described(String version, AddOn... addOns) throws Exception {
    ProgramDescription loom = ProgramDescription.read(DESCRIBED.getBytes(StandardCharsets.UTF_8));
    return new Sketch(loom.application(), loom.description(), new Edition(version, Set.of(addOns)));
  }

  private static String width(Sketch loom, int thing) {
    return loom.document().things().get(thing).values().get("Width").shown();
  }

  /** Settings, values, things and contexts do what is said; one command is one step back. */
  @Test
  void whatIsDescribedIsDone() throws Exception {
    Sketch loom = described("3.2");
    loom.choose(List.of("View", "Grid"));
    assertThat(loom.settings().get("Grid").shown()).isEqualTo("on");
    assertThat(loom.ticked(List.of("View", "Grid"))).isTrue();
    assertThat(loom.choose(List.of("Draft", "Wider")))
        .isEqualTo(new Reply.Refused("something selected", "nothing selected"));
    loom.choose(List.of("Edit", "All"));
    loom.choose(List.of("Draft", "Wider"));
    loom.choose(List.of("Draft", "Wider"));
    assertThat(width(loom, 0)).as("within its range").isEqualTo("100%");
    loom.choose(List.of("Edit", "Undo"));
    assertThat(width(loom, 0)).isEqualTo("80%");
    loom.choose(List.of("Draft", "Band"));
    assertThat(loom.selected()).containsExactly("Band 3");
    assertThat(loom.values().get("Width").shown()).isEqualTo("50%");
    loom.choose(List.of("Draft", "Drop"));
    assertThat(loom.document().names()).containsExactly("Band 1", "Band 2", "Mark 1");
    loom.choose(List.of("View", "Note"));
    assertThat(loom.place()).isEqualTo(new Place.Within("loom", "note"));
  }

  @Test
  void aDescribedDialogHasItsFieldsAndButtons() throws Exception {
    Sketch loom = described("3.2");
    loom.selectNamed("Band 2", false);
    loom.choose(List.of("Draft", "Set up"));
    assertThat(loom.dialog().orElseThrow().field("Wide").orElseThrow().text()).isEqualTo("20");
    assertThat(loom.fill("Wide", "95")).isEqualTo(new Reply.Refused("from 10% to 90%", "\"95\""));
    loom.fill("Wide", "70");
    assertThat(loom.press("Set")).isInstanceOf(Reply.Done.class);
    assertThat(loom.dialog()).isEmpty();
    assertThat(width(loom, 1)).isEqualTo("70%");
    assertThat(width(loom, 0)).isEqualTo("50%");
    assertThat(loom.settings().get("Grid").shown()).isEqualTo("on");
  }

  /** Versions are compared number by number; what an add-on brings is there with it. */
  @Test
  void versionsAndAddOnsAreAsOnTheStation() throws Exception {
    assertThat(described("3.2").commandIds()).contains("old").doesNotContain("twill");
    assertThat(described("3.10").commandIds()).doesNotContain("old");
    Sketch loom = described("3.2", new AddOn("Weaver", "2.1"));
    assertThat(loom.commandIds()).contains("twill");
    loom.invoke("Weaver", "weave", Map.of("to", Value.Quantity.of("7", Scale.PERCENT)));
    assertThat(width(loom, 2)).isEqualTo("7%");
    assertThat(described("3.2", new AddOn("Weaver", "2.0")).facts().actions()).isEmpty();
  }

  /** A field's range is what a parameter made of it takes: no negative of it is offered. */
  @Test
  void aRangeThatIsDescribedIsUsed() throws Exception {
    ProgramDescription loom = ProgramDescription.read(DESCRIBED.getBytes(StandardCharsets.UTF_8));
    Routine.Macro macro =
        Routine.Macro.of(
            "wide",
            "Wide",
            "loom",
            List.of(),
            List.of(
                new Line(new Step.Choose(Template.all(List.of("Draft", "Set up")))),
                new Line(new Step.Fill("Wide", ExprNotation.read("70 %"))),
                new Line(new Step.PressButton("Set"))));
    Library library =
        new Edit.Together(
                List.of(
                    new Edit.PutApplication(loom.application()),
                    new Edit.Describe(loom.description()),
                    new Edit.PutRoutine(macro)))
            .on(mill());
    var here = StandIns.around(desk(library), library);
    assertThat(Checker.check(macro, here)).isEmpty();
    Making.Constant constant = Making.constants(macro, "2", here).getFirst();
    Routine.Macro general = Making.parameter(macro, constant, "wide");
    assertThat(general.parameters().getFirst().kind().allowed()).isEqualTo("from 10% to 90%");
    assertThat(Opposites.of(general, Map.of())).as("a width has no negative").isEmpty();
    Routine.Macro tooWide =
        macro.withSteps(
            List.of(
                macro.steps().get(0),
                new Line(new Step.Fill("Wide", ExprNotation.read("95 %"))),
                macro.steps().get(2)));
    assertThat(Checker.check(tooWide, here))
        .singleElement()
        .satisfies(m -> assertThat(m.toString()).contains("from 10% to 90%"));
  }

  /** A description of a program that some versions differ in says so of each of them. */
  @Test
  void otherVersionsAreKnownToo() throws Exception {
    ProgramDescription loom = ProgramDescription.read(DESCRIBED.getBytes(StandardCharsets.UTF_8));
    Library library =
        new Edit.Together(
                List.of(
                    new Edit.PutApplication(loom.application()),
                    new Edit.Describe(loom.description())))
            .on(mill());
    assertThat(
            StandIns.around(desk(library), library).otherVersions().stream()
                .filter(f -> f.application().equals("loom"))
                .filter(f -> f.command("old").isPresent())
                .map(Facts::version))
        .containsExactly("3.2");
  }

  /** Contexts follow what is selected, the dialog that is open, and the kind of document. */
  @Test
  void contextsHoldWhileWhatIsSaidIsSo() {
    Application loom =
        Application.unknown("loom")
            .withContexts(
                List.of(
                    group("pattern", context("chosen"), context("bare")),
                    context("drafts"),
                    context("sizes")))
            .withCommands(List.of(command("size", "Size"), command("drafts", "Drafts")));
    Description said =
        Description.none("loom")
            .withThings(List.of(new Description.Thing("Thread", 2, List.of())))
            .withDialogs(List.of(new Description.Dialog("Size", List.of(), List.of(), Span.ALWAYS)))
            .withCommands(
                List.of(
                    new Description.Command("size", List.of(), "Size", false, "", Span.ALWAYS),
                    new Description.Command(
                        "drafts", List.of(new Does.Leads("drafts")), "", false, "", Span.ALWAYS)))
            .withStates(
                List.of(
                    new Description.State("chosen", new While.Selected("Thread")),
                    new Description.State("bare", new While.NothingSelected()),
                    new Description.State("drafts", new While.Document()),
                    new Description.State("sizes", new While.DialogOpen("Size"))));
    assertThat(Slip.of(loom, said)).isEmpty();
    Sketch sketch = new Sketch(loom, said, Edition.of("", List.of()));
    assertThat(sketch.place().id()).isEqualTo("loom/bare");
    sketch.select(Whom.Group.ALL, false);
    assertThat(sketch.place().id()).isEqualTo("loom/chosen");
    sketch.enter(new Place.Within("loom", "bare"));
    assertThat(sketch.selected()).isEmpty();
    sketch.enter(new Place.Within("loom", "chosen"));
    assertThat(sketch.selected()).containsExactly("Thread 1");
    sketch.fire("size");
    assertThat(sketch.place().id()).isEqualTo("loom/sizes");
    sketch.cancel();
    assertThat(sketch.place().id()).isEqualTo("loom/chosen");
    sketch.fire("drafts");
    assertThat(sketch.place().id()).as("another document").isEqualTo("loom/drafts");
    sketch.select(Whom.Group.NOTHING, false);
    assertThat(sketch.place().id()).isEqualTo("loom/drafts");
    assertThat(sketch.enter(new Place.Within("loom", "sizes"))).isInstanceOf(Reply.Done.class);
    assertThat(sketch.dialog().map(Dialog::title)).contains("Size");
  }

  private static Context context(String id) {
    return new Context(id, id, List.of(), false, false, false, Extras.NONE);
  }

  private static Context group(String id, Context... inner) {
    return new Context(id, id, List.of(inner), true, false, false, Extras.NONE);
  }

  private static NativeCommand command(String id, String name) {
    return new NativeCommand(
        id,
        name,
        "",
        List.of("Do", name),
        List.of(),
        Optional.empty(),
        new Place.Whole("loom"),
        0,
        Danger.NONE,
        Optional.empty(),
        Extras.NONE);
  }
}
