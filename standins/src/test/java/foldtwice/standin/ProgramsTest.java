package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.known.Facts;
import foldtwice.known.Touch;
import foldtwice.place.Station;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Reply;
import foldtwice.standin.base.Edition;
import foldtwice.standin.base.StandIn;
import foldtwice.standin.copystand.Copystand;
import foldtwice.standin.desk.Desk;
import foldtwice.standin.tagpress.Tagpress;
import foldtwice.standin.trackway.Leg;
import foldtwice.standin.trackway.Trackway;
import foldtwice.standin.vasculum.Vasculum;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What each of the programs has of its own. */
class ProgramsTest {

  @Test
  void everyProgramHasWhatAProgramMustHave() {
    for (StandIn<?> program : StandIns.all().values()) {
      Facts facts = program.facts();
      assertThat(program.menuPaths()).as(program.application()).hasSizeGreaterThan(12);
      assertThat(facts.dialogs()).as("dialogs with fields and buttons").isNotEmpty();
      facts.dialogs().forEach(d -> assertThat(d.buttons().size()).isGreaterThan(1));
      assertThat(facts.settings()).isNotEmpty();
      assertThat(facts.addOns()).isNotEmpty();
      assertThat(facts.commands())
          .as("a command that empties the undo history")
          .anyMatch(c -> c.effects().touches().contains(Touch.UNDO_HISTORY));
      assertThat(facts.commands()).anyMatch(c -> c.effects().addOn().isPresent());
      assertThat(facts.commands())
          .as("rules of selection")
          .anyMatch(c -> c.effects().needsSelection());
    }
  }

  /**
   * Two versions differ in something a macro would fall over, and without add-ons less is there.
   */
  @Test
  void versionsAndAddOnsMatter() {
    Map<String, List<Facts>> versions =
        StandIns.everyVersion().stream().collect(Collectors.groupingBy(Facts::application));
    for (String id : StandIns.ids()) {
      assertThat(versions.get(id)).as(id).hasSize(2);
      Set<String> seen = new TreeSet<>();
      versions.get(id).forEach(f -> seen.add(f.menu().keySet() + " " + f.values()));
      if (!id.equals(Desk.ID)) {
        assertThat(seen).as(id + " in two versions").hasSize(2);
      }
    }
    assertThat(new Copystand(Edition.of("4.1", List.of())).commandIds())
        .doesNotContain("straighten");
    assertThat(new Copystand().commandIds()).contains("straighten");
    assertThat(new Vasculum(Edition.of("5.0", List.of())).fire("sign-degree"))
        .isInstanceOf(Reply.Refused.class);
  }

  @Test
  void aStationHasItsOwnVersionsAndAddOns() {
    Station table = Demo.LIBRARY.stations().get("mounting-table");
    Map<String, StandIn<?>> there = StandIns.on(table, Demo.LIBRARY);
    assertThat(there.get("tagpress").facts().version()).isEqualTo("4.0");
    assertThat(there.get("copystand").facts().addOns()).isEmpty();
    assertThat(there.get("vasculum").facts().version()).isEqualTo("5.0");
  }

  @Test
  void theOrderOfSelectingCounts() {
    Trackway map = new Trackway();
    for (String stop : List.of("W1", "W2", "Gate")) {
      map.click(stop, true);
    }
    map.fire("chain");
    assertThat(map.document().legs()).contains(new Leg("W1", "Gate"), new Leg("W2", "Gate"));
    Tagpress sheet = new Tagpress();
    sheet.click("box 6", false);
    sheet.click("box 2", true);
    sheet.fire("align-left");
    assertThat(sheet.document().box(6).orElseThrow().x())
        .isEqualTo(sheet.document().box(2).orElseThrow().x());
  }

