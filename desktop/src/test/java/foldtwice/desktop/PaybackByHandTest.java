package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Outlay;
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
    hands.press(KeyCode.CONTROL, KeyCode.B);
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
      hands.waitForText("#payback-routes", "recorded or written");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      hands.waitForText("#payback-routes", "worked out");
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
      hands.waitForText("#payback-title", "Paid back after less than a week");
      assertThat(hands.session.now().library().outlays())
          .containsKeys(Outlay.HOUR, Outlay.ofRoutine("shift-boxes"));
      hands.giveKeys("#payback-shares");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      hands.waitForText("#payback-spent", "1 price not counted");
      hands.lookUp("see whether a device pays");
      hands.waitForText("#payback-title", "Rowan");
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
      hands.waitUntil(
          "it is said", () -> hands.session.saidProperty().get().contains("was measured"));
      hands.waitForText("#payback-routes", "Your own values");
      hands.lookUp("measure how fast my hand is");
      hands.press(KeyCode.ESCAPE);
      assertThat(hands.node("#exercise").isVisible()).isFalse();
      assertThat(hands.node("#exercise-target")).isInstanceOf(Circle.class);
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
