package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Readiness;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is changed works only when what its way in asks for has happened. */
class ReadyByHandTest {

  @TempDir Path folder;

  private static Readiness stage(Hands hands, String binding) {
    var now = hands.session.now();
    return now.outlook(now.library().bindings().get(binding)).stage();
  }

  private static foldtwice.binding.Binding last(Hands hands) {
    return hands.session.now().library().bindings().values().stream()
        .reduce((a, b) -> b)
        .orElseThrow();
  }

  /** Each thing in the way is a line with what to do, and goes when that is done. */
  @Test
  void whatStandsInTheWayIsDoneAwayWithWhereItIsSaid() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("lay boxes as a stair");
      hands.make(
          new foldtwice.library.Edit.PutRoutine(
              Hands.ask(
                  () -> {
                    var r = hands.session.now().library().routines().get("stair-boxes");
                    return r.withManner(r.manner().startingIn(List.of("nothing-selected")));
                  })),
          "it starts elsewhere");
      assertThat(hands.text("#waits")).contains("it starts in: Tagpress");
      assertThat(hands.text("#stand-context")).isEqualTo("Bring it there");
      hands.space("#stand-context");
      hands.waitUntil(
          "the program is there",
          () ->
              hands
                  .session
                  .programs()
                  .get("tagpress")
                  .place()
                  .id()
                  .equals("tagpress/nothing-selected"));
      assertThat(hands.text("#waits")).doesNotContain("it starts in");

      hands.choose("shift boxes");
      hands.press(KeyCode.DELETE);
      hands.press(KeyCode.CONTROL, KeyCode.N);
      assertThat(hands.text("#waits")).contains("Give it a trigger first.");
      hands.space("#stand-notrigger");
      hands.press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.SHIFT, KeyCode.F9);
      hands.waitUntil("it has one", () -> !last(hands).triggers().isEmpty());
      assertThat(hands.text("#waits")).doesNotContain("trigger first");

      hands.lookUp("switch the chosen bindings off");
      assertThat(hands.text("#waits")).contains("It is switched off");
      hands.space("#stand-off");
      hands.waitUntil("it is on", () -> !last(hands).isOff());
      assertThat(hands.text("#waits")).doesNotContain("switched off");

      hands.choose("value of the last");
      hands.station("mounting-table");
      assertThat(hands.text("#waits")).contains("Straightener is not on this computer");
      hands.space("#stand-lacks");
      assertThat(hands.session.now().station().id()).isEqualTo("mounting-table");
      assertThat(hands.text("#tab-places")).contains("Places");
    }
  }

  @Test
  void aNumberedActionIsWrittenAndWaitsForARestart() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("set place ctrl 1 by position");
      assertThat(stage(hands, "b161")).isEqualTo(Readiness.WORKING);
      hands.click("#press-keys");
      hands.press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.F6);
      hands.waitForText("#readiness", "placed");
      assertThat(hands.text("#waits")).contains("the program\u2019s file", "a restart");

      hands.click("#tab-try");
      hands.click("#try-trackway");
      hands.click("#window-trackway #standin-foot");
      hands.press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.F6);
      hands.waitForText("#try-why", "would take it, and waits for the program\u2019s file");
      hands.press(KeyCode.CONTROL, KeyCode.DIGIT1);
      hands.waitForText("#try-presses", "Set numbered place");

      hands.click("#tab-bind");
      hands.space("#meet-file_copied");
      hands.waitForText("#readiness", "waiting: a restart");
      hands.click("#tab-try");
      hands.click("#window-trackway #standin-restart");
      hands.press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.F6);
      hands.waitUntil("it is proven", () -> stage(hands, "b161") == Readiness.PROVEN);

      hands.click("#tab-places");
      for (int i = 0; i < 4; i++) {
        hands.press(KeyCode.DOWN);
      }
      assertThat(hands.text("#ways-pane"))
          .contains("39 of 48 numbered slots", "thin entry", "Set numbered place: 1");
    }
  }

  @Test
  void aConsoleReadsItsFileWithANewWindow() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("Muniment overdue");
      String id =
          hands.session.now().library().bindings().values().stream()
              .filter(b -> b.routine().contains("overdue"))
              .findFirst()
              .orElseThrow()
              .id();
      hands.click("#press-keys");
      hands.press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.F7);
      hands.waitForText("#readiness", "placed");
      hands.space("#meet-file_copied");
      hands.waitForText("#readiness", "waiting: a new window");
      hands.click("#tab-try");
      hands.click("#try-muniment");
      hands.click("#window-muniment #standin-new-window");
      assertThat(stage(hands, id)).isEqualTo(Readiness.WORKING);
    }
  }

  @Test
  void theWayAroundARuleIsOffered() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.choose("values next shift");
      hands.click("#press-keys");
      hands.press(KeyCode.F2);
      hands.press(KeyCode.SHIFT); // more strokes may follow; the time limit ends it
      hands.waitForText("#question", "Start script");
      assertThat(hands.text("#take-on-device")).as("no rule speaks of a pad").contains("Use ");
      hands.space("#take-by-way");
      hands.waitForText("#readiness", "placed");
      assertThat(hands.text("#here")).doesNotContain("does not take");
      hands.space("#meet-file_copied");
      hands.space("#meet-restart");
      hands.waitForText("#readiness", "working");
      hands.space("#fire");
      hands.waitForText("#readiness", "proven");
    }
  }
}