  @Test
  void selectingGoesInAndOutOfASite() {
    Trackway map = new Trackway();
    map.click("Lower weir", false);
    map.select(Whom.Group.CHILDREN, false);
    assertThat(map.selected()).containsExactly("W1", "W2", "W3");
    assertThat(map.place().id()).isEqualTo("trackway/plot");
    map.select(Whom.Group.PARENT, false);
    assertThat(map.selected()).containsExactly("Lower weir");
    map.fire("enter-site");
    assertThat(map.place().id()).isEqualTo("trackway/site");
    map.select(Whom.Group.ALL, false);
    assertThat(map.selected()).containsExactly("W1", "W2", "W3");
    map.fire("leave-site");
    assertThat(map.selected()).containsExactly("Lower weir");
    assertThat(new Trackway(Edition.of("1.8", List.of())).commandIds()).doesNotContain("children");
  }

  @Test
  void whatThePointerIsOverCounts() {
    Trackway map = new Trackway();
    assertThat(map.select(Whom.Group.AT_POINTER, false)).isInstanceOf(Reply.Refused.class);
    map.point("Cairn");
    map.select(Whom.Group.AT_POINTER, false);
    assertThat(map.selected()).containsExactly("Cairn");
    assertThat(map.point("nowhere")).isInstanceOf(Reply.Refused.class);
  }

  @Test
  void aLegIsDrawnByClickingAndGivenUpByLeaving() {
    Trackway map = new Trackway();
    map.click("Gate", false);
    map.fire("draw");
    assertThat(map.place().id()).isEqualTo("trackway/drawing");
    map.fire("delete");
    assertThat(map.drawingFrom()).as("found by a property: no leg from what is gone").isEmpty();
    map.undo();
    map.fire("leave");
    assertThat(map.place().id()).isEqualTo("trackway/stop");
    map.fire("draw");
    map.click("Cairn", false);
    assertThat(map.document().legs()).contains(new Leg("Gate", "Cairn"));
    assertThat(map.document().metres(new Leg("Gate", "Cairn")))
        .as("from the coordinates: the root of 630 squared and 330 squared")
        .isEqualTo(711);
  }

  @ParameterizedTest
  @CsvSource({
    "exposure, by, 0.3 EV, REPORT, 0.3 EV",
    "exposure, by, 9 EV, CLAMP, 4 EV",
    "exposure, by, 9 EV, REPORT, 0 EV",
    "white balance, to, 6000 K, REPORT, 6000 K",
    "white balance, to, 1000 K, CLAMP, 2500 K",
    "tilt, by, -0.4\u00b0, REPORT, 0.4\u00b0"
  })
  void valuesKeepToTheirRange(String name, String way, String amount, Step.Edge edge, String then) {
    Copystand shots = new Copystand();
    var range = shots.facts().values().get(name);
    var free =
        new foldtwice.routine.Kind.Measure(
            new Value.Quantity(new java.math.BigDecimal("-99999"), range.least().scale()),
            new Value.Quantity(new java.math.BigDecimal("99999"), range.least().scale()),
            range.step());
    Value.Quantity to = (Value.Quantity) free.read(amount);
    shots.adjust(name, way.equals("by") ? Step.Adjusting.BY : Step.Adjusting.TO, to, edge);
    assertThat(shots.values().get(name).shown()).isEqualTo(then);
  }

  @Test
  void looksAreStoredAndAppliedToAllSelected() {
    Copystand shots = new Copystand();
    shots.adjust(
        "exposure",
        Step.Adjusting.TO,
        Value.Quantity.of("1.5", foldtwice.routine.Scale.EV),
        Step.Edge.REPORT);
    shots.fire("store-look");
    shots.fill("As", "Dark leaf");
    assertThat(shots.fill("As", "Brightest")).isInstanceOf(Reply.Refused.class);
    shots.press("Store");
    shots.fire("select-all");
    double tilt = shots.document().shots().get(4).amount("tilt");
    shots.choose(List.of("Looks", "Dark leaf"));
    assertThat(shots.document().shots()).allMatch(s -> s.amount("exposure") == 1.5);
    assertThat(shots.document().shots().get(4).amount("tilt"))
        .as("a look has no tilt")
        .isEqualTo(tilt);
    shots.undo();
    assertThat(shots.document().shots().get(1).amount("exposure")).isEqualTo(-0.7);
  }

