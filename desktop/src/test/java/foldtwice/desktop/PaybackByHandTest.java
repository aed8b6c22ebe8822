package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Edit;
import foldtwice.library.Outlay;
import foldtwice.routine.Routine;
import foldtwice.routine.Yardstick;
import foldtwice.routine.Yardstick.Move;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.prefs.Preferences;
import javafx.scene.input.KeyCode;
import javafx.scene.shape.Circle;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is saved is looked at, corrected, measured. */
class PaybackByHandTest {

  @TempDir Path folder;

  @AfterEach
  void nobodysHand() throws Exception {
    Preferences.userRoot().node("foldtwice/desktop/payback").removeNode();
  }

  private static void go(Hands hands) {
    hands.press(KeyCode.CONTROL, KeyCode.F8);
    hands.waitForText("#payback-title", "a week saved");
  }

  /** From the curve to a routine, to its routes, to the operators and why they are there. */
  @Test
  void theWholeLibraryThenARoutineThenItsRoutes() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      go(hands);
      assertThat(hands.rows("#payback-shares").getFirst()).contains("Shift boxes", "30 bindings");
      hands.giveKeys("#payback-shares");
      hands.press(KeyCode.DOWN);
      hands.waitForText("#payback-routes", "recorded or written");
      var repeat = hands.session.now().library().routines().get("repeat-box");
      hands.make(
          new foldtwice.library.Edit.PutRoutine(repeat.with(repeat.head().with(Yardstick.NONE))),
          "without a route");
      hands.waitForText("#payback-routes", "worked out");
      assertThat(hands.text("#payback-routes")).contains("By hand", "By trigger");
      hands.space("#route-why");
      assertThat(hands.text("#payback-why"))
          .contains("thinking", "rule 0", "it follows from what came before (rule 1)");
      hands.space("#route-look");
      assertThat(hands.text("#outline")).contains("Repeat");
    }
  }

  /** A route is written, slips and waits among it; nonsense is said and loses nothing. */
  @Test
  void aRouteIsWrittenByHand() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      go(hands);
      hands.giveKeys("#payback-shares");
      hands.press(KeyCode.DOWN);
      Yardstick before = hands.session.now().library().routines().get("repeat-box").yardstick();
      hands.lookUp("write the manual route");
      assertThat(hands.text("#route-text")).contains("click");
      hands.paste("#route-text", "point, klick");
      hands.space("#route-keep");
      assertThat(hands.text("#route-wrong")).contains("expected", "klick");
      hands.paste("#route-text", "point 400 wide 60, click, wait 2 s, 1 in 20 (click, type 3)");
      hands.space("#route-keep");
      List<Move> kept =
          hands.session.now().library().routines().get("repeat-box").yardstick().moves();
      assertThat(kept).hasSize(4).contains(new Move.Wait(2000));
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(hands.session.now().library().routines().get("repeat-box").yardstick())
          .isEqualTo(before);
    }
  }

  /** What was spent makes a break-even; prices in another currency are told, not counted. */
  @Test
  void whatItHasCostIsTypedAndPaidBack() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      go(hands);
      hands.giveKeys("#outlay-minutes");
      hands.retype("90");
      hands.press(KeyCode.ENTER);
      hands.waitForText("#payback-spent", "90 min spent");
      hands.giveKeys("#outlay-price");
      hands.retype("a lot");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#outlay-wrong")).contains("a lot");
      hands.giveKeys("#outlay-price");
      hands.retype("400 EUR");
      hands.press(KeyCode.ENTER);
      hands.waitForText("#payback-spent", "1 price not counted");
      hands.giveKeys("#outlay-hour");
      hands.retype("40 EUR");
      hands.press(KeyCode.ENTER);
      hands.waitForText("#payback-spent", "11 h 30 min spent");
      hands.waitForText("#payback-title", "Paid back after 1 week");
      assertThat(hands.session.now().library().outlays())
          .containsKeys(Outlay.HOUR, Outlay.ofRoutine("shift-boxes"));
      hands.giveKeys("#payback-shares");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      hands.waitForText("#payback-spent", "1 price not counted");
      hands.lookUp("see whether a device pays");
      hands.waitForText("#payback-title", "Rowan");
    }
  }

  /** How long a routine was worked on is told by the history, and can be corrected. */
  @Test
  void makingIsMeasuredByTheHistory() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      go(hands);
      hands.space("#outlay-measured");
      hands.waitForSaid("no work on this");
      Routine r = hands.session.now().library().routines().get("shift-boxes");
      hands.make(new Edit.PutRoutine(r.with(r.head().inCategory("Moving"))), "one change");
      hands.make(new Edit.PutRoutine(r.with(r.head().inCategory("Shifting"))), "another");
      hands.space("#outlay-measured");
      hands.waitForText("#payback-spent", "60 s spent");
    }
  }

  /** Keys that are shown are pressed, targets that are shown are clicked. */
  @Test
  void oneMeasuresOnesOwnHand() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      go(hands);
      hands.lookUp("measure how fast my hand is");
      for (int i = 0; i < 24; i++) {
        String cap = hands.text("#exercise-cap");
        if (i == 3) {
          hands.press(KeyCode.DIGIT9); // a slip is not counted
          assertThat(hands.text("#exercise-cap")).isEqualTo(cap);
        }
        hands.press(KeyCode.valueOf(cap));
      }
      hands.waitForText("#exercise-says", "Click each disc");
      for (int i = 0; i < 16; i++) {
        hands.click("#exercise-target");
      }
      hands.waitForText("#exercise-says", "in turn");
      for (int i = 0; i < 10; i++) {
        hands.click("#exercise-target");
        hands.press(KeyCode.valueOf(hands.text("#exercise-cap")));
      }
      hands.waitForSaid("was measured");
      hands.waitForText("#payback-routes", "Your own values");
      hands.lookUp("measure how fast my hand is");
      hands.press(KeyCode.ESCAPE);
      assertThat(hands.node("#exercise").isVisible()).isFalse();
      assertThat(hands.node("#exercise-target")).isInstanceOf(Circle.class);
    }
  }

  /** Read, looked at, taken as one edit; what it names that is not there is told. */
  @Test
  void aUseLogIsReadAndTaken() throws Exception {
    Path log =
        Files.writeString(
            folder.resolve("log.csv"),
            """
            when,station,binding,count
            2031-05-01,x,b01,30
            2031-05-29,x,b01,30
            2031-05-02,x,gone,4
            """);
    try (Hands hands = Hands.open(folder)) {
      go(hands);
      hands.choosing(log);
      hands.lookUp("read a use log");
      hands.waitForText("#uses-says", "2 rows counted, of 1 binding, over 4 weeks");
      assertThat(hands.text("#uses-read")).contains("1 row not counted", "gone");
      hands.space("#uses-take");
      assertThat(hands.session.now().library().bindings().get("b01").usesPerWeek()).isEqualTo(15);
      hands.waitForText("#payback-routes", "Shift boxes");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(hands.session.now().library().bindings().get("b01").usesPerWeek()).isEqualTo(410);
      hands.choosing(Files.writeString(folder.resolve("no.csv"), "a,b\n1,2\n"));
      hands.lookUp("read a use log");
      hands.waitForText("#uses-says", "expected a heading");
    }
  }

  /** What is used ever less is told when a log is read, with the way to it. */
  @Test
  void whatIsUsedEverLessIsGoneTo() throws Exception {
    StringBuilder rows = new StringBuilder("when,binding,count\n");
    for (int week = 0; week < 10; week++) {
      java.time.LocalDate day = java.time.LocalDate.of(2031, 3, 3).plusWeeks(week);
      rows.append(day + ",b01," + (60 - 5 * week) + "\n" + day + ",b02,30\n");
    }
    try (Hands hands = Hands.open(folder)) {
      go(hands);
      hands.choosing(Files.writeString(folder.resolve("log.csv"), rows));
      hands.lookUp("read a use log");
      hands.waitForText("#uses-read", "One is used ever less");
      assertThat(hands.text("#fading-1")).contains("dx +0.5 mm", "52 a week, then 30");
      hands.space("#fading-1");
      hands.waitForText("#register", "Shift boxes");
      assertThat(hands.text("#arg-dx")).contains("0.5 mm");
    }
  }

  /** What the library would save on each station, and the routes there. */
  @Test
  void stationsAreHeldAgainstOneAnother() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      go(hands);
      hands.lookUp("see on which station the library saves most");
      hands.waitForText("#payback-shares", "Label corner");
      List<String> rows = hands.rows("#payback-shares");
      assertThat(rows).anyMatch(r -> r.contains("Label corner"));
      hands.giveKeys("#payback-shares");
      hands.press(KeyCode.END);
      String last = rows.getLast();
      String name =
          hands.session.now().library().stations().values().stream()
              .map(foldtwice.place.Station::name)
              .filter(last::contains)
              .findFirst()
              .orElseThrow();
      hands.waitForText("#payback-title", name);
      assertThat(hands.text("#payback-title")).isNotEqualTo(rows.getFirst());
      hands.waitForText("#payback-routes", "by hand");
    }
  }

  /** What is fired in Try is counted where it happens, and can be read as a log. */
  @Test
  void whatIsFiredIsCounted() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
      hands.click("#try-tagpress");
      hands.click("#box-2");
      hands.press(KeyCode.ALT, KeyCode.PERIOD);
      Path uses = folder.resolve("fernhollow.json.uses.csv");
      hands.waitUntil("it is counted", () -> Files.exists(uses));
      hands.press(KeyCode.ALT, KeyCode.PERIOD);
      hands.pause(300);
      assertThat(Files.readString(uses)).startsWith("when,station,binding,count\r\n");
      hands.lookUp("go to payback");
      hands.choosing(uses);
      hands.lookUp("read a use log");
      hands.waitForText("#uses-says", "2 rows counted, of 1 binding, over 1 week.");
    }
  }

  /** Put together, or of what was fired; practised against what the model says. */
  @Test
  void aProcedureIsMadeAndPractised() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      go(hands);
      hands.lookUp("make a procedure of several bindings");
      hands.waitForText("#procedure-parts", "Nothing is in it yet");
      hands.paste("#procedure-find", "shift boxes, dx +0.5");
      hands.giveKeys("#procedure-find");
      hands.press(KeyCode.ENTER);
      hands.retype("swap unit");
      hands.press(KeyCode.ENTER);
      hands.giveKeys("#procedure-times");
      hands.retype("40");
      hands.press(KeyCode.ENTER);
      hands.waitForText("#procedure-says", "a week saved");
      assertThat(hands.rows("#procedure-parts")).hasSize(2);
      hands.giveKeys("#procedure-each");
      hands.retype("none");
      hands.press(KeyCode.ENTER);
      assertThat(hands.text("#procedure-wrong")).contains("none");

      hands.lookUp("practise the procedure");
      assertThat(hands.text("#practice-caps")).contains("Alt");
      hands.press(KeyCode.F12);
      assertThat(hands.text("#practice-result")).contains("1 slip");
      hands.press(KeyCode.ALT, KeyCode.PERIOD);
      hands.click("#practice-hidden");
      assertThat(hands.text("#practice-caps")).isEmpty();
      hands.press(KeyCode.CONTROL, KeyCode.U);
      assertThat(hands.text("#practice-result")).contains("with 1 slip", "The model says");
      hands.press(KeyCode.ESCAPE);
      hands.giveKeys("#payback-shares");
      hands.lookUp("delete the procedure");
      assertThat(hands.session.now().library().procedures()).isEmpty();
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(hands.session.now().library().procedures()).hasSize(1);
    }
  }

  /** A library with nothing in it says so; one of another trade saves what it saves. */
  @Test
  void otherLibraries() throws Exception {
    Files.copy(Hands.root().resolve("demo/seedhouse.json"), folder.resolve("fernhollow.json"));
    try (Hands hands = Hands.open(folder)) {
      go(hands);
      hands.waitForText("#payback-title", "min a week saved");
      assertThat(hands.rows("#payback-shares").getFirst()).contains("Count and go on");
      assertThat(hands.text("#payback-tasks")).contains("Seal", "Siftbook");
      hands.space("#task-0");
      assertThat(hands.text("#application-pane")).contains("Seal");
    }
  }
}