  @Test
  void takingInShotsEmptiesTheHistory() {
    Copystand shots = new Copystand();
    shots.fire("crop-sheet");
    assertThat(shots.undoDepth()).isEqualTo(1);
    Reply reply = shots.fire("import");
    assertThat(shots.undoDepth()).isZero();
    assertThat(((Reply.Done) reply).changes()).anyMatch(c -> c.what().equals("undo history"));
    assertThat(shots.undo()).isInstanceOf(Reply.Refused.class);
    assertThat(shots.document().shots().getLast().name()).isEqualTo("FH-02419");
  }

  @Test
  void programsShareTheClipboardAndTheWindows() {
    SimulatedComputer computer = SimulatedComputer.fresh();
    Vasculum register = (Vasculum) computer.programs().get("vasculum");
    register.click("Taxon 2", false);
    register.fire("copy");
    computer.start("notepad", List.of());
    assertThat(computer.frontWindow()).as("it takes its time").isNotEqualTo("notepad");
    computer.pass(Desk.STARTING);
    assertThat(computer.frontWindow()).isEqualTo("notepad");
    assertThat(computer.front().application()).isEqualTo("desk");
    computer.desk().fire("paste");
    assertThat(computer.desk().document().notes()).isEqualTo("Carex limosa");
    SimulatedComputer copy = computer.copy();
    copy.desk().fire("clear");
    assertThat(computer.desk().document().notes())
        .as("a copy is its own")
        .isEqualTo("Carex limosa");
    assertThat(computer.start("nothing", List.of())).isInstanceOf(Reply.Refused.class);
  }

  @ParameterizedTest
  @CsvSource({"5 in, mm, 127 mm", "72 pt, in, 1 in", "1 pica, pt, 12 pt", "2.54 cm, in, 1 in"})
  void theConverterConverts(String typed, String unit, String converted) {
    Desk desk = new Desk();
    desk.enter(new foldtwice.place.Place.Within("desk", "converter"));
    desk.type(typed);
    desk.fire("convert-" + unit);
    assertThat(desk.document().converted()).isEqualTo(converted);
    desk.type(" and more");
    assertThat(desk.fire("enter")).isInstanceOf(Reply.Refused.class);
  }

  @Test
  void picturesGoWhereTheSettingSays() {
    SimulatedComputer computer = SimulatedComputer.fresh();
    Desk desk = computer.desk();
    desk.fire("capture");
    assertThat(computer.clipboard()).isEqualTo("[picture of screen]");
    desk.change("pictures to", new Value.Text("folder"));
    desk.fire("capture");
    desk.fire("dated-folder");
    assertThat(desk.document().files()).contains("picture 2", "sheets 2031-05-08T09-00-00");
    Desk later = new Desk(Edition.of("2", List.of()));
    later.change("pictures to", new Value.Text("folder"));
    later.fire("capture");
    assertThat(later.document().files().getLast()).startsWith("picture 1970-01-01T");
    assertThat(later.commandIds()).doesNotContain("dated-folder");
  }

  @Test
  void aFileNameThatNoFileCanHaveIsRefused() {
    Vasculum register = new Vasculum();
    register.fire("save-as");
    for (String name : List.of("", "  ", "a/b", "c:\\d", "what?")) {
      register.fill("Name", name);
      assertThat(register.press("Save")).as(name).isInstanceOf(Reply.Refused.class);
      assertThat(register.dialog()).as("stays open").isPresent();
    }
    register.fill("Name", "register 2031");
    register.press("Save");
    assertThat(register.dialog()).isEmpty();
  }
}
